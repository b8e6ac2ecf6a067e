import type { Form, Passage } from '../../api/client';
import type { useAddressed } from '../../kit/useAddressed';

/** The passage an address names, so that it can be sent to an assistant; the first lesson or the whole form without. */
export function passageIn(
  [search, say]: ReturnType<typeof useAddressed>,
  form: Form,
  fallback: Passage,
): [Passage, (passage: Passage) => void] {
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
      say({ from: String(passage.from), to: String(passage.to) });
    },
  ];
}
