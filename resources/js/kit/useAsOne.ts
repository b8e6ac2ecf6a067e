import { useCallback, useRef } from 'react';
import { dropDraft, keepDraft, readDraft } from './draft';

interface Said {
  what: string;
  id: string;
}
/** For so long after something was made is the same press the second half of a double click, milliseconds. */
const SAME_PRESS = 2000;

/** Tells two texts apart as far as a repeated request needs it: the server compares them in full. */
function shortly(text: string): string {
  let sum = 2166136261;
  for (let at = 0; at < text.length; at++) sum = Math.imul(sum ^ text.charCodeAt(at), 16777619);
  return `${String(text.length)}.${String(sum >>> 0)}`;
}

/** A request that is sent once, by nobody's press: nothing to compare it with. */
export const asNew = () => ({ 'Idempotency-Key': crypto.randomUUID() });

/**
 * The id under which something is made, so that the same request sent again (a double click, a lost network, a reload
 * while it was under way) makes nothing more. What is said differently is another making.
 *
 * @param draft the draft that what is said is kept in; the id is kept beside it
 */
export function useAsOne(draft?: string) {
  const kept = draft === undefined ? undefined : `${draft}.as`;
  const last = useRef<Said | null>(null);
  const asOne = useCallback(
    (said: unknown) => {
      const what = shortly(JSON.stringify(said ?? null));
      const before = last.current ?? (kept === undefined ? null : readDraft<Said>(kept));
      last.current = before?.what === what ? before : { what, id: crypto.randomUUID() };
      if (kept !== undefined) keepDraft(kept, last.current);
      return { 'Idempotency-Key': last.current.id };
    },
    [kept],
  );
  /** It was made: what is said the same way from now on is meant anew. */
  const made = useCallback(() => {
    if (kept !== undefined) dropDraft(kept);
    const one = last.current;
    setTimeout(() => {
      if (last.current === one) last.current = null;
    }, SAME_PRESS);
  }, [kept]);
  return { asOne, made };
}
