import { useTranslation } from '../../messages';
import type { Course, Meeting } from '../../api/client';
import { day, number, ranges, share } from '../../kit/format';
import { Why } from '../../kit/Why';
import { movementsTo, partOf } from '../../pictures/coursePart';

const REASONS = ['rhythm', 'gate', 'few_met', 'reserve', 'break', 'nothing_new', 'all_given', 'waits_for_pin'] as const;
type Reason = (typeof REASONS)[number] | 'lesson' | 'other';

const reasonOf = (code: string): Reason => REASONS.find((one) => code === `plan.why.${one}`) ?? 'other';

/** What a course should come to, in words, with the numbers behind it. */
export function Outlook({ course, meetings }: { course: Course; meetings: Meeting[] }) {
  const { t } = useTranslation();
  const { forecast, form } = course;
  if (forecast === null) return null;
  const titleOf = (position: number) => form.entries[position - 1]?.title ?? String(position);
  const reach = forecast.reach ?? 0;
  const numbers = (positions: number[]) => ranges(positions.map((one) => form.entries[one - 1]?.number ?? one));
  const counted = new Map<Reason, number>();
  for (const meeting of meetings.filter((one) => one.isOpen && one.state !== 'cancelled')) {
    const part = partOf(meeting, course.id);
    const reason = part.lessons.some((one) => one.kind !== 'join') ? 'lesson' : reasonOf(part.why?.code ?? '');
    counted.set(reason, (counted.get(reason) ?? 0) + 1);
  }
  const evenings = [...counted].map(([reason, count]) => t(`terms.eveningsBy.${reason}`, { count }));
  const percent = (share: number | null) => Math.round(100 * (share ?? 0));
  return (
    <p>
      {reach === 0
        ? t('terms.comesToNothing')
        : t('terms.comesTo', {
            reach: movementsTo(form.entries, reach),
            of: movementsTo(form.entries, form.entries.length),
            movements: forecast.movements,
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
        <p>{t('terms.expectedIs', { on: day(forecast.day, 'weekday'), expected: number(forecast.expected, 1) })}</p>
        {evenings.length > 0 ? <p>{t('terms.evenings', { list: evenings.join(', ') })}</p> : null}
        {forecast.weakest.length > 0 ? (
          <p>
            {t('terms.weakestAre', {
              list: forecast.weakest.map((one) => `${titleOf(one.at)} ${share(one.recall)}`).join(', '),
            })}
          </p>
        ) : null}
        {forecast.low.length > 0 ? <p>{t('terms.lowAre', { entries: numbers(forecast.low) })}</p> : null}
        {forecast.left.length > 0 ? <p>{t('terms.leftAre', { lessons: ranges(forecast.left) })}</p> : null}
      </Why>
    </p>
  );
}
