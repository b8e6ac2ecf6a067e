import { useEffect, useRef } from 'react';
import { useSearchParams } from './router';

/** What is said in an address; null leaves it out. */
export type Said = Record<string, string | null>;

/**
 * What a page keeps in its address, so that it can be sent to an assistant. Two things said before the address has taken
 * the first are both kept: each builds on what was said last, not on what is drawn.
 */
export function useAddressed(): [URLSearchParams, (said: Said) => void] {
  const [search, setSearch] = useSearchParams();
  const underWay = useRef<URLSearchParams | null>(null);
  useEffect(() => {
    if (search.toString() === underWay.current?.toString()) underWay.current = null;
  }, [search]);
  return [
    search,
    (said) => {
      const next = new URLSearchParams(underWay.current ?? search);
      for (const [key, value] of Object.entries(said)) {
        if (value === null) next.delete(key);
        else next.set(key, value);
      }
      underWay.current = next;
      setSearch(next, { replace: true });
    },
  ];
}
