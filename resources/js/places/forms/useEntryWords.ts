import { useTranslation } from 'react-i18next';
import type { Entry } from '../../api/client';

/** What an entry is, its side and its repetition, in words. */
export function useEntryWords(): (entry: Entry) => string {
  const { t } = useTranslation();
  const kinds: Record<string, string> = t('forms.kinds', { returnObjects: true });
  const sides: Record<string, string> = t('forms.sides', { returnObjects: true });
  return (entry) =>
    [kinds[entry.kind], entry.side === null ? null : sides[entry.side], entry.repetition].filter(Boolean).join(' · ');
}
