import { useSyncExternalStore } from 'react';

const narrow = typeof matchMedia === 'undefined' ? null : matchMedia('(max-width: 47.99rem)');

const follow = (reader: () => void): (() => void) => {
  narrow?.addEventListener('change', reader);
  return () => narrow?.removeEventListener('change', reader);
};

/** Whether the screen has room for one thing beside nothing else, as a phone has. */
export const useIsNarrow = (): boolean => useSyncExternalStore(follow, () => narrow?.matches === true);
