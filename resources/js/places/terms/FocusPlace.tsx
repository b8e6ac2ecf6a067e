import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import type { GroupPrinciples, Meeting, TermAnswer } from '../../api/client';
import { termQuery } from '../../api/queries';
import { Button, ButtonLink, PrintButton } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { Dialog } from '../../kit/Dialog';
import { day } from '../../kit/format';
import { Asked, Empty, Page } from '../../kit/page';
import { Select } from '../../kit/Select';
import { Why } from '../../kit/Why';
import { FocusMark } from '../../pictures/FocusMark';
import { SeasonLine } from '../../pictures/SeasonLine';
import { GroupTabs } from '../groups/GroupTabs';
import { focusesOf } from '../meeting/focus';
import { PrincipleText } from '../meeting/FocusText';
import { BeingPlanned } from './BeingPlanned';
import { ProposalBar } from './ProposalBar';
import { useProposal } from './useProposal';

/** A term of principles on one page: what each class works on beside the sequence, and why. */
export function FocusPlace() {
  const { term = '' } = useParams();
  const query = useQuery(termQuery(term));
  return <Asked query={query}>{(data) => <Focuses key={data.term.id} term={data} />}</Asked>;
}

function Focuses({ term }: { term: TermAnswer }) {
  const { t } = useTranslation();
  const { groupId, groupName, title } = term.term;
  const proposal = useProposal(term);
  const [changing, setChanging] = useState<Meeting | null>(null);
  const set = term.principles;
  return (
    <>
      <SeasonLine meetings={term.meetings} closures={term.closures} showing={term.courses[0]?.showingOn ?? null} />
      <Page
        title={t('principles.focus.title')}
        kicker={`${groupName} · ${title}${set === null ? '' : ` · ${set.title}`}`}
        actions={
          <>
            <PrintButton />
            <ButtonLink to={`/terms/${term.term.id}`}>{t('groups.openTerm')}</ButtonLink>
          </>
        }
      >
        <GroupTabs group={groupId} term={term.term.id} />
        <BeingPlanned term={term.term} />
        <ProposalBar proposal={proposal} />
        {set === null ? (
          <Empty title={t('principles.focus.noSet')}>
            <ButtonLink look="primary" to={`/groups/${groupId}/principles`}>
              {t('principles.focus.choose')}
            </ButtonLink>
          </Empty>
        ) : (
          <>
            <p className="mb-2 text-sm text-soft">{t('principles.focus.hint')}</p>
            <FocusWeave term={term} shown={proposal.preview?.meetings ?? term.meetings} set={set} onChange={setChanging} />
          </>
        )}
        <Dialog
          open={changing !== null}
          onOpenChange={() => {
            setChanging(null);
          }}
          title={t('principles.focus.change', { day: changing === null ? '' : day(changing.on, 'long') })}
        >
          {changing === null || set === null ? null : (
            <SetByHand
              meeting={changing}
              set={set}
              onPropose={(principles, week) => {
                setChanging(null);
                proposal.propose([{ what: 'principles', meeting: changing.id, principles, week }]);
              }}
            />
          )}
        </Dialog>
      </Page>
    </>
  );
}

interface WeaveProps {
  term: TermAnswer;
  /** As they are, or as a change would leave them. */
  shown: Meeting[];
  set: GroupPrinciples;
  onChange: (meeting: Meeting) => void;
}

/** Meetings down, principles across: a stroke where one is worked on. */
function FocusWeave({ term, shown, set, onChange }: WeaveProps) {
  const { t } = useTranslation();
  const meetings = shown.filter((one) => one.state !== 'cancelled');
  const was = new Map(term.meetings.map((one) => [one.id, one]));
  const times = (id: string) => meetings.filter((one) => one.focus.some((focus) => focus.principle === id)).length;
  return (
    // The scrolling region takes the focus, so that the keyboard can scroll it.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className="wide relative w-full overflow-x-auto" role="region" aria-label={t('principles.focus.title')} tabIndex={0}>
      <table className="sheet w-full border-collapse text-sm">
        <thead>
          <tr>
            <th scope="col" className="sticky left-0 z-10 bg-paper pr-3 text-left align-bottom font-medium">
              {t('terms.colDate')}
            </th>
            {set.principles.map((one) => (
              <th
                key={one.id}
                scope="col"
                className="w-16 min-w-16 px-1 py-1 text-left align-bottom text-xs font-normal text-soft"
              >
                {one.title}
              </th>
            ))}
            <th scope="col" className="min-w-64 pl-3 text-left align-bottom font-medium">
              {t('boxes.focus')}
            </th>
          </tr>
        </thead>
        <tbody>
          {meetings.map((meeting) => {
            const focus = focusesOf(meeting, set);
            const before = was.get(meeting.id);
            const isByHand = Array.isArray(meeting.pins.principles);
            return (
              <tr key={meeting.id} className="border-t border-line" data-meeting={meeting.id}>
                <th
                  scope="row"
                  className={`sticky left-0 z-10 bg-paper py-1 pr-3 text-left whitespace-nowrap ${meeting.isToday ? 'font-semibold' : 'font-normal'} ${meeting.isPast ? 'text-soft' : ''}`}
                >
                  {day(meeting.on, 'weekday')}
                </th>
                {set.principles.map((one) => {
                  const own = focus.find((other) => other.id === one.id);
                  const isGone = own === undefined && before?.focus.some((other) => other.principle === one.id) === true;
                  return (
                    <td key={one.id} className="border-l border-line/60 px-1">
                      {own !== undefined ? (
                        <FocusMark isNew={own.isNew} isByHand={isByHand} isPast={meeting.isPast} />
                      ) : isGone ? (
                        <FocusMark isNew={false} isByHand={false} isPast={false} isGhost />
                      ) : null}
                    </td>
                  );
                })}
                <td className="pl-3">
                  <span className="flex flex-wrap items-center gap-x-2">
                    {focus.length === 0 ? (
                      <span className="text-soft">{meeting.isOpen ? t('principles.focus.nobody') : '–'}</span>
                    ) : (
                      focus.map((one) => (
                        <span key={one.id}>
                          {one.title}
                          {one.isNew ? <span className="text-soft"> · {t('focus.isNew')}</span> : null}{' '}
                          {one.why === null ? null : (
                            <Why about={t('focus.why', { title: one.title })}>
                              <p>{one.why}</p>
                              {one.principle === null ? null : (
                                <div className="mt-2 text-soft">
                                  <PrincipleText principle={one.principle} />
                                </div>
                              )}
                            </Why>
                          )}
                        </span>
                      ))
                    )}
                    {meeting.isOpen ? (
                      <Button
                        look="quiet"
                        className="no-print -my-2 px-1 text-sm"
                        aria-label={t('principles.focus.change', { day: day(meeting.on, 'long') })}
                        onClick={() => {
                          onChange(meeting);
                        }}
                      >
                        {t('principles.focus.open')}
                      </Button>
                    ) : null}
                  </span>
                </td>
              </tr>
            );
          })}
        </tbody>
        <tfoot>
          <tr className="border-t-2 border-ink text-soft">
            <td className="sticky left-0 z-10 bg-paper" />
            {set.principles.map((one) => (
              <td key={one.id} className="px-1 py-1 align-top text-xs">
                {times(one.id) === 0 ? t('principles.focus.never') : t('principles.focus.times', { count: times(one.id) })}
              </td>
            ))}
            <td />
          </tr>
        </tfoot>
      </table>
    </div>
  );
}

const MOST = [0, 1, 2] as const;

/** The focus of a meeting in the teacher's hand: up to three, for a night or for its week; or left to the plan again. */
function SetByHand({
  meeting,
  set,
  onPropose,
}: {
  meeting: Meeting;
  set: GroupPrinciples;
  onPropose: (principles: string[] | null, week: boolean) => void;
}) {
  const { t } = useTranslation();
  const [chosen, setChosen] = useState<string[]>(focusesOf(meeting, set).flatMap((one) => (one.principle ? [one.id] : [])));
  const [isWeek, setWeek] = useState(false);
  const places = MOST.slice(0, Math.min(Math.max(set.focuses, chosen.length, 1), 3));
  const pick = (at: number, id: string) => {
    setChosen((was) => {
      const next = [...was];
      if (id === '') next.splice(at, 1);
      else next[at] = id;
      return [...new Set(next.filter((one) => one !== undefined))];
    });
  };
  return (
    <div className="flex flex-col gap-3">
      {places.map((at) => (
        <Select
          key={at}
          label={t(at === 0 ? 'principles.focus.first' : 'principles.focus.second')}
          value={chosen[at] ?? ''}
          onValue={(id) => {
            pick(at, id);
          }}
          of={[
            { value: '', text: at === 0 ? t('principles.focus.noneAtAll') : t('principles.focus.nobody') },
            ...set.principles.map((one) => ({ value: one.id, text: one.title })),
          ]}
        />
      ))}
      <Tick checked={isWeek} onTick={setWeek}>
        {t('principles.focus.week')}
      </Tick>
      <div className="flex flex-wrap gap-2">
        <Button
          look="primary"
          onClick={() => {
            onPropose(chosen, isWeek);
          }}
        >
          {t('principles.focus.set')}
        </Button>
        {Array.isArray(meeting.pins.principles) ? (
          <Button
            onClick={() => {
              onPropose(null, isWeek);
            }}
          >
            {t('principles.focus.leave')}
          </Button>
        ) : null}
      </div>
    </div>
  );
}
