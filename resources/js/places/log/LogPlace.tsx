import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useTranslation } from '../../messages';
import { useSearchParams } from '../../kit/router';
import { ulid } from 'ulid';
import type { ClassLog, Form, MeetingPage } from '../../api/client';
import { outbox } from '../../api/outbox';
import { logQuery } from './queries';
import { useOutbox, useShownMeeting } from '../../api/useOutbox';
import { ButtonLink, TextLink } from '../../kit/controls';
import { day } from '../../kit/format';
import { Notice } from '../../kit/Notice';
import { Asked, Empty, Page } from '../../kit/page';
import type { Run } from '../class/run';
import { runOf } from '../class/useRun';
import { OpenedClass } from '../meeting/OpenedClass';
import { useLogs } from '../meeting/useLogs';
import { Moved } from './Moved';
import { fromLog, fromPlan, toLog, withAddition } from './draft';
import { Telling } from './Telling';

/** What a class did hold: said in two minutes, looked at, or corrected. */
export function LogPlace() {
  return <OpenedClass needsAll>{(page, forms) => <WithLog page={page} forms={forms} />}</OpenedClass>;
}

/** The log that stands, on the device or on the server; and what this device saw of the class. */
function WithLog({ page, forms }: { page: MeetingPage; forms: Record<string, Form> }) {
  const { kept } = useOutbox();
  const { shown } = useShownMeeting(page);
  const [run, setRun] = useState<Run | null | undefined>(undefined);
  const [made, setMade] = useState<string | null>(null);
  useEffect(() => {
    void runOf(page.meeting.id).then(setRun);
  }, [page.meeting.id]);
  const own = kept.flatMap(({ command, refusal }) =>
    command.kind === 'log' && command.meeting === page.meeting.id && refusal === null ? [command.log] : [],
  );
  const waiting = own[own.length - 1];
  const isOnServer = shown.logId !== null && waiting?.id !== shown.logId;
  const standing = useQuery({ ...logQuery(page.meeting.id), enabled: isOnServer });
  if (run === undefined) return null;
  const common = { page: shown, forms, run, made, onMade: setMade };
  if (!isOnServer) return <Log {...common} standing={waiting ?? null} />;
  return <Asked query={standing}>{(found) => <Log {...common} standing={(found.log as ClassLog | null) ?? null} />}</Asked>;
}

interface LogProps {
  page: MeetingPage;
  forms: Record<string, Form>;
  run: Run | null;
  standing: ClassLog | null;
  /** The log that was made here, just now. */
  made: string | null;
  onMade: (log: string) => void;
}

function Log({ page, forms, run, standing, made, onMade }: LogProps) {
  const { t } = useTranslation();
  const [search, setSearch] = useSearchParams();
  const logs = useLogs(page.meeting.id);
  const { meeting, term } = page;
  const adding = search.get('add');
  const mine = adding === null ? undefined : outbox().kept.find((one) => one.id === adding)?.command;
  const isCorrecting = search.get('correct') !== null || mine !== undefined;
  const isFuture = !meeting.isToday && !meeting.isPast;
  const title = t('log.title', { group: term.groupName, date: day(meeting.on, 'weekday') });
  const kicker = <TextLink to={`/meetings/${meeting.id}`}>{t('log.toClass')}</TextLink>;
  if (isFuture || meeting.state === 'cancelled') {
    return (
      <Page title={title} kicker={kicker}>
        <Empty title={t(isFuture ? 'log.future' : 'log.cancelled')} />
      </Page>
    );
  }
  if (standing !== null && !isCorrecting) {
    return (
      <Page
        title={title}
        kicker={kicker}
        actions={
          <>
            <ButtonLink to={`/meetings/${meeting.id}/log?correct`}>{t('log.correct')}</ButtonLink>
            <ButtonLink to={`/groups/${term.groupId}/book`}>{t('log.book')}</ButtonLink>
          </>
        }
      >
        <Moved term={term} log={standing} isMine={made !== null} />
        <Telling page={page} forms={forms} start={fromLog(standing, page, forms)} isLocked onKeep={() => undefined} />
      </Page>
    );
  }
  const fromMine = mine?.kind === 'log' ? fromLog(mine.log, page, forms) : null;
  const there = standing === null ? null : fromLog(standing, page, forms);
  const start =
    fromMine !== null
      ? there === null
        ? { ...fromMine, replaces: null }
        : withAddition(there, fromMine)
      : (there ?? fromPlan(page, forms, run));
  return (
    <Page title={title} kicker={kicker}>
      {fromMine !== null && there !== null ? (
        <Notice tone="decision" className="mb-4">
          {t('log.added')}
        </Notice>
      ) : null}
      <p className="mb-4 max-w-3xl text-soft">
        {t(standing !== null ? 'log.correctHint' : run !== null ? 'log.fromFloor' : 'log.fromPlan')}
      </p>
      <Telling
        key={`${standing?.id ?? ''}${adding ?? ''}`}
        page={page}
        forms={forms}
        start={start}
        name={`log.${meeting.id}.${standing?.id ?? ''}.${adding ?? ''}`}
        onKeep={(draft) => {
          const id = ulid();
          logs.keep(toLog(id, draft, page, forms), adding);
          onMade(id);
          setSearch({}, { replace: true });
          window.scrollTo(0, 0);
        }}
      />
    </Page>
  );
}
