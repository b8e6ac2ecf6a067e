import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { type Say, useTranslation } from '../../messages';
import { api, ask, type Course, type Passage, Problem, type Term } from '../../api/client';
import { formQuery, formsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, ButtonLink, RefusalLine, TextField } from '../../kit/controls';
import { entryChoices } from '../../kit/entryName';
import { Form } from '../../kit/Form';
import { number } from '../../kit/format';
import { FormDate, FormSelect, FormTick } from '../../kit/formFields';
import { Asked } from '../../kit/page';
import { z } from '../../kit/schema';
import { Select } from '../../kit/Select';
import { Tick } from '../../kit/Tick';
import { useTell } from '../../kit/toasts';
import { useAsOne } from '../../kit/useAsOne';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { passagesOf, PickMovements } from '../../pictures/PickMovements';
import { APPROACHES } from './approaches';
import { paceChanged, PaceFields, paceFields, paceSaid } from './PaceFields';

/** What is said of any course, one that is there or one that is added. The share is in per cent. */
const courseFields = z.object({
  approach: z.enum(APPROACHES),
  share: z.coerce.number().int().min(10).max(90),
  to: z.coerce.number().int(),
});
const changed = courseFields.extend({
  rhythm: z.string(),
  showingOn: z.literal('').or(z.iso.date()),
  showingTo: z.coerce.number().int(),
  reserve: z.string(),
  turns: z.string(),
  looksBack: z.boolean(),
  ...paceFields,
});

/** A course of a term: how the material goes round, its share, how far it aims, its showing and its rhythm. */
export function CoursePanel({ term, course, onDone }: { term: Term; course: Course; onDone: () => void }) {
  const { t } = useTranslation();
  const tell = useTell();
  const approaches = useApproaches();
  const [refusal, setProblem] = useProblem();
  const [keeps, setKeeps] = useState<Set<number> | null>(() => kept(course));
  const { register, handleSubmit, formState, control } = useForm({
    defaultValues: {
      approach: course.approach as (typeof APPROACHES)[number],
      share: Math.round(100 * course.share),
      rhythm: course.rhythm === null ? '' : String(course.rhythm),
      to: course.target.to,
      showingOn: course.showingOn ?? '',
      showingTo: course.showingTo ?? course.target.to,
      reserve: String(course.reserve),
      turns: term.turns.join(' '),
      looksBack: course.looksBack,
      ...paceSaid(course.saidMovements, course.saidMinutes, course.spread),
    },
    // The only course has all of the minutes, and is not asked.
    resolver: zodResolver(term.courses.length > 1 ? changed : changed.extend({ share: z.number() })),
  });
  const done = async () => {
    await readAgain('plan');
    await readAgain('score');
    onDone();
    tell(t('terms.changed'));
  };
  const save = useMutation({
    mutationFn: ({
      approach,
      share,
      rhythm,
      to,
      showingOn,
      showingTo,
      reserve,
      looksBack,
      turns,
      ...pacing
    }: z.output<typeof changed>) =>
      ask(
        api.PATCH('/api/courses/{course}', {
          params: { path: { course: course.id } },
          body: {
            ...(approach === course.approach ? {} : { approach }),
            ...(term.courses.length > 1 ? { share: share / 100 } : {}),
            rhythm: rhythm === '' ? null : Number(rhythm),
            ...(to === course.target.to ? {} : { to }),
            showing: (showingOn === '' ? null : { on: showingOn, to: showingTo }) as never,
            ...(Number(reserve) === course.reserve ? {} : { reserve: Number(reserve) }),
            ...(looksBack === course.looksBack ? {} : { looksBack }),
            ...keepsChanged(course, keeps),
            ...(turns === term.turns.join(' ') ? {} : { turns: turns === '' ? [] : turns.split(' ').map(Number) }),
            ...paceChanged(pacing, paceSaid(course.saidMovements, course.saidMinutes, course.spread)),
          },
        }),
      ),
    onSuccess: done,
    onError: setProblem,
  });
  const remove = useMutation({
    mutationFn: () => ask(api.DELETE('/api/courses/{course}', { params: { path: { course: course.id } } })),
    onSuccess: done,
    onError: setProblem,
  });
  const send = useOnce(save);
  const drop = useOnce(remove);
  const entries = entryChoices(course.form.entries);
  return (
    <Form
      className="flex flex-col gap-3"
      onSend={(event) => {
        void handleSubmit(send)(event);
      }}
    >
      <FormSelect control={control} name="approach" label={t('terms.approach')} of={approaches} />
      <PaceFields control={control} />
      <p className="text-sm text-soft">
        {t('terms.paceWords', { pace: paceWords(t, course.movements), minutes: number(course.minutesPerLoad, 1) })}
      </p>
      {term.courses.length > 1 ? (
        <TextField label={t('terms.courseShare')} type="number" error={formState.errors.share?.message} {...register('share')} />
      ) : null}
      {term.courses.length > 1 ? (
        <FormSelect
          control={control}
          name="turns"
          label={t('terms.turns')}
          of={[
            { value: '', text: t('terms.turnsShared') },
            ...turnsOf(term).map((value) => ({
              value,
              text: t('terms.turnsBy', {
                list: value
                  .split(' ')
                  .map((one) => term.courses[Number(one)]?.form.title ?? '')
                  .join(', '),
              }),
            })),
          ]}
        />
      ) : null}
      <FormSelect control={control} name="to" label={t('terms.targetTo')} of={entries} />
      <FormSelect
        control={control}
        name="rhythm"
        label={t('terms.rhythm')}
        of={[
          {
            value: '',
            text: course.usualRhythm === 0 ? t('terms.rhythmNever') : t('terms.rhythmUsual', { count: course.usualRhythm }),
          },
          ...['1', '2', '3', '4', '5', '6'].map((one) => ({ value: one, text: one })),
          { value: '0', text: t('terms.rhythmNever') },
        ]}
      />
      <div className="grid grid-cols-2 gap-3">
        <FormDate
          control={control}
          name="showingOn"
          label={t('terms.showingOn')}
          min={term.term.startsOn}
          max={term.term.endsOn}
        />
        <FormSelect control={control} name="showingTo" label={t('terms.showingTo')} of={entries} />
      </div>
      <div className="grid grid-cols-2 items-end gap-3">
        <FormSelect
          control={control}
          name="reserve"
          label={t('terms.reserve')}
          of={['0', '1', '2', '3', '4'].map((one) => ({ value: one, text: one }))}
        />
        <FormTick control={control} name="looksBack">
          {t('terms.looksBack')}
        </FormTick>
      </div>
      <Tick
        checked={keeps !== null}
        onTick={(is) => {
          setKeeps(is ? new Set() : null);
        }}
      >
        {t('terms.keeps')}
      </Tick>
      {keeps === null ? null : (
        <PickMovements form={course.form} label={t('terms.keepsWhich')} value={keeps} onValue={setKeeps} />
      )}
      <Lessons course={course} />
      <Pace group={term.term.groupId} course={course} />
      <RefusalLine refusal={refusal} />
      <div className="flex flex-wrap gap-2">
        <Button look="primary" type="submit" disabled={save.isPending}>
          {t(save.isPending ? 'terms.courseSaving' : 'terms.courseSave')}
        </Button>
        {term.courses.length > 1 ? (
          <Button
            disabled={remove.isPending}
            onClick={() => {
              drop(undefined);
            }}
          >
            {t('terms.courseRemove')}
          </Button>
        ) : null}
      </div>
    </Form>
  );
}

/** How forms of a term may take turns: evenly, and each of the first two twice as often; and what was said already. */
function turnsOf(term: Term): string[] {
  const all = term.courses.map((_, at) => at).join(' ');
  const said = term.turns.join(' ');
  const usual = term.courses.length === 2 ? ['0 1', '0 0 1', '0 1 1'] : [all];
  return said === '' || usual.includes(said) ? usual : [...usual, said];
}

/** Movements an evening as a teacher says them: "2 to 3 movements". */
function paceWords(t: Say, movements: number): string {
  const [least, most] = [Math.floor(Math.round(10 * movements) / 10), Math.ceil(Math.round(10 * movements) / 10)];
  return least === most ? t('terms.paceMovements', { count: least }) : t('terms.paceBetween', { from: least, to: most });
}

/** Whose lessons a course has: its form's own, or a cut of this class, which can take the form's again. */
function Lessons({ course }: { course: Course }) {
  const { t } = useTranslation();
  const [refusal, setProblem] = useProblem();
  const { form } = course;
  const take = useMutation({
    mutationFn: () =>
      ask(api.PATCH('/api/courses/{course}', { params: { path: { course: course.id } }, body: { takesLessons: true } })),
    onSuccess: async () => {
      setProblem(null);
      await readAgain('cut');
      await readAgain('plan');
    },
    onError: setProblem,
  });
  return (
    <div className="flex flex-col items-start gap-2">
      <p className="text-sm">
        {form.lessonsOf === null
          ? t(form.hasOwnLessons ? 'terms.lessonsOfForm' : 'terms.lessonsOfClass', { count: form.lessons.length })
          : t('terms.lessonsOwn', { count: form.lessons.length, group: form.lessonsOf })}
      </p>
      <div className="flex flex-wrap gap-2">
        <ButtonLink to={`/forms/${form.id}/cut?course=${course.id}`}>{t('lessons.toCourse')}</ButtonLink>
        {form.lessonsOf !== null && form.hasOwnLessons && course.approach !== 'whole' ? (
          <Button
            disabled={take.isPending}
            onClick={() => {
              take.mutate();
            }}
          >
            {t(take.isPending ? 'terms.lessonsTaking' : 'terms.lessonsTake')}
          </Button>
        ) : null}
      </div>
      <RefusalLine refusal={refusal} />
    </div>
  );
}

/** What of a course is kept alive, by position; null where it has lessons. */
function kept(course: Course): Set<number> | null {
  if (course.keeps.length === 0) return null;
  return new Set(course.keeps.flatMap(({ from, to }) => Array.from({ length: to - from + 1 }, (_, at) => from + at)));
}

function keepsChanged(course: Course, keeps: Set<number> | null): { keeps?: Passage[] } {
  const is = keeps === null ? [] : passagesOf(course.form.entries, keeps);
  return JSON.stringify(is) === JSON.stringify(course.keeps) ? {} : { keeps: is };
}

/** What the group's own lessons have shown of its pace, beside what is usual; it can be forgotten. */
function Pace({ group, course }: { group: string; course: Course }) {
  const { t } = useTranslation();
  const tell = useTell();
  const reset = useMutation({
    mutationFn: () => ask(api.POST('/api/groups/{group}/pace', { params: { path: { group } } })),
    onSuccess: async () => {
      await readAgain('plan');
      await readAgain('score');
      tell(t('terms.paceResetDone'));
    },
    onError: (error) => {
      tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
    },
  });
  const send = useOnce(reset);
  const learned = course.paces.filter((pace) => pace.kind === 'new' || course.approach === 'outline');
  return (
    <div>
      <p className="text-sm font-medium">{t('terms.pace')}</p>
      <ul className="m-0 list-none p-0">
        {learned.map((pace) => (
          <li key={pace.kind}>
            {learned.length > 1 ? `${t(`terms.paceKinds.${pace.kind}`)}: ` : ''}
            {pace.lessons === 0
              ? t('terms.paceUsual', { usual: number(pace.usual, 1) })
              : t('terms.paceLearned', { minutes: number(pace.minutes, 1), usual: number(pace.usual, 1), count: pace.lessons })}
          </li>
        ))}
      </ul>
      {learned.some((pace) => pace.lessons > 0) ? (
        <Button
          look="quiet"
          disabled={reset.isPending}
          onClick={() => {
            send(undefined);
          }}
        >
          {t('terms.paceReset')}
        </Button>
      ) : null}
    </div>
  );
}

function useApproaches() {
  const { t } = useTranslation();
  return APPROACHES.map((one) => ({ value: one, text: t(`terms.approaches.${one}`) }));
}

/** One more form in the same term; the others give up what it takes. */
export function AddCourse({ term, onDone }: { term: Term; onDone: () => void }) {
  const { t } = useTranslation();
  const forms = useQuery(formsQuery);
  return (
    <Asked query={forms}>
      {(all) => {
        const free = all.filter((form) => !term.courses.some((course) => course.form.id === form.id));
        return free.length === 0 ? <p>{t('terms.courseNone')}</p> : <Adding term={term} forms={free} onDone={onDone} />;
      }}
    </Asked>
  );
}

function Adding({ term, forms, onDone }: { term: Term; forms: { id: string; title: string }[]; onDone: () => void }) {
  const { t } = useTranslation();
  const tell = useTell();
  const approaches = useApproaches();
  const [refusal, setProblem] = useProblem();
  const { register, handleSubmit, formState, watch, setValue, control } = useForm({
    // Nothing said of how far means to the end.
    defaultValues: { form: forms[0]?.id ?? '', approach: 'piece' as (typeof APPROACHES)[number], share: 30, to: 0 },
    resolver: zodResolver(courseFields.extend({ form: z.string() })),
  });
  const form = watch('form');
  const entries = useQuery(formQuery(form)).data?.entries ?? [];
  const { asOne, made } = useAsOne();
  const add = useMutation({
    mutationFn: ({ to, share, ...said }: z.output<typeof courseFields> & { form: string }) => {
      const body = { ...said, share: share / 100, ...(to === 0 ? {} : { to }) };
      return ask(api.POST('/api/terms/{term}/courses', { params: { path: { term: term.term.id }, header: asOne(body) }, body }));
    },
    onSuccess: async () => {
      made();
      await readAgain('plan');
      onDone();
      tell(t('terms.changed'));
    },
    onError: setProblem,
  });
  const send = useOnce(add);
  return (
    <Form
      className="flex flex-col gap-3"
      onSend={(event) => {
        void handleSubmit(send)(event);
      }}
    >
      <Select
        label={t('terms.courseForm')}
        value={form}
        onValue={(next) => {
          setValue('form', next);
          setValue('to', 0);
        }}
        of={forms.map((one) => ({ value: one.id, text: one.title }))}
      />
      <FormSelect control={control} name="approach" label={t('terms.approach')} of={approaches} />
      <TextField label={t('terms.courseShare')} type="number" error={formState.errors.share?.message} {...register('share')} />
      <FormSelect
        control={control}
        name="to"
        label={t('terms.targetTo')}
        of={[{ value: '0', text: t('terms.targetWhole') }, ...entryChoices(entries)]}
      />
      <RefusalLine refusal={refusal} />
      <Button look="primary" type="submit" disabled={add.isPending}>
        {t(add.isPending ? 'terms.courseSaving' : 'terms.courseAdd')}
      </Button>
    </Form>
  );
}
