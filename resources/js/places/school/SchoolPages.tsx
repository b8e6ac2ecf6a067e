import type { ReactNode } from 'react';
import { useTranslation } from '../../messages';
import { useQuery } from '@tanstack/react-query';
import { sessionQuery } from '../../api/queries';
import { Page } from '../../kit/page';
import { TabBar } from '../../kit/TabBar';
import { useMay } from '../../kit/useMay';

/** The frame of what holds for the whole school. */
export function SchoolPages({ actions, children }: { actions?: ReactNode; children: ReactNode }) {
  const { t } = useTranslation();
  const may = useMay();
  const school = useQuery(sessionQuery).data?.school;
  return (
    <Page title={t('school.title')} kicker={school?.name} actions={actions}>
      <TabBar
        label={t('school.tabs.label')}
        of={[
          { to: '/school', text: t('school.tabs.warmUps'), isExact: true },
          { to: '/school/forecast', text: t('school.tabs.forecast') },
          { to: '/school/details', text: t('school.tabs.details') },
          ...(may('plan') ? [{ to: '/school/mailbox', text: t('school.tabs.mailbox') }] : []),
        ]}
      />
      {children}
    </Page>
  );
}
