import { useTranslation } from '../../messages';
import type { HomeWeek } from '../../api/client';
import { entryCall } from '../../kit/entryName';
import { PassageOfSheet, useOtherwise, useSheetWords, WeekFocus } from './HomeSheet';

type Particulars = NonNullable<HomeWeek['together']>['particulars'][number]['entries'];

/** One sheet for the whole group, and under it what is particular to each. */
export function SheetForAll({ together, week }: { together: NonNullable<HomeWeek['together']>; week: HomeWeek }) {
  const { t } = useTranslation();
  const words = useSheetWords();
  const otherwise = useOtherwise();
  const titles = new Map(together.passages.map((one) => [one.courseId, one.form]));
  /** What is done alike is said once, with all the entries it is done in. */
  const told = (entries: Particulars): string[] => {
    const alike = new Map<string, { courseId: string; does: string; at: string[] }>();
    for (const { courseId, entry, isMet, isLeftOut } of entries) {
      const does = !isMet ? t('practice.notMet') : isLeftOut ? t('practice.do.skip') : otherwise(entry).join(', ');
      const key = `${courseId} ${does}`;
      const found = alike.get(key) ?? { courseId, does, at: [] };
      alike.set(key, { ...found, at: [...found.at, entryCall(entry)] });
    }
    return [...alike.values()].map(({ courseId, does, at }) =>
      titles.size > 1
        ? t('practice.inForm', { form: titles.get(courseId) ?? '', entries: at.join(', '), does })
        : t('practice.inEntry', { entries: at.join(', '), does }),
    );
  };
  return (
    <article className="home-all" aria-label={t('practice.forWhom.all')}>
      {together.passages.length === 0 ? (
        <p className="text-soft">{t('practice.nothing')}</p>
      ) : (
        <>
          <p className="text-soft">
            {words.when(together.days, together.minutes)}. {t('practice.twice')}
          </p>
          {together.passages.map((passage) => (
            <div key={`${passage.courseId}${String(passage.from)}`} className="mt-2">
              <PassageOfSheet passage={passage} next={week.next} />
            </div>
          ))}
        </>
      )}
      <WeekFocus focus={week.focus} />
      {together.particulars.length === 0 ? null : (
        <>
          <h3 className="mt-4 text-lg">{t('practice.particular')}</h3>
          <ul className="m-0 list-none p-0">
            {together.particulars.map((one) => (
              <li key={one.studentId} className="border-b border-line py-1">
                <strong className="font-medium">{one.name}</strong>: {told(one.entries).join('; ')}
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="mt-2 hidden text-xs print:block">{t('practice.care')}</p>
    </article>
  );
}
