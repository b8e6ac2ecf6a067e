import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import { termEndQuery } from '../../api/queries';
import { PrintButton } from '../../kit/controls';
import { day } from '../../kit/format';
import { Asked, Empty, Page } from '../../kit/page';
import { Segmented } from '../../kit/Segmented';
import { useAddressed } from '../../kit/useAddressed';
import { GroupTabs } from '../groups/GroupTabs';
import { EachLetter } from './EachLetter';
import { GroupPage } from './GroupPage';
import { SchoolWords } from './SchoolWords';
import { WithForms } from './WithForms';

const PARTS = ['each', 'group', 'words'] as const;
type Part = (typeof PARTS)[number];

/** The end of a term: a letter to each student, a page for the group, and the words both are written in. */
export function LettersPlace() {
  const { t } = useTranslation();
  const { term = '' } = useParams();
  const [address, setAddress] = useAddressed();
  const part = PARTS.find((one) => one === address.get('part')) ?? 'each';
  const query = useQuery(termEndQuery(term));
  return (
    <Asked query={query}>
      {(end) => (
        <Page
          title={t('letters.title', { term: end.term.title })}
          kicker={`${end.term.groupName} · ${t('letters.about', { date: day(end.on, 'weekday') })}`}
          actions={part === 'words' ? undefined : <PrintButton />}
        >
          <GroupTabs group={end.term.groupId} term={end.term.id} />
          <div className="no-print mb-4 flex flex-wrap items-center gap-4">
            <Segmented<Part>
              label={t('letters.part')}
              value={part}
              onValue={(value) => {
                setAddress({ part: value === 'each' ? null : value });
              }}
              of={PARTS.map((value) => ({ value, text: t(`letters.parts.${value}`) }))}
            />
            {end.on < end.term.endsOn ? <span className="text-soft">{t('letters.still')}</span> : null}
          </div>
          <WithForms end={end}>
            {(forms) =>
              part === 'words' ? (
                <SchoolWords end={end} forms={forms} />
              ) : part === 'group' ? (
                <GroupPage end={end} forms={forms} />
              ) : end.students.length === 0 ? (
                <Empty title={t('letters.noStudents')} hint={t('letters.noStudentsHint')} />
              ) : (
                <EachLetter end={end} forms={forms} />
              )
            }
          </WithForms>
        </Page>
      )}
    </Asked>
  );
}
