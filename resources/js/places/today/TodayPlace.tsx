import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { Why } from '../../kit/Why';
import type { Today, TonightPage } from '../../api/client';
import { todayQuery } from '../../api/queries';
import { useForms } from '../../api/useForms';
import { now } from '../../api/clock';
import { dayThere } from '../../api/shown';
import { canKeepPages } from '../../api/worker';
import { FromHome } from '../practice/FromHome';
import { useKeepClasses } from '../../api/useKeepClasses';
import { ButtonLink, TextLink } from '../../kit/controls';
import { clock, day } from '../../kit/format';
import { Notice } from '../../kit/Notice';
import { Asked, Empty, Page, Warnings } from '../../kit/page';
import { kindWords, meetingKind } from '../../pictures/meetingKind';
import { Ribbon } from '../../pictures/Ribbon';
import { SeasonLine } from '../../pictures/SeasonLine';
import { Timeline } from '../../pictures/Timeline';
import { formsBy, namedForm } from '../meeting/formsBy';
import { PlanList } from '../meeting/PlanList';
import { stateIn } from '../meeting/stateIn';
import { CareHead } from '../care/CareHead';
import { BeingPlanned } from '../terms/BeingPlanned';
import { tip } from '../../kit/tip';

/** What is on: tonight's plan is the first thing on the screen. */
export function TodayPlace() {
  const { t } = useTranslation();
  const query = useQuery(todayQuery);
  return (
    <Asked query={query}>
      {(data) => (
        <>
          <Prepared today={data} />
          {canKeepPages() ? null : (
            <p className="no-print mb-3 text-sm text-soft">
              {t('app.noOfflineShort')}{' '}
              <Why about={t('app.noOfflineShort')}>
                <p>{t('app.noOffline')}</p>
              </Why>
            </p>
          )}
          {data.isDemoOver ? <Warnings title={t('app.warnings')} lines={[t('today.demoOver')]} /> : null}
          <Kept today={data} />
          <Unsaid unsaid={data.unsaid} />
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

/** Opening Today keeps the next class of every group, and all of the coming week, on this device. */
function Prepared({ today }: { today: Today }) {
  useKeepClasses(today);
  return null;
}

/** Where nothing newer than an earlier day can be had, what this device keeps of today and the days after it is opened from here. */
function Kept({ today }: { today: Today }) {
  const { t } = useTranslation();
  const kept = today.coming.filter((one) => {
    const here = dayThere(one, now());
    return here > today.today && one.on >= here;
  });
  if (kept.length === 0) return null;
  return (
    <Notice tone="attention" label={t('today.kept')} className="no-print mb-4">
      <div className="flex flex-wrap items-center gap-x-4">
        <span>{t('today.kept')}:</span>
        {kept.map((one) => (
          <TextLink key={one.meetingId} to={`/meetings/${one.meetingId}`} isAlone>
            {t('today.keptOne', { group: one.groupName, date: day(one.on, 'weekday'), time: clock(one.startsAt) })}
          </TextLink>
        ))}
      </div>
    </Notice>
  );
}

/** What classes that went by did hold is asked for, since what nobody said counts as not taught. */
function Unsaid({ unsaid }: { unsaid: Today['unsaid'] }) {
  const { t } = useTranslation();
  if (unsaid.length === 0) return null;
  return (
    <Notice tone="decision" label={t('today.unsaid')} className="no-print mb-4">
      <div {...tip(t('today.unsaidHint'))} className="flex flex-wrap items-center gap-x-4">
        <span>{t('today.unsaid')}:</span>
        {unsaid.map((one) => (
          <TextLink key={one.meetingId} to={`/meetings/${one.meetingId}?on=here`} isAlone>
            {t('today.unsaidOne', { group: one.groupName, date: day(one.on, 'weekday') })}
          </TextLink>
        ))}
      </div>
    </Notice>
  );
}

function Tonight({ page }: { page: TonightPage }) {
  const { t } = useTranslation();
  const { meeting, term } = page;
  const { all, ready } = useForms(page.courses.map(namedForm));
  const { look, notYet, of } = page.readiness;
  const readiness =
    meeting.lesson === null
      ? t('today.noLesson')
      : of === 0
        ? t('today.noStudents')
        : [notYet > 0 ? t('today.notReady', { count: notYet, of }) : null, look > 0 ? t('today.look', { count: look }) : null]
            .filter(Boolean)
            .join(' · ') || t('today.allReady', { of });
  return (
    <section className="mb-14" aria-label={term.groupName}>
      <SeasonLine meetings={page.season} closures={page.closures} current={meeting.id} group={page.term.groupName} />
      <Page
        title={`${term.groupName}, ${clock(meeting.startsAt)}`}
        kicker={
          <>
            {day(meeting.on, 'long')} · {kindWords(t, meetingKind(meeting), meeting.lessonNumbers)} ·{' '}
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
        <BeingPlanned term={term} />
        <Timeline meeting={meeting} />
        <FromHome group={term.groupId} />
        <p className="my-3">
          {readiness}{' '}
          {notYet + look > 0 && meeting.lesson ? <TextLink to={`/groups/${term.groupId}`}>{t('today.who')}</TextLink> : null}
        </p>
        <Asked query={all[0] as (typeof all)[number]}>
          {(found) => (
            <>
              <CareHead meeting={meeting.id} care={page.care} />
              <PlanList
                meeting={meeting}
                principles={page.principles}
                warmUps={page.warmUps}
                care={page.care}
                form={found}
                forms={formsBy(page, ready)}
              />
              <Ribbon form={found} state={stateIn(meeting, page.taught)} />
            </>
          )}
        </Asked>
      </Page>
    </section>
  );
}
