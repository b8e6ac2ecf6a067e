import { useTranslation } from '../../messages';
import type { Term } from '../../api/client';
import { ButtonLink, PrintButton } from '../../kit/controls';
import { clock, day } from '../../kit/format';
import { Page } from '../../kit/page';
import { partOf } from '../../pictures/coursePart';
import { usePassageWords } from '../meeting/PlanList';
import { OpenedTerm } from './OpenedTerm';

/** A term as one page of paper, for the wall: dates and what is new, and no names. */
export function WallPlace() {
  return <OpenedTerm>{(term) => <Wall term={term} />}</OpenedTerm>;
}

function Wall({ term }: { term: Term }) {
  const { t } = useTranslation();
  return (
    <Page
      title={t('terms.wallTitle', { group: term.term.groupName, term: term.term.title })}
      kicker={[term.courses.map((one) => one.form.title).join(', '), term.room].filter(Boolean).join(' · ')}
      actions={
        <>
          <PrintButton />
          <ButtonLink to={`/terms/${term.term.id}`}>{t('groups.openTerm')}</ButtonLink>
        </>
      }
    >
      <table className="sheet w-full border-collapse">
        <thead>
          <tr>
            {[t('terms.colDate'), t('terms.at'), ...term.courses.map((one) => one.form.title)].map((head) => (
              <th key={head} scope="col" className="border-b-2 border-ink py-1 pr-4 text-left">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {term.meetings.map((meeting) => (
            <tr key={meeting.id} className="border-b border-line align-baseline">
              <th scope="row" className="py-1 pr-4 text-left font-medium whitespace-nowrap">
                {day(meeting.on, 'weekday')}
              </th>
              <td className="pr-4 whitespace-nowrap">
                {clock(meeting.startsAt)}
                {meeting.room ? ` · ${meeting.room}` : ''}
              </td>
              {meeting.state === 'cancelled' ? (
                <td colSpan={term.courses.length}>
                  {meeting.reason ? t('terms.cancelledBecause', { reason: meeting.reason }) : t('terms.cancelled')}
                </td>
              ) : (
                term.courses.map((course) => <New key={course.id} course={course} meeting={meeting} />)
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </Page>
  );
}

function New({ course, meeting }: { course: Term['courses'][number]; meeting: Term['meetings'][number] }) {
  const { t } = useTranslation();
  const words = usePassageWords(course.form);
  const lessons = partOf(meeting, course.id).lessons;
  return (
    <td className="pr-4">
      {lessons.length === 0
        ? meeting.isPast && !meeting.isHeld
          ? t('terms.notSaid')
          : t('kind.consolidation')
        : lessons.map((lesson) => words.whole(lesson)).join('; ')}
    </td>
  );
}
