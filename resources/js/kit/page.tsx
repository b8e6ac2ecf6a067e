import type { UseQueryResult } from '@tanstack/react-query';
import { type ReactNode, useEffect } from 'react';
import { useTranslation } from '../messages';
import { Link } from './router';
import { Problem, Unreachable } from '../api/client';
import { arriveAt } from './arrival';
import { Notice } from './Notice';
import { Button } from './controls';

interface PageProps {
  title: string;
  kicker?: ReactNode;
  actions?: ReactNode;
  children: ReactNode;
}

/** The frame of a place: its title, what can be done, and what is in it. */
export function Page({ title, kicker, actions, children }: PageProps) {
  const { t } = useTranslation();
  useEffect(() => {
    document.title = `${title} · ${t('app.name')}`;
  }, [title, t]);
  return (
    <>
      <header className="mb-6 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <div className="min-w-0">
          {kicker ? <div className="mb-1 text-sm text-soft">{kicker}</div> : null}
          <h1 ref={arriveAt} tabIndex={-1} className="text-[2rem] break-words outline-none">
            {title}
          </h1>
        </div>
        {actions ? <div className="no-print flex flex-wrap gap-2">{actions}</div> : null}
      </header>
      {children}
    </>
  );
}

export function Heading({ children, aside }: { children: ReactNode; aside?: ReactNode }) {
  return (
    <div className="mt-8 mb-3 flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-line pb-1">
      <h2 className="text-xl">{children}</h2>
      {aside ? <div className="text-sm text-soft">{aside}</div> : null}
    </div>
  );
}

export function Warnings({ title, lines }: { title: string; lines: string[] }) {
  if (lines.length === 0) return null;
  return (
    <Notice tone="attention" label={title} className="my-3">
      {lines.length === 1 ? (
        <p>{lines[0]}</p>
      ) : (
        <ul className="list-disc pl-5">
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
    </Notice>
  );
}

export function Trouble({ error, onRetry }: { error: unknown; onRetry?: (() => void) | undefined }) {
  const { t } = useTranslation();
  return (
    <Notice tone="decision" role="alert" className="my-4">
      <p>{error instanceof Problem ? error.message : t('app.unreachable')}</p>
      {onRetry ? (
        <Button className="mt-2" onClick={onRetry}>
          {t('app.retry')}
        </Button>
      ) : null}
    </Notice>
  );
}

export function Empty({ title, hint, children }: { title: string; hint?: string; children?: ReactNode }) {
  return (
    <div className="max-w-xl border-t border-b border-line py-8">
      <h2 className="text-xl">{title}</h2>
      {hint ? <p className="mt-2 text-soft">{hint}</p> : null}
      {children ? <div className="mt-4 flex flex-wrap gap-2">{children}</div> : null}
    </div>
  );
}

interface Listed {
  to: string;
  title: string;
  detail: string;
}

/** The rows of a place, each leading to its page; or, while there are none, what to do first. */
export function Listing({ rows, empty, hint, first }: { rows: Listed[]; empty: string; hint: string; first: ReactNode }) {
  if (rows.length === 0) {
    return (
      <Empty title={empty} hint={hint}>
        {first}
      </Empty>
    );
  }
  return (
    <ul className="m-0 list-none border-t border-line p-0">
      {rows.map((row) => (
        <li key={row.to} className="border-b border-line">
          <Link to={row.to} className="flex flex-wrap items-baseline gap-x-6 gap-y-1 py-4 no-underline hover:text-pine">
            <h2 className="min-w-64 grow text-xl break-words">{row.title}</h2>
            <span className="text-soft">{row.detail}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}

/** What was asked for, or its loading and error states. */
export function Asked<T>({ query, children }: { query: UseQueryResult<T>; children: (data: T) => ReactNode }) {
  if (query.data !== undefined) return children(query.data);
  if (query.fetchStatus === 'paused') return <Trouble error={new Unreachable()} onRetry={() => void query.refetch()} />;
  if (query.isError) return <Trouble error={query.error} onRetry={() => void query.refetch()} />;
  return <Waiting />;
}

/** What stands where something is on its way. */
export function Waiting() {
  const { t } = useTranslation();
  return (
    <div role="status" className="py-10 text-soft">
      <span className="sr-only">{t('app.loading')}</span>
      <div aria-hidden="true" className="flex flex-col gap-3">
        <div className="h-8 w-72 max-w-full animate-pulse rounded bg-line" />
        <div className="h-24 w-full animate-pulse rounded bg-line/60" />
        <div className="h-4 w-2/3 animate-pulse rounded bg-line/60" />
      </div>
    </div>
  );
}
