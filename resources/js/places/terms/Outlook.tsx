import { Fragment } from 'react';
import { useTranslation } from '../../messages';
import type { Course, Meeting } from '../../api/client';
import { TextLink } from '../../kit/controls';
import { day, number, ranges, share } from '../../kit/format';
import { Why } from '../../kit/Why';
import { numberTo, partOf } from '../../pictures/coursePart';
import { sentence } from '../../messages/say';

const REASONS = [
  'rhythm',
  'gate',
  'few_met',
  'spread',
  'reserve',
  'showing',
  'before_break',
  'look_back',
  'nothing_new',
  'all_given',
  'waits_for_pin',
  'not_its_turn',
] as const;
/** So many of those who are far from it are named. */
const FAR_NAMED = 6;

type Reason = (typeof REASONS)[number] | 'lesson' | 'other';

/** Of a set practised whole its pieces are given, of another form its lessons: both leave evenings for polish. */
const reasonOf = (code: string): Reason =>
  code === 'plan.why.all_pieces' ? 'all_given' : (REASONS.find((one) => code === `plan.why.${one}`) ?? 'other');

/** What a course should come to, in words, with the numbers behind it. */
export function Outlook({ course, meetings, term }: { course: Course; meetings: Meeting[]; term?: string }) {
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
    <div>
      {forecast.says === null ? null : <p className="font-serif text-lg font-medium">{sentence(forecast.says)}</p>}
      {term === undefined ? null : <WhatIf course={course} term={term} />}
      <p>
        {course.keeps.length > 0
          ? t('terms.keptHolds', { holds: forecast.holds, count: forecast.movements })
          : reach === 0
            ? t('terms.comesToNothing')
            : t('terms.comesTo', {
                reach: numberTo(form.entries, reach),
                of: numberTo(form.entries, form.entries.length),
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
          {forecast.undetailed.length > 0 ? <p>{t('terms.undetailedAre', { lessons: ranges(forecast.undetailed) })}</p> : null}
        </Why>
      </p>
      {forecast.far.length === 0 ? null : (
        <p className="text-sm">
          {t('terms.farFromIt')}{' '}
          {forecast.far.slice(0, FAR_NAMED).map((one, index) => (
            <Fragment key={one.studentId}>
              {index === 0 ? null : ', '}
              <TextLink to={`/students/${one.studentId}`}>{one.name}</TextLink> {t('terms.farBehind', { count: one.behind })}
            </Fragment>
          ))}
          {forecast.far.length > FAR_NAMED ? ` ${t('terms.farMore', { count: forecast.far.length - FAR_NAMED })}` : ''}
        </p>
      )}
    </div>
  );
}

/** What would change it, each one press away with what it comes to. */
function WhatIf({ course, term }: { course: Course; term: string }) {
  const { t } = useTranslation();
  const { forecast } = course;
  if (forecast === null || course.keeps.length > 0 || (forecast.throughOn === null && forecast.left.length === 0)) return null;
  const pace = forecast.paceMovements ?? course.movements;
  const tenths = (amount: number) => String(Math.max(0.5, Math.round(10 * amount) / 10));
  const paced = [
    { what: `faster:${tenths(Math.max(forecast.paceNeeded ?? 0, 1.25 * pace))}`, text: t('terms.whatIf.faster') },
    { what: `spread:${tenths(0.75 * pace)}`, text: t('terms.whatIf.spread') },
  ];
  const asked = [
    // A set that is practised whole goes by pieces, one an evening.
    ...(course.approach === 'whole' ? [] : paced),
    { what: 'extra:2', text: t('terms.whatIf.extra', { count: 2 }) },
    { what: 'lost:2', text: t('terms.whatIf.lost', { count: 2 }) },
  ];
  return (
    <p className="no-print flex flex-wrap gap-x-4 text-sm">
      <span className="text-soft">{t('terms.whatIf.title')}</span>
      {asked.map(({ what, text }) => (
        <TextLink key={what} to={`/terms/${term}/compare?with=${what}`}>
          {text}
        </TextLink>
      ))}
    </p>
  );
}
