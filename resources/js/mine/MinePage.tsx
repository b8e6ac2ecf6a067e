import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useTranslation } from '../messages';
import { ask, isPassing, type Mine, Problem } from '../api/client';
import { day, writeAs } from '../kit/format';
import { Notice } from '../kit/Notice';
import { WeekFocus, useSheetWords } from '../places/practice/HomeSheet';
import { AskTeacher } from './AskTeacher';
import { mine } from './client';
import { DidIt } from './DidIt';
import { OwnForm } from './OwnForm';
import { PassageCard } from './PassageCard';
import { sendWaiting } from './sending';
import { forget, keep, type Kept, lastKept } from './store';
import { useWaiting, Waiting } from './Waiting';

/** What opened the page: a token behind the #, which is taken out of the address before anything else is done. */
function takeToken(): string | null {
  const token = window.location.hash.slice(1);
  if (token === '') return null;
  window.history.replaceState(null, '', window.location.pathname);
  return token;
}

/** The token of this visit; the page may be drawn twice, the address is read once. */
const token = takeToken();
let opening: Promise<void> | null = null;

function open(): Promise<void> {
  if (token === null) return Promise.resolve();
  opening ??= ask(mine.POST('/mine/api/open', { body: { token } })).then(() => undefined);
  return opening;
}

/** Asks the server; what it last said stands in for it where there is no network. */
async function read(): Promise<Kept> {
  try {
    await open();
    let data = await ask(mine.GET('/mine/api'));
    // What this device noted for one student is never sent as another's.
    const before = await lastKept();
    if (before !== undefined && before.data.id !== data.id) await forget();
    if (await sendWaiting()) data = await ask(mine.GET('/mine/api'));
    writeAs(data.locale);
    const kept: Kept = { key: 'mine', at: new Date().toISOString(), data };
    await keep(kept);
    return kept;
  } catch (error) {
    const kept = isPassing(error) && !(error instanceof Problem && error.status === 401) ? await lastKept() : undefined;
    if (kept === undefined) throw error;
    writeAs(kept.data.locale);
    return kept;
  }
}

/** A student's own page. */
export function MinePage() {
  const { t } = useTranslation();
  const client = useQueryClient();
  const query = useQuery({ queryKey: ['mine'], queryFn: read });
  useEffect(() => {
    const again = () => {
      void client.invalidateQueries({ queryKey: ['mine'] });
    };
    window.addEventListener('online', again);
    return () => {
      window.removeEventListener('online', again);
    };
  }, [client]);
  if (query.data) return <Own kept={query.data} />;
  if (query.isError) {
    const isClosed = query.error instanceof Problem && [401, 403].includes(query.error.status);
    const wasGuest = token === null && isClosed;
    return (
      <main className="mx-auto max-w-xl px-4 py-16">
        <h1 className="text-2xl">{isClosed ? t(wasGuest ? 'mine.noLink' : 'mine.closed') : t('app.unreachable')}</h1>
        {isClosed ? <p className="mt-2 text-soft">{t(wasGuest ? 'mine.noLinkHint' : 'mine.closedHint')}</p> : null}
      </main>
    );
  }
  return (
    <main className="mx-auto max-w-xl px-4 py-16" role="status">
      {t('mine.opening')}
    </main>
  );
}

function Own({ kept: { data, at } }: { kept: Kept }) {
  const { t } = useTranslation();
  const waiting = useWaiting();
  const [isOnline, setOnline] = useState(navigator.onLine);
  useEffect(() => {
    const change = () => {
      setOnline(navigator.onLine);
    };
    window.addEventListener('online', change);
    window.addEventListener('offline', change);
    return () => {
      window.removeEventListener('online', change);
      window.removeEventListener('offline', change);
    };
  }, []);
  useEffect(() => {
    document.title = t('mine.title', { name: data.name });
  }, [data.name, t]);
  const isOld = Date.now() - Date.parse(at) > 60_000;
  return (
    <main className="mx-auto max-w-2xl px-4 py-6">
      <h1 className="text-[1.8rem]">{t('mine.title', { name: data.name })}</h1>
      {!isOnline || isOld ? (
        <Notice tone="attention" role="status" className="my-3">
          {t('mine.offline', { date: day(at.slice(0, 10), 'weekday') })}
        </Notice>
      ) : null}
      <Waiting waiting={waiting} />
      {data.weeks.length === 0 ? <p className="my-4">{t('mine.noWeek')}</p> : null}
      {data.weeks.map((week) => (
        <Week key={week.group} data={data} week={week} />
      ))}
      <AskTeacher questions={data.notes.questions} />
      {data.weeks.flatMap((week) => week.forms.map((form) => <OwnForm key={form.courseId} own={form} />))}
      <p className="mt-8 border-t border-line pt-2 text-sm text-soft">{t('practice.care')}</p>
    </main>
  );
}

function Week({ data, week }: { data: Mine; week: Mine['weeks'][number] }) {
  const { t } = useTranslation();
  const words = useSheetWords();
  return (
    <section className="mb-8">
      <p className="text-soft">
        {t('mine.school', { school: data.school, group: week.group })} · {t('mine.until', { date: day(week.next, 'weekday') })}
      </p>
      <WeekFocus focus={week.focus} />
      {week.passages.length === 0 ? (
        <p className="my-3">{t('practice.nothing')}</p>
      ) : (
        <>
          <p className="mt-3">
            {words.when(week.days, week.minutes)}. {t('practice.twice')}
          </p>
          {week.passages.map((one) => (
            <PassageCard
              key={`${one.passage.courseId}${String(one.passage.from)}`}
              one={one}
              form={week.forms.find((form) => form.courseId === one.passage.courseId)?.form}
              next={week.next}
            />
          ))}
          <DidIt entries={week.passages.flatMap((one) => one.entryIds)} notes={data.notes} />
        </>
      )}
    </section>
  );
}
