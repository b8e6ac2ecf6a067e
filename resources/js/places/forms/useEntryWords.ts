import { useTranslation } from '../../messages';
import type { Entry } from '../../api/client';

/** What an entry is, its side and its repetition, in words. */
export function useEntryWords(): (entry: Entry) => string {
  const { table } = useTranslation();
  const kinds = table('forms.kinds');
  const sides = table('side');
  return (entry) =>
    [kinds[entry.kind], entry.side === null ? null : sides[entry.side], entry.repetition].filter(Boolean).join(' · ');
}
