import { hashKey, type Query, type QueryClient } from '@tanstack/react-query';
import type { MeetingPage, Session, Today } from './client';
import { device, type KeptAnswer } from './device';
import { keys } from './keys';

/**
 * Answers kept in this browser: the next class of every group with all it needs, so that it can be opened, run, marked
 * and logged without a network. They are shown with their age, and kept until a day after the class.
 */
const DAY_MS = 86_400_000;
/** So long the forms of a class may be kept after they were last asked for. */
const FORM_DAYS = 14;
/** A page that changes with every tap is written down once in a while. */
const EVERY_MS = 1_000;

/** The shapes of the server's answers, as this build knows them. */
declare const __SHAPES__: string;

/** Until when an answer is kept, null for one that is not. */
function keptUntil(query: Query, client: QueryClient, now: number): number | null {
  const [what, id, course] = query.queryKey as [string, unknown, unknown];
  const dayAfter = (on: string) => Date.parse(`${on}T23:59:59Z`) + DAY_MS;
  switch (what) {
    case 'session':
    case 'today':
      return now + FORM_DAYS * DAY_MS;
    case 'meeting':
      return dayAfter((query.state.data as MeetingPage).meeting.on);
    case 'class': {
      const on = (client.getQueryData(keys.meeting(String(id))) as MeetingPage | undefined)?.meeting.on;
      return on === undefined ? null : dayAfter(on);
    }
    case 'form':
      return course === undefined ? null : now + FORM_DAYS * DAY_MS;
    default:
      return null;
  }
}

/** What this browser keeps as it was written down last, by the hash of its query: what, and when the server said it (ms). */
type Written = Map<string, { data: unknown; at: number }>;

/**
 * What was kept of the person who used this browser last is there before the first page is drawn. Returns what needs not
 * be written down again.
 */
export async function restoreAnswers(client: QueryClient, now: number = Date.now()): Promise<Written> {
  const written: Written = new Map();
  try {
    const all = await device.answers.all();
    const isOver = (one: KeptAnswer) => one.until < now || one.shapes !== __SHAPES__;
    await device.answers.delete(...all.filter(isOver).map((one) => one.key));
    for (const one of all) {
      if (isOver(one)) continue;
      const queryKey = JSON.parse(one.key) as unknown[];
      // The server may have answered before this was read.
      if (client.getQueryData(queryKey) !== undefined) continue;
      client.setQueryData(queryKey, one.data, { updatedAt: one.at });
      written.set(hashKey(queryKey), { data: one.data, at: one.at });
      // However young it is: whoever reloads a page wants to see what there is now.
      void client.invalidateQueries({ queryKey, exact: true, refetchType: 'none' });
    }
  } catch {
    // A browser that keeps nothing still shows what the server says.
  }
  return written;
}

/**
 * Writes down what the server says and has said, in whatever order: an answer whose person or class is not known yet
 * waits for the answer that says it. Returns how to stop.
 */
export function keepAnswers(client: QueryClient, written: Written = new Map()): () => void {
  const cache = client.getQueryCache();
  let timer: ReturnType<typeof setTimeout> | undefined;
  const writeAll = () => {
    timer = undefined;
    const person = (client.getQueryData(keys.session()) as Session | undefined)?.person?.id;
    if (person === undefined) return;
    const now = Date.now();
    for (const query of cache.getAll()) {
      const { data, dataUpdatedAt: at } = query.state;
      const until = data === undefined ? null : keptUntil(query, client, now);
      const was = written.get(query.queryHash);
      if (until === null || until < now || (was?.data === data && was?.at === at)) continue;
      written.set(query.queryHash, { data, at });
      const answer = { key: JSON.stringify(query.queryKey), person, data, shapes: __SHAPES__, at, until };
      void device.answers.put(answer).catch(() => undefined); // full: the page goes on without
    }
  };
  const writeSoon = () => {
    timer ??= setTimeout(writeAll, EVERY_MS);
  };
  const stop = cache.subscribe((event) => {
    if (event.type === 'updated' && event.action.type === 'success') writeSoon();
  });
  // What was asked for ahead may have been answered before anybody listened.
  writeSoon();
  return () => {
    stop();
    clearTimeout(timer);
  };
}

/** Nobody's data stays on the device after they have signed out, nor another's after they have signed in. */
export async function forgetAnswers(but: string | null = null): Promise<void> {
  const others = <T extends { person: string }>(all: T[]) => all.filter((one) => one.person !== but);
  await Promise.all([
    device.answers.all().then((all) => device.answers.delete(...others(all).map((one) => one.key))),
    device.runs.all().then((all) => device.runs.delete(...others(all).map((one) => one.meeting))),
  ]).catch(() => undefined);
}

/**
 * The session is over: nothing of it is shown or kept. The client knows first that nobody is signed in, so that no answer
 * which waits to be written down is written down behind what forgets them.
 */
export async function endSession(client: QueryClient, session: Session): Promise<void> {
  client.setQueryData(keys.session(), session);
  client.removeQueries({ predicate: (query) => query.queryKey[0] !== 'session' });
  await forgetAnswers();
}

const doors = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('gorvan.session');

/** Whoever signs out of one tab is out of all of them. */
export function tellSessionEnd(session: Session): void {
  doors?.postMessage(session);
}

/** Is told when somebody has signed out in another tab. Returns how to stop listening. */
export function onSessionEnd(listener: (session: Session) => void): () => void {
  const hear = (event: MessageEvent<Session>) => {
    listener(event.data);
  };
  doors?.addEventListener('message', hear);
  return () => doors?.removeEventListener('message', hear);
}

/** The classes that come next, with their forms, are asked for while there is a network. */
export async function prepareClasses(
  today: Today,
  ask: {
    meeting: (id: string) => Promise<void>;
    class: (id: string) => Promise<void>;
    form: (id: string, course: string) => Promise<void>;
  },
): Promise<void> {
  for (const coming of today.coming) {
    await ask.meeting(coming.meetingId);
    await ask.class(coming.meetingId);
    for (const course of coming.courses) await ask.form(course.formId, course.courseId);
  }
}
