import { useTranslation } from 'react-i18next';
import type { Cell } from '../api/client';
import { isSupport } from './reed';

/** What a screen reader hears for a standing. */
export function useReedWords(): (cell: Cell | undefined) => string {
  const { t } = useTranslation();
  return (cell) => {
    if (!cell?.isMet) return t('recall.none');
    if (cell.support === null) return t(cell.isAssumed ? 'recall.assumed' : 'recall.unseen');
    const sure = cell.sureness === 'good' ? 'holds' : (cell.sureness ?? 'weak');
    return `${isSupport(cell.support) ? t(`support.${cell.support}`) : cell.support}, ${t(`recall.${sure}`)}`;
  };
}
