import { useTranslation } from '../../messages';
import type { TermSummary } from '../../api/client';
import { Notice } from '../../kit/Notice';

/** Says that what is shown is the old plan, while a new one is being made. */
export function BeingPlanned({ term }: { term: TermSummary }) {
  const { t } = useTranslation();
  if (!term.isBeingPlanned) return null;
  return (
    <Notice tone="calm" role="status" className="no-print mb-3 text-soft">
      {t('plan.beingPlanned')}
    </Notice>
  );
}
