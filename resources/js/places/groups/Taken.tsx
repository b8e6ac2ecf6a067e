import { useTranslation } from '../../messages';
import type { GroupAnswer } from '../../api/client';
import { day, ranges } from '../../kit/format';

interface Props {
  now: GroupAnswer;
  before: GroupAnswer;
}

/** What changed between two days, in words, and which lessons took and which did not. */
export function Taken({ now, before }: Props) {
  const { t } = useTranslation();
  const [yes, no] = [now.lessons.filter((one) => one.hasTaken), now.lessons.filter((one) => !one.hasTaken)];
  const numbers = (all: typeof yes) => ranges(all.map((one) => one.number));
  const sum = ({ students }: GroupAnswer) => students.reduce((total, one) => total + one.holding, 0);
  return (
    <p className="mb-3">
      {t('groups.takenSum', { then: day(before.on), before: sum(before), on: day(now.on), now: sum(now) })}{' '}
      {yes.length === 0 ? t('groups.takenNone') : t('groups.taken', { lessons: numbers(yes), count: yes.length })}{' '}
      {no.length === 0 ? '' : t('groups.takenNot', { lessons: numbers(no), count: no.length })}
    </p>
  );
}
