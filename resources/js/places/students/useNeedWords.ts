import { useTranslation } from '../../messages';
import type { StudentForm } from '../../api/client';

/** What something that is missing asks for. */
export function useNeedWords(): (one: StudentForm['catchUp'][number]) => string {
  const { t } = useTranslation();
  return (one) => {
    if (one.isMissed) return t('students.what.missed');
    if (one.support === null) return t('students.what.unseen');
    if (one.support === 'Unmet' || one.support === 'Following' || one.support === 'Cued')
      return t(`students.what.${one.support}`);
    return t('students.what.weak', { percent: Math.round(100 * (one.recall ?? 0)) });
  };
}
