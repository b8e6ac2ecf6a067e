import { useTranslation } from '../messages';
import type { KeepingCell } from '../api/client';
import { isKeeping } from './keeping';

/** What a screen reader hears for a standing in a principle. */
export function useKeepingWords(): (cell: KeepingCell | undefined) => string {
  const { t } = useTranslation();
  return (cell) => {
    if (!cell || (cell.recall === null && cell.keeping === null)) return t('principles.notWorkedOn');
    if (cell.keeping === null) return t(cell.isAssumed ? 'recall.assumed' : 'recall.unseen');
    const named = isKeeping(cell.keeping) ? t(`keeping.${cell.keeping}`) : cell.keeping;
    return cell.recall === null
      ? named
      : `${named}, ${t(`recall.${cell.sureness === 'good' ? 'holds' : (cell.sureness ?? 'weak')}`)}`;
  };
}
