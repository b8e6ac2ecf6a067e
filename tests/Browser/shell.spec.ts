import { choose } from './choose';
import { expect, type Locator } from '@playwright/test';
import { open, PASSWORD, test } from './teacher';

test('a session that ends while one types is signed in again over the page, and what was typed is still there', async ({
  page,
  context,
}) => {
  await open(page);
  await page.goto('/groups?new');
  await page.getByLabel('Name of the group').fill('Half a name');
  const session = (await context.cookies()).find((cookie) => cookie.name === 'gorvan_session');
  await context.clearCookies({ name: 'gorvan_session' });
  await page.getByRole('button', { name: 'Make the group' }).click();
  const dialog = page.getByRole('dialog', { name: 'You are signed out' });
  await expect(dialog).toBeVisible();
  await dialog.getByLabel('Password').fill(PASSWORD);
  await dialog.getByRole('button', { name: 'Sign in' }).click();
  await expect(dialog).toHaveCount(0);
  await expect(page.getByLabel('Name of the group')).toHaveValue('Half a name');
  expect(page.url()).toContain('/groups?new');
  // The session that the other tests share goes on as it was.
  if (session) await context.addCookies([session]);
});

test('going on begins at the top with the heading in focus, going back is where one was', async ({ page }) => {
  await open(page);
  await page.goto('/forms');
  await page.getByRole('link', { name: /Marsh Lantern/ }).click();
  const heading = page.getByRole('heading', { level: 1, name: /Marsh Lantern/ });
  await expect(heading).toBeFocused();
  await page.evaluate(() => {
    window.scrollTo(0, 600);
  });
  await page.waitForTimeout(300); // the place is noted once scrolling has ended
  const lesson = page.getByRole('link', { name: 'Cut it on the workbench' });
  await lesson.click();
  await expect(page).toHaveURL(/\/cut/);
  await expect.poll(() => page.evaluate(() => window.scrollY)).toBe(0);
  await page.goBack();
  await expect(heading).toBeVisible();
  await expect.poll(() => page.evaluate(() => Math.round(window.scrollY / 100))).toBe(6);
});

test('the hall theme is there before anything is drawn, and paper is ink on white from it', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await page.goto('/', { waitUntil: 'commit' });
  await expect.poll(() => page.evaluate(() => document.documentElement.dataset.theme)).toBe('hall');
  await open(page);
  const colours = () =>
    page.evaluate(() => {
      const { color, backgroundColor } = getComputedStyle(document.documentElement);
      return [color, backgroundColor];
    });
  expect(await colours()).toEqual(['rgb(236, 230, 216)', 'rgb(22, 28, 29)']);
  await page.emulateMedia({ colorScheme: 'dark', media: 'print' });
  expect(await colours()).toEqual(['rgb(32, 41, 43)', 'rgba(0, 0, 0, 0)']);
  // What is chosen goes before what the device has.
  await page.emulateMedia({ colorScheme: 'dark', media: 'screen' });
  await page.getByRole('button', { name: 'Light for the day' }).first().click();
  await page.reload();
  expect((await colours())[1]).toBe('rgb(245, 241, 232)');
  await page.getByRole('button', { name: 'Dark for the hall' }).first().click();
});

test('pictures are as wide as paper when they are printed from a wide screen, and as wide as the screen after', async ({
  page,
}) => {
  await open(page);
  await page.getByRole('link', { name: 'Groups' }).first().click();
  await page.getByRole('link', { name: /Evening long form/ }).click();
  const map = page.getByRole('region', { name: 'The standing map' }).getByRole('table');
  const weave = page.getByRole('group', { name: 'The weave' });
  const ribbon = page.getByRole('listbox').locator('xpath=ancestor::*[name()="svg"]');
  const width = async (picture: Locator) => (await picture.boundingBox())?.width ?? 0;
  // A4 within 13 mm of margin is 184 mm, at 96 px to the inch.
  const paper = ((210 - 2 * 13) / 25.4) * 96;
  const check = async (picture: Locator) => {
    await expect(picture).toBeVisible();
    const before = await width(picture);
    expect(before).toBeGreaterThan(paper);
    await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
    await expect.poll(() => width(picture)).toBeLessThanOrEqual(paper);
    expect(await width(picture)).toBeGreaterThan(0.8 * paper);
    await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
    await expect.poll(() => width(picture)).toBe(before);
  };
  await choose(page.getByLabel('Show'), 'Whole form');
  await check(map);
  await page.getByRole('link', { name: 'Term', exact: true }).click();
  await check(weave);
  await page.goto('/forms');
  await page.getByRole('link', { name: /Marsh Lantern/ }).click();
  await check(ribbon);
  await page.getByRole('button', { name: 'Closer' }).click();
  await check(ribbon);
});

test('a place whose program cannot be fetched says so, leaves the rail, and comes when it can', async ({ page }) => {
  await open(page);
  // Any program that is not here yet: their names say nothing.
  const programs = /\/build\/assets\/.*\.js$/;
  await page.route(programs, (route) => route.abort());
  await page.getByRole('link', { name: 'Students' }).click();
  await expect(page.getByRole('alert')).toContainText('not on this device yet');
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
  await page.unroute(programs);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Students' })).toBeVisible();
});

test('/ finds a movement and goes there', async ({ page }) => {
  await open(page);
  await page.keyboard.press('/');
  await page.getByPlaceholder(/Type a name/).fill('kingfisher w');
  await page.getByRole('option', { name: /Kingfisher waits 30/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: /Marsh Lantern/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: /30\. Kingfisher waits/ })).toBeVisible();
});

test('a school that writes otherwise reads its days and times so, on every page and in every field', async ({ page }) => {
  await open(page);
  await page.goto('/school/details');
  const writing = page.getByLabel('How days and times are written');
  await choose(writing, /United States/);
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Kept. Everything is written so from now on.').first()).toBeVisible();
  try {
    await page.goto('/');
    await expect(page.getByRole('heading', { level: 1 }).first()).toContainText(/\d:\d\d.[AP]M/);
    await page.goto('/terms/new');
    await expect(page.getByLabel('First day')).toHaveValue(/^[A-Z][a-z]{2} \d{1,2}, \d{4}$/);
    await expect(page.getByLabel('Time')).toHaveValue(/^\d{1,2}:\d\d.PM$/);
    await page.getByLabel('Time').fill('7:30 pm');
    await page.getByLabel('Time').blur();
    await expect(page.getByLabel('Time')).toHaveValue(/^7:30.PM$/);
    await page.getByLabel('First day').fill('6/15/2027');
    await page.getByLabel('First day').blur();
    await expect(page.getByLabel('First day')).toHaveValue('Jun 15, 2027');
  } finally {
    await page.goto('/school/details');
    await choose(writing, /Britain/);
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('Kept. Everything is written so from now on.').first()).toBeVisible();
  }
});
