import { TextLink } from '../../kit/controls';
import { useTranslation } from '../../messages';
import type { Form, GroupPrinciples, Meeting, Passage, StudentCare, WarmUps } from '../../api/client';
import { entryCall } from '../../kit/entryName';
import { number, inMinutes } from '../../kit/format';
import { Warnings } from '../../kit/page';
import { Why } from '../../kit/Why';
import { type Part, partOf } from '../../pictures/coursePart';
import { type BoxName, boxesOf } from '../../pictures/Timeline';
import { sentence } from '../../messages/say';
import { focusesOf } from './focus';
import { FocusPart } from './FocusText';
import { BoxCare } from '../care/BoxCare';
import { WarmUpPart } from '../care/WarmUpPart';
import { WhyReview } from '../terms/WhyReview';

export interface PassageWords {
  /** What a teacher says for it: "7–8", or a title where an entry has no number. */
  numbers: (passage: Passage) => string;
  /** What its first and last entry are called, where the numbers have not said so. */
  titles: (passage: Passage) => string;
  /** Both, one after the other. */
  whole: (passage: Passage) => string;
}

/** What a passage is called. */
export function usePassageWords(form: Form): PassageWords {
  const { t } = useTranslation();
  const at = (position: number) => form.entries[position - 1];
  const spoken = (position: number) => entryCall(at(position));
  const numbers = ({ from, to }: Passage) => (from === to ? spoken(from) : `${spoken(from)}–${spoken(to)}`);
  const titles = ({ from, to }: Passage) => {
    const [first, last] = [at(from), at(to)];
    if (first === undefined || last === undefined) return '';
    if (first.number === null && last.number === null) return '';
    if (from === to) return first.title;
    if (first.title !== last.title) return t('plan.runFrom', { from: first.title, to: last.title });
    // Both sides of one movement have its name: then the sides tell them apart.
    const sides = [first.side, last.side];
    return sides.every((side) => side === 'left' || side === 'right') && sides[0] !== sides[1]
      ? t('plan.runSides', {
          title: first.title,
          from: t(`side.${sides[0] as 'left'}`),
          to: t(`side.${sides[1] as 'left'}`),
        })
      : first.title;
  };
  return { numbers, titles, whole: (passage) => [numbers(passage), titles(passage)].filter((one) => one !== '').join(' ') };
}

interface Props {
  meeting: Meeting;
  form: Form;
  /** The forms of all its courses, where there is more than one. */
  forms?: Record<string, Form>;
  isLarge?: boolean;
  /** What the group works on beside the sequence. */
  principles?: GroupPrinciples | null;
  warmUps: WarmUps;
  /** Who does what otherwise; none where everybody may read. */
  care?: StudentCare[];
  /** What stands with the warm-ups. */
  withWarmUps?: React.ReactNode;
}

/** Tonight's boxes, each with the minute it starts and what is done in it. */
export function PlanList({
  meeting,
  form,
  forms = {},
  isLarge = false,
  principles = null,
  warmUps,
  care = [],
  withWarmUps,
}: Props) {
  const { t } = useTranslation();
  const courses = meeting.courses.length > 1 ? meeting.courses.filter((one) => forms[one.courseId] !== undefined) : [];
  const parts =
    courses.length > 1
      ? courses.map((one) => ({ course: one.courseId, form: forms[one.courseId] as Form }))
      : [{ course: meeting.courses[0]?.courseId ?? '', form }];
  const focus = (meeting.pins.focus as string | undefined) ?? null;
  const each = (draw: (part: Part, form: Form, course: string) => React.ReactNode, has: (part: Part) => boolean = () => true) =>
    parts
      .filter((one) => has(partOf(meeting, one.course)))
      .map((one) => (
        <div key={one.course}>
          {parts.length > 1 ? <h3 className="text-sm font-medium text-soft">{one.form.title}</h3> : null}
          {draw(partOf(meeting, one.course), one.form, one.course)}
        </div>
      ));
  const reasons = (box: BoxName): string[] => {
    const fixed = (meeting.pins.boxes as Record<string, number> | undefined)?.[box];
    if (fixed !== undefined) return [t('plan.whyFixed', { count: fixed })];
    const percent = meeting.shares[box];
    if (percent !== undefined) return [t('plan.whyShare', { percent, minutes: meeting.minutes })];
    if (box === 'review') return [t('plan.whyReviewBox')];
    if (box === 'run_through') return [t('plan.whyRunBox')];
    if (box === 'free') return [t('plan.whyFreeBox')];
    const lessons = parts.flatMap((one) =>
      partOf(meeting, one.course).lessons.flatMap((lesson) => {
        const cut = one.form.lessons.find((other) => other.number === lesson.number);
        const round = cut?.rounds.find((other) => other.kind === lesson.kind);
        return cut === undefined || round === undefined
          ? []
          : [
              t('plan.whyNewBox', {
                number: cut.number,
                load: number(cut.load, 2),
                rate: number(round.rate, 0),
                minutes: round.minutes,
              }),
            ];
      }),
    );
    return lessons.length === 0 ? [t('plan.whyNewNone')] : lessons;
  };
  // What open minutes go to is said in their box.
  const toHand = meeting.notes.find((note) => note.code === 'plan.free_to_hand');
  const content: Record<BoxName, () => React.ReactNode> = {
    settle: () => <p className="text-soft">{t('plan.settle')}</p>,
    warm_up: () => (
      <>
        <WarmUpPart warmUps={warmUps} minutes={(meeting.boxes as Record<string, number>).warm_up ?? 0} hasNotes={isLarge} />
        {withWarmUps}
      </>
    ),
    focus: () => <FocusPart focus={focusesOf(meeting, principles)} words={focus} />,
    close: () => <p className="text-soft">{t('plan.close')}</p>,
    free: () => <p className="text-soft">{toHand === undefined ? t('plan.free') : sentence(toHand)}</p>,
    new: () => each((part, of, course) => <NewPart part={part} form={of} course={course} />),
    review: () => each((part, of) => <ReviewPart part={part} form={of} />),
    run_through: () =>
      each(
        (part, of) => <RunPart part={part} form={of} />,
        (part) => part.runThrough !== null,
      ),
  };
  return (
    <>
      <ol className={`m-0 list-none p-0 ${isLarge ? 'text-lg' : ''}`}>
        {boxesOf(meeting).map((box) => (
          <li
            key={box.name}
            className="grid grid-cols-[3.6rem_1fr_4.2rem] items-baseline gap-x-3 border-b border-line py-2 sm:grid-cols-[3.6rem_7.5rem_1fr_4.2rem]"
          >
            <span className="col-start-1 row-start-1 text-soft">{box.at}</span>
            <h2 className="col-start-2 row-start-1 text-[1.05em]">{t(`boxes.${box.name}`)}</h2>
            <div className="col-span-2 col-start-2 row-start-2 min-w-0 sm:col-span-1 sm:col-start-3 sm:row-start-1">
              {content[box.name]()}
              <BoxCare care={care} box={box.name} forms={Object.fromEntries(parts.map((one) => [one.course, one.form]))} />
            </div>
            <span className="col-start-3 row-start-1 text-right font-medium sm:col-start-4">
              <Why
                about={t('plan.whyMinutes', { box: t(`boxes.${box.name}`) })}
                label={t('plan.minutes', { count: box.minutes })}
              >
                {reasons(box.name).map((reason) => (
                  <p key={reason}>{reason}</p>
                ))}
              </Why>
            </span>
          </li>
        ))}
      </ol>
      <Warnings title={t('app.warnings')} lines={meeting.notes.filter((note) => note !== toHand).map(sentence)} />
      <div role="note" aria-label={t('plan.careTitle')} className="my-4 border-l-4 border-river px-4 py-1 text-sm text-soft">
        <strong className="text-ink">{t('plan.careTitle')}.</strong> {t('plan.care')}
      </div>
    </>
  );
}

function NewPart({ part, form, course }: { part: Part; form: Form; course: string }) {
  const { t } = useTranslation();
  const words = usePassageWords(form);
  const why = part.why ? (
    <Why about={t('plan.whyNew')}>
      <p>{sentence(part.why)}</p>
    </Why>
  ) : null;
  return (
    <>
      {part.lessons.length === 0 ? (
        <p className="text-soft">
          {t('plan.nothingNew')} {why}
        </p>
      ) : null}
      {part.lessons.map((lesson, at) => (
        <p key={`${lesson.kind}${String(lesson.from)}`}>
          {lesson.kind === 'join' || lesson.kind === 'detail' || lesson.kind === 'rough' ? `${t(`plan.${lesson.kind}`)} ` : null}
          <strong>{words.numbers(lesson)}</strong> {words.titles(lesson)}{' '}
          {lesson.number === null ? null : (
            <TextLink className="no-print text-sm" to={`/forms/${form.id}/lessons/${String(lesson.number)}?course=${course}`}>
              {lesson.part === null
                ? t('kind.lesson', { number: lesson.number })
                : t('plan.lessonPart', { number: lesson.number, part: lesson.part, of: lesson.parts ?? lesson.part })}
              {form.lessonsOf === null ? null : ` ${t('plan.lessonOf', { group: form.lessonsOf })}`}
            </TextLink>
          )}{' '}
          {at === 0 ? why : null}
        </p>
      ))}
      {part.recap ? <p className="text-soft">{t('plan.recap', { passage: words.whole(part.recap) })}</p> : null}
    </>
  );
}

/** How many of those who met it should have it. */
const howMany = (share: number) =>
  share >= 0.6 ? 'plan.meanRecall' : share >= 0.4 ? 'plan.meanRecallHalf' : 'plan.meanRecallFew';

function ReviewPart({ part, form }: { part: Part; form: Form }) {
  const { t } = useTranslation();
  const words = usePassageWords(form);
  if (part.review.length === 0) return <p className="text-soft">{t('plan.noReview')}</p>;
  const picked = part.review.filter((item) => item.isPicked);
  return (
    <ul className="m-0 flex list-none flex-col gap-1 p-0">
      {picked.length === 0 ? null : (
        <li>
          <strong>{picked.map(words.numbers).join(' · ')}</strong> {t('plan.oneByOne')}
          <span className="text-soft">
            {' '}
            · {t('plan.passes', { count: Math.max(...picked.map((item) => item.passes)) })},{' '}
            {inMinutes(
              picked.reduce((sum, item) => sum + item.minutes, 0),
              1,
            )}
          </span>
        </li>
      )}
      {part.review.map((item) =>
        item.isPicked ? null : (
          <li key={item.from}>
            <strong>{words.numbers(item)}</strong> {words.titles(item)}
            <span className="text-soft">
              {' '}
              · {t('plan.passes', { count: item.passes })}, {inMinutes(item.minutes, 1)} ·{' '}
              {item.meanRecall === null
                ? t('plan.meanRecallNone')
                : t(howMany(item.meanRecall), { recall: number(100 * item.meanRecall, 0) })}
            </span>{' '}
            <WhyReview item={item} words={words} />
          </li>
        ),
      )}
    </ul>
  );
}

function RunPart({ part, form }: { part: Part; form: Form }) {
  const { t } = useTranslation();
  const words = usePassageWords(form);
  return part.runThrough ? (
    <>
      <p>
        <strong>{words.numbers(part.runThrough)}</strong> {words.titles(part.runThrough)}
        {part.times > 1 ? <span className="text-soft"> · {t('plan.passes', { count: part.times })}</span> : null}
        {part.order === 'as_written' ? null : <span> · {t(`plan.orders.${part.order}`)}</span>}
      </p>
      {part.shown.length > 0 ? (
        <p className="text-soft">{t('plan.followed', { list: part.shown.map(words.numbers).join(', ') })}</p>
      ) : null}
    </>
  ) : null;
}
