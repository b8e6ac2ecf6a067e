import { useTranslation } from '../messages';
import type { Cell } from '../api/client';
import { isSupport } from './reed';

/** What a screen reader hears for a standing. */
export function useReedWords(): (cell: Cell | undefined) => string {
  const { t } = useTranslation();
  const named = (support: string) => (isSupport(support) ? t(`support.${support}`) : support);
  const whole = (cell: Cell) => {
    if (!cell.isMet) return t('recall.none');
    if (cell.support === null) return t(cell.isAssumed ? 'recall.assumed' : 'recall.unseen');
    return `${named(cell.support)}, ${t(`recall.${cell.sureness === 'good' ? 'holds' : (cell.sureness ?? 'weak')}`)}`;
  };
  return (cell) => {
    if (!cell) return t('recall.none');
    if (cell.left === null && cell.right === null) return whole(cell);
    const side = (support: string | null) => (support === null ? t('recall.sideUnseen') : named(support));
    return `${whole(cell)} (${t('recall.sides', { left: side(cell.left), right: side(cell.right) })})`;
  };
}
