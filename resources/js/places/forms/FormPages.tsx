import type { ReactNode } from 'react';
import { useTranslation } from '../../messages';
import { Page } from '../../kit/page';
import { TabBar } from '../../kit/TabBar';

const pages = [
  ['', 'lessons'],
  ['/cut', 'cut'],
  ['/score', 'score'],
  ['/floor', 'floor'],
  ['/time', 'time'],
  ['/cards', 'cards'],
  ['/versions', 'versions'],
  ['/files', 'files'],
] as const;

interface Props {
  id: string;
  title: string;
  kicker?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
}

/** The frame of everything that belongs to one form, with the way from one page of it to another. */
export function FormPages({ id, title, kicker, actions, children }: Props) {
  const { t } = useTranslation();
  return (
    <Page title={title} kicker={kicker} actions={actions}>
      <TabBar
        isOneRow
        label={t('forms.pages')}
        of={pages.map(([path, key]) => ({ to: `/forms/${id}${path}`, text: t(`forms.tabs.${key}`), isExact: true }))}
      />
      {children}
    </Page>
  );
}
