import { useMutation, useQuery } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { api, ask, type Course, type Term } from '../../api/client';
import { formQuery, formsQuery, readAgain } from '../../api/queries';
import { Button, Choice, RefusalLine, TextField } from '../../kit/controls';
import { DateField } from '../../kit/DateField';
import { entryName } from '../../kit/entryName';
import { useTell } from '../../kit/toasts';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';

const APPROACHES = ['piece', 'outline', 'sides'] as const;
type Approach = (typeof APPROACHES)[number];

/** A course of a term: how the material goes round, its share, how far it aims, its showing and its rhythm. */
export function CoursePanel({ term, course, onDone }: { term: Term; course: Course; onDone: () => void }) {
  const { t } = useTranslation();
  const tell = useTell();
  const [refusal, setProblem] = useProblem();
  const [approach, setApproach] = useState(course.approach as Approach);
  const [share, setShare] = useState(String(Math.round(100 * course.share)));
  const [rhythm, setRhythm] = useState(course.rhythm === null ? '' : String(course.rhythm));
  const [to, setTo] = useState(String(course.target.to));
  const [on, setOn] = useState(course.showingOn ?? '');
  const [showingTo, setShowingTo] = useState(String(course.showingTo ?? course.target.to));
  const done = async () => {
    await readAgain('plan');
    await readAgain('score');
    onDone();
    tell(t('terms.changed'));
  };
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.PATCH('/api/courses/{course}', {
          params: { path: { course: course.id } },
          body: {
            ...(approach === course.approach ? {} : { approach }),
            ...(term.courses.length > 1 ? { share: Number(share) / 100 } : {}),
            rhythm: rhythm === '' ? null : Number(rhythm),
            ...(Number(to) === course.target.to ? {} : { to: Number(to) }),
            showing: (on === '' ? null : { on, to: Number(showingTo) }) as never,
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
  const entries = course.form.entries.map((entry) => (
    <option key={entry.key} value={entry.position}>
      {entryName(entry)}
    </option>
  ));
  return (
    <form
      className="flex flex-col gap-3"
      noValidate
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        send(undefined);
      }}
    >
      <ApproachChoice value={approach} onValue={setApproach} />
      {term.courses.length > 1 ? (
        <TextField
          label={t('terms.courseShare')}
          type="number"
          min={10}
          max={90}
          value={share}
          onChange={(event) => {
            setShare(event.target.value);
          }}
        />
      ) : null}
      <Choice
        label={t('terms.targetTo')}
        value={to}
        onChange={(event) => {
          setTo(event.target.value);
        }}
      >
        {entries}
      </Choice>
      <Choice
        label={t('terms.rhythm')}
        value={rhythm}
        onChange={(event) => {
          setRhythm(event.target.value);
        }}
      >
        <option value="">{t('terms.rhythmUsual', { count: course.usualRhythm })}</option>
        {[1, 2, 3, 4, 5, 6].map((one) => (
          <option key={one} value={one}>
            {one}
          </option>
        ))}
        <option value="0">{t('terms.rhythmNever')}</option>
      </Choice>
      <div className="grid grid-cols-2 gap-3">
        <DateField label={t('terms.showingOn')} min={term.term.startsOn} max={term.term.endsOn} value={on} onValue={setOn} />
        <Choice
          label={t('terms.showingTo')}
          value={showingTo}
          onChange={(event) => {
            setShowingTo(event.target.value);
          }}
        >
          {entries}
        </Choice>
      </div>
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
    </form>
  );
}

function ApproachChoice({ value, onValue }: { value: Approach; onValue: (value: Approach) => void }) {
  const { t } = useTranslation();
  return (
    <Choice
      label={t('terms.approach')}
      value={value}
      onChange={(event) => {
        onValue(event.target.value as Approach);
      }}
    >
      {APPROACHES.map((one) => (
        <option key={one} value={one}>
          {t(`terms.approaches.${one}`)}
        </option>
      ))}
    </Choice>
  );
}

/** One more form in the same term; the others give up what it takes. */
export function AddCourse({ term, onDone }: { term: Term; onDone: () => void }) {
  const { t } = useTranslation();
  const tell = useTell();
  const forms = useQuery(formsQuery);
  const [refusal, setProblem] = useProblem();
  const free = (forms.data ?? []).filter((form) => !term.courses.some((course) => course.form.id === form.id));
  const [chosen, setForm] = useState('');
  const form = chosen === '' ? (free[0]?.id ?? '') : chosen;
  const shape = useQuery({ ...formQuery(form), enabled: form !== '' });
  const [approach, setApproach] = useState<Approach>('piece');
  const [share, setShare] = useState('30');
  const [to, setTo] = useState('');
  const add = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/terms/{term}/courses', {
          params: { path: { term: term.term.id } },
          body: { form, approach, share: Number(share) / 100, ...(to === '' ? {} : { to: Number(to) }) },
        }),
      ),
    onSuccess: async () => {
      await readAgain('plan');
      onDone();
      tell(t('terms.changed'));
    },
    onError: setProblem,
  });
  const send = useOnce(add);
  return (
    <form
      className="flex flex-col gap-3"
      noValidate
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        send(undefined);
      }}
    >
      <Choice
        label={t('terms.courseForm')}
        value={form}
        onChange={(event) => {
          setForm(event.target.value);
          setTo('');
        }}
      >
        {free.map((one) => (
          <option key={one.id} value={one.id}>
            {one.title}
          </option>
        ))}
      </Choice>
      <ApproachChoice value={approach} onValue={setApproach} />
      <TextField
        label={t('terms.courseShare')}
        type="number"
        min={10}
        max={90}
        value={share}
        onChange={(event) => {
          setShare(event.target.value);
        }}
      />
      <Choice
        label={t('terms.targetTo')}
        value={to === '' ? String(shape.data?.entries.length ?? '') : to}
        onChange={(event) => {
          setTo(event.target.value);
        }}
      >
        {(shape.data?.entries ?? []).map((entry) => (
          <option key={entry.key} value={entry.position}>
            {entryName(entry)}
          </option>
        ))}
      </Choice>
      <RefusalLine refusal={refusal} />
      <Button look="primary" type="submit" disabled={add.isPending || form === ''}>
        {t(add.isPending ? 'terms.courseSaving' : 'terms.courseAdd')}
      </Button>
    </form>
  );
}
