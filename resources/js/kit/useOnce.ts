import { useRef } from 'react';

interface Sends<V> {
  mutate: (variables: V, options: { onSuccess: () => void; onSettled: () => void }) => void;
}

/** For so long after it was done is the same press the second half of a double click, milliseconds. */
const DOUBLE_CLICK = 500;

/**
 * Sends one thing at a time: a second press that comes before the page has drawn the button as busy does nothing, and
 * neither does the same press again right after it was done, so that a double click makes one record and not two,
 * however quickly the server answers. What was refused can be sent again at once.
 */
export function useOnce<V>(mutation: Sends<V>): (variables: V) => void {
  const isSending = useRef(false);
  const done = useRef({ said: '', at: -Infinity });
  return (variables) => {
    const said = JSON.stringify(variables) ?? '';
    if (isSending.current || (done.current.said === said && performance.now() - done.current.at < DOUBLE_CLICK)) return;
    isSending.current = true;
    mutation.mutate(variables, {
      onSuccess: () => {
        done.current = { said, at: performance.now() };
      },
      onSettled: () => {
        isSending.current = false;
      },
    });
  };
}
