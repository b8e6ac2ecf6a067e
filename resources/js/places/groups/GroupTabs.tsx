import { useTranslation } from '../../messages';
import { TabBar } from '../../kit/TabBar';

/** The places of a group: its terms, where everyone stands, who is in it, and what its classes held. */
export function GroupTabs({ group, term }: { group: string; term?: string | null }) {
  const { t } = useTranslation();
  return (
    <TabBar
      label={t('groups.parts')}
      of={[
        { to: term ? `/terms/${term}` : `/groups/${group}/terms`, text: t('groups.term') },
        { to: `/groups/${group}`, text: t('groups.standing'), isExact: true },
        { to: `/groups/${group}/principles`, text: t('principles.group.tab') },
        { to: `/groups/${group}/people`, text: t('groups.peoplePart') },
        { to: `/groups/${group}/practice`, text: t('practice.tab') },
        { to: `/groups/${group}/book`, text: t('book.tab') },
      ]}
    />
  );
}
