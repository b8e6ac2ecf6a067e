import { GroupTable } from '../../api/enums';
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import { api, ask, type Form as FormData, type Group, type GroupAnswer } from '../../api/client';
import { groupQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { Button, ButtonLink, DownloadLink, RefusalLine, TextLink } from '../../kit/controls';
import { Select } from '../../kit/Select';
import { Dialog } from '../../kit/Dialog';
import { DateField } from '../../kit/DateField';
import { Form } from '../../kit/Form';
import { FormArea } from '../../kit/formFields';
import { ranges } from '../../kit/format';
import { Asked, Empty, Heading, Page } from '../../kit/page';
import { z } from '../../kit/schema';
import { WithForms } from '../../kit/WithForms';
import { useAddressed } from '../../kit/useAddressed';
import { useAsOne } from '../../kit/useAsOne';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { ReedLegend } from '../../pictures/ReedLegend';
import { StandingMap } from '../../pictures/StandingMap';
import { Removing } from '../Removing';
import { useUnmaking } from '../useUnmaking';
import { CalendarPanel } from './CalendarPanel';
import { GroupTabs } from './GroupTabs';
import { Where } from './Where';
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
        <WithForms of={[{ ...data.form, course: data.course }]}>
          {([form]) => (
            <Standings
              data={{ ...data, form: form as FormData }}
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
        </WithForms>
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
            {GroupTable.map((of) => (
              <DownloadLink key={of} look="quiet" to={`/api/groups/${data.group.id}/table?of=${of}`}>
                {t(`practice.table.${of}`)}
              </DownloadLink>
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
  before: GroupAnswer | undefined;
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
  const numbers = (positions: number[]) => ranges(positions.map(spoken));

  return (
    <Page
      title={group.name}
      kicker={[
        form.title,
        t('groups.students', { count: students.length }),
        group.room,
        form.lessonsOf === null ? null : t('groups.lessonsOwn', { count: form.lessons.length }),
      ]
        .filter(Boolean)
        .join(' · ')}
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
            <ButtonLink look="primary" to={`/terms/new?group=${group.id}`}>
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
          <Where data={data} students={sorted} numbers={numbers} />
          <Heading aside={t('groups.mapHint')}>{t('groups.map')}</Heading>
          {entries.length === 0 && show === 'taught' ? (
            <p className="text-soft">
              {t('groups.nothingTaught')}{' '}
              {group.termId ? <TextLink to={`/terms/${group.termId}`}>{t('groups.openTerm')}</TextLink> : null}
            </p>
          ) : (
            <>
              <div className="no-print mb-3 flex flex-wrap items-end gap-4">
                <div className="w-44">
                  <Select
                    label={t('groups.sort')}
                    value={sort}
                    onValue={(value) => {
                      setSort(value === 'name' ? 'name' : 'frontier');
                    }}
                    of={[
                      { value: 'frontier', text: t('groups.byFrontier') },
                      { value: 'name', text: t('groups.byName') },
                    ]}
                  />
                </div>
                <div className="w-64">
                  <Select
                    label={t('groups.show')}
                    value={show}
                    onValue={(value) => {
                      setShow(value as Show);
                    }}
                    of={[
                      { value: 'taught', text: t('groups.all') },
                      ...(nextRecap ? [{ value: 'recap', text: t('groups.tonight') }] : []),
                      { value: 'whole', text: t('groups.whole') },
                    ]}
                  />
                </div>
                <div className="w-48">
                  <DateField label={t('groups.on')} value={data.on} onValue={onDay} />
                </div>
                <div className="w-48">
                  <DateField label={t('groups.against')} value={against} max={data.on} onValue={onAgainst} />
                </div>
              </div>
              {before === undefined ? null : <Taken now={data} before={before} />}
              <StandingMap
                entries={entries}
                sections={form.sections}
                students={sorted}
                caption={t('groups.map')}
                before={before?.students}
              />
              <div className="mt-4">
                <ReedLegend />
              </div>
            </>
          )}
        </>
      )}
      <p className="no-print mt-8">
        <Removing what="group" id={group.id} label={t('groups.remove')} to="/groups" />
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

const added = z.object({ names: z.string().trim().min(1) });

function Adding({ group, onDone }: { group: string; onDone: () => void }) {
  const { t } = useTranslation();
  const unmaking = useUnmaking();
  const { asOne } = useAsOne();
  const people = useSamePeople();
  const { control, send, refusal, refuse } = useFields(added, { names: '' }, { onTyped: people.forget });
  const add = useMutation({
    mutationFn: ({ names }: z.output<typeof added>) => {
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
      if (!people.asks(error)) refuse(error);
    },
  });
  const once = useOnce(add);
  return (
    <Form onSend={send(once)} className="flex flex-col gap-3">
      <FormArea control={control} name="names" label={t('groups.names')} rows={8} />
      <SamePeople known={people.known} meant={people.meant} onMean={people.setMeant} />
      <RefusalLine refusal={refusal} className="" />
      <Button look="primary" type="submit" disabled={add.isPending}>
        {t('groups.add')}
      </Button>
    </Form>
  );
}
