import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { Fold } from '../../kit/Fold';
import { Link } from '../../kit/router';
import { api, ask, type Course, type Meeting, type Question, type Term } from '../../api/client';
import { questionsQuery } from '../../api/queries';
import { keys } from '../../api/keys';
import { Button, ButtonLink } from '../../kit/controls';
import { Dialog } from '../../kit/Dialog';
import { day, number, share } from '../../kit/format';
import { Heading, Page, Warnings } from '../../kit/page';
import { useAsOne } from '../../kit/useAsOne';
import { Segmented } from '../../kit/Segmented';
import { useMay } from '../../kit/useMay';
import { type Said, sentence } from '../../messages/say';
import { CarryLessons, TickSpot } from '../../pictures/CarryLessons';
import { partOf } from '../../pictures/coursePart';
import { kindIn, kindWords, meetingKind } from '../../pictures/meetingKind';
import { SeasonLine } from '../../pictures/SeasonLine';
import { Weave } from '../../pictures/Weave';
import { GroupTabs } from '../groups/GroupTabs';
import { usePassageWords } from '../meeting/PlanList';
import { Removing } from '../Removing';
import { OpenedTerm } from './OpenedTerm';
import { AddMeeting, CloseDays } from './AddMeeting';
import { BeingPlanned } from './BeingPlanned';
import { ChangeMeeting } from './ChangeMeeting';
import { AddCourse, CoursePanel } from './CoursePanel';
import { History } from './History';
import { Outlook } from './Outlook';
import { ProposalBar } from './ProposalBar';
import { SolvePanel } from './SolvePanel';
import { type TermChange, useProposal } from './useProposal';

/** A term: the weave of what is new, reviewed and run through at each meeting, and a plan in the hand. */
export function TermPlace() {
  return <OpenedTerm>{(term) => <Laid term={term} />}</OpenedTerm>;
}

type Open = 'course' | 'addCourse' | 'addMeeting' | 'closeDays' | null;

/** What gates and rhythm cost, once that is worked out. */
function costsOf(questions: Question[] | undefined): Said[] {
  const found = questions?.find((one) => one.kind === 'costs' && one.state === 'done' && !one.isOld);
  return (found?.answer as { costs?: Said[] } | null)?.costs ?? [];
}

function Laid({ term }: { term: Term }) {
  const { t } = useTranslation();
  const may = useMay();
  const { groupName, title, groupId, startsOn, endsOn, held, meetings } = term.term;
  const [chosenCourse, setCourse] = useState(term.courses[0]?.id ?? '');
  const course = term.courses.find((one) => one.id === chosenCourse) ?? (term.courses[0] as Course);
  const [open, setOpen] = useState<Open>(null);
  const [chosen, setChosen] = useState<Meeting | null>(null);
  const proposal = useProposal(term);
  const questions = useQuery(questionsQuery(term.term.id));
  const shown = proposal.preview?.meetings ?? term.meetings;
  const propose = (changes: TermChange[]) => {
    setOpen(null);
    setChosen(null);
    proposal.propose(changes);
  };
  const dialogs: Record<Exclude<Open, null>, { title: string; body: React.ReactNode }> = {
    course: {
      title: course.form.title,
      body: (
        <CoursePanel
          key={`${course.id}${String(term.version)}`}
          term={term}
          course={course}
          onDone={() => {
            setOpen(null);
          }}
        />
      ),
    },
    addCourse: {
      title: t('terms.courseAdd'),
      body: (
        <AddCourse
          term={term}
          onDone={() => {
            setOpen(null);
          }}
        />
      ),
    },
    addMeeting: { title: t('terms.addMeeting'), body: <AddMeeting term={term} onPropose={propose} /> },
    closeDays: { title: t('terms.closeDays'), body: <CloseDays term={term} onPropose={propose} /> },
  };
  return (
    <CarryLessons
      meetings={term.meetings}
      onMove={(lesson, meeting) => {
        propose([{ what: 'lesson', course: course.id, number: lesson, meeting }]);
      }}
    >
      <SeasonLine
        meetings={term.meetings}
        closures={term.closures}
        showing={course.showingOn}
        around={
          term.isOver
            ? undefined
            : (tick, link) => {
                const meeting = shown.find((one) => one.id === tick.id);
                return meeting ? (
                  <TickSpot meeting={meeting} course={course.id}>
                    {link}
                  </TickSpot>
                ) : (
                  link
                );
              }
        }
      />
      <Page
        title={`${groupName} · ${title}`}
        kicker={`${term.courses.map((one) => one.form.title).join(', ')} · ${day(startsOn)} – ${day(endsOn)} · ${t('terms.held', { held, of: meetings })}`}
        actions={
          <>
            <ButtonLink to={`/terms/${term.term.id}/focus`}>{t('principles.focus.title')}</ButtonLink>
            <ButtonLink to={`/terms/${term.term.id}/compare`}>{t('terms.compare')}</ButtonLink>
            <ButtonLink to={`/terms/${term.term.id}/wall`}>{t('terms.wall')}</ButtonLink>
            {may('plan') ? <ButtonLink to={`/terms/${term.term.id}/letters`}>{t('letters.tab')}</ButtonLink> : null}
            <ButtonLink to={`/groups/${groupId}/terms`}>{t('terms.othersOfGroup')}</ButtonLink>
            <ButtonLink to={`/terms/new?after=${term.term.id}`}>{t('terms.nextTerm')}</ButtonLink>
          </>
        }
      >
        <GroupTabs group={groupId} term={term.term.id} />
        <BeingPlanned term={term.term} />
        <ProposalBar proposal={proposal} />
        <div className="flex flex-wrap items-center gap-3">
          {term.courses.length > 1 ? (
            <Segmented
              label={t('terms.courses')}
              value={course.id}
              onValue={setCourse}
              of={term.courses.map((one) => ({
                value: one.id,
                text: `${one.form.title} · ${share(one.share)}`,
              }))}
            />
          ) : null}
          {term.courses.length > 1 ? <strong className="hidden font-medium print:block">{course.form.title}</strong> : null}
          <span className="grow text-soft">
            {t(
              `terms.approachNames.${course.keeps.length > 0 ? 'kept' : (course.approach as 'outline' | 'piece' | 'sides' | 'whole')}`,
            )}
          </span>
        </div>
        <div className="flex flex-wrap items-center gap-x-3">
          {term.isOver ? null : (
            <>
              {(
                [
                  ['course', 'courseChange'],
                  ['addCourse', 'courseAdd'],
                  ['addMeeting', 'addMeeting'],
                  ['closeDays', 'closeDays'],
                ] as const
              ).map(([what, words]) => (
                <Button
                  key={what}
                  look="quiet"
                  className="no-print px-1"
                  onClick={() => {
                    setOpen(what);
                  }}
                >
                  {t(`terms.${words}`)}
                </Button>
              ))}
            </>
          )}
        </div>
        <Outlook course={course} meetings={term.meetings} {...(term.isOver ? {} : { term: term.term.id })} />
        {course.showingFallenOut === null ? null : (
          <p role="status" className="text-persimmon">
            {t('terms.showingFallenOut', { on: day(course.showingFallenOut, 'weekday') })}
          </p>
        )}
        <Warnings title={t('app.warnings')} lines={term.warnings.map(sentence)} />
        <Heading aside={t('terms.legend')}>{t('terms.weave')}</Heading>
        <Weave
          form={course.form}
          course={course.id}
          meetings={shown}
          closures={term.closures}
          was={proposal.preview === null ? undefined : term.meetings}
          canMove={!term.isOver}
          onChoose={setChosen}
        />
        <Elsewhere term={term} course={course} changes={proposal.changes} questions={questions.data} />
        <p className="no-print mt-2 text-sm text-soft">
          {term.isOver || course.keeps.length > 0 ? null : t('terms.dragHint')} {t('terms.planHint')}
        </p>
        {/* Worked out after the plan: under the weave, so that their coming moves nothing under a hand that carries a lesson. */}
        <Warnings title={t('terms.costsTitle')} lines={costsOf(questions.data).map(sentence)} />
        <AsTable
          term={term}
          course={course}
          onChoose={(meeting) => {
            setChosen(meeting);
          }}
        />
        {term.isOver || course.keeps.length > 0 ? null : <SolvePanel term={term} course={course} />}
        <History term={term.term.id} />
        <p className="no-print mt-6">
          <Removing what="term" id={term.term.id} label={t('terms.removeTerm')} to={`/groups/${groupId}`} />
        </p>
      </Page>
      <Dialog
        open={open !== null}
        onOpenChange={(is) => {
          if (!is) setOpen(null);
        }}
        title={open === null ? '' : dialogs[open].title}
      >
        {open === null ? null : dialogs[open].body}
      </Dialog>
      <Dialog
        wide
        open={chosen !== null}
        onOpenChange={(is) => {
          if (!is) setChosen(null);
        }}
        title={chosen === null ? '' : day(chosen.on, 'long')}
      >
        {chosen === null ? null : <ChangeMeeting term={term} meeting={chosen} course={course} onPropose={propose} />}
      </Dialog>
    </CarryLessons>
  );
}

/** While a lesson is carried to another evening: what it would cost on the others, as soon as that is worked out. */
function Elsewhere({
  term,
  course,
  changes,
  questions,
}: {
  term: Term;
  course: Course;
  changes: TermChange[] | null;
  questions: Question[] | undefined;
}) {
  const { t } = useTranslation();
  const moved = changes?.find((one) => one.what === 'lesson' && typeof one.meeting === 'string');
  const lesson = typeof moved?.number === 'number' ? moved.number : 0;
  const { asOne } = useAsOne();
  const asked = useQuery({
    queryKey: keys.places(term.term.id, term.version, lesson),
    enabled: lesson > 0,
    queryFn: () =>
      ask(
        api.POST('/api/terms/{term}/questions', {
          params: { path: { term: term.term.id }, header: asOne([term.version, lesson]) },
          body: { kind: 'places', course: course.id, number: lesson },
        }),
      ),
  });
  if (lesson === 0) return null;
  const found = questions?.find((one) => one.id === asked.data?.id) ?? asked.data;
  const places = (found?.answer as { places?: { on: string; cost: number }[] } | null)?.places;
  if (found?.state === 'waiting' || found?.state === 'running' || places === undefined)
    return (
      <p role="status" className="no-print mt-1 text-sm text-soft">
        {t('terms.placesWorking')}
      </p>
    );
  return (
    <p className="no-print mt-1 text-sm">
      {t('terms.places', {
        list: places
          .map(({ on, cost }) =>
            cost < 0.05
              ? t('terms.placesNothing', { on: day(on) })
              : t('terms.placesCost', { on: day(on), number: `−${number(cost, 1)}` }),
          )
          .join(', '),
      })}
    </p>
  );
}

function AsTable({ term, course, onChoose }: { term: Term; course: Course; onChoose: (meeting: Meeting) => void }) {
  const { t } = useTranslation();
  const words = usePassageWords(course.form);
  const head = 'py-1 pr-4 text-left font-normal text-soft';
  return (
    <Fold look="link" className="mt-6" title={t('terms.asTable')}>
      <div className="relative overflow-x-auto">
        <table className="border-collapse text-[0.95rem]">
          <thead>
            <tr>
              {(['colDate', 'colKind', 'colNew', 'colReview', 'colTaught', 'colRecall'] as const).map((key) => (
                <th key={key} scope="col" className={head}>
                  {t(`terms.${key}`)}
                </th>
              ))}
              <td />
            </tr>
          </thead>
          <tbody>
            {term.meetings.map((meeting) => {
              const part = partOf(meeting, course.id);
              const kind = meetingKind(meeting);
              return (
                <tr key={meeting.id} className="border-t border-line">
                  <th scope="row" className="py-1.5 pr-4 text-left font-normal whitespace-nowrap">
                    <Link to={`/meetings/${meeting.id}`}>{day(meeting.on, 'weekday')}</Link>
                  </th>
                  <td className="pr-4">{kindWords(t, kindIn(kind, part), part.numbers)}</td>
                  {kind === 'past' || kind === 'cancelled' ? (
                    // What was planned for an evening nobody spoke of says nothing about what is taught.
                    <td className="pr-4 text-soft" colSpan={4}>
                      {kind === 'past'
                        ? t('terms.notSaid')
                        : meeting.reason
                          ? t('terms.cancelledBecause', { reason: meeting.reason })
                          : t('terms.cancelled')}
                    </td>
                  ) : (
                    <>
                      <td className="pr-4">{part.lessons.map(words.numbers).join(', ') || '–'}</td>
                      <td className="pr-4">{part.review.map(words.numbers).join(', ') || '–'}</td>
                      <td className="pr-4 text-right">{part.taughtAfter ?? 0}</td>
                      <td className="text-right">{share(part.recallAfter)}</td>
                    </>
                  )}
                  <td className="no-print pl-3">
                    {meeting.isOpen ? (
                      <Button
                        look="quiet"
                        aria-label={t('terms.changeMeetingOf', { date: day(meeting.on, 'weekday') })}
                        onClick={() => {
                          onChoose(meeting);
                        }}
                      >
                        {t('terms.changeMeeting')}
                      </Button>
                    ) : null}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
    </Fold>
  );
}
