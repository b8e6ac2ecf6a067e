import { useSearchParams } from 'react-router';
import type { Form, Passage } from '../../api/client';

/** The passage an address names, so that it can be sent to an assistant; the first lesson or the whole form without. */
export function usePassage(form: Form, fallback: Passage): [Passage, (passage: Passage) => void] {
  const [search, setSearch] = useSearchParams();
  const most = form.entries.length;
  const read = (key: string, otherwise: number) => {
    const value = Number(search.get(key));
    return Number.isInteger(value) && value >= 1 && value <= most ? value : otherwise;
  };
  const from = read('from', fallback.from);
  const to = Math.max(from, read('to', search.has('from') ? from : fallback.to));
  return [
    { from, to },
    (passage) => {
      setSearch(
        (was) => {
          const next = new URLSearchParams(was);
          next.set('from', String(passage.from));
          next.set('to', String(passage.to));
          return next;
        },
        { replace: true },
      );
    },
  ];
}
