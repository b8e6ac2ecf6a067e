import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { useTranslation } from '../../messages';
import { Link, useParams } from '../../kit/router';
import { api, ask, type Group, type Student } from '../../api/client';
import { groupQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, ButtonLink, Choice, TextArea } from '../../kit/controls';
import { Dialog } from '../../kit/Dialog';
import { DateField } from '../../kit/DateField';
import { ranges, recall } from '../../kit/format';
import { isSupport } from '../../pictures/reed';
import { Asked, Empty, Heading, Page } from '../../kit/page';
import { useAddressed } from '../../kit/useAddressed';
import { useAsOne } from '../../kit/useAsOne';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { ReedLegend } from '../../pictures/ReedLegend';
import { StandingMap } from '../../pictures/StandingMap';
import { Removing } from '../Removing';
import { useUnmaking } from '../useUnmaking';
import { CalendarPanel } from './CalendarPanel';
import { GroupTabs } from './GroupTabs';
import { namesIn } from './names';
import { People } from './People';
import { SamePeople, told, useSamePeople } from './SamePeople';
import { Taken } from './Taken';
import { TaughtBefore } from './TaughtBefore';

type Show = 'taught' | 'recap' | 'whole';

/** A group: who is not ready and why, and the standing map. */
export function GroupPlace() {
  const { group = '' } = useParams();
  const [address, setAddress] = useAddressed();
  const [on, against] = [address.get('day') ?? '', address.get('against') ?? ''];
  const query = useQuery({ ...groupQuery(group, on), placeholderData: keepPreviousData });
  const before = useQuery({ ...groupQuery(group, against), enabled: against !== '', placeholderData: keepPreviousData });
  return (
    <Asked query={query}>
      {(data) => (
        <Standings
          data={data}
          onDay={(day) => {
            setAddress({ day: day === '' ? null : day });
          }}
          against={against}
          before={against === '' ? undefined : before.data}
          onAgainst={(day) => {
            setAddress({ against: day === '' ? null : day });
          }}
        />
      )}
    </Asked>
  );
}

/** Who is in a group. */
export function GroupPeoplePlace() {
  const { t } = useTranslation();
  const { group = '' } = useParams();
  const query = useQuery(groupQuery(group, ''));
  const [isAdding, setAdding] = useState(false);
  return (
    <Asked query={query}>
      {(data) => (
        <Page
          title={data.group.name}
          kicker={[data.form.title, t('groups.students', { count: data.students.length }), data.group.room]
            .filter(Boolean)
            .join(' · ')}
          actions={
            <Button
              onClick={() => {
                setAdding(true);
              }}
            >
              {t('groups.addTitle')}
            </Button>
          }
        >
          <GroupTabs group={data.group.id} term={data.group.termId} />
          {data.students.length === 0 ? <Empty title={t('meeting.noStudents')} hint={t('groups.emptyHint')} /> : null}
          <People group={data.group.id} students={[...data.students].sort((a, b) => a.name.localeCompare(b.name))} />
          <CalendarPanel group={data.group.id} hasFeed={data.group.hasFeed} />
          <p className="no-print mt-4 flex flex-wrap gap-x-6">
            {(['standings', 'attendance'] as const).map((of) => (
              <a
                key={of}
                className="inline-flex min-h-11 items-center text-pine underline underline-offset-4"
                href={`/api/groups/${data.group.id}/table?of=${of}`}
                download
              >
                {t(`practice.table.${of}`)}
              </a>
            ))}
          </p>
          <Dialog open={isAdding} onOpenChange={setAdding} title={t('groups.addTitle')}>
            <Adding
              group={data.group.id}
              onDone={() => {
                setAdding(false);
              }}
            />
          </Dialog>
        </Page>
      )}
    </Asked>
  );
}

interface StandingsProps {
  data: Group;
  onDay: (day: string) => void;
  /** The other day that stands beside it, empty for none, and everyone on it. */
  against: string;
  before: Group | undefined;
  onAgainst: (day: string) => void;
}

function Standings({ data, onDay, against, before, onAgainst }: StandingsProps) {
  const { t } = useTranslation();
  const [sort, setSort] = useState<'frontier' | 'name'>('frontier');
  const [show, setShow] = useState<Show>('taught');
  const [isAdding, setAdding] = useState(false);
  const [isSaying, setSaying] = useState(false);
  const { group, form, students, taught, nextRecap } = data;
  const spoken = (position: number) => form.entries[position - 1]?.number ?? position;
  const met = new Set(students.flatMap((student) => student.cells.map((cell) => cell.position)));
  const entries = form.entries.filter((entry) => {
    if (show === 'whole') return true;
    if (show === 'recap') return nextRecap !== null && entry.position >= nextRecap.from && entry.position <= nextRecap.to;
    return taught.includes(entry.position) || met.has(entry.position);
  });
  const sorted = [...students].sort(
    (a, b) => (sort === 'frontier' ? (b.frontier ?? 0) - (a.frontier ?? 0) : 0) || a.name.localeCompare(b.name),
  );
  const notYet = sorted.filter((student) => student.ready === 'not_yet');
  const look = sorted.filter((student) => student.ready === 'look');
  const ready = students.filter((student) => student.ready === 'ready').length;
  const numbers = (positions: number[]) => ranges(positions.map(spoken));

  return (
    <Page
      title={group.name}
      kicker={[form.title, t('groups.students', { count: students.length }), group.room].filter(Boolean).join(' · ')}
      actions={
        <>
          <Button
            onClick={() => {
              setAdding(true);
            }}
          >
            {t('groups.addTitle')}
          </Button>
          <Button
            onClick={() => {
              setSaying(true);
            }}
          >
            {t('groups.before')}
          </Button>
          {group.termId ? (
            <ButtonLink to={`/terms/${group.termId}`}>{t('groups.openTerm')}</ButtonLink>
          ) : (
            <ButtonLink look="primary" to="/terms/new">
              {t('groups.layTerm')}
            </ButtonLink>
          )}
        </>
      }
    >
      <GroupTabs group={group.id} term={group.termId} />
      {students.length === 0 ? (
        <Empty title={t('meeting.noStudents')} hint={t('groups.emptyHint')}>
          <Button
            look="primary"
            onClick={() => {
              setAdding(true);
            }}
          >
            {t('groups.addTitle')}
          </Button>
        </Empty>
      ) : (
        <>
          <section aria-label={t('groups.detail')}>
            {data.nextLesson === null ? (
              <p className="text-soft">{t('groups.noNext')}</p>
            ) : notYet.length + look.length === 0 ? (
              <p>{t('groups.readyAll', { number: data.nextLesson })}</p>
            ) : (
              <>
                <p>{t('groups.counts', { ready, look: look.length, notYet: notYet.length })}</p>
                {[
                  { title: t('groups.notReadyTitle', { number: data.nextLesson }), who: notYet },
                  { title: t('groups.lookTitle', { number: data.nextLesson }), who: look },
                ].map(({ title, who }) =>
                  who.length === 0 ? null : (
                    <details key={title} open={who.length <= 4}>
                      <summary className="min-h-11 py-2">
                        <h2 className="inline text-xl">{title}</h2>{' '}
                        <span className="text-soft">
                          {who.length} / {students.length}
                        </span>
                      </summary>
                      <ul className="m-0 grid list-none gap-x-10 p-0 md:grid-cols-2">
                        {who.map((student) => (
                          <Reason key={student.id} student={student} numbers={numbers} />
                        ))}
                      </ul>
                    </details>
                  ),
                )}
                <p className="mt-1 text-sm text-soft">{t('groups.whyHint')}</p>
              </>
            )}
          </section>
          <Heading aside={t('groups.mapHint')}>{t('groups.map')}</Heading>
          {entries.length === 0 && show === 'taught' ? (
            <p className="text-soft">
              {t('groups.nothingTaught')}{' '}
              {group.termId ? (
                <Link to={`/terms/${group.termId}`} className="text-pine underline underline-offset-4">
                  {t('groups.openTerm')}
                </Link>
              ) : null}
            </p>
          ) : (
            <>
              <div className="no-print mb-3 flex flex-wrap items-end gap-4">
                <div className="w-44">
                  <Choice
                    label={t('groups.sort')}
                    value={sort}
                    onChange={(event) => {
                      setSort(event.target.value === 'name' ? 'name' : 'frontier');
                    }}
                  >
                    <option value="frontier">{t('groups.byFrontier')}</option>
                    <option value="name">{t('groups.byName')}</option>
                  </Choice>
                </div>
                <div className="w-64">
                  <Choice
                    label={t('groups.show')}
                    value={show}
                    onChange={(event) => {
                      setShow(event.target.value as Show);
                    }}
                  >
                    <option value="taught">{t('groups.all')}</option>
                    {nextRecap ? <option value="recap">{t('groups.tonight')}</option> : null}
                    <option value="whole">{t('groups.whole')}</option>
                  </Choice>
                </div>
                <div className="w-48">
                  <DateField label={t('groups.on')} value={data.on} onValue={onDay} />
                </div>
                <div className="w-48">
                  <DateField label={t('groups.against')} value={against} max={data.on} onValue={onAgainst} />
                </div>
              </div>
              {before === undefined ? null : <Taken now={data} before={before} />}
              <StandingMap entries={entries} students={sorted} caption={t('groups.map')} before={before?.students} />
              <div className="mt-4">
                <ReedLegend />
              </div>
              <Heading>{t('groups.detail')}</Heading>
              <ul className="m-0 list-none p-0">
                {sorted.map((student) => (
                  <li key={student.id} className="grid gap-x-6 border-b border-line py-2 md:grid-cols-[9rem_15rem_1fr]">
                    <strong className="font-medium">{student.name}</strong>
                    <span className="text-soft">
                      {student.frontier === null
                        ? t('groups.noFrontier')
                        : t('groups.frontier', { number: spoken(student.frontier) })}{' '}
                      · {t('groups.holds', { count: student.holding })}
                    </span>
                    <span>
                      {[
                        student.holes.length > 0 ? t('groups.holes', { entries: numbers(student.holes) }) : null,
                        student.behind.length > 0 ? t('groups.behind', { entries: numbers(student.behind) }) : null,
                        student.missed.length > 0 ? t('groups.missed', { entries: numbers(student.missed) }) : null,
                      ]
                        .filter(Boolean)
                        .join(' · ') || '–'}
                    </span>
                  </li>
                ))}
              </ul>
            </>
          )}
        </>
      )}
      {students.length > 0 ? (
        <>
          <Heading>{t('groups.whoIsIn')}</Heading>
          <People group={group.id} students={[...students].sort((a, b) => a.name.localeCompare(b.name))} />
        </>
      ) : null}
      <p className="no-print mt-8">
        <Removing
          label={t('groups.remove')}
          hint={t('groups.removeHint')}
          remove={() => ask(api.DELETE('/api/groups/{group}', { params: { path: { group: group.id } } }))}
          touches="group"
          to="/groups"
        />
      </p>
      <Dialog open={isAdding} onOpenChange={setAdding} title={t('groups.addTitle')}>
        <Adding
          group={group.id}
          onDone={() => {
            setAdding(false);
          }}
        />
      </Dialog>
      <Dialog open={isSaying} onOpenChange={setSaying} title={t('groups.beforeTitle')}>
        <TaughtBefore
          group={group.id}
          form={form}
          upTo={Math.max(0, ...taught)}
          onDone={() => {
            setSaying(false);
          }}
        />
      </Dialog>
    </Page>
  );
}

function Reason({ student, numbers }: { student: Student; numbers: (positions: number[]) => string }) {
  const { t } = useTranslation();
  const alike = new Map<string, number[]>(); // what is known of an entry => the entries it is known of
  for (const { position, reason, support, recall: chance } of student.why) {
    const seen = support !== null && isSupport(support) ? t('groups.lastSeen', { support: t(`support.${support}`) }) : null;
    const known = [t(`groups.reasons.${reason}`), seen, chance === null ? null : t('groups.recallIs', { recall: recall(chance) })]
      .filter(Boolean)
      .join(', ');
    alike.set(known, [...(alike.get(known) ?? []), position]);
  }
  return (
    <li className="grid grid-cols-[8rem_1fr] gap-x-4 border-b border-line py-2">
      <strong className="font-medium break-words">{student.name}</strong>
      <span className="text-soft">{[...alike].map(([known, positions]) => `${numbers(positions)} ${known}`).join('; ')}</span>
    </li>
  );
}

function Adding({ group, onDone }: { group: string; onDone: () => void }) {
  const { t } = useTranslation();
  const unmaking = useUnmaking();
  const { asOne } = useAsOne();
  const [names, setNames] = useState('');
  const [refusal, setProblem] = useProblem();
  const people = useSamePeople();
  const add = useMutation({
    mutationFn: () => {
      const body = { students: namesIn(names), ...told(people.meant) };
      return ask(api.POST('/api/groups/{group}/students', { params: { path: { group }, header: asOne(body) }, body }));
    },
    onSuccess: async ({ added }) => {
      await readAgain('roster');
      onDone();
      unmaking({
        text: t('groups.added', { count: added.length }),
        remove: () => ask(api.DELETE('/api/groups/{group}/students', { params: { path: { group } }, body: { students: added } })),
        touches: 'roster',
      });
    },
    onError: (error) => {
      setProblem(people.asks(error) ? null : error);
    },
  });
  const send = useOnce(add);
  function submit(event: FormEvent) {
    event.preventDefault();
    send();
  }
  return (
    <form onSubmit={submit} className="flex flex-col gap-3">
      <TextArea
        label={t('groups.names')}
        rows={8}
        value={names}
        error={refusal?.message}
        onChange={(event) => {
          setNames(event.target.value);
          people.forget();
        }}
      />
      <SamePeople known={people.known} meant={people.meant} onMean={people.setMeant} />
      <Button look="primary" type="submit" disabled={add.isPending}>
        {t('groups.add')}
      </Button>
    </form>
  );
}
