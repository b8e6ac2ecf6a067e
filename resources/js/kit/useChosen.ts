import { useState } from 'react';

const PREFIX = 'gorvan.chosen.';

/** What somebody has chosen for how a page looks on this device; `usual` until then. */
export function useChosen<V extends string>(name: string, usual: V, of: readonly V[]): [V, (value: V) => void] {
  const [value, setValue] = useState<V>(() => {
    try {
      const kept = localStorage.getItem(PREFIX + name) as V | null;
      return kept !== null && of.includes(kept) ? kept : usual;
    } catch {
      return usual;
    }
  });
  return [
    value,
    (next) => {
      setValue(next);
      try {
        localStorage.setItem(PREFIX + name, next);
      } catch {
        // A browser that keeps nothing has it as long as the page is open.
      }
    },
  ];
}
