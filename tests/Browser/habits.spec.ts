import { expect } from '@playwright/test';
import { choose } from './choose';
import { open, openMarking, takeBack, test } from './teacher';

test.beforeEach(async ({ page }) => {
  await open(page);
});

test('what was supposed and is wrong is unticked, and the saved form does not have it', async ({ page }) => {
  await page.goto('/forms/new');
  await page.getByLabel('The list, a line a movement').fill('# Unticked\n1. Heron (L)\n2. Heron (R)\n3. Heron (L)');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByRole('row', { name: /^2 Heron movement · right 18 %$/ })).toBeVisible();
  await page.getByLabel('Heron (2) mirrors 1').uncheck();
  await page.getByRole('button', { name: 'Save the form' }).click();
  await page.getByRole('option', { name: /^2\. / }).click();
  await expect(page.getByTestId('load-parts')).toHaveText('1 movement, + 0.2 join = 1.2');
  await page.getByRole('option', { name: /^3\. / }).click();
  await expect(page.getByTestId('load-parts')).toHaveText('1 movement, × 0.15 returning, + 0.2 join = 0.35');
});

test('a line that is not understood is shown before anything is saved, and can be mended', async ({ page }) => {
  await page.goto('/forms/new');
  const list = page.getByLabel('The list, a line a movement');
  await list.fill('1. Heron\n2. Otter (old style)\n3. Wade');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText('Line 2: not understood')).toBeVisible();
  await page.getByRole('button', { name: 'Change the list' }).click();
  await expect(list).toHaveValue('1. Heron\n2. Otter (old style)\n3. Wade');
  await list.fill('1. Heron\n2. Otter\n3. Wade');
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText('This is what will be made')).toBeVisible();
  await expect(page.getByText('not understood')).toHaveCount(0);
});

test('a form file goes out and comes in again', async ({ page }) => {
  await page.goto('/forms');
  await page.getByRole('link', { name: /Nine Lamps/ }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Files', exact: true }).click();
  await page.getByRole('link', { name: 'Save as a form file (JSON)' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('nine-lamps-short-qigong.gorvan.json');
  await page.goto('/forms/new');
  await page.getByLabel('Or choose a file').setInputFiles(await file.path());
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Nine Lamps, short qigong' })).toBeVisible();
  await expect(page.getByText('11 entries ·', { exact: false })).toBeVisible();
});

test('the widths of a ribbon show load, time or nothing', async ({ page }) => {
  await page.goto('/forms');
  await page.getByRole('link', { name: /Nine Lamps/ }).click();
  const wide = async (name: RegExp) =>
    (await page.getByRole('option', { name }).locator('rect').first().boundingBox())?.width ?? 0;
  const byLoad = await wide(/Shake off the rain/);
  await page.getByRole('radio', { name: 'Time' }).click();
  await expect.poll(() => wide(/Shake off the rain/)).toBeGreaterThan(byLoad * 2); // 7 x 7 takes long
  await page.getByRole('radio', { name: 'Even' }).click();
  await expect.poll(async () => Math.abs((await wide(/Shake off the rain/)) - (await wide(/Wake the hands/)))).toBeLessThan(5);
});

test('the keys are listed by ?, and Escape closes them', async ({ page }) => {
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('the hall theme stays chosen', async ({ page }) => {
  await page.getByRole('button', { name: 'Dark for the hall' }).first().click();
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'hall');
  await page.getByRole('button', { name: 'Light for the day' }).first().click();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'day');
});

test('a stretch of one’s own is chosen on the ribbon and marked', async ({ page }) => {
  await openMarking(page);
  const passage = page.getByRole('button', { name: /choose another passage/ });
  await passage.click();
  await page.getByRole('option', { name: /^2\. / }).click();
  await page.getByRole('option', { name: /^5\. / }).click();
  await page.getByRole('button', { name: 'Mark this' }).click();
  await expect(passage).toContainText('2–5');
  await page.getByRole('group', { name: 'Kenelm S.' }).getByRole('button', { name: 'Flowing' }).click();
  await expect(page.getByText('Kenelm S.: Flowing on 2–5').first()).toBeVisible();
  await takeBack(page, () => page.getByRole('group', { name: 'Kenelm S.' }).getByRole('button', { name: 'Flowing' }).press('0'));
  await expect(page.getByRole('group', { name: 'Kenelm S.' }).getByRole('button', { name: 'Flowing' })).toHaveAttribute(
    'aria-pressed',
    'false',
  );
});

test('marks are still there after another tab, and after coming back', async ({ page }) => {
  await openMarking(page);
  const button = page.getByRole('group', { name: 'Nestor W.' }).getByRole('button', { name: 'Cued' });
  await button.click();
  await page.getByRole('tab', { name: 'Plan' }).click();
  await page.getByRole('tab', { name: 'Mark' }).click();
  await expect(button).toHaveAttribute('aria-pressed', 'true');
  await page.reload();
  await expect(button).toHaveAttribute('aria-pressed', 'true');
  await takeBack(page, () => button.press('z'));
  await expect(button).toHaveAttribute('aria-pressed', 'false');
});

test('a log is taken back from the toast, and the plan is as it was', async ({ page }) => {
  await openMarking(page);
  await page.getByRole('button', { name: 'Log as planned' }).click();
  await expect(page.getByRole('button', { name: 'Take the log back' })).toBeVisible();
  await page.getByRole('tab', { name: 'Who is here' }).click();
  await expect(page.getByRole('switch').first()).toBeDisabled();
  await takeBack(page, () => page.getByRole('button', { name: 'Take the log back' }).click());
  await expect(page.getByRole('button', { name: 'Log as planned' })).toBeVisible();
  await expect(page.getByRole('switch').first()).toBeEnabled();
});

test('the standing map is seen on an earlier day, sorted, and cut to the next lead-in', async ({ page }) => {
  await page.goto('/groups');
  await page.getByRole('link', { name: /Evening long form/ }).click();
  const map = page.getByRole('region', { name: 'The standing map' });
  await expect(map.getByRole('columnheader')).not.toHaveCount(0);
  const columns = await map.getByRole('columnheader').count();
  await choose(page.getByLabel('Show'), 'Lead-in of the next lesson');
  await expect.poll(() => map.getByRole('columnheader').count()).toBeLessThan(columns);
  await choose(page.getByLabel('Show'), 'All taught or marked');
  await choose(page.getByLabel('Sort'), 'By name');
  await expect(map.getByRole('rowheader').first()).toHaveText('Anwen T.');
  await page.getByLabel('On', { exact: true }).fill('2020-01-01');
  await expect(map.locator('[data-frontier]')).toHaveCount(0);
  await expect(page).toHaveURL(/day=2020-01-01/);
});

test('what is typed for a term stays when one looks elsewhere and comes back', async ({ page }) => {
  await page.goto('/terms/new');
  await page.getByLabel('Name').fill('Spring at the mill');
  await page.getByLabel('Minutes').fill('45');
  await page.getByRole('button', { name: 'Another weekday' }).click();
  await choose(page.getByLabel('Weekday').nth(1), 'Sat');
  await page.getByRole('link', { name: 'Forms' }).click();
  await page.goBack();
  await expect(page.getByLabel('Name')).toHaveValue('Spring at the mill');
  await expect(page.getByLabel('Minutes').first()).toHaveValue('45');
  await expect(page.getByRole('button', { name: /^Sat / })).not.toHaveCount(0);
  await page.getByRole('button', { name: 'Remove this weekday' }).nth(1).click();
  await expect(page.getByLabel('Weekday')).toHaveCount(1);
  await expect(page.getByRole('button', { name: /^Sat / })).toHaveCount(0);
});

test('a cue card with much to say, cautions above all, loses nothing of it on paper', async ({ page }) => {
  await page.goto('/forms');
  await page.getByRole('link', { name: /Marsh Lantern/ }).click();
  await page.getByRole('link', { name: 'Cue cards' }).click();
  await choose(page.getByLabel('Passage'), 'The whole form');
  await expect(page.locator('.card')).toHaveCount(74);
  await page.setViewportSize({ width: 718, height: 1000 });
  await page.emulateMedia({ media: 'print' });
  const cut = await page
    .locator('.card')
    .evaluateAll((cards) =>
      cards
        .filter((card) =>
          [...card.children].some((part) => part.getBoundingClientRect().bottom > card.getBoundingClientRect().bottom),
        )
        .map((card) => card.querySelector('h2')?.textContent),
    );
  expect(cut).toEqual([]);
});

test('a paper of the term leaves the places out', async ({ page }) => {
  await page.goto('/terms');
  await page.getByRole('link', { name: /Evening long form/ }).click();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('heading', { name: 'The weave' })).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Places', includeHidden: true })).toBeHidden();
});
