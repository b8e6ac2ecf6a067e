import { useTranslation } from 'react-i18next';
import { NavLink } from 'react-router';

/** The places of a group: its terms, where everyone stands, and who is in it. */
export function GroupTabs({ group, term }: { group: string; term?: string | null }) {
  const { t } = useTranslation();
  const tab =
    'inline-flex min-h-11 items-center border-b-4 border-transparent px-4 text-soft no-underline hover:border-line aria-[current=page]:border-pine aria-[current=page]:font-semibold aria-[current=page]:text-ink';
  return (
    <nav aria-label={t('groups.parts')} className="no-print mb-4 flex border-b border-line">
      {term ? (
        <NavLink to={`/terms/${term}`} className={tab}>
          {t('groups.term')}
        </NavLink>
      ) : (
        <NavLink to={`/groups/${group}/terms`} className={tab}>
          {t('groups.term')}
        </NavLink>
      )}
      <NavLink to={`/groups/${group}`} end className={tab}>
        {t('groups.standing')}
      </NavLink>
      <NavLink to={`/groups/${group}/people`} className={tab}>
        {t('groups.peoplePart')}
      </NavLink>
    </nav>
  );
}
