import { test as plain, expect, type BrowserContext, type Locator, type Page } from '@playwright/test';

/** Who owns the school of each worker; both schools are made by the application. */
export const OWNERS = ['ottilie@lantern-quay.example', process.env.SECOND_OWNER ?? 'ottilie@second-quay.example'];
export const PASSWORD = 'reeds-at-dusk';

/** Where the demo school is; late in the evening the tests take one whose day does not end under them. */
export const ZONE = process.env.DEMO_ZONE ?? 'Europe/London';

/** The weekday of the school's today, as the pages write it. */
export const weekdayThere = (): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: ZONE }).format(new Date());

/** The school's today and a number of days, as YYYY-MM-DD. */
export const inDays = (days: number): string => {
  const today = new Intl.DateTimeFormat('en-CA', { dateStyle: 'short', timeZone: ZONE }).format(new Date());
  return new Date(Date.parse(`${today}T12:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
};

/** Where the session of a worker's one sign-in is kept for its tests. */
export const sessionOf = (worker: number): string => `var/browser-session-${String(worker)}.json`;

/** How far the clock of the servers is put ahead (`bin/test --on`), in ms; the browser's goes with it. */
const AHEAD = 1000 * Number(process.env.GORVAN_CLOCK_AHEAD ?? 0);

/** The clock of a page is that of the servers: Chromium draws nothing where the library that shifts theirs is loaded into it. */
async function shifted(context: BrowserContext): Promise<BrowserContext> {
  if (AHEAD === 0) return context;
  await context.addInitScript((ms) => {
    const Real = Date;
    globalThis.Date = class extends Real {
      constructor(...given: unknown[]) {
        super(...((given.length === 0 ? [Real.now() + ms] : given) as [number]));
      }
      static override now(): number {
        return Real.now() + ms;
      }
    } as DateConstructor;
  }, AHEAD);
  return context;
}

/** A test in the school of its worker, signed in as its owner. */
export const test = plain.extend<{ owner: string }>({
  browser: [
    async ({ browser }, give) => {
      const made = browser.newContext.bind(browser);
      browser.newContext = async (options) => shifted(await made(options));
      await give(browser);
    },
    { scope: 'worker' },
  ],
  // eslint-disable-next-line no-empty-pattern
  storageState: async ({}, give, info) => {
    await give(sessionOf(info.parallelIndex));
  },
  // eslint-disable-next-line no-empty-pattern
  owner: async ({}, give, info) => {
    await give(OWNERS[info.parallelIndex] ?? '');
  },
});

/** What the demo called the running term of a group: it goes by the season in which it was laid. */
export async function titleOfTerm(page: Page, group: string): Promise<string> {
  // Asked by the page itself: the session is of requests that come from it.
  const terms = await page.evaluate(
    async () =>
      (await (await fetch('/api/terms', { headers: { Accept: 'application/json' } })).json()) as {
        title: string;
        groupName: string;
      }[],
  );
  return terms.find((term) => term.groupName === group)?.title ?? '';
}

/** Opens the application, signed in, at Today. */
export async function open(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
}

/** Counts what a teacher does: every click, choice or paste is one. */
export class Actions {
  count = 0;

  async do(action: Promise<unknown>): Promise<void> {
    this.count++;
    await action;
  }
}

/** A plain list of 72 movements with sections, sides, mirrors and returns; the first is done on both sides. */
export function longList(): string {
  const lines = ['# Tide stair, long set'];
  for (let number = 1; number <= 72; number++) {
    if (number % 18 === 1) lines.push(`Part ${String(Math.ceil(number / 18))}:`);
    const side = number === 1 ? '(L-R)' : number % 3 === 1 ? '(L)' : number % 3 === 2 ? '(R)' : '';
    lines.push(`${String(number)}. Stair ${String(Math.floor((number - 1) / 3) % 16)} ${side}`.trim());
  }
  return lines.join('\n');
}

/** Goes to tonight's class of the demo, at its marking. */
export async function openMarking(page: Page): Promise<void> {
  await page.getByRole('region', { name: 'Evening long form' }).getByRole('link', { name: 'Open the class' }).click();
  await expect(page.getByRole('tab', { name: 'Mark' })).toHaveAttribute('data-state', 'active');
}

/** Does what takes a mark back, and waits until the server has it, so that the next test finds nothing of it. */
export async function takeBack(page: Page, action: () => Promise<void>): Promise<void> {
  const sent = page.waitForResponse('**/api/withdrawals');
  await action();
  await (await sent).finished();
}

/** Holds what is asked of one address back, as a slow network does. Returns how to let it go and wait for the answer. */
export async function holdBack(page: Page, url: string): Promise<() => Promise<void>> {
  let open = () => {};
  const gate = new Promise<void>((resolve) => (open = resolve));
  await page.route(url, async (route) => {
    await gate;
    await route.continue();
  });
  return async () => {
    const answered = page.waitForResponse(url);
    open();
    await (await answered).finished();
  };
}

/** Pastes a list as a new form and opens its score. */
export async function newScore(page: Page, list: string): Promise<void> {
  await page.goto('/forms/new');
  await page.getByLabel('The list, a line a movement').fill(list);
  await page.getByRole('button', { name: 'Read it' }).click();
  await page.getByRole('button', { name: 'Save the form' }).click();
  await expect(page.getByRole('heading', { name: 'Lessons', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Score', exact: true }).click();
  await expect(page.getByRole('grid')).toBeVisible();
}

/** Waits until everything typed is saved. */
export async function expectSaved(page: Page): Promise<void> {
  await expect(page.getByText(/^Saved · version \d+$/)).toBeVisible();
}

/** A row of the grid of a score, from 1. */
export const row = (page: Page, position: number): Locator =>
  page.getByRole('grid').locator(`[aria-rowindex="${String(position + 1)}"]`);

/** Scrolls the grid of a score to an entry: only the rows near what is seen are there. */
export async function scrollToRow(page: Page, position: number): Promise<void> {
  await page.getByRole('grid').evaluate((grid, to) => {
    const box = grid.parentElement;
    if (box) box.scrollTop = (to - 4) * 33;
  }, position);
  await row(page, position).waitFor();
}
