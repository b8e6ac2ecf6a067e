import { useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';

/** What is said in an address; null leaves it out. */
export type Said = Record<string, string | null>;

/**
 * What a page keeps in its address, so that it can be sent to an assistant. Two things said before the address has taken
 * the first are both kept: each builds on what was said last, not on what is drawn.
 */
export function useAddressed(): [URLSearchParams, (said: Said) => void] {
  const [search, setSearch] = useSearchParams();
  const last = useRef(search);
  const isUnderWay = useRef(false);
  useEffect(() => {
    if (!isUnderWay.current) last.current = search;
    else if (search.toString() === last.current.toString()) isUnderWay.current = false;
  }, [search]);
  return [
    search,
    (said) => {
      const next = new URLSearchParams(last.current);
      for (const [key, value] of Object.entries(said)) {
        if (value === null) next.delete(key);
        else next.set(key, value);
      }
      isUnderWay.current = true;
      last.current = next;
      setSearch(next, { replace: true });
    },
  ];
}
