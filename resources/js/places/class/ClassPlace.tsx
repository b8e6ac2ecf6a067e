import { now as nowThere } from '../../api/clock';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useTranslation } from '../../messages';
import type { Form, MeetingPage } from '../../api/client';
import { classQuery, sessionQuery } from '../../api/queries';
import { useShownMeeting } from '../../api/useOutbox';
import { Button, ButtonLink } from '../../kit/controls';
import { clock } from '../../kit/format';
import { Empty } from '../../kit/page';
import { useNow } from '../../kit/useNow';
import { Timeline } from '../../pictures/Timeline';
import { AsOf } from '../../kit/AsOf';
import { OpenedClass } from '../meeting/OpenedClass';
import { costs } from './clock';
import { RunningClass } from './RunningClass';
import { lateness, start } from './run';
import { useRun } from './useRun';

/** A class on the floor: a screen of its own, on whatever this device keeps. */
export function ClassPlace() {
  return (
    <main id="page">
      <div className="fixed inset-x-2 top-1 z-20 empty:hidden">
        <AsOf isShort />
      </div>
      <OpenedClass>{(page, forms) => <Class page={page} forms={forms} />}</OpenedClass>
    </main>
  );
}

function Class({ page, forms }: { page: MeetingPage; forms: Record<string, Form> }) {
  const person = useQuery(sessionQuery).data?.person?.id;
  // A class is kept for the person who runs it, so they are known first.
  return person === undefined ? null : <ClassOf page={page} forms={forms} person={person} />;
}

function ClassOf({ page, forms, person }: { page: MeetingPage; forms: Record<string, Form>; person: string }) {
  const { t } = useTranslation();
  const tonight = useQuery(classQuery(page.meeting.id)).data ?? null;
  const [run, change] = useRun(page.meeting.id, person);
  useEffect(() => {
    document.title = `${t('class.title', { group: page.term.groupName })} · ${t('app.name')}`;
  }, [page.term.groupName, t]);
  if (run === undefined) return null;
  if (run !== null) {
    return (
      <RunningClass page={page} form={forms[page.courseId] as Form} forms={forms} tonight={tonight} run={run} change={change} />
    );
  }
  return (
    <Before
      of={page}
      onStart={(late) => {
        change(() => start(page.meeting, nowThere(), late));
      }}
    />
  );
}

/** Before the clock runs: what there is tonight, and what starting now costs. */
function Before({ of, onStart }: { of: MeetingPage; onStart: (late: number) => void }) {
  const { t } = useTranslation();
  const { shown: page } = useShownMeeting(of);
  const now = useNow(5_000);
  const { meeting } = page;
  const isFuture = !meeting.isToday && !meeting.isPast;
  if (meeting.isHeld || isFuture || meeting.state === 'cancelled' || Object.keys(meeting.boxes).length === 0) {
    const why = meeting.isHeld ? 'held' : isFuture ? 'future' : meeting.state === 'cancelled' ? 'cancelled' : 'unplanned';
    return (
      <div className="p-6">
        <Empty title={t(`class.cannot.${why}`)}>
          <ButtonLink look="primary" to={`/meetings/${meeting.id}`}>
            {t('terms.openMeeting')}
          </ButtonLink>
        </Empty>
      </div>
    );
  }
  const late = lateness(meeting, now);
  const then = start(meeting, now, late);
  const lost = costs(then.clock, then.planned);
  const minutes = Math.floor(late / 60);
  return (
    <div className="flex min-h-dvh flex-col justify-center gap-5 px-4 py-6 sm:px-10">
      <h1 className="text-[clamp(2rem,7vmin,4rem)]">{page.term.groupName}</h1>
      <p className="text-xl text-soft">{t('class.from', { at: clock(meeting.startsAt), minutes: meeting.minutes })}</p>
      <Timeline meeting={meeting} />
      <div className="flex flex-wrap gap-2">
        <Button
          look="primary"
          className="min-h-20 px-8 text-2xl"
          onClick={() => {
            onStart(lateness(meeting, nowThere()));
          }}
        >
          {minutes > 0 && !meeting.isPast ? t('class.startLate', { count: minutes }) : t('class.start')}
        </Button>
        {minutes > 0 ? (
          <Button
            className="min-h-20 px-6 text-lg"
            onClick={() => {
              onStart(0);
            }}
          >
            {t('class.startWhole')}
          </Button>
        ) : null}
        <ButtonLink className="min-h-20 px-6 text-lg" to={`/meetings/${meeting.id}`}>
          {t('class.leave')}
        </ButtonLink>
      </div>
      {lost.length > 0 ? (
        <p className="text-lg">
          {t('class.lateCosts')}{' '}
          {lost.map((cost) => t('class.falls', { box: t(`boxes.${cost.box}`), to: Math.round(cost.to / 60) })).join(' · ')}
        </p>
      ) : null}
    </div>
  );
}
