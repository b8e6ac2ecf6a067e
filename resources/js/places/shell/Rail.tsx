import { useTranslation } from '../../messages';
import type { ReactNode } from 'react';
import { NavLink } from '../../kit/router';
import type { Session } from '../../api/client';
import { AsOf } from '../../kit/AsOf';
import { NewVersion } from '../NewVersion';
import { OutboxLine } from '../outbox/OutboxLine';
import { Corner } from './Corner';
import { MorePlaces } from './MorePlaces';
import { placeLook } from '../../kit/placeLook';
import { SkipLink } from '../../kit/SkipLink';
import { places } from './places';

interface Props {
  session: Session;
  onHelp: () => void;
  onFind: () => void;
  onLeave: () => void;
  children: ReactNode;
}

/** The rail or bar of places, and what is open beside it. */
export function Rail({ session, onHelp, onFind, onLeave, children }: Props) {
  const { t } = useTranslation();
  const corner = <Corner onHelp={onHelp} onFind={onFind} onLeave={onLeave} />;
  return (
    <div className="lg:flex">
      <SkipLink to="page">{t('app.skip')}</SkipLink>
      <nav
        aria-label={t('places.label')}
        className="fixed inset-x-0 bottom-0 z-20 flex border-t border-line bg-sheet lg:sticky lg:top-0 lg:h-screen lg:w-48 lg:shrink-0 lg:flex-col lg:border-t-0 lg:border-r lg:bg-paper lg:py-6"
      >
        <p className="mb-6 hidden px-5 font-serif text-2xl font-semibold lg:block">{t('app.name')}</p>
        <ul className="m-0 flex grow list-none p-0 lg:flex-col">
          {places.map(({ to, key, Icon, isMore, ...more }) => (
            <li key={to} className={isMore ? 'hidden lg:block' : 'grow lg:grow-0'}>
              <NavLink to={to} end={to === '/'} {...more} className={({ isActive }) => placeLook(isActive)}>
                <Icon size={20} strokeWidth={1.6} aria-hidden="true" />
                {t(`places.${key}`)}
              </NavLink>
            </li>
          ))}
          <MorePlaces />
        </ul>
        <div className="hidden px-5 text-sm lg:block">
          <p className="font-medium break-words">{session.school?.name}</p>
          <p className="text-soft">{session.person?.name}</p>
          {corner}
        </div>
      </nav>
      <main id="page" tabIndex={-1} className="min-w-0 grow px-4 pt-5 pb-28 outline-none sm:px-8 lg:pt-8 lg:pb-16">
        <NewVersion />
        <OutboxLine />
        <AsOf />
        {children}
        <footer className="no-print mt-16 border-t border-line pt-3 text-sm lg:hidden">
          <p>
            {session.school?.name} · <span className="text-soft">{session.person?.name}</span>
          </p>
          {corner}
        </footer>
      </main>
    </div>
  );
}
