import type { Box, LessonKind, MeetingKind } from '../../api/enums';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useFieldArray, useForm } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { useNavigate, useSearchParams } from '../../kit/router';
import { api, ask, type Course, type Meeting, Problem, type Term } from '../../api/client';
import { questionsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, ButtonLink, TextField } from '../../kit/controls';
import { entryChoices } from '../../kit/entryName';
import { Form } from '../../kit/Form';
import { FormSelect } from '../../kit/formFields';
import { number, share } from '../../kit/format';
import { Page } from '../../kit/page';
import { z } from '../../kit/schema';
import { Segmented } from '../../kit/Segmented';
import { useTell } from '../../kit/toasts';
import { useAsOne } from '../../kit/useAsOne';
import { useOnce } from '../../kit/useOnce';
import { type Said, sentence } from '../../messages/say';
import { Weave } from '../../pictures/Weave';
import { OpenedTerm } from './OpenedTerm';
import { APPROACHES } from './approaches';

const MOST = 3;

/** What is asked of each plan: an approach, more minutes a meeting, more meetings, and another target where one is named. */
const compared = z.object({
  plans: z.array(
    z.object({
      approach: z.enum(APPROACHES),
      minutes: z.coerce.number().int().min(0).max(60),
      extra: z.coerce.number().int().min(0).max(12),
      to: z.string(),
      lost: z.coerce.number().int().min(0).max(4),
      movements: z.string(),
      spread: z.enum(['', 'even', 'pace']),
    }),
  ),
});
const variant = (approach: (typeof APPROACHES)[number], change: Partial<Omit<Variant, 'approach'>> = {}): Variant => ({
  approach,
  minutes: 0,
  extra: 0,
  to: '',
  lost: 0,
  movements: '',
  spread: '',
  ...change,
});

interface Variant {
  approach: (typeof APPROACHES)[number];
  minutes: number;
  extra: number;
  to: string;
  lost: number;
  movements: string;
  spread: '' | 'even' | 'pace';
}

/** What stands to be compared at first: three ways round; or, where one came to ask what one thing would change, that beside what is. */
function begins(course: Course, search: URLSearchParams): Variant[] {
  const own = course.approach as (typeof APPROACHES)[number];
  const [what, amount = ''] = (search.get('with') ?? '').split(':');
  const one = {
    faster: { movements: amount },
    spread: { spread: 'even' as const, movements: amount },
    extra: { extra: Number(amount) || 1 },
    lost: { lost: Number(amount) || 1 },
  }[what ?? ''];
  return one === undefined ? APPROACHES.slice(0, MOST).map((approach) => variant(approach)) : [variant(own), variant(own, one)];
}

interface Compared {
  meetings: {
    id: string;
    on: string;
    minutes: number;
    kind: MeetingKind;
    courses: {
      course: string;
      lessons: { entries: string[]; kind?: LessonKind; number?: number }[];
      recap: string[];
      review: string[][];
      runThrough: string[];
      taught?: number | null;
      movements?: number | null;
      recall?: number | null;
    }[];
  }[];
  forecasts: {
    course: string;
    reach?: number;
    holds: number;
    expected: number;
    weakest?: { at: number; recall: number }[];
    low?: number[];
    showing?: { mean: number; least: number };
    says?: Said;
  }[];
  expected: number;
  boxes: { kind: Box; minutes: number }[];
}

/** Up to three plans of one term side by side, their weaves on one scale. */
export function ComparePlace() {
  return <OpenedTerm>{(term) => <Comparing term={term} />}</OpenedTerm>;
}

function Comparing({ term }: { term: Term }) {
  const { t } = useTranslation();
  const tell = useTell();
  const navigate = useNavigate();
  const [chosen, setCourse] = useState(term.courses[0]?.id ?? '');
  const course = term.courses.find((one) => one.id === chosen) ?? (term.courses[0] as Course);
  const [search] = useSearchParams();
  const [start] = useState(() => begins(course, search));
  const { register, handleSubmit, control, formState } = useForm({
    defaultValues: { plans: start },
    resolver: zodResolver(compared),
  });
  const { fields, append, remove } = useFieldArray({ control, name: 'plans' });
  const questions = useQuery(questionsQuery(term.term.id));
  const latest = questions.data?.find((one) => one.kind === 'compare' && one.question.course === course.id);
  const fail = (error: unknown) => {
    tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
  };
  const asked = useAsOne();
  const taken = useAsOne();
  const pose = useMutation({
    mutationFn: ({ plans }: z.output<typeof compared>) => {
      const body = {
        kind: 'compare' as const,
        course: course.id,
        plans: plans.map(({ to, lost, movements, spread, ...one }) => ({
          ...one,
          ...(to === '' ? {} : { to: Number(to) }),
          ...(lost === 0 ? {} : { lost }),
          ...(Number(movements.replace(',', '.')) > 0 ? { movements: Number(movements.replace(',', '.')) } : {}),
          ...(spread === '' ? {} : { spread: spread === 'even' }),
        })),
      };
      const params = { path: { term: term.term.id }, header: asked.asOne(body) };
      return ask(api.POST('/api/terms/{term}/questions', { params, body }));
    },
    onSuccess: () => {
      asked.made();
      return readAgain('plan');
    },
    onError: fail,
  });
  const take = useMutation({
    mutationFn: (plan: number) =>
      ask(
        api.POST('/api/plan-questions/{question}/take-over', {
          params: { path: { question: latest?.id ?? '' }, header: taken.asOne([latest?.id, plan]) },
          body: { plan },
        }),
      ),
    onSuccess: async () => {
      await readAgain('plan');
      await navigate(`/terms/${term.term.id}`);
      tell(t('terms.changed'));
    },
    onError: fail,
  });
  const send = useOnce(pose);
  const takeOnce = useOnce(take);
  // Whoever came with a question has asked it by coming.
  const cameWith = search.get('with');
  const isAsked = useRef(false);
  useEffect(() => {
    if (cameWith === null || cameWith === '' || isAsked.current) return;
    isAsked.current = true;
    void handleSubmit(send)();
  }, [cameWith, handleSubmit, send]);
  const plans = latest?.state === 'done' ? (latest.answer as unknown as { plans: Compared[] }).plans : [];
  const isWorking = latest?.state === 'waiting' || latest?.state === 'running';
  return (
    <Page
      title={t('terms.compareTitle', { term: term.term.title })}
      kicker={`${term.term.groupName} · ${course.form.title}`}
      actions={<ButtonLink to={`/terms/${term.term.id}`}>{t('groups.openTerm')}</ButtonLink>}
    >
      {term.courses.length > 1 ? (
        <p className="mb-3">
          <Segmented
            label={t('terms.courses')}
            value={course.id}
            onValue={setCourse}
            of={term.courses.map((one) => ({ value: one.id, text: one.form.title }))}
          />
        </p>
      ) : null}
      <Form
        className="flex flex-col gap-3"
        onSend={(event) => {
          void handleSubmit(send)(event);
        }}
      >
        <div className="grid gap-x-8 gap-y-4 md:grid-cols-3">
          {fields.map((one, at) => {
            const wrong = formState.errors.plans?.[at];
            return (
              <fieldset key={one.id} className="flex min-w-0 flex-col gap-2 border-t-2 border-ink pt-2">
                <legend className="pr-2 font-serif text-lg">{t('terms.comparePlan', { number: at + 1 })}</legend>
                <FormSelect
                  control={control}
                  name={`plans.${at}.approach`}
                  label={t('terms.approach')}
                  of={APPROACHES.map((approach) => ({ value: approach, text: t(`terms.approachNames.${approach}`) }))}
                />
                <div className="grid grid-cols-2 items-end gap-2">
                  <TextField
                    label={t('terms.compareMinutes')}
                    type="number"
                    step={5}
                    error={wrong?.minutes?.message}
                    {...register(`plans.${at}.minutes`)}
                  />
                  <TextField
                    label={t('terms.compareExtra')}
                    type="number"
                    error={wrong?.extra?.message}
                    {...register(`plans.${at}.extra`)}
                  />
                </div>
                <div className="grid grid-cols-2 items-end gap-2">
                  <TextField label={t('terms.comparePace')} inputMode="decimal" {...register(`plans.${at}.movements`)} />
                  <TextField
                    label={t('terms.compareLost')}
                    type="number"
                    error={wrong?.lost?.message}
                    {...register(`plans.${at}.lost`)}
                  />
                </div>
                <FormSelect
                  control={control}
                  name={`plans.${at}.spread`}
                  label={t('terms.spread')}
                  of={(['', 'even', 'pace'] as const).map((value) => ({
                    value,
                    text: value === '' ? t('terms.compareAsIs') : t(`terms.spreads.${value}`),
                  }))}
                />
                <FormSelect
                  control={control}
                  name={`plans.${at}.to`}
                  label={t('terms.targetTo')}
                  of={[{ value: '', text: t('terms.compareAsIs') }, ...entryChoices(course.form.entries)]}
                />
                {fields.length > 1 ? (
                  <Button
                    look="quiet"
                    className="self-start"
                    onClick={() => {
                      remove(at);
                    }}
                  >
                    {t('terms.remove')}
                  </Button>
                ) : null}
              </fieldset>
            );
          })}
        </div>
        <div className="flex flex-wrap gap-2">
          {fields.length < MOST ? (
            <Button
              onClick={() => {
                append(variant('piece'));
              }}
            >
              {t('terms.compareAdd')}
            </Button>
          ) : null}
          <Button look="primary" type="submit" disabled={pose.isPending || isWorking}>
            {t('terms.compareGo')}
          </Button>
        </div>
      </Form>
      {isWorking ? (
        <div role="status" className="mt-4">
          <p>{t('terms.answerWorking', { percent: latest.progress })}</p>
          <progress className="w-full accent-pine" max={100} value={latest.progress} aria-label={t('terms.compare')} />
          <p className="text-sm text-soft">{t('terms.compareLeave')}</p>
        </div>
      ) : null}
      {latest?.state === 'failed' ? <p role="alert">{t('terms.answerFailed')}</p> : null}
      {latest?.isOld && plans.length > 0 ? <p className="mt-4 text-soft">{t('terms.compareOld')}</p> : null}
      <div className="mt-6 grid gap-8">
        {plans.map((plan, at) => (
          <Plan
            key={at}
            plan={plan}
            number={at + 1}
            term={term}
            course={course}
            onTake={
              latest?.isOld || term.isOver
                ? null
                : () => {
                    takeOnce(at);
                  }
            }
            isTaking={take.isPending}
          />
        ))}
      </div>
    </Page>
  );
}

interface PlanProps {
  plan: Compared;
  number: number;
  term: Term;
  course: Course;
  onTake: (() => void) | null;
  isTaking: boolean;
}

function Plan({ plan, number: nth, term, course, onTake, isTaking }: PlanProps) {
  const { t } = useTranslation();
  const forecast = plan.forecasts.find((one) => one.course === course.id);
  const movements = course.form.entries.filter((entry) => entry.kind === 'movement');
  const titleOf = (position: number) => course.form.entries[position - 1]?.title ?? '';
  const figures = forecast
    ? [
        [
          t('terms.compareReach'),
          `${String(movements.filter((entry) => entry.position <= (forecast.reach ?? 0)).length)} / ${String(movements.length)}`,
        ],
        [t('terms.compareHolds'), String(forecast.holds)],
        [t('terms.compareExpected'), number(forecast.expected, 1)],
        ...(forecast.showing
          ? [[t('season.showing'), `${share(forecast.showing.mean)} / ${share(forecast.showing.least)}`]]
          : []),
        [
          t('terms.compareWeakest'),
          (forecast.weakest ?? []).map((one) => `${titleOf(one.at)} ${share(one.recall)}`).join(', ') || '–',
        ],
        [t('terms.compareLow'), String((forecast.low ?? []).length)],
      ]
    : [];
  return (
    <section aria-label={t('terms.comparePlan', { number: nth })} className="border-t-2 border-ink pt-3">
      <div className="mb-2 flex flex-wrap items-center gap-4">
        <h2 className="text-xl">{t('terms.comparePlan', { number: nth })}</h2>
        <dl className="m-0 flex grow flex-wrap gap-x-6 gap-y-1 text-[0.95rem]">
          {figures.map(([name, value]) => (
            <div key={name} className="flex gap-2">
              <dt className="text-soft">{name}</dt>
              <dd className="m-0 font-medium">{value}</dd>
            </div>
          ))}
        </dl>
        {onTake ? (
          <Button look="primary" disabled={isTaking} onClick={onTake}>
            {t('terms.compareTake')}
          </Button>
        ) : null}
      </div>
      {forecast?.says === undefined ? null : <p className="font-serif text-lg">{sentence(forecast.says)}</p>}
      <p className="text-sm text-soft">
        {t('terms.compareMinutesBy', {
          list: plan.boxes
            .filter((box) => box.minutes > 0)
            .map((box) => `${t(`boxes.${box.kind}`)} ${String(box.minutes)}`)
            .join(', '),
        })}
      </p>
      <Weave form={course.form} course={course.id} closures={term.closures} meetings={woven(plan, course, term)} />
    </section>
  );
}

/** The meetings of a compared plan, as the weave draws them. */
function woven(plan: Compared, course: Course, term: Term): Meeting[] {
  const at = new Map(course.form.entries.map((entry) => [entry.key, entry.position]));
  const spanOf = (keys: string[]) => {
    const positions = keys.map((key) => at.get(key)).filter((one): one is number => one !== undefined);
    return positions.length === 0 ? null : { from: Math.min(...positions), to: Math.max(...positions) };
  };
  const like = term.meetings[0] as Meeting;
  // What was held since it was worked out is shown as it was held, and once.
  const held = term.meetings.filter((meeting) => !meeting.isOpen);
  const isHeld = new Set(held.map((meeting) => meeting.id));
  return [
    ...held,
    ...plan.meetings
      .filter((meeting) => !isHeld.has(meeting.id))
      .map((meeting): Meeting => {
        const own = meeting.courses.find((one) => one.course === course.id);
        const lessons = (own?.lessons ?? []).flatMap((lesson) => {
          const span = spanOf(lesson.entries);
          return span === null
            ? []
            : [{ ...span, number: lesson.number ?? null, kind: lesson.kind ?? ('new' as const), part: null, parts: null }];
        });
        const review = (own?.review ?? []).flatMap((keys) => {
          const span = spanOf(keys);
          return span === null
            ? []
            : [
                {
                  ...span,
                  passes: 3,
                  minutes: 0,
                  meanRecall: null,
                  without: null,
                  with: null,
                  weight: null,
                  value: null,
                  most: null,
                  instead: null,
                  isPinned: false,
                  isFirstNext: false,
                  isPicked: false,
                },
              ];
        });
        return {
          ...like,
          id: meeting.id,
          on: meeting.on,
          minutes: meeting.minutes,
          kind: meeting.kind,
          isHeld: false,
          isPast: false,
          isToday: false,
          isOpen: false,
          state: 'laid',
          pins: {},
          courses: [
            {
              courseId: course.id,
              formTitle: course.form.title,
              lessons,
              recap: spanOf(own?.recap ?? []),
              review,
              runThrough: spanOf(own?.runThrough ?? []),
              run: [],
              times: 1,
              order: 'as_written',
              shown: [],
              why: null,
              taughtAfter: own?.movements ?? own?.taught ?? null,
              recallAfter: own?.recall ?? null,
            },
          ],
        };
      }),
  ];
}
