import type { ReactNode } from 'react';
import { useTranslation } from '../../messages';
import { NavLink } from '../../kit/router';
import { Page } from '../../kit/page';

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
      <nav aria-label={t('forms.pages')} className="no-print -mt-2 mb-5 overflow-x-auto border-b border-line">
        <ul className="m-0 flex list-none gap-1 p-0">
          {pages.map(([path, key]) => (
            <li key={key}>
              <NavLink
                to={`/forms/${id}${path}`}
                end
                className={({ isActive }) =>
                  `flex min-h-11 items-center border-b-3 px-3 whitespace-nowrap no-underline ${
                    isActive ? 'border-pine font-semibold text-ink' : 'border-transparent text-soft hover:text-ink'
                  }`
                }
              >
                {t(`forms.tabs.${key}`)}
              </NavLink>
            </li>
          ))}
        </ul>
      </nav>
      {children}
    </Page>
  );
}
