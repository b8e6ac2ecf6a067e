import { type ChildProcess, spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { expect, type Page, type Request } from '@playwright/test';
import { call, keepClass, makeClass } from './floor';
import { PASSWORD, test } from './teacher';

// All of it with `bin/test --long`: a cut takes seconds, because what waits is patient.
const CUTS = process.env.GORVAN_LONG === 'yes' ? 60 : 20;
const MARKS = CUTS === 60 ? 500 : 170;
const LEVELS = ['Following', 'Cued', 'Alone', 'Flowing', 'Leading'];

/** Numbers that look drawn and are the same in every run. */
function drawn(seed: number): () => number {
  let now = seed;
  return () => {
    now = (now * 16807) % 2147483647;
    return now / 2147483647;
  };
}

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const at = server.address();
      server.close(() => {
        resolve(typeof at === 'object' && at !== null ? at.port : 0);
      });
    });
  });

/** A server of its own, on the same database, that can be killed in the middle of a request and started again. */
class Server {
  private process: ChildProcess | null = null;

  constructor(private readonly port: number) {}

  get address(): string {
    return `http://127.0.0.1:${String(this.port)}`;
  }

  async start(): Promise<void> {
    this.process = spawn(
      'php',
      ['-d', 'opcache.enable_cli=1', '-S', `127.0.0.1:${String(this.port)}`, '-t', 'public', 'bin/lib/router.php'],
      {
        detached: true,
        stdio: 'ignore',
        env: {
          ...process.env,
          APP_CONFIG_CACHE: '/nowhere/config.php',
          LARAVEL_STORAGE_PATH: `${process.cwd()}/storage`,
          PHP_CLI_SERVER_WORKERS: '3',
          SANCTUM_STATEFUL_DOMAINS: `127.0.0.1:${String(this.port)}`,
        },
      },
    );
    for (let time = 0; time < 100; time++) {
      const answer = await fetch(`${this.address}/up`).catch(() => null);
      if (answer?.ok) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('The server does not answer.');
  }

  kill(): void {
    if (this.process?.pid !== undefined) process.kill(-this.process.pid, 'SIGKILL');
    this.process = null;
  }
}

/** Touches a level of a student, as fast as a page can be touched. */
const touch = (page: Page, student: string, level: string) =>
  page.evaluate(
    ([who, what]) => {
      const row = document.querySelector(`[data-student="${who}"]`);
      const button = [...(row?.querySelectorAll('button') ?? [])].find((one) => one.textContent.includes(what));
      if (button === undefined) throw new Error(`${who} cannot be marked ${what}`);
      button.click();
    },
    [student, level] as const,
  );

test.use({ serviceWorkers: 'allow' });

test('marks through many cuts, reloads and a killed server are there once each, in order, shown and stored alike', async ({
  browser,
  owner,
}) => {
  // Hundreds of requests and what cuts them; a busy machine is slow, not wrong.
  test.setTimeout(1_200_000);
  const server = new Server(await freePort());
  await server.start();
  const context = await browser.newContext({
    baseURL: server.address,
    storageState: { cookies: [], origins: [] },
    serviceWorkers: 'allow',
  });
  const page = await context.newPage();
  const sent = new Set<string>();
  const acknowledged = new Set<string>();
  const marksIn = (request: Request): { id: string; student: string; support: string }[] =>
    request.method() === 'POST' && request.url().endsWith('/marks') && request.postData() !== null
      ? (request.postDataJSON() as { marks: { id: string; student: string; support: string }[] }).marks
      : [];
  context.on('request', (request) => {
    for (const mark of marksIn(request)) sent.add(mark.id);
  });
  context.on('response', (response) => {
    if (response.ok()) for (const mark of marksIn(response.request())) acknowledged.add(mark.id);
  });
  try {
    const people = Array.from({ length: 10 }, (_, at) => `Once ${String.fromCharCode(65 + at)}`);
    await page.goto('/');
    // On the server of its own, so that nothing of the other one's is needed.
    await page.getByLabel('Email').fill(owner);
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
    const made = await makeClass(page, 'Exactly once', people);
    await page.goto('/');
    await keepClass(page, made.meeting);
    const at = `/meetings/${made.meeting}?on=mark`;
    await page.goto(at);
    const rows = page.locator('[data-student]');
    await expect(rows).toHaveCount(10);

    const random = drawn(20261126);
    const last = new Map<string, string>();
    let [cuts, isOff, isDead] = [0, false, false];
    for (let tap = 0; tap < MARKS; tap++) {
      const student = made.students[Math.floor(random() * 10)]?.id ?? '';
      const level = LEVELS[Math.floor(random() * 5)] ?? '';
      await touch(page, student, level);
      last.set(student, level);
      // Every few taps the network goes or comes back; now and then the page is reloaded, or the server dies.
      if (tap % 4 === 3 && cuts < CUTS) {
        isOff = !isOff;
        await context.setOffline(isOff);
        if (isOff) cuts++;
      }
      if (tap % 100 === 50) {
        await page.reload();
        await expect(rows).toHaveCount(10);
      }
      if (tap % 120 === 70) {
        server.kill();
        isDead = true;
      } else if (isDead && tap % 120 === 95) {
        await server.start();
        isDead = false;
      }
    }
    expect(cuts).toBe(CUTS);
    if (isDead) await server.start();
    await context.setOffline(false);
    await page.reload();
    await expect(rows).toHaveCount(10);
    await expect(async () => {
      const open = await page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const asked = indexedDB.open('gorvan');
            asked.onsuccess = () => {
              const count = asked.result.transaction('commands').objectStore('commands').count();
              count.onsuccess = () => {
                asked.result.close();
                resolve(count.result);
              };
            };
          }),
      );
      if (open > 0)
        await page
          .getByRole('button', { name: 'Send now' })
          .click({ timeout: 1000 })
          .catch(() => undefined);
      expect(open).toBe(0);
    }).toPass({ timeout: 600_000 });

    const stored = (
      await call<{ marks: { id: string; studentId: string; entryId: string; support: string; at: string }[] }>(
        page,
        'GET',
        `/api/meetings/${made.meeting}`,
      )
    ).marks;
    const ids = stored.map((mark) => mark.id);
    const entries = new Set(stored.map((mark) => mark.entryId)).size;
    expect(ids.length).toBe(MARKS * entries);
    expect(new Set(ids).size).toBe(ids.length); // none twice
    for (const id of acknowledged) expect(ids).toContain(id); // every acknowledged one
    expect([...sent].filter((id) => !ids.includes(id))).toEqual([]); // and every one that was sent
    // In order: what was touched last of a student is what counts, on the page and in the record.
    for (const [student, level] of last) {
      const own = stored.filter((mark) => mark.studentId === student);
      const latest = own.reduce((a, b) => (Date.parse(b.at) > Date.parse(a.at) || (b.at === a.at && b.id > a.id) ? b : a));
      expect(latest.support).toBe(level);
      await expect(page.locator(`[data-student="${student}"]`).getByRole('button', { name: level, pressed: true })).toBeVisible();
    }
    const made_ids = ids.toSorted();
    expect(
      stored.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at) || (a.id < b.id ? -1 : 1)).map((mark) => mark.id),
    ).toEqual(made_ids);
  } finally {
    await context.close();
    server.kill();
  }
});
