import type { ReactNode } from 'react';
import { useTranslation } from '../../messages';
import type { PrincipleSet } from '../../api/client';
import { Page } from '../../kit/page';
import { TabBar } from '../../kit/TabBar';

/** The frame of everything that belongs to one set of principles. */
export function SetPages({ set, actions, children }: { set: PrincipleSet; actions?: ReactNode; children: ReactNode }) {
  const { t } = useTranslation();
  return (
    <Page
      title={set.title}
      kicker={[t('principles.count', { count: set.principles.length }), set.families.join(', ')].filter(Boolean).join(' · ')}
      actions={actions}
    >
      <TabBar
        label={t('principles.tabs.label')}
        of={[
          { to: `/principles/${set.id}`, text: t('principles.tabs.set'), isExact: true },
          { to: `/principles/${set.id}/joins`, text: t('principles.tabs.joins') },
          { to: `/principles/${set.id}/versions`, text: t('principles.tabs.versions') },
        ]}
      />
      {children}
    </Page>
  );
}
