import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { BookOpenText, Compass, House, MoreHorizontal, Sun, UserRound, UsersRound } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link, NavLink, Outlet, useLocation, useMatch } from 'react-router';
import { api, ask, type Session } from '../api/client';
import { closeOutbox, flush, openOutbox, waiting } from '../api/outbox';
import { endSession, forgetAnswers } from '../api/kept';
import { sessionQuery } from '../api/queries';
import { Button, Dialog } from '../kit/controls';
import { dropDrafts } from '../kit/draft';
import { Asked } from '../kit/page';
import { applyTheme, theme } from '../kit/theme';
import { EntryPlace } from './entry/EntryPlace';
import { NewVersion } from './NewVersion';
import { OutboxLine } from './outbox/OutboxLine';
import { useOutboxNews } from './useOutboxNews';

/** On a narrow screen the bar has room for four; the others stand behind More. */
const places = [
  { to: '/', key: 'today', Icon: Sun, isMore: false },
  { to: '/forms', key: 'forms', Icon: BookOpenText, isMore: false },
  { to: '/principles', key: 'principles', Icon: Compass, isMore: true },
  { to: '/groups', key: 'groups', Icon: UsersRound, isMore: false },
  { to: '/students', key: 'students', Icon: UserRound, isMore: false },
  { to: '/school', key: 'school', Icon: House, isMore: true },
] as const;

const placeLook = (isActive: boolean) =>
  `flex min-h-14 w-full flex-col items-center justify-center gap-0.5 border-t-4 text-xs no-underline lg:min-h-11 lg:flex-row lg:justify-start lg:gap-3 lg:border-t-0 lg:border-l-4 lg:px-4 lg:text-base ${
    isActive ? 'border-pine font-semibold text-ink' : 'border-transparent text-soft hover:text-ink'
  }`;

/** The rail or bar of places round whatever is open; or, for who is not signed in, the way in. */
export function Shell() {
  const session = useQuery(sessionQuery);
  return (
    <Asked query={session}>
      {(data) => (data.person && data.school ? <Rooms session={data} /> : <EntryPlace needsFounding={data.needsFounding} />)}
    </Asked>
  );
}

function Rooms({ session }: { session: Session }) {
  const { t } = useTranslation();
  const person = session.person?.id ?? '';
  useOutboxNews();
  useEffect(() => {
    void forgetAnswers(person);
    void openOutbox(person);
  }, [person]);
  const [isHelpOpen, setHelpOpen] = useState(false);
  const showHelp = () => {
    setHelpOpen(true);
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.key === '?' && !['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)) setHelpOpen(true);
    };
    window.addEventListener('keydown', onKey);
    return () => {
      window.removeEventListener('keydown', onKey);
    };
  }, []);
  const isOnFloor = useMatch('/meetings/:meeting/floor') !== null;
  if (isOnFloor) return <Outlet />;
  return (
    <div className="lg:flex">
      <a
        href="#page"
        className="sr-only focus:not-sr-only focus:fixed focus:top-2 focus:left-2 focus:z-50 focus:bg-sheet focus:p-3"
      >
        {t('app.skip')}
      </a>
      <nav
        aria-label={t('places.label')}
        className="fixed inset-x-0 bottom-0 z-20 flex border-t border-line bg-sheet lg:sticky lg:top-0 lg:h-screen lg:w-48 lg:shrink-0 lg:flex-col lg:border-t-0 lg:border-r lg:bg-paper lg:py-6"
      >
        <p className="mb-6 hidden px-5 font-serif text-2xl font-semibold lg:block">{t('app.name')}</p>
        <ul className="m-0 flex grow list-none p-0 lg:flex-col">
          {places.map(({ to, key, Icon, isMore }) => (
            <li key={to} className={isMore ? 'hidden lg:block' : 'grow lg:grow-0'}>
              <NavLink to={to} end={to === '/'} className={({ isActive }) => placeLook(isActive)}>
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
          <Corner onHelp={showHelp} />
        </div>
      </nav>
      <main id="page" className="min-w-0 grow px-4 pt-5 pb-28 sm:px-8 lg:pt-8 lg:pb-16">
        <NewVersion />
        <OutboxLine />
        <Outlet />
        <footer className="no-print mt-16 border-t border-line pt-3 text-sm lg:hidden">
          <p>
            {session.school?.name} · <span className="text-soft">{session.person?.name}</span>
          </p>
          <Corner onHelp={showHelp} />
        </footer>
      </main>
      <Dialog open={isHelpOpen} onOpenChange={setHelpOpen} title={t('keys.title')}>
        <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
          {(['arrows', 'mark', 'clear', 'notch', 'zoom', 'help'] as const).map((key) => (
            <div key={key} className="contents">
              <dt className="font-medium">{t(`keys.${key}`)}</dt>
              <dd>{t(`keys.${key}Do`)}</dd>
            </div>
          ))}
        </dl>
        {(['class', 'score'] as const).map((part) => (
          <section key={part}>
            <h3 className="mt-5 mb-2 text-lg">{t(`keys.${part}Title`)}</h3>
            <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-1 text-[0.95rem]">
              {(t(`keys.${part}Table`, { returnObjects: true }) as unknown as [string, string][]).map(([key, does]) => (
                <div key={key} className="contents">
                  <dt className="font-medium">{key}</dt>
                  <dd>{does}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </Dialog>
    </div>
  );
}

/** The places a narrow bar has no room for. */
function MorePlaces() {
  const { t } = useTranslation();
  const { pathname } = useLocation();
  const more = places.filter((one) => one.isMore);
  return (
    <li className="grow lg:hidden">
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className={placeLook(more.some(({ to }) => pathname.startsWith(to)))}>
          <MoreHorizontal size={20} strokeWidth={1.6} aria-hidden="true" />
          {t('places.more')}
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            sideOffset={6}
            collisionPadding={8}
            className="z-30 min-w-48 rounded border border-line bg-sheet py-1"
            style={{ boxShadow: 'var(--float)' }}
          >
            {more.map(({ to, key, Icon }) => (
              <DropdownMenu.Item key={to} asChild>
                <Link
                  to={to}
                  className="flex min-h-14 items-center gap-3 px-4 no-underline outline-none data-highlighted:bg-river2"
                >
                  <Icon size={20} strokeWidth={1.6} aria-hidden="true" />
                  {t(`places.${key}`)}
                </Link>
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
    </li>
  );
}

/** Light or dark, the keys, and the way out. */
function Corner({ onHelp }: { onHelp: () => void }) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const [chosen, setChosen] = useState(theme());
  const [unsent, setUnsent] = useState<number | null>(null);
  const signOut = useMutation({
    mutationFn: async (isAnyway: boolean) => {
      // What waits goes first; where it cannot, a person says whether it is to stay on this device.
      await flush();
      const waits = waiting().length;
      if (waits > 0 && !isAnyway) {
        setUnsent(waits);
        return null;
      }
      return ask(api.DELETE('/api/session'));
    },
    onSuccess: async (session) => {
      if (session === null) return;
      setUnsent(null);
      dropDrafts();
      closeOutbox();
      await endSession(client, session);
    },
  });
  const quiet = 'min-h-11 pr-4 text-left text-sm text-pine underline-offset-4 hover:underline lg:min-h-8';
  return (
    <div className="mt-2 flex flex-wrap lg:flex-col">
      <button
        type="button"
        className={quiet}
        onClick={() => {
          const next = chosen === 'day' ? 'hall' : 'day';
          applyTheme(next);
          setChosen(next);
        }}
      >
        {t(chosen === 'day' ? 'app.hall' : 'app.day')}
      </button>
      <button type="button" className={quiet} onClick={onHelp}>
        {t('app.shortcuts')}
      </button>
      <button
        type="button"
        className={quiet}
        onClick={() => {
          signOut.mutate(false);
        }}
      >
        {t(signOut.isPending ? 'outbox.signingOut' : 'app.signOut')}
      </button>
      <Dialog
        open={unsent !== null}
        onOpenChange={() => {
          setUnsent(null);
        }}
        title={t('outbox.signOutTitle')}
      >
        <p>{t('outbox.signOutWaits', { count: unsent ?? 0 })}</p>
        <p className="mt-2">{t('outbox.signOutKeeps')}</p>
        <div className="mt-4 flex flex-wrap gap-2">
          <Button
            look="primary"
            onClick={() => {
              setUnsent(null);
            }}
          >
            {t('outbox.signOutStay')}
          </Button>
          <Button
            disabled={signOut.isPending}
            onClick={() => {
              signOut.mutate(true);
            }}
          >
            {t('outbox.signOutAnyway')}
          </Button>
        </div>
      </Dialog>
    </div>
  );
}
