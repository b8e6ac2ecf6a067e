import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Letter } from '../../api/client';
import { readAgain } from '../../api/touched';
import { dropDraft, keepDraft, readDraft } from '../../kit/draft';
import { useProblem } from '../../kit/useProblem';

interface Typed {
  text: string;
  /** Of the letter it was typed on; 0 where there was none. */
  version: number;
}

export const draftOf = (term: string, student: string | null): string => `letter.${term}.${student ?? ''}`;

/** Sends a letter to be kept, under an id that is made here once: sent again it makes no second. */
export const putLetter = (term: string, id: string, student: string | null, { text, version }: Typed) =>
  ask(api.PUT('/api/terms/{term}/letters', { params: { path: { term } }, body: { id, student, text, version } }));

/** Sends letters that are kept by mail; one that could not go comes back without a time. */
export const mailLetters = (term: string, letters: string[]) =>
  ask(api.POST('/api/terms/{term}/letters/sending', { params: { path: { term } }, body: { letters } }));

/** One letter as it is written: kept in this tab while it is typed, and what somebody else kept meanwhile beside it. */
export function useLetter(
  term: string,
  student: string | null,
  letter: Letter | null,
  proposed: string,
  tells: {
    onKept: () => void;
    /** When something is typed that is not kept, and when it is no more. */
    onTyped?: (isTyped: boolean) => void;
  },
) {
  const name = draftOf(term, student);
  const [typed, setTyped] = useState<Typed | null>(() => readDraft<Typed>(name));
  const [fresh] = useState(() => crypto.randomUUID());
  const [refusal, setProblem] = useProblem();
  const version = letter?.version ?? 0;
  const text = typed?.text ?? letter?.text ?? proposed;
  const drop = () => {
    dropDraft(name);
    setTyped(null);
    tells.onTyped?.(false);
  };
  const type = (next: string, on = typed?.version ?? version) => {
    const now = { text: next, version: on };
    keepDraft(name, now);
    setTyped(now);
    if (typed === null) tells.onTyped?.(true);
    setProblem(null);
  };
  const keep = useMutation({
    mutationFn: (sent: Typed) => putLetter(term, letter?.id ?? fresh, student, sent),
    onSuccess: async (_, sent) => {
      // What was typed while it was on its way is still to be kept.
      if (readDraft<Typed>(name)?.text === sent.text) drop();
      await readAgain('letters');
      tells.onKept();
    },
    onError: async (error) => {
      setProblem(error);
      await readAgain('letters');
    },
  });
  return {
    text,
    isTyped: typed !== null,
    /** What somebody else kept while this was typed; null where nobody did. */
    theirs: typed !== null && letter !== null && typed.version !== version ? letter.text : null,
    type,
    drop,
    keep,
    toKeep: { text, version: typed?.version ?? version },
    version,
    refusal,
  };
}
