import { useTranslation } from 'react-i18next';
import type { Course } from '../../api/client';
import { day, number, ranges } from '../../kit/format';
import { Why } from '../../kit/Why';

/** What a course should come to, in words, with the numbers behind it. */
export function Outlook({ course }: { course: Course }) {
  const { t } = useTranslation();
  const { forecast, form } = course;
  if (forecast === null) return null;
  const titleOf = (position: number) => form.entries[position - 1]?.title ?? String(position);
  const movements = form.entries.filter((entry) => entry.kind === 'movement');
  const reach = forecast.reach ?? 0;
  const numbers = (positions: number[]) => ranges(positions.map((one) => form.entries[one - 1]?.number ?? one));
  const percent = (share: number | null) => Math.round(100 * (share ?? 0));
  return (
    <p>
      {reach === 0
        ? t('terms.comesToNothing')
        : t('terms.comesTo', {
            reach: movements.filter((entry) => entry.position <= reach).length,
            of: movements.length,
            expected: number(forecast.expected, 1),
            holds: forecast.holds,
          })}{' '}
      {forecast.showingHolds === null || course.showingOn === null ? null : forecast.showingHolds ? (
        t('terms.showingYes', { on: day(course.showingOn, 'weekday'), mean: percent(forecast.showingMean) })
      ) : (
        <strong className="font-medium text-persimmon">
          {t('terms.showingNo', {
            on: day(course.showingOn, 'weekday'),
            mean: percent(forecast.showingMean),
            least: percent(forecast.showingLeast),
            title: titleOf(forecast.showingLeastAt ?? 1),
          })}
        </strong>
      )}{' '}
      <Why about={t('terms.whyEnd')}>
        <p>{t('terms.expectedIs', { on: day(forecast.day, 'weekday') })}</p>
        {forecast.weakest.length > 0 ? (
          <p>
            {t('terms.weakestAre', {
              list: forecast.weakest.map((one) => `${titleOf(one.at)} ${String(percent(one.recall))} %`).join(', '),
            })}
          </p>
        ) : null}
        {forecast.low.length > 0 ? <p>{t('terms.lowAre', { entries: numbers(forecast.low) })}</p> : null}
        {forecast.left.length > 0 ? <p>{t('terms.leftAre', { lessons: ranges(forecast.left) })}</p> : null}
      </Why>
    </p>
  );
}
