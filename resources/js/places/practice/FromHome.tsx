import { TextLink } from '../../kit/controls';
import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { groupHomeQuery } from '../../api/queries';

/** In one line, what came back from home since the last classes; nothing where nothing did. */
export function FromHome({ group }: { group: string }) {
  const { t } = useTranslation();
  const notes = useQuery(groupHomeQuery(group)).data;
  if (notes === undefined || notes.practices.length + notes.questions.length === 0) return null;
  const people = new Set(notes.practices.map((one) => one.studentId)).size;
  return (
    <p className="no-print my-2">
      {[
        people > 0 ? t('fromHome.people', { count: people }) : null,
        notes.questions.length > 0 ? t('fromHome.open', { count: notes.questions.length }) : null,
      ]
        .filter((part) => part !== null)
        .join(' · ')}{' '}
      <TextLink to={`/groups/${group}/practice`} isAlone>
        {t('fromHome.look')}
      </TextLink>
    </p>
  );
}
