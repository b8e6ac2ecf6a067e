/*
 * What the tests of a whole class share. Those (`whole-…`) come last: each makes a class of tonight, which then stands on Today
 * beside the demo's.
 */
import { expect, type Page } from '@playwright/test';
import { open, ZONE } from './teacher';

/** Asks the server as the page does. */
export async function call<T>(page: Page, method: string, url: string, body?: unknown): Promise<T> {
  return page.evaluate(
    async ([how, where, what]) => {
      const token = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '';
      const answer = await fetch(where, {
        method: how,
        headers: {
          Accept: 'application/json',
          'Content-Type': 'application/json',
          'X-XSRF-TOKEN': decodeURIComponent(token),
        },
        ...(what === undefined ? {} : { body: what }),
      });
      if (!answer.ok) throw new Error(`${how} ${where}: ${String(answer.status)} ${await answer.text()}`);
      return answer.status === 204 ? null : ((await answer.json()) as never);
    },
    [method, url, body === undefined ? undefined : JSON.stringify(body)] as const,
  ) as Promise<T>;
}

export interface Made {
  group: string;
  meeting: string;
  students: { id: string; name: string }[];
}

/** A class of its own, tonight in a few minutes, whose first lesson was given last week. */
export async function makeClass(page: Page, name: string, people: string[]): Promise<Made> {
  const forms = await call<{ id: string; title: string }[]>(page, 'GET', '/api/forms');
  const form = forms.find((one) => one.title.startsWith('Marsh Lantern'))?.id ?? '';
  const { entries } = await call<{ entries: { key: string }[] }>(page, 'GET', `/api/forms/${form}`);
  const group = await call<{ id: string }>(page, 'POST', '/api/groups', { name, form, students: people, others: people });
  const { today } = await call<{ today: string }>(page, 'GET', '/api/today');
  const day = (plus: number) => new Date(Date.parse(`${today}T12:00:00Z`) + 86_400_000 * plus);
  const iso = (plus: number) => day(plus).toISOString().slice(0, 10);
  const weekday = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'][day(0).getUTCDay()];
  const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: ZONE }).format(
    new Date(Date.now() - 4 * 60_000),
  );
  const term = await call<{ id: string }>(page, 'POST', '/api/terms', {
    group: group.id,
    title: 'Class term',
    from: iso(-7),
    to: iso(70),
    pattern: [{ weekday, at: clock, minutes: 60 }],
    closures: [],
    approach: 'piece',
  });
  const laid = await call<{ meetings: { id: string; on: string }[] }>(page, 'GET', `/api/terms/${term.id}`);
  const [last, tonight] = laid.meetings;
  const members = (await call<{ students: { id: string; name: string }[] }>(page, 'GET', `/api/groups/${group.id}`)).students;
  await call(page, 'POST', `/api/meetings/${last?.id ?? ''}/log`, {
    format: 'gorvan.log/1',
    id: ulid(),
    on: last?.on,
    made_at: new Date().toISOString(),
    present: members.map((one) => one.id),
    did: [{ what: 'taught', entries: entries.slice(0, 9).map((one) => one.key) }],
  });
  return { group: group.id, meeting: tonight?.id ?? '', students: members };
}

let count = 0;
const ulid = (): string => `01ARZ3NDEKTSV4${String(Date.now()).slice(-8).padStart(8, '0')}${String(count++).padStart(4, '0')}`;

/** Waits until the pages are kept in this browser, and with them the class. */
export async function keepClass(page: Page, meeting: string): Promise<void> {
  await open(page);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (navigator.serviceWorker.controller === null) {
      await new Promise((resolve) => {
        navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true });
      });
    }
  });
  await expect
    .poll(() =>
      page.evaluate(
        (id) =>
          new Promise<string[]>((resolve) => {
            const asked = indexedDB.open('gorvan');
            asked.onsuccess = () => {
              const all = asked.result.transaction('answers').objectStore('answers').getAllKeys();
              all.onsuccess = () => {
                asked.result.close();
                resolve((all.result as string[]).filter((key) => key.includes(id)));
              };
            };
          }),
        meeting,
      ),
    )
    .toHaveLength(2);
}
