import { expect } from '@playwright/test';
import { choose } from './choose';
import { holdBack, open, test, ZONE } from './teacher';

test.beforeEach(async ({ page }) => {
  await open(page);
});

for (const [what, text, says] of [
  ['an empty paste', '', 'There is no entry in this list'],
  ['a broken form file', '{\n  "format": "gorvan.form/1",\n  "title" }', 'Line 3'],
  [
    'a wrong type',
    '{"format":"gorvan.form/1","title":"T","entries":[{"id":"a","kind":"movement","title":1}]}',
    '$.entries[0].title',
  ],
  ['deep nesting', `{"a":${'['.repeat(100)}${']'.repeat(100)}}`, '32 levels'],
] as const) {
  test(`${what} says where it is wrong, and what was typed stays`, async ({ page }) => {
    await page.goto('/forms/new');
    const list = page.getByLabel('The list, a line a movement');
    await list.fill(text);
    await page.getByRole('button', { name: 'Read it' }).click();
    await expect(page.getByRole('alert')).toContainText(says);
    await expect(list).toHaveValue(text);
    await page.reload();
    await expect(list).toHaveValue(text);
  });
}

test('a file of 5,000 lines says at which line a form is over, and what was read stays', async ({ page }) => {
  const text = 'Heron\n'.repeat(5000);
  await page.goto('/forms/new');
  await page
    .getByLabel('Or choose a file')
    .setInputFiles({ name: 'long.txt', mimeType: 'text/plain', buffer: Buffer.from(text) });
  const list = page.getByLabel('The list, a line a movement');
  await expect(list).toHaveValue(text);
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByRole('alert')).toContainText('Line 601');
  await expect(list).toHaveValue(text);
});

test('a file of 3 MB is refused before it is sent', async ({ page }) => {
  await page.goto('/forms/new');
  await page
    .getByLabel('Or choose a file')
    .setInputFiles({ name: 'big.txt', mimeType: 'text/plain', buffer: Buffer.alloc(3_000_000, 'x') });
  await expect(page.getByRole('alert')).toContainText('larger than 2 MB');
});

test('a title that is HTML is shown as text and runs nothing', async ({ page }) => {
  let ran = false;
  page.on('dialog', () => {
    ran = true;
  });
  await page.goto('/forms/new');
  await page
    .getByLabel('The list, a line a movement')
    .fill('# <img src=x onerror=alert(1)>\n1. <script>alert(2)</script>\n2. <b>Heron</b>');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('<img src=x onerror=alert(1)>');
  expect(ran).toBe(false);
});

test('a term that ends before it starts, or never meets, is refused as it is typed', async ({ page }) => {
  await page.goto('/terms/new');
  await page.getByLabel('Last day').fill('2020-01-01');
  await expect(page.getByRole('alert')).toContainText('before it starts');
  await expect(page.getByLabel('Last day')).toHaveValue('2020-01-01'); // as it was typed, until one leaves it
  await page.getByLabel('First day').fill('2026-03-28');
  await page.getByLabel('Last day').fill('2026-03-28');
  await choose(page.getByLabel('Weekday'), 'Sun');
  await expect(page.getByRole('alert')).toContainText('no meeting');
  await page.getByRole('button', { name: 'Lay the term' }).click();
  await expect(page.getByRole('alert')).toContainText('no meeting');
  await expect(page).toHaveURL(/terms\/new/);
});

test('a refusal that comes late does not stand over what was mended meanwhile', async ({ page }) => {
  await page.goto('/terms/new');
  const last = await page.getByLabel('Last day').inputValue();
  await page.getByLabel('Last day').fill('2020-01-01');
  await expect(page.getByRole('alert')).toContainText('before it starts');
  const letGo = await holdBack(page, '**/api/terms');
  const laying = page.waitForRequest('**/api/terms');
  await page.getByRole('button', { name: 'Lay the term' }).click();
  await laying;
  await page.getByLabel('Last day').fill(last);
  await expect(page.getByRole('alert')).toHaveCount(0);
  await letGo();
  await expect(page.getByRole('button', { name: 'Lay the term' })).toBeEnabled();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('what is saved is what was read and shown, also when reading takes long', async ({ page }) => {
  await page.goto('/forms/new');
  const list = page.getByLabel('The list, a line a movement');
  await list.fill('# Slow stair\n1. Heron');
  const letGo = await holdBack(page, '**/api/forms/preview');
  const reading = page.waitForRequest('**/api/forms/preview');
  await page.getByRole('button', { name: 'Read it' }).click();
  await reading;
  await list.press('End');
  await page.keyboard.type('s and otters');
  await letGo();
  await expect(page.getByText('1 entry ·', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Change the list' }).click();
  await expect(list).toHaveValue('# Slow stair\n1. Heron');
});

/** The next time, more than ten days ahead, that the clocks of the school leave out: they are asked hour by hour. */
function missing(): { date: Date; time: string } {
  const wall = (at: number) => {
    const part = Object.fromEntries(
      new Intl.DateTimeFormat('en-GB', { timeZone: ZONE, dateStyle: 'short', timeStyle: 'short' })
        .formatToParts(at)
        .map(({ type, value }) => [type, Number(value)]),
    );
    return Date.UTC(part.year ?? 0, (part.month ?? 1) - 1, part.day, part.hour, part.minute);
  };
  const hour = 3_600_000;
  let at = Math.ceil(Date.now() / hour) * hour + 240 * hour;
  while (wall(at) - wall(at - hour) <= hour) at += hour;
  const gone = new Date(wall(at - hour) + 1.5 * hour);
  return { date: new Date(Date.parse(gone.toISOString().slice(0, 10))), time: gone.toISOString().slice(11, 16) };
}

test('a time that does not exist on the changing day is said before the term is laid', async ({ page }) => {
  const { date, time } = missing();
  const day = (plus: number) => new Date(date.getTime() + plus * 86_400_000).toISOString().slice(0, 10);
  await page.goto('/terms/new');
  await page.getByLabel('First day').fill(day(-8));
  await page.getByLabel('Last day').fill(day(23));
  await choose(page.getByLabel('Weekday'), 'Sun');
  await page.getByLabel('Time').fill(time);
  await expect(page.getByText(new RegExp(`Sun ${String(date.getUTCDate())} Mar: ${time} does not exist`))).toBeVisible();
});
