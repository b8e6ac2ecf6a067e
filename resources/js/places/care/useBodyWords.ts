import { useTranslation } from '../../messages';

/** What parts of a body, what is planned around, and what strains are called. */
export function useBodyWords() {
  const { table } = useTranslation();
  const words = (what: 'joint' | 'consideration' | 'strain') => table(`told.${what}`);
  return { joints: words('joint'), considerations: words('consideration'), strains: words('strain') };
}
