import { useRef } from 'react';

interface Sends<V> {
  mutate: (variables: V, options: { onSettled: () => void }) => void;
}

/**
 * Sends one thing at a time: a second press that comes before the page has drawn the button as busy does nothing, so
 * that a double click makes one record and not two.
 */
export function useOnce<V>(mutation: Sends<V>): (variables: V) => void {
  const isSending = useRef(false);
  return (variables) => {
    if (isSending.current) return;
    isSending.current = true;
    mutation.mutate(variables, {
      onSettled: () => {
        isSending.current = false;
      },
    });
  };
}
