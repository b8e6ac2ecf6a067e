import { keepPreviousData, useMutation, useQuery, type UseQueryResult } from '@tanstack/react-query';
import type { Say } from '../../messages';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { FileField } from '../../kit/FileField';
import { useNavigate, useSearchParams } from '../../kit/router';
import {
  api,
  ask,
  type Closure,
  type NewTerm,
  type Form as FormData,
  Problem,
  type TermAnswer,
  type TermSummary,
} from '../../api/client';
import { formQuery, groupsQuery, sessionQuery, termQuery, termsQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { keys } from '../../api/keys';
import { Button, ButtonLink, Choice, TextField } from '../../kit/controls';
import { Select } from '../../kit/Select';
import { DateField, TimeField } from '../../kit/DateField';
import { dropDraft, keepDraft, readDraft } from '../../kit/draft';
import { entryName } from '../../kit/entryName';
import { wall, day } from '../../kit/format';
import { Form } from '../../kit/Form';
import { Asked, Empty, Heading, Page, Waiting, Warnings } from '../../kit/page';
import { useAsOne } from '../../kit/useAsOne';
import { useOnce } from '../../kit/useOnce';
import { usePaused } from '../../kit/usePaused';
import { Weave } from '../../pictures/Weave';
import { useProblem } from '../../kit/useProblem';
import { CarriesOver } from '../letters/CarriesOver';
import { useUnmaking } from '../useUnmaking';
import { sentence } from '../../messages/say';
import { Outlook } from './Outlook';
import { tip } from '../../kit/tip';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
/** A draft belongs to the group it is for, or to the term it follows. */
const draftOf = ({ group, after }: Pick<Draft, 'group' | 'after'>) => `term.${after ?? group}`;
const LAST = 'term.last';
/** A sketch is asked for once one has stopped for so long, milliseconds: it is more work than the dates. */
const SETTLED_MS = 600;
type Draft = Omit<NewTerm, 'pattern' | 'showing'> & {
  pattern: { weekday: string; at: string; minutes: number }[];
  showing?: { on: string; to: number };
};

function daysLater(on: string, days: number): string {
  return new Date(Date.parse(`${on}T12:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}

function fresh(today: string, group: string, title: string): Draft {
  return {
    group,
    title,
    from: today,
    to: daysLater(today, 83),
    pattern: [{ weekday: 'Tue', at: '19:00', minutes: 75 }],
    closures: [],
    approach: 'piece',
  };
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
  const session = useQuery(sessionQuery);
  const terms = useQuery(termsQuery);
  const [search] = useSearchParams();
  const group = nextGroup(groups.data ?? [], terms.data ?? [], search.get('group') ?? readDraft<string>(LAST) ?? '');
  // A group goes on where it left off: after the last term it has, whichever was asked for.
  const after = search.get('after') ?? lastOf(group, terms.data ?? []) ?? '';
  const before = useQuery({ ...termQuery(after), enabled: after !== '' });
  const open = [groups, terms, ...(after === '' ? [] : [before])].find((one) => one.data === undefined && !one.isError);
  if (open !== undefined) return <Asked query={open as UseQueryResult}>{() => null}</Asked>;
  return (
    <Page title={t('terms.layTitle')} kicker={before.data ? t('terms.follow', { term: before.data.term.title }) : undefined}>
      <Asked query={groups}>
        {(found) =>
          found.length === 0 ? (
            <Empty title={t('terms.needGroup')} hint={t('groups.emptyHint')}>
              <ButtonLink look="primary" to="/groups?new">
                {t('groups.new')}
              </ButtonLink>
            </Empty>
          ) : (
            <Laying
              groups={found}
              today={session.data?.school?.today ?? new Date().toISOString().slice(0, 10)}
              group={group}
              before={before.data ?? null}
            />
          )
        }
      </Asked>
    </Page>
  );
}

type Terms = Pick<TermSummary, 'id' | 'groupId' | 'endsOn'>[];

/** The term of a group that ends last. */
const lastOf = (group: string, terms: Terms): string | undefined =>
  terms.filter((one) => one.groupId === group).sort((a, b) => b.endsOn.localeCompare(a.endsOn))[0]?.id;

/** Which group a term is laid for: the one that is named, else one without a term, else the one whose term ends first. */
function nextGroup(groups: LayingProps['groups'], terms: Terms, named: string): string {
  if (groups.some((one) => one.id === named)) return named;
  const free = groups.find((one) => one.termId === null);
  if (free !== undefined) return free.id;
  const ends = (group: string) => terms.find((one) => one.id === lastOf(group, terms))?.endsOn ?? '';
  return [...groups].sort((a, b) => ends(a.id).localeCompare(ends(b.id)))[0]?.id ?? '';
}

/** A term that goes on where another leaves off: the same evenings, as many weeks, the same way. */
function following(term: TermAnswer, today: string, t: Say): Draft {
  const from = [daysLater(term.term.endsOn, 1), today].sort()[1] as string;
  const days = (Date.parse(term.term.endsOn) - Date.parse(term.term.startsOn)) / 86_400_000;
  const seen = new Map<string, { weekday: string; at: string; minutes: number }>();
  for (const meeting of term.meetings.filter((one) => one.state === 'laid')) {
    const weekday = WEEKDAYS[(new Date(`${meeting.on}T12:00:00Z`).getUTCDay() + 6) % 7] as string;
    const row = { weekday, at: wall(meeting.startsAt), minutes: meeting.minutes };
    seen.set(`${row.weekday} ${row.at}`, row);
  }
  const usual = [...seen.values()].slice(0, 7);
  return {
    ...fresh(from, term.term.groupId, nextTitle(from, t)),
    to: daysLater(from, Math.round(days)),
    ...(usual.length > 0 ? { pattern: usual } : {}),
    after: term.term.id,
    approach: (term.courses[0]?.approach ?? 'piece') as Draft['approach'],
  };
}

interface LayingProps {
  groups: { id: string; name: string; termId: string | null; formId: string }[];
  today: string;
  /** The group that is laid for, where that is known. */
  group: string;
  before: TermAnswer | null;
}

function Laying({ groups, today, group: wanted, before }: LayingProps) {
  const { t } = useTranslation();
  const navigate = useNavigate();
  const [draft, setDraft] = useState<Draft>(() => {
    if (before !== null) {
      const next = following(before, today, t);
      // What was typed for the group before its last term was looked at is not lost.
      return readDraft<Draft>(draftOf(next)) ?? readDraft<Draft>(draftOf({ ...next, after: null })) ?? next;
    }
    const next = fresh(today, wanted, t('terms.nextTitle'));
    return readDraft<Draft>(draftOf(next)) ?? next;
  });
  const unmaking = useUnmaking();
  const { asOne, made } = useAsOne(draftOf(draft));
  const [refusal, setProblem] = useProblem();
  const put = (next: Draft) => {
    keepDraft(draftOf(next), next);
    keepDraft(LAST, next.group);
    setProblem(null);
    setDraft(next);
  };
  const change = (part: Partial<Draft>) => {
    put({ ...draft, ...part });
  };
  // The dates without closures, so that one can be closed by choosing it; and what is wrong, as one types.
  const asked = usePaused(draft);
  const settled = usePaused(draft, SETTLED_MS);
  const dates = useQuery({
    queryKey: keys.dates(asked),
    queryFn: () => ask(api.POST('/api/terms/preview', { body: asked })),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const open = useQuery({
    queryKey: keys.dates({ ...asked, closures: [] }),
    queryFn: () => ask(api.POST('/api/terms/preview', { body: { ...asked, closures: [] } })),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const lay = useMutation({
    mutationFn: (sent: Draft) => ask(api.POST('/api/terms', { params: { header: asOne(sent) }, body: sent })),
    onSuccess: async (term, sent) => {
      dropDraft(draftOf(sent));
      dropDraft(LAST);
      made();
      await readAgain('term');
      await readAgain('plan');
      await navigate(`/terms/${term.id}`);
      unmaking({
        text: t('terms.laid'),
        remove: () => ask(api.DELETE('/api/terms/{term}', { params: { path: { term: term.id } } })),
        touches: 'term',
        back: {
          to: `/terms/new?${sent.after ? `after=${sent.after}` : `group=${sent.group}`}`,
          draft: draftOf(sent),
          typed: sent,
        },
      });
    },
    onError: setProblem,
  });
  // A refusal that comes when the draft has changed already is about something that is no longer there.
  const refused = lay.variables === draft ? refusal?.message : undefined;
  const wrong = refused ?? (dates.error instanceof Problem ? dates.error.message : undefined);
  const covering = (on: string) => draft.closures.find((closure) => closure.from <= on && on <= closure.to);
  const isSingle = (closure: Closure) => closure.from === closure.to;

  const formId = groups.find((group) => group.id === draft.group)?.formId ?? '';
  const form = useQuery({ ...formQuery(formId), enabled: formId !== '' });
  const [fileSays, setFileSays] = useState<string | null>(null);
  const file = useMutation({
    mutationFn: async (chosen: File) =>
      ask(api.POST('/api/calendar/closures', { body: { text: await chosen.text(), from: draft.from, to: draft.to } })),
    onSuccess: (found) => {
      change({
        closures: [
          ...draft.closures,
          ...found.closures
            .map(({ from, to }) => ({ from, to }))
            .filter((one) => !draft.closures.some((other) => other.from === one.from && other.to === one.to)),
        ],
      });
      setFileSays([t('terms.closuresFound', { count: found.closures.length }), ...found.warnings.map(sentence)].join(' '));
    },
    onError: (error) => {
      setFileSays(error instanceof Problem ? error.message : t('app.unreachable'));
    },
  });
  const send = useOnce(lay);
  const submit = () => {
    send(draft);
  };
  return (
    <Form onSend={submit} className="grid max-w-6xl grid-cols-1 gap-x-12 gap-y-4 lg:grid-cols-[24rem_1fr]">
      <div className="flex flex-col gap-3">
        <Select
          label={t('terms.group')}
          value={draft.group}
          of={groups.map((group) => ({ value: group.id, text: group.name }))}
          onValue={(value) => {
            // What is typed goes along, unless that group has a draft of its own; what carries over is the other group's.
            const next = { ...draft, group: value, after: null };
            dropDraft(draftOf(draft));
            put(readDraft<Draft>(draftOf(next)) ?? next);
          }}
        />
        <TextField
          label={t('terms.name')}
          value={draft.title}
          onChange={(event) => {
            change({ title: event.target.value });
          }}
        />
        <div className="grid grid-cols-2 gap-3">
          <DateField
            label={t('terms.from')}
            value={draft.from}
            onValue={(value) => {
              change({ from: value });
            }}
          />
          <DateField
            label={t('terms.to')}
            value={draft.to}
            onValue={(value) => {
              change({ to: value });
            }}
          />
        </div>
        {draft.pattern.map((row, at) => {
          const put = (part: Partial<typeof row>) => {
            change({ pattern: draft.pattern.map((one, other) => (other === at ? { ...one, ...part } : one)) });
          };
          return (
            <div key={at} className="grid grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_minmax(0,1fr)] gap-3">
              <Select
                label={t('terms.weekday')}
                value={row.weekday}
                onValue={(weekday) => {
                  put({ weekday });
                }}
                of={WEEKDAYS.map((value) => ({ value, text: t(`terms.weekdays.${value}`) }))}
              />
              <TimeField
                label={t('terms.at')}
                value={row.at}
                onValue={(value) => {
                  put({ at: value });
                }}
              />
              <TextField
                label={t('terms.minutes')}
                type="number"
                min={10}
                max={480}
                value={row.minutes}
                onChange={(event) => {
                  put({ minutes: Number(event.target.value) });
                }}
              />
              {draft.pattern.length > 1 ? (
                <Button
                  look="quiet"
                  className="col-span-3 justify-self-start"
                  onClick={() => {
                    change({ pattern: draft.pattern.filter((_, other) => other !== at) });
                  }}
                >
                  {t('terms.removeDay')}
                </Button>
              ) : null}
            </div>
          );
        })}
        <Button
          look="quiet"
          className="self-start"
          onClick={() => {
            change({ pattern: [...draft.pattern, { weekday: 'Thu', at: '19:00', minutes: 75 }] });
          }}
        >
          {t('terms.addDay')}
        </Button>
        <Select
          label={t('terms.approach')}
          value={draft.approach}
          onValue={(approach) => {
            change({ approach: approach as Draft['approach'] });
          }}
          of={(['piece', 'outline', 'sides'] as const).map((value) => ({ value, text: t(`terms.approaches.${value}`) }))}
        />
        <div className="grid grid-cols-2 gap-3">
          <DateField
            label={t('terms.showingOn')}
            min={draft.from}
            max={draft.to}
            value={draft.showing?.on ?? ''}
            onValue={(on) => {
              const { showing, ...rest } = draft;
              const to = showing?.to ?? form.data?.entries.length ?? 1;
              put(on === '' ? rest : { ...rest, showing: { on, to } });
            }}
          />
          {draft.showing ? (
            <Select
              label={t('terms.showingTo')}
              value={String(draft.showing.to)}
              onValue={(to) => {
                change({ showing: { on: draft.showing?.on ?? draft.to, to: Number(to) } });
              }}
              of={(form.data?.entries ?? []).map((entry) => ({ value: String(entry.position), text: entryName(entry) }))}
            />
          ) : null}
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
                    change({
                      closures: closure
                        ? draft.closures.filter((one) => one !== closure)
                        : [...draft.closures, { from: meeting.on, to: meeting.on }],
                    });
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
        {draft.closures.map((closure, at) => {
          if (isSingle(closure)) return null;
          const put = (part: Partial<Closure>) => {
            change({ closures: draft.closures.map((one, other) => (other === at ? { ...one, ...part } : one)) });
          };
          return (
            <div key={at} className="mb-2 flex flex-wrap items-end gap-3">
              <DateField
                label={t('terms.closureFrom')}
                value={closure.from}
                onValue={(value) => {
                  put({ from: value });
                }}
              />
              <DateField
                label={t('terms.closureTo')}
                value={closure.to}
                onValue={(value) => {
                  put({ to: value });
                }}
              />
              <Button
                look="quiet"
                onClick={() => {
                  change({ closures: draft.closures.filter((_, other) => other !== at) });
                }}
              >
                {t('terms.remove')}
              </Button>
            </div>
          );
        })}
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
              change({ closures: [...draft.closures, { from: daysLater(draft.from, 28), to: daysLater(draft.from, 34) }] });
            }}
          >
            {t('terms.addClosure')}
          </Button>
        </div>
      </div>
      <div className="min-w-0 lg:col-span-2">
        <Heading aside={t('terms.sketchHint')}>{t('terms.sketch')}</Heading>
        <Sketch draft={settled} isWrong={wrong !== undefined} form={form.data} />
        <Button look="primary" type="submit" className="mt-4" disabled={lay.isPending}>
          {t(lay.isPending ? 'terms.laying' : 'terms.lay')}
        </Button>
        <p className="mt-4 text-sm text-soft">{t('terms.planHint')}</p>
        {draft.after ? (
          <CarriesOver
            term={draft.after}
            onLeave={() => {
              change({ after: null });
            }}
          />
        ) : null}
      </div>
    </Form>
  );
}

/** What the term would come to, as it would be planned today; nothing is laid yet. */
function Sketch({ draft, isWrong, form }: { draft: Draft; isWrong: boolean; form: FormData | undefined }) {
  const { t } = useTranslation();
  const query = useQuery({
    queryKey: keys.sketch(draft),
    queryFn: () => ask(api.POST('/api/terms/sketch', { body: draft })),
    placeholderData: keepPreviousData,
    enabled: !isWrong,
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
            <Outlook course={{ ...course, form }} meetings={term.meetings} />
            <Warnings title={t('app.warnings')} lines={term.warnings.map(sentence)} />
            <Weave form={form} course={course.id} meetings={term.meetings} closures={term.closures} isSketch />
          </div>
        );
      }}
    </Asked>
  );
}
