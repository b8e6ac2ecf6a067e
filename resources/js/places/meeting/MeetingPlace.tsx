import { useQuery } from '@tanstack/react-query';
import { Tabs } from 'radix-ui';
import { useTranslation } from '../../messages';
import { useSearchParams } from '../../kit/router';
import { ulid } from 'ulid';
import type { Form, MeetingPage } from '../../api/client';
import { classQuery } from '../../api/queries';
import { useShownMeeting } from '../../api/useOutbox';
import { Button, ButtonLink, TextLink } from '../../kit/controls';
import { clock, day } from '../../kit/format';
import { Page } from '../../kit/page';
import { kindWords, meetingKind } from '../../pictures/meetingKind';
import { Ribbon } from '../../pictures/Ribbon';
import { SeasonLine } from '../../pictures/SeasonLine';
import { Timeline } from '../../pictures/Timeline';
import { fromPlan, toLog } from '../log/draft';
import { CareHead } from '../care/CareHead';
import { ColdRoom } from '../care/ColdRoom';
import { FromHome } from '../practice/FromHome';
import { BeingPlanned } from '../terms/BeingPlanned';
import { Attendance } from './Attendance';
import { Marking } from './Marking';
import { OpenedClass } from './OpenedClass';
import { PlanList } from './PlanList';
import { PodsPanel } from './PodsPanel';
import { stateIn } from './stateIn';
import { useLogs } from './useLogs';
import { usePresence } from './usePresence';
import { tip } from '../../kit/tip';

const tabs = ['plan', 'here', 'mark'] as const;

/** One class: its plan to the minute, who is here, and what they needed. */
export function MeetingPlace() {
  return <OpenedClass>{(page, forms) => <Class page={page} form={forms[page.courseId] as Form} forms={forms} />}</OpenedClass>;
}

function Class({ page, form, forms }: { page: MeetingPage; form: Form; forms: Record<string, Form> }) {
  const { t } = useTranslation();
  const [search, setSearch] = useSearchParams();
  const tonight = useQuery(classQuery(page.meeting.id));
  const { shown } = useShownMeeting(page);
  const { meeting, term } = shown;
  const presence = usePresence(shown);
  const care = page.care.filter((one) => presence.isHere(one.studentId));
  const wanted = tabs.find((tab) => tab === search.get('on')) ?? 'plan';
  const isFuture = !meeting.isToday && !meeting.isPast;
  const isCancelled = meeting.state === 'cancelled';
  return (
    <>
      <SeasonLine meetings={page.season} closures={page.closures} current={meeting.id} />
      <Page
        title={`${term.groupName}, ${day(meeting.on, 'weekday')}`}
        kicker={
          <>
            <TextLink to={`/terms/${term.id}`}>{term.title}</TextLink> · {clock(meeting.startsAt)} ·{' '}
            {kindWords(t, meetingKind(meeting), meeting.lessonNumbers)} · {t('plan.minutes', { count: meeting.minutes })}
          </>
        }
        actions={
          <>
            <ButtonLink to={`/meetings/${meeting.id}/sheet`}>{t('terms.sheet')}</ButtonLink>
            {isFuture || isCancelled ? null : (
              <>
                {meeting.isToday && !meeting.isHeld ? (
                  <ButtonLink to={`/meetings/${meeting.id}/floor`} look="primary">
                    {t('class.open')}
                  </ButtonLink>
                ) : null}
                <Logging page={shown} forms={forms} />
              </>
            )}
          </>
        }
      >
        {isCancelled ? (
          <p role="status" className="mb-4 border-l-4 border-persimmon bg-sheet px-4 py-2 font-medium">
            {day(meeting.on, 'weekday')}{' '}
            {meeting.reason ? t('terms.cancelledBecause', { reason: meeting.reason }) : t('terms.cancelled')}
          </p>
        ) : null}
        <Tabs.Root
          value={wanted}
          onValueChange={(value) => {
            setSearch({ on: value }, { replace: true });
          }}
        >
          <Tabs.List className="no-print mb-4 flex border-b border-line" aria-label={term.groupName}>
            {tabs.map((tab) => (
              <Tabs.Trigger
                key={tab}
                value={tab}
                className="min-h-14 grow border-b-4 border-transparent px-4 text-soft data-[state=active]:border-pine data-[state=active]:font-semibold data-[state=active]:text-ink sm:grow-0 sm:px-8"
              >
                {t(`meeting.${tab}`)}
              </Tabs.Trigger>
            ))}
          </Tabs.List>
          <Tabs.Content value="plan">
            <BeingPlanned term={term} />
            <Timeline meeting={meeting} />
            <FromHome group={term.groupId} />
            <CareHead
              meeting={meeting.id}
              care={care}
              noted={shown.students
                .filter(({ id }) => presence.isHere(id))
                .map(({ id, name }) => ({ id, name, of: presence.of(id) }))}
            />
            <PlanList
              meeting={meeting}
              form={form}
              forms={forms}
              principles={page.principles}
              warmUps={page.warmUps}
              care={care}
              withWarmUps={meeting.isHeld ? null : <ColdRoom group={term.groupId} isCold={page.warmUps.isCold} />}
              isLarge
            />
            <Ribbon form={form} state={stateIn(meeting, page.taught)} />
          </Tabs.Content>
          <Tabs.Content value="here">
            <Attendance page={shown} presence={presence} />
            <PodsPanel meeting={meeting.id} form={form} />
          </Tabs.Content>
          <Tabs.Content value="mark">
            {isFuture ? (
              <p className="text-soft">{t('meeting.future')}</p>
            ) : (
              <Marking page={page} forms={forms} tonight={tonight.data ?? null} />
            )}
          </Tabs.Content>
        </Tabs.Root>
      </Page>
    </>
  );
}

/** The class went as planned: one action, which can be taken back; or it went otherwise, and is told in its own place. */
function Logging({ page, forms }: { page: MeetingPage; forms: Record<string, Form> }) {
  const { t } = useTranslation();
  const logs = useLogs(page.meeting.id);
  const { meeting } = page;
  if (page.logId !== null) {
    const logId = page.logId;
    return (
      <>
        <Button
          onClick={(event) => {
            // The second half of a double click finds another button where it was aimed at the first.
            if (event.detail < 2) logs.takeBack(logId);
          }}
        >
          {t('meeting.logBack')}
        </Button>
        <ButtonLink to={`/meetings/${meeting.id}/log`}>{t('log.look')}</ButtonLink>
      </>
    );
  }
  return (
    <>
      <Button
        {...tip(t('meeting.logHint'))}
        onClick={(event) => {
          if (event.detail < 2) logs.keep(toLog(ulid(), fromPlan(page, forms, null), page, forms));
        }}
      >
        {t('meeting.log')}
      </Button>
      <ButtonLink to={`/meetings/${meeting.id}/log`}>{t('log.otherwise')}</ButtonLink>
    </>
  );
}
