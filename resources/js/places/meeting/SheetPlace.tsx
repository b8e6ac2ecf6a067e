import { useQueries, useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { useParams } from 'react-router';
import { api, ask, type CueCard, type Form, type MeetingPage } from '../../api/client';
import { formQuery, meetingQuery } from '../../api/queries';
import { ButtonLink, PrintButton } from '../../kit/controls';
import { clock, day } from '../../kit/format';
import { Asked, Page } from '../../kit/page';
import { sentence } from '../../messages/say';
import { formsBy } from './formsBy';
import { PlanList } from './PlanList';

/** Tonight on one page: to the minute, with cues and cautions of what is new, who was away and who is new. */
export function SheetPlace() {
  const { meeting = '' } = useParams();
  const query = useQuery(meetingQuery(meeting));
  return <Asked query={query}>{(page) => <WithForms page={page} />}</Asked>;
}

function WithForms({ page }: { page: MeetingPage }) {
  const forms = useQueries({ queries: page.courses.map((one) => formQuery(one.formId, one.courseId)) });
  const ready = forms.map((one) => one.data).filter((one): one is Form => one !== undefined);
  const first = forms[0];
  if (first === undefined || ready.length < forms.length) return first ? <Asked query={first}>{() => null}</Asked> : null;
  return <Sheet page={page} forms={ready} />;
}

function Sheet({ page, forms }: { page: MeetingPage; forms: Form[] }) {
  const { t } = useTranslation();
  const { meeting, term } = page;
  const focus = (meeting.pins.focus as string | undefined) ?? null;
  return (
    <Page
      title={`${term.groupName}, ${day(meeting.on, 'long')}`}
      kicker={[clock(meeting.startsAt), t('plan.minutes', { count: meeting.minutes }), page.room].filter(Boolean).join(' · ')}
      actions={
        <>
          <PrintButton />
          <ButtonLink to={`/meetings/${meeting.id}`}>{t('terms.openMeeting')}</ButtonLink>
        </>
      }
    >
      <div className="sheet">
        {focus ? (
          <p className="text-lg">
            <strong>{t('boxes.focus')}:</strong> {focus}
          </p>
        ) : null}
        {page.awayLast.length > 0 ? (
          <p>
            <strong>{t('meeting.awayLast')}</strong> {page.awayLast.join(', ')}
          </p>
        ) : null}
        {page.newcomers.length > 0 ? (
          <p>
            <strong>{t('meeting.newcomers')}</strong> {page.newcomers.join(', ')}
          </p>
        ) : null}
        <PlanList meeting={meeting} forms={formsBy(page, forms)} form={forms[0] as Form} />
        {page.courses.map((course, at) => (
          <Cues key={course.courseId} page={page} course={course.courseId} form={forms[at] as Form} />
        ))}
      </div>
    </Page>
  );
}

/** Cues, cautions and checks of what is new tonight. */
function Cues({ page, course, form }: { page: MeetingPage; course: string; form: Form }) {
  const { t } = useTranslation();
  const lessons = page.meeting.courses.find((one) => one.courseId === course)?.lessons ?? [];
  const from = Math.min(...lessons.map((one) => one.from));
  const to = Math.max(...lessons.map((one) => one.to));
  const cards = useQuery({
    queryKey: ['cards', form.id, from, to, 'facing'],
    enabled: lessons.length > 0,
    queryFn: () =>
      ask(api.GET('/api/forms/{form}/cards', { params: { path: { form: form.id }, query: { from, to, view: 'facing' } } })),
  });
  const told = (cards.data ?? []).filter((card) => card.cues.length + card.cautions.length + card.checks.length > 0);
  if (told.length === 0) return null;
  return (
    <section aria-label={t('meeting.cues', { form: form.title })}>
      <h2 className="mt-4 mb-1 text-xl">{t('meeting.cues', { form: form.title })}</h2>
      {told.some((card) => card.needsSupport) ? <p className="font-medium">{t('meeting.ready')}</p> : null}
      <ul className="m-0 list-none p-0">
        {told.map((card: CueCard) => (
          <li key={card.position} className="border-b border-line py-1">
            <strong>
              {card.number ?? ''} {card.title}
            </strong>
            {card.cues.length > 0 ? <span> · {card.cues.join(' ')}</span> : null}
            {card.checks.length > 0 ? <span className="text-soft"> · {card.checks.join('; ')}</span> : null}
            {card.cautions.length > 0 ? (
              <span className="font-medium text-persimmon"> · {card.cautions.map(sentence).join(' ')}</span>
            ) : null}
          </li>
        ))}
      </ul>
    </section>
  );
}
