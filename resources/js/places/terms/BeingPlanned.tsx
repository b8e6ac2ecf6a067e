import { useTranslation } from 'react-i18next';
import type { TermSummary } from '../../api/client';

/** Says that what is shown is the old plan, while a new one is being made. */
export function BeingPlanned({ term }: { term: TermSummary }) {
  const { t } = useTranslation();
  if (!term.isBeingPlanned) return null;
  return (
    <p role="status" className="no-print mb-3 border-l-4 border-river px-4 py-2 text-soft">
      {t('terms.beingPlanned')}
    </p>
  );
}
