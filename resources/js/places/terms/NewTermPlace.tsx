import { Weekday } from '../../api/enums';
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import type { Say } from '../../messages';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { useTranslation } from '../../messages';
import { FileField } from '../../kit/FileField';
import { useNavigate, useSearchParams } from '../../kit/router';
import { api, ask, type Form as FormData, type NewTerm, type NextTerm, Problem } from '../../api/client';
import { nextTermQuery } from './queries';
import { formQuery, groupsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { keys } from '../../api/keys';
import { Button, ButtonLink, Choice } from '../../kit/controls';
import { Select } from '../../kit/Select';
import { DateField } from '../../kit/DateField';
import { FormDate, FormSelect, FormText, FormTime } from '../../kit/formFields';
import { dropDraft, keepDraft, readDraft } from '../../kit/draft';
import { entryName } from '../../kit/entryName';
import { day } from '../../kit/format';
import { Form } from '../../kit/Form';
import { Asked, Empty, Heading, Page, Waiting, Warnings } from '../../kit/page';
import { useAsOne } from '../../kit/useAsOne';
import { timeOfDay, whole, written, z } from '../../kit/schema';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { usePaused } from '../../kit/usePaused';
import { Weave } from '../../pictures/Weave';
import { useProblem } from '../../kit/useProblem';
import { CarriesOver } from '../letters/CarriesOver';
import { useUnmaking } from '../useUnmaking';
import { sentence } from '../../messages/say';
import { Outlook } from './Outlook';
import { tip } from '../../kit/tip';
import { APPROACHES } from './approaches';
import { paceBody, PaceFields, paceFields, paceSaid } from './PaceFields';

const LAST = 'term.last';
/** A sketch is asked for once one has stopped for so long, milliseconds: it is more work than the dates. */
const SETTLED_MS = 600;

const laid = z.object({
  group: z.string(),
  /** The term it follows; empty for none. */
  after: z.string(),
  title: written(120),
  from: z.iso.date(),
  to: z.iso.date(),
  pattern: z.array(z.object({ weekday: z.enum(Weekday), at: timeOfDay, minutes: whole(10, 480) })),
  closures: z.array(z.object({ from: z.iso.date(), to: z.iso.date() })),
  approach: z.enum(APPROACHES),
  showingOn: z.string(),
  showingTo: z.string(),
  lessons: z.enum(['taken', 'cut']),
  ...paceFields,
});
type Typed = z.input<typeof laid>;

/** A draft belongs to the group it is for, or to the term it follows. */
const draftOf = ({ group, after }: Pick<Typed, 'group' | 'after'>) => `term.${after === '' ? group : after}`;

/** What the server is told of what was typed. */
function bodyOf({ after, showingOn, showingTo, paceBy, pace, spread, lessons, ...rest }: z.output<typeof laid>): NewTerm {
  return {
    ...rest,
    takesLessons: lessons === 'taken',
    ...paceBody({ paceBy, pace, spread }),
    after: after === '' ? null : after,
    ...(showingOn === '' ? {} : { showing: { on: showingOn, to: Number(showingTo) } }),
  };
}

function daysLater(on: string, days: number): string {
  return new Date(Date.parse(`${on}T12:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}

const SEASONS = ['winter', 'spring', 'summer', 'autumn'] as const;

/** What a term is called by the season of its first day, north of the equator; one writes another over it. */
function nextTitle(from: string, t: Say): string {
  const season = SEASONS[Math.floor((Number(from.slice(5, 7)) % 12) / 3)] ?? 'winter';
  return `${t(`terms.seasons.${season}`)} ${from.slice(0, 4)}`;
}

/** Laying a group's form over a term: the dates show as they are typed, and a date is closed by choosing it. */
export function NewTermPlace() {
  const { t } = useTranslation();
  const groups = useQuery(groupsQuery);
  const [search] = useSearchParams();
  // What was being laid goes on where it was, unless another is asked for.
  const [last] = useState(() => readDraft<string>(LAST) ?? '');
  const next = useQuery(nextTermQuery(search.get('group') ?? last, search.get('after') ?? ''));
  return (
    <Page title={t('terms.layTitle')}>
      <Asked query={groups}>
        {(found) =>
          found.length === 0 ? (
            <Empty title={t('terms.needGroup')} hint={t('groups.emptyHint')}>
              <ButtonLink look="primary" to="/groups?new">
                {t('groups.new')}
              </ButtonLink>
            </Empty>
          ) : (
            <Asked query={next}>{(begins) => <Laying groups={found} begins={begins} />}</Asked>
          )
        }
      </Asked>
    </Page>
  );
}

interface LayingProps {
  groups: { id: string; name: string; formId: string }[];
  /** How it would begin before anything was typed. */
  begins: NextTerm;
}

function Laying({ groups, begins }: LayingProps) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const unmaking = useUnmaking();
  const [start] = useState<Typed>(() => {
    const usual: Typed = {
      group: begins.group ?? '',
      after: begins.after ?? '',
      title: begins.after === null ? t('terms.nextTitle') : nextTitle(begins.from, t),
      from: begins.from,
      to: begins.to,
      pattern: begins.pattern.map((row) => ({ ...row, weekday: row.weekday as 'Mon', minutes: String(row.minutes) })),
      closures: [],
      approach: begins.approach,
      showingOn: '',
      showingTo: '',
      lessons: 'taken',
      ...paceSaid(begins.saidMovements, begins.saidMinutes, begins.spread),
    };
    // What was typed for the group before its last term was looked at is not lost.
    return { ...usual, ...(readDraft<Typed>(draftOf(usual)) ?? readDraft<Typed>(draftOf({ ...usual, after: '' }))) };
  });
  const [refusal, setProblem] = useProblem();
  const {
    control,
    form: typing,
    put,
    send,
  } = useFields(laid, start, {
    isCheckedAtOnce: true,
    onTyped: () => {
      const now = typing.getValues();
      keepDraft(draftOf(now), now);
      keepDraft(LAST, now.group);
      setProblem(null);
    },
  });
  const draft = useWatch({ control }) as Typed;
  const { asOne, made } = useAsOne(draftOf(draft));
  // Dates and sketch are of what can be read; they stay as they were while something cannot.
  const read = laid.safeParse(draft);
  const body = read.success ? JSON.stringify(bodyOf(read.data)) : '';
  // The dates without closures, so that one can be closed by choosing it; and what is wrong, as one types.
  const asked = usePaused(body);
  const settled = usePaused(body, SETTLED_MS);
  const dates = useDates(asked);
  const open = useDates(asked === '' ? '' : JSON.stringify({ ...(JSON.parse(asked) as NewTerm), closures: [] }));
  const lay = useMutation({
    mutationFn: (sent: NewTerm) => ask(api.POST('/api/terms', { params: { header: asOne(sent) }, body: sent })),
    onSuccess: async (term, sent) => {
      const [typed, after] = [typing.getValues(), sent.after ?? ''];
      const name = draftOf({ group: sent.group, after });
      dropDraft(name);
      dropDraft(LAST);
      made();
      await readAgain('term');
      await readAgain('plan');
      await navigate(`/terms/${term.id}`);
      unmaking({
        text: t('terms.laid'),
        remove: () => ask(api.DELETE('/api/terms/{term}', { params: { path: { term: term.id } } })),
        touches: 'term',
        back: { to: `/terms/new?${after === '' ? `group=${sent.group}` : `after=${after}`}`, draft: name, typed },
      });
    },
    onError: setProblem,
  });
  // A refusal that comes when the draft has changed already is about something that is no longer there.
  const refused = JSON.stringify(lay.variables) === body ? refusal?.message : undefined;
  const wrong = refused ?? (dates.error instanceof Problem ? dates.error.message : undefined);
  const covering = (on: string) => draft.closures.find((closure) => closure.from <= on && on <= closure.to);

  const formId = groups.find((group) => group.id === draft.group)?.formId ?? '';
  const form = useQuery({ ...formQuery(formId), enabled: formId !== '' });
  const [fileSays, setFileSays] = useState<string | null>(null);
  const file = useMutation({
    mutationFn: async (chosen: File) =>
      ask(api.POST('/api/calendar/closures', { body: { text: await chosen.text(), from: draft.from, to: draft.to } })),
    onSuccess: (found) => {
      const known = typing.getValues('closures');
      put('closures', [
        ...known,
        ...found.closures
          .map(({ from, to }) => ({ from, to }))
          .filter((one) => !known.some((other) => other.from === one.from && other.to === one.to)),
      ]);
      setFileSays([t('terms.closuresFound', { count: found.closures.length }), ...found.warnings.map(sentence)].join(' '));
    },
    onError: (error) => {
      setFileSays(error instanceof Problem ? error.message : t('app.unreachable'));
    },
  });
  const once = useOnce(lay);
  return (
    <Form
      onSend={send((said) => {
        once(bodyOf(said));
      })}
      className="grid max-w-6xl grid-cols-1 gap-x-12 gap-y-4 lg:grid-cols-[24rem_1fr]"
    >
      {draft.after === '' || begins.afterTitle === null ? null : (
        <p className="text-soft lg:col-span-2">{t('terms.follow', { term: begins.afterTitle })}</p>
      )}
      <div className="flex flex-col gap-3">
        <Select
          label={t('terms.group')}
          value={draft.group}
          of={groups.map((group) => ({ value: group.id, text: group.name }))}
          onValue={(value) => {
            // What is typed goes along, unless that group has a draft of its own; what carries over is the other group's.
            const next = { ...draft, group: value, after: '' };
            dropDraft(draftOf(draft));
            typing.reset(readDraft<Typed>(draftOf(next)) ?? next);
          }}
        />
        <FormText control={control} name="title" label={t('terms.name')} maxLength={120} />
        <div className="grid grid-cols-2 gap-3">
          <FormDate control={control} name="from" label={t('terms.from')} />
          <FormDate control={control} name="to" label={t('terms.to')} />
        </div>
        {draft.pattern.map((_, at) => (
          <div key={at} className="grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_minmax(0,1fr)] gap-3">
            <FormSelect
              control={control}
              name={`pattern.${at}.weekday`}
              label={t('terms.weekday')}
              of={Weekday.map((value) => ({ value, text: t(`terms.weekdays.${value}`) }))}
            />
            <FormTime control={control} name={`pattern.${at}.at`} label={t('terms.at')} />
            <FormText control={control} name={`pattern.${at}.minutes`} label={t('terms.minutes')} inputMode="numeric" />
            {draft.pattern.length > 1 ? (
              <Button
                look="quiet"
                className="col-span-3 justify-self-start"
                onClick={() => {
                  put(
                    'pattern',
                    draft.pattern.filter((__, other) => other !== at),
                  );
                }}
              >
                {t('terms.removeDay')}
              </Button>
            ) : null}
          </div>
        ))}
        <Button
          look="quiet"
          className="self-start"
          onClick={() => {
            put('pattern', [...draft.pattern, { weekday: 'Thu', at: '19:00', minutes: '75' }]);
          }}
        >
          {t('terms.addDay')}
        </Button>
        <FormSelect
          control={control}
          name="approach"
          label={t('terms.approach')}
          of={APPROACHES.map((value) => ({ value, text: t(`terms.approaches.${value}`) }))}
        />
        {typeof dates.data?.lessonsTaken === 'number' ? (
          <FormSelect
            control={control}
            name="lessons"
            label={t('terms.whichLessons')}
            of={[
              { value: 'taken', text: t('terms.lessonsAsTheyAre', { count: dates.data.lessonsTaken }) },
              { value: 'cut', text: t('terms.lessonsCutHere', { count: dates.data.lessonsCut }) },
            ]}
          />
        ) : null}
        <PaceFields control={control} />
        <div className="grid grid-cols-2 gap-3">
          <DateField
            label={t('terms.showingOn')}
            min={draft.from}
            max={draft.to}
            value={draft.showingOn}
            onValue={(on) => {
              if (draft.showingTo === '') put('showingTo', String(form.data?.entries.length ?? 1));
              put('showingOn', on);
            }}
          />
          {draft.showingOn === '' ? null : (
            <FormSelect
              control={control}
              name="showingTo"
              label={t('terms.showingTo')}
              of={(form.data?.entries ?? []).map((entry) => ({ value: String(entry.position), text: entryName(entry) }))}
            />
          )}
        </div>
      </div>
      <div>
        <Heading
          aside={
            dates.data && !dates.isError
              ? `${t('terms.datesFound', { count: dates.data.meetings.length })} · ${t('terms.lessonsAgainst', { count: dates.data.lessons })}`
              : undefined
          }
        >
          {t('terms.dates')}
        </Heading>
        {wrong ? (
          <p role="alert" className="mb-3 border-l-4 border-persimmon bg-sheet px-4 py-2 font-medium">
            {wrong}
          </p>
        ) : null}
        <Warnings title={t('app.warnings')} lines={dates.isError ? [] : (dates.data?.warnings ?? []).map(sentence)} />
        <ul className="m-0 flex list-none flex-wrap gap-2 p-0">
          {(open.data?.meetings ?? []).map((meeting) => {
            const closure = covering(meeting.on);
            return (
              <li key={meeting.startsAt}>
                <Choice
                  isOn={false}
                  aria-pressed={closure !== undefined}
                  {...tip(t(closure ? 'terms.opens' : 'terms.closes'))}
                  className={closure ? '!border-dashed !border-soft text-soft line-through' : ''}
                  onClick={() => {
                    put(
                      'closures',
                      closure
                        ? draft.closures.filter((one) => one !== closure)
                        : [...draft.closures, { from: meeting.on, to: meeting.on }],
                    );
                  }}
                >
                  {day(meeting.on, 'weekday')}
                  {closure ? <span className="sr-only"> {t('season.noClass')}</span> : null}
                </Choice>
              </li>
            );
          })}
        </ul>
        <p className="mt-2 text-sm text-soft">{t('terms.closeHint')}</p>
        <h2 className="mt-6 mb-2 text-lg">{t('terms.closures')}</h2>
        {draft.closures.map((closure, at) =>
          // A single day is one of the dates above.
          closure.from === closure.to ? null : (
            <div key={at} className="mb-2 flex flex-wrap items-end gap-3">
              <FormDate control={control} name={`closures.${at}.from`} label={t('terms.closureFrom')} />
              <FormDate control={control} name={`closures.${at}.to`} label={t('terms.closureTo')} />
              <Button
                look="quiet"
                onClick={() => {
                  put(
                    'closures',
                    draft.closures.filter((_, other) => other !== at),
                  );
                }}
              >
                {t('terms.remove')}
              </Button>
            </div>
          ),
        )}
        {fileSays ? (
          <p role="status" className="mb-2">
            {fileSays}
          </p>
        ) : null}
        <div className="flex flex-wrap gap-3">
          <FileField
            label={t('terms.closuresFile')}
            accept=".ics,text/calendar"
            onFile={(chosen) => {
              file.mutate(chosen);
            }}
          />
          <Button
            onClick={() => {
              put('closures', [...draft.closures, { from: daysLater(draft.from, 28), to: daysLater(draft.from, 34) }]);
            }}
          >
            {t('terms.addClosure')}
          </Button>
        </div>
      </div>
      <div className="min-w-0 lg:col-span-2">
        <Heading aside={t('terms.sketchHint')}>{t('terms.sketch')}</Heading>
        <Sketch body={settled} isWrong={wrong !== undefined || body === ''} form={form.data} />
        <Button look="primary" type="submit" className="mt-4" disabled={lay.isPending}>
          {t(lay.isPending ? 'terms.laying' : 'terms.lay')}
        </Button>
        <p className="mt-4 text-sm text-soft">{t('terms.planHint')}</p>
        {draft.after === '' ? null : (
          <CarriesOver
            term={draft.after}
            onLeave={() => {
              // It begins anew from here on, after a reload too.
              dropDraft(draftOf(draft));
              put('after', '');
            }}
          />
        )}
      </div>
    </Form>
  );
}

/** The dates of what was typed, and what is wrong with it. */
const useDates = (body: string) =>
  useQuery({
    queryKey: keys.dates(body),
    queryFn: () => ask(api.POST('/api/terms/preview', { body: JSON.parse(body) as NewTerm })),
    placeholderData: keepPreviousData,
    enabled: body !== '',
    retry: false,
  });

/** What the term would come to, as it would be planned today; nothing is laid yet. */
function Sketch({ body, isWrong, form }: { body: string; isWrong: boolean; form: FormData | undefined }) {
  const { t } = useTranslation();
  const query = useQuery({
    queryKey: keys.sketch(body),
    queryFn: () => ask(api.POST('/api/terms/sketch', { body: JSON.parse(body) as NewTerm })),
    placeholderData: keepPreviousData,
    enabled: !isWrong && body !== '',
    retry: false,
    // It rests on everything that is on record, and is asked for whenever it is looked at.
    gcTime: 0,
  });
  // What is wrong with the draft is said above; a sketch that cannot be had keeps nobody from laying the term.
  if (isWrong || query.error instanceof Problem) return <p className="text-soft">{t('terms.sketchNone')}</p>;
  return (
    <Asked query={query}>
      {(term) => {
        const [course] = term.courses;
        if (course === undefined || form?.id !== course.form.id) return <Waiting />;
        return (
          <div className={query.isPlaceholderData ? 'opacity-60' : ''} aria-busy={query.isFetching}>
            {query.isPlaceholderData ? (
              <p role="status" className="text-sm">
                {t('terms.sketchOld')}
              </p>
            ) : null}
            <Outlook course={{ ...course, form }} meetings={term.meetings} />
            <Warnings title={t('app.warnings')} lines={term.warnings.map(sentence)} />
            <Weave form={form} course={course.id} meetings={term.meetings} closures={term.closures} isSketch />
          </div>
        );
      }}
    </Asked>
  );
}
