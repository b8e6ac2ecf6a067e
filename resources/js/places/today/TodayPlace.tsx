import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { MeetingPage } from '../../api/client';
import { todayQuery } from '../../api/queries';
import { ButtonLink } from '../../kit/controls';
import { clock, day } from '../../kit/format';
import { Asked, Empty, Page, Warnings } from '../../kit/page';
import { meetingKind } from '../../pictures/meetingKind';
import { Ribbon } from '../../pictures/Ribbon';
import { SeasonLine } from '../../pictures/SeasonLine';
import { Timeline } from '../../pictures/Timeline';
import { PlanList } from '../meeting/PlanList';
import { stateIn } from '../meeting/stateIn';

/** What is on: tonight's plan is the first thing on the screen. */
export function TodayPlace() {
  const { t } = useTranslation();
  const query = useQuery(todayQuery);
  return (
    <Asked query={query}>
      {(data) => (
        <>
          {data.isDemoOver ? <Warnings title={t('terms.warnings')} lines={[t('today.demoOver')]} /> : null}
          {data.meetings.map((page) => (
            <Tonight key={page.meeting.id} page={page} />
          ))}
          {data.meetings.length === 0 ? (
            <Page title={t('today.none')} kicker={day(data.today, 'long')}>
              {data.next && data.nextTerm ? (
                <Empty
                  title={t('today.next', {
                    group: data.nextTerm.groupName,
                    date: `${day(data.next.on, 'weekday')}, ${clock(data.next.startsAt)}`,
                  })}
                >
                  <ButtonLink look="primary" to={`/meetings/${data.next.id}`}>
                    {t('today.openNext')}
                  </ButtonLink>
                </Empty>
              ) : !data.hasForms ? (
                <Empty title={t('today.empty')} hint={t('today.emptyForm')}>
                  <ButtonLink look="primary" to="/forms/new">
                    {t('today.pasteForm')}
                  </ButtonLink>
                </Empty>
              ) : !data.hasGroups ? (
                <Empty title={t('today.empty')} hint={t('today.emptyGroup')}>
                  <ButtonLink look="primary" to="/groups?new">
                    {t('today.makeGroup')}
                  </ButtonLink>
                </Empty>
              ) : (
                <Empty title={t('today.noMore')} hint={t('today.emptyTerm')}>
                  <ButtonLink look="primary" to="/terms/new">
                    {t('today.layTerm')}
                  </ButtonLink>
                </Empty>
              )}
            </Page>
          ) : null}
        </>
      )}
    </Asked>
  );
}

function Tonight({ page }: { page: MeetingPage }) {
  const { t } = useTranslation();
  const { meeting, term, form, students } = page;
  const notReady = students.filter((student) => student.notReady.length > 0).length;
  const readiness =
    meeting.lesson === null
      ? t('today.noLesson')
      : notReady === 0
        ? t('today.allReady', { of: students.length })
        : t('today.notReady', { count: notReady, of: students.length });
  return (
    <section className="mb-14" aria-label={term.groupName}>
      <SeasonLine meetings={page.season} closures={page.closures} current={meeting.id} />
      <Page
        title={`${term.groupName}, ${clock(meeting.startsAt)}`}
        kicker={
          <>
            {day(meeting.on, 'long')} · {t(`kind.${meetingKind(meeting)}`, { number: meeting.lessonNumber ?? '' })} ·{' '}
            {t('plan.minutes', { count: meeting.minutes })}
            {meeting.isHeld ? ` · ${t('today.held')}` : ''}
          </>
        }
        actions={
          <ButtonLink look="primary" to={`/meetings/${meeting.id}?on=mark`}>
            {t('today.openMeeting')}
          </ButtonLink>
        }
      >
        <Timeline meeting={meeting} />
        <p className="my-3">
          {readiness}{' '}
          {notReady > 0 && meeting.lesson ? (
            <Link to={`/groups/${term.groupId}`} className="text-pine underline underline-offset-4">
              {t('today.who')}
            </Link>
          ) : null}
        </p>
        <PlanList meeting={meeting} form={form} />
        <Ribbon form={form} state={stateIn(meeting, page.season)} />
      </Page>
    </section>
  );
}
