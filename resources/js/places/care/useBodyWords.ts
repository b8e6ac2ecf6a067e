import { useTranslation } from 'react-i18next';

/** What parts of a body, what is planned around, and what strains are called. */
export function useBodyWords() {
  const { t } = useTranslation();
  const words = (what: 'joint' | 'consideration' | 'strain') =>
    t(`told.${what}`, { returnObjects: true }) as unknown as Record<string, string>;
  return { joints: words('joint'), considerations: words('consideration'), strains: words('strain') };
}
