import { existsSync, readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { buildPseudo } from './pseudo';
import { test } from './teacher';

/** What stands on pages in any language: the name of the application, and how keys and the world's own things are called. */
const ANYWHERE = ['gorvan', 'csv', 'json', 'letter', 'ctrl', 'alt', 'shift', 'esc', 'page', 'down', 'space', 'enter', 'tab', 'home', 'end', 'delete', 'insert', 'escape', 'europe', 'london', 'ics', 'http', 'https']; // prettier-ignore
const DAYS = Array.from({ length: 12 }, (_, month) => new Date(Date.UTC(2026, month, 4 + month)))
  .flatMap((date) => [
    new Intl.DateTimeFormat('en-GB', { weekday: 'long', month: 'long' }).format(date),
    new Intl.DateTimeFormat('en-GB', { weekday: 'short', month: 'short' }).format(date),
  ])
  .concat(['Sept', 'Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']); // prettier-ignore

const wordsOf = (text: string): string[] =>
  [...text.matchAll(/(?<![\p{L}\p{M}])[A-Za-z]{3,}(?![\p{L}\p{M}])/gu)].map(([word]) => word.toLowerCase());

/** What people have written, by the answers of the server: names, titles, notes. */
class Written {
  readonly words = new Set([...ANYWHERE, ...DAYS.flatMap(wordsOf)]);

  take(value: unknown): void {
    if (typeof value === 'string') for (const word of wordsOf(value)) this.words.add(word);
    else if (Array.isArray(value)) value.forEach((one) => this.take(one));
    else if (typeof value === 'object' && value !== null)
      // Codes and names of fields are no words that anybody has written.
      for (const [key, one] of Object.entries(value)) {
        if (!['code', 'kind', 'reason', 'state', 'severity', 'ready', 'support'].includes(key)) this.take(one);
      }
  }
}

/** The pages, with every word of the catalogue in another language. */
async function speakPseudo(page: Page, written: Written): Promise<void> {
  const built = buildPseudo();
  const manifest = JSON.parse(readFileSync(`${built}/manifest.json`, 'utf8')) as Record<string, { file: string }>;
  await page.route(
    (url) => url.pathname.startsWith('/build/assets/') && url.pathname.endsWith('.js'),
    async (route) => {
      const name = new URL(route.request().url()).pathname.slice('/build/'.length);
      // The one script the page names is that of the application; what it loads is asked for by its own names.
      const file = /assets\/main-[^/]*\.js$/.test(name) ? (manifest['resources/js/main.tsx']?.file ?? '') : name;
      // What the page would have fetched ahead of its own build is not asked for by this one.
      if (!existsSync(`${built}/${file}`)) return route.abort();
      await route.fulfill({ contentType: 'text/javascript', body: readFileSync(`${built}/${file}`, 'utf8') });
    },
  );
  page.on('response', (response) => {
    if (response.url().includes('/api/') && response.ok())
      void response.json().then(
        (answer) => {
          written.take(answer);
        },
        () => undefined,
      );
  });
}

interface Look {
  texts: string[];
  cut: string[];
  tooWide: number;
}

/** Everything that is read on a page or heard of it, and what does not fit where it stands. */
const look = (page: Page): Promise<Look> =>
  page.evaluate(() => {
    const texts = new Set<string>();
    const cut: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node !== null; node = walker.nextNode()) {
      const element = node.parentElement;
      if (element === null || element.closest('script, style, noscript, textarea, [contenteditable]')) continue;
      const text = node.textContent?.trim() ?? '';
      if (text !== '') texts.add(text);
    }
    for (const element of document.querySelectorAll<HTMLElement>('main *, nav *, [role=dialog] *')) {
      if (element.closest('[aria-hidden=true]')) continue;
      for (const name of ['aria-label', 'title', 'placeholder', 'alt', 'aria-description']) {
        const text = element.getAttribute(name);
        if (text) texts.add(text);
      }
      if (
        !['BUTTON', 'A', 'LABEL', 'TH', 'H1', 'H2', 'H3', 'LEGEND'].includes(element.tagName) ||
        element.closest('svg, .sr-only')
      )
        continue;
      const style = getComputedStyle(element);
      const hides = style.overflowX !== 'visible' && style.textOverflow !== 'ellipsis';
      if (hides && element.clientWidth > 0 && element.scrollWidth > element.clientWidth + 2) cut.push(element.textContent ?? '');
    }
    return { texts: [...texts], cut, tooWide: document.documentElement.scrollWidth - window.innerWidth };
  });

test('no English is left on any page, and nothing is cut off where words are longer', async ({ page }) => {
  const written = new Written();
  await speakPseudo(page, written);
  await page.goto('/');
  await page.getByRole('navigation').first().waitFor();
  const ask = <T>(path: string): Promise<T> =>
    page.evaluate(
      async (asked) => (await fetch(asked, { headers: { Accept: 'application/json' } })).json() as Promise<never>,
      path,
    );
  const [form] = await ask<{ id: string }[]>('/api/forms');
  const [group] = await ask<{ id: string; termId: string | null }[]>('/api/groups');
  const [term] = await ask<{ id: string }[]>('/api/terms');
  const [student] = await ask<{ id: string }[]>('/api/students');
  const [set] = await ask<{ id: string }[]>('/api/principle-sets');
  const { meetings } = await ask<{ meetings: { id: string; isHeld: boolean; isPast: boolean }[] }>(
    `/api/terms/${term?.id ?? ''}`,
  );
  const held = meetings.find((one) => one.isHeld)?.id ?? '';
  const addresses = [
    '/',
    '/forms',
    '/forms/new',
    ...['', '/cut', '/score', '/floor', '/time', '/cards', '/versions', '/files', '/lessons/1'].map(
      (part) => `/forms/${form?.id ?? ''}${part}`,
    ),
    '/principles',
    ...['', '/joins', '/versions'].map((part) => `/principles/${set?.id ?? ''}${part}`),
    '/terms',
    '/terms/new',
    ...['', '/compare', '/focus', '/wall', '/letters'].map((part) => `/terms/${term?.id ?? ''}${part}`),
    '/students',
    `/students/${student?.id ?? ''}`,
    '/school',
    '/school/details',
    '/school/forecast',
    '/school/mailbox',
    '/groups',
    ...['', '/people', '/book', '/principles', '/practice', '/terms'].map((part) => `/groups/${group?.id ?? ''}${part}`),
    ...['', '?on=here', '?on=mark', '/sheet', '/log'].map((part) => `/meetings/${held}${part}`),
    '/waiting',
  ];
  const wrong: string[] = [];
  for (const address of addresses) {
    await page.goto(address);
    await page.locator('main :is(h1, h2)').first().waitFor();
    await page.waitForLoadState('networkidle');
    const { texts, cut, tooWide } = await look(page);
    const english = texts
      .map((text) => [text, wordsOf(text).filter((word) => !written.words.has(word))] as const)
      .filter(([, left]) => left.length > 0);
    const where = address.replace(/[0-9a-f-]{36}/g, '…');
    wrong.push(...english.map(([text, left]) => `${where}: ${left.join(' ')} in “${text.slice(0, 90)}”`));
    wrong.push(...cut.map((text) => `${where}: cut off: “${text.slice(0, 60)}”`));
    if (tooWide > 0) wrong.push(`${where}: ${String(tooWide)} px wider than the screen`);
  }
  expect([...new Set(wrong)]).toEqual([]);
});
