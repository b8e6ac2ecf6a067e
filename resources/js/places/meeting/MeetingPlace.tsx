import { useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { Tabs } from 'radix-ui';
import { useTranslation } from 'react-i18next';
import { Link, useParams, useSearchParams } from 'react-router';
import { ulid } from 'ulid';
import { api, ask, type Form, type MeetingPage, Problem } from '../../api/client';
import { flush, waiting } from '../../api/outbox';
import { formQuery, meetingQuery } from '../../api/queries';
import { Button, ButtonLink } from '../../kit/controls';
import { clock, day } from '../../kit/format';
import { Asked, Page } from '../../kit/page';
import { useTell } from '../../kit/toasts';
import { useOnce } from '../../kit/useOnce';
import { meetingKind } from '../../pictures/meetingKind';
import { Ribbon } from '../../pictures/Ribbon';
import { SeasonLine } from '../../pictures/SeasonLine';
import { Timeline } from '../../pictures/Timeline';
import { BeingPlanned } from '../terms/BeingPlanned';
import { Attendance } from './Attendance';
import { Marking } from './Marking';
import { asPlanned } from './asPlanned';
import { PlanList, usePassageWords } from './PlanList';
import { formsBy } from './formsBy';
import { stateIn } from './stateIn';
import { useMarks } from './useMarks';
import { type Presence, usePresence } from './usePresence';

const tabs = ['plan', 'here', 'mark'] as const;

/** One class: its plan to the minute, who is here, and what they needed. */
export function MeetingPlace() {
  const { meeting = '' } = useParams();
  const query = useQuery(meetingQuery(meeting));
  return <Asked query={query}>{(page) => <WithForm key={page.meeting.id} page={page} />}</Asked>;
}

function WithForm({ page }: { page: MeetingPage }) {
  const query = useQuery(formQuery(page.formId, page.courseId));
  const others = useQueries({ queries: page.courses.slice(1).map((one) => formQuery(one.formId, one.courseId)) });
  return (
    <Asked query={query}>
      {(form) => (
        <Class
          page={page}
          form={form}
          forms={formsBy(
            page,
            [form, ...others.map((one) => one.data)].filter((one): one is Form => one !== undefined),
          )}
        />
      )}
    </Asked>
  );
}

function Class({ page, form, forms }: { page: MeetingPage; form: Form; forms: Record<string, Form> }) {
  const { t } = useTranslation();
  const [search, setSearch] = useSearchParams();
  const { meeting, term } = page;
  const presence = usePresence(page);
  const marks = useMarks(page, form, usePassageWords(form).numbers);
  const wanted = tabs.find((tab) => tab === search.get('on')) ?? 'plan';
  const isFuture = !meeting.isToday && !meeting.isPast;
  return (
    <>
      <SeasonLine meetings={page.season} closures={page.closures} current={meeting.id} />
      <Page
        title={`${term.groupName}, ${day(meeting.on, 'weekday')}`}
        kicker={
          <>
            <Link to={`/terms/${term.id}`} className="text-pine underline underline-offset-4">
              {term.title}
            </Link>{' '}
            · {clock(meeting.startsAt)} · {t(`kind.${meetingKind(meeting)}`, { number: meeting.lessonNumber ?? '' })} ·{' '}
            {t('plan.minutes', { count: meeting.minutes })}
          </>
        }
        actions={
          <>
            <ButtonLink to={`/meetings/${meeting.id}/sheet`}>{t('terms.sheet')}</ButtonLink>
            {isFuture || meeting.state === 'cancelled' ? null : <Logging page={page} forms={forms} presence={presence} />}
          </>
        }
      >
        {meeting.state === 'cancelled' ? (
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
            <PlanList meeting={meeting} form={form} forms={forms} isLarge />
            <Ribbon form={form} state={stateIn(meeting, page.taught)} />
          </Tabs.Content>
          <Tabs.Content value="here">
            <Attendance page={page} presence={presence} />
          </Tabs.Content>
          <Tabs.Content value="mark">
            {isFuture ? (
              <p className="text-soft">{t('meeting.future')}</p>
            ) : (
              <Marking page={page} form={form} presence={presence} marks={marks} />
            )}
          </Tabs.Content>
        </Tabs.Root>
      </Page>
    </>
  );
}

/** Something of a class is still kept on this device. */
class Unsent extends Error {}

/** The class went as planned: one action, which can be taken back. */
function Logging({ page, forms, presence }: { page: MeetingPage; forms: Record<string, Form>; presence: Presence }) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const tell = useTell();
  const { meeting } = page;
  const refresh = async () => {
    for (const key of ['meeting', 'today', 'term', 'terms', 'group']) await client.invalidateQueries({ queryKey: [key] });
  };
  const onError = (error: unknown) => {
    const message =
      error instanceof Problem ? error.message : t(error instanceof Unsent ? 'meeting.logUnsent' : 'app.unreachable');
    tell(message, { isProblem: true });
  };
  const back = useMutation({
    mutationFn: (log: string) =>
      ask(api.POST('/api/withdrawals', { body: { withdrawals: [{ id: ulid(), of: log, at: new Date().toISOString() }] } })),
    onSuccess: async () => {
      await refresh();
      tell(t('meeting.logBackDone'));
    },
    onError,
  });
  const log = useMutation({
    mutationFn: async (id: string) => {
      // The log says what everyone here was given, so the server must know first who was here.
      await flush();
      if ((await waiting()).length > 0) throw new Unsent();
      return ask(
        api.POST('/api/meetings/{meeting}/log', {
          params: { path: { meeting: meeting.id } },
          body: asPlanned(id, page, forms, presence.isHere),
        }),
      );
    },
    onSuccess: async (_, id) => {
      await refresh();
      tell(t('meeting.logDone'), {
        takeBack: () => {
          back.mutate(id);
        },
      });
    },
    onError,
  });
  const keep = useOnce(log);
  const takeBack = useOnce(back);
  if (page.logId !== null) {
    const logId = page.logId;
    return (
      <Button
        disabled={back.isPending}
        onClick={() => {
          takeBack(logId);
        }}
      >
        {t('meeting.logBack')}
      </Button>
    );
  }
  return (
    <Button
      look="primary"
      title={t('meeting.logHint')}
      disabled={log.isPending}
      onClick={() => {
        keep(ulid());
      }}
    >
      {t('meeting.log')}
    </Button>
  );
}
