import { useQuery } from '@tanstack/react-query';
import { useTranslation } from 'react-i18next';
import { Link, useParams } from 'react-router';
import { api, ask, type Term } from '../../api/client';
import { termQuery } from '../../api/queries';
import { Button, ButtonLink } from '../../kit/controls';
import { day, recall } from '../../kit/format';
import { Asked, Heading, Page, Warnings } from '../../kit/page';
import { meetingKind } from '../../pictures/meetingKind';
import { SeasonLine } from '../../pictures/SeasonLine';
import { Weave } from '../../pictures/Weave';
import { BeingPlanned } from './BeingPlanned';
import { Removing } from '../Removing';
import { usePassageWords } from '../meeting/PlanList';
import { sentence } from '../../messages/say';

/** A term: the weave of what is new, reviewed and run through at each meeting. */
export function TermPlace() {
  const { term = '' } = useParams();
  const query = useQuery(termQuery(term));
  return <Asked query={query}>{(data) => <Laid term={data} />}</Asked>;
}

function Laid({ term }: { term: Term }) {
  const { t } = useTranslation();
  const { groupName, title, groupId, startsOn, endsOn, held, meetings } = term.term;
  return (
    <>
      <SeasonLine meetings={term.meetings} closures={term.closures} />
      <Page
        title={`${groupName} · ${title}`}
        kicker={`${term.form.title} · ${day(startsOn)} – ${day(endsOn)} · ${t('terms.held', { held, of: meetings })}`}
        actions={
          <>
            <Button
              onClick={() => {
                window.print();
              }}
            >
              {t('terms.printed')}
            </Button>
            <ButtonLink to={`/groups/${groupId}`}>{t('groups.map')}</ButtonLink>
          </>
        }
      >
        <BeingPlanned term={term.term} />
        <Warnings title={t('terms.warnings')} lines={term.warnings.map(sentence)} />
        <Heading aside={t('terms.legend')}>{t('terms.weave')}</Heading>
        <Weave term={term} />
        <p className="mt-2 text-sm text-soft">
          {t('terms.planHint')} {t('terms.taughtAfter', { count: 0 }).replace('0', 'n')} · .nn = {t('terms.recallHint')}.{' '}
          {t(`terms.approaches.${term.approach as 'outline' | 'piece' | 'sides'}`)}.
        </p>
        <AsTable term={term} />
        <p className="no-print mt-6">
          <Removing
            label={t('terms.removeTerm')}
            hint={t('terms.removeHint')}
            remove={() => ask(api.DELETE('/api/terms/{term}', { params: { path: { term: term.term.id } } }))}
            touches="term"
            to="/terms"
          />
        </p>
      </Page>
    </>
  );
}

function AsTable({ term }: { term: Term }) {
  const { t } = useTranslation();
  const words = usePassageWords(term.form);
  const head = 'py-1 pr-4 text-left font-normal text-soft';
  return (
    <details className="mt-6">
      <summary className="min-h-11 py-2 text-pine underline underline-offset-4">{t('terms.asTable')}</summary>
      <div className="relative overflow-x-auto">
        <table className="border-collapse text-[0.95rem]">
          <thead>
            <tr>
              {(['colDate', 'colKind', 'colNew', 'colReview', 'colTaught', 'colRecall'] as const).map((key) => (
                <th key={key} scope="col" className={head}>
                  {t(`terms.${key}`)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {term.meetings.map((meeting) => (
              <tr key={meeting.id} className="border-t border-line">
                <th scope="row" className="py-1.5 pr-4 text-left font-normal whitespace-nowrap">
                  <Link to={`/meetings/${meeting.id}`}>{day(meeting.on, 'weekday')}</Link>
                </th>
                <td className="pr-4">{t(`kind.${meetingKind(meeting)}`, { number: meeting.lessonNumber ?? '' })}</td>
                {meetingKind(meeting) === 'past' ? (
                  // What was planned for an evening nobody spoke of says nothing about what is taught.
                  <td className="pr-4 text-soft" colSpan={4}>
                    {t('terms.notSaid')}
                  </td>
                ) : (
                  <>
                    <td className="pr-4">{meeting.lesson ? words.numbers(meeting.lesson) : '–'}</td>
                    <td className="pr-4">{meeting.review.map(words.numbers).join(', ') || '–'}</td>
                    <td className="pr-4 text-right">{meeting.taughtAfter}</td>
                    <td className="text-right">{recall(meeting.recallAfter)}</td>
                  </>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
