import { expect, type Page } from '@playwright/test';
import { choose } from './choose';
import { expectSaved, longList, newScore, open, row, scrollToRow, test } from './teacher';

/** What the demo's long form says in a format. */
async function demoFile(page: Page, as: 'json' | 'list'): Promise<string> {
  return page.evaluate(async (format) => {
    const headers = { Accept: 'application/json' };
    const forms = (await (await fetch('/api/forms', { headers })).json()) as { id: string; title: string }[];
    const demo = forms.find((form) => form.title === 'Marsh Lantern, long form');
    return (await fetch(`/api/forms/${demo?.id ?? ''}/file?as=${format}`, { headers })).text();
  }, as);
}

test('the demo’s 72 movements go from a list to an audited score, cue cards for a lesson, and the hall', async ({ page }) => {
  await open(page);
  // The list, under another title, is a form of its own.
  const list = (await demoFile(page, 'list')).replace('# Marsh Lantern, long form', '# Lantern copy');
  await page.goto('/forms/new');
  await page.getByLabel('The list, a line a movement').fill(list);
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByText('74 entries ·', { exact: false })).toBeVisible();
  await expect(page.getByText('74 entries do not say their travel', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Save the form' }).click();
  await expect(page.getByTestId('findings')).toContainText('findings');

  // The booklet's depth is read over it: nothing comes or goes, and what stayed is told.
  await page.getByRole('link', { name: 'Files', exact: true }).click();
  await page.getByRole('button', { name: 'Read a file over it' }).click();
  await page
    .getByLabel('The file, or its text')
    .fill((await demoFile(page, 'json')).replaceAll('Marsh Lantern, long form', 'Lantern copy'));
  await page.getByRole('button', { name: 'Show what would change' }).click();
  await expect(page.getByRole('button', { name: 'Change the form' })).toBeVisible();
  await page.getByRole('button', { name: 'Change the form' }).click();

  // Its findings: one is mended, one accepted, and the accepted one comes back when its entry changes.
  await expect(page.getByRole('tab', { name: 'Findings 7' })).toBeVisible();
  await page.getByRole('button', { name: 'step with the left foot first' }).click();
  await expect(page.getByRole('tab', { name: 'Findings 6' })).toBeVisible();
  await page
    .getByRole('button', { name: /^add a caution/ })
    .first()
    .click();
  await expect(page.getByRole('tab', { name: 'Findings 5' })).toBeVisible();
  const sides = page.getByRole('listitem').filter({ hasText: '"Heel on the jetty" is done once on the left' });
  await sides.getByRole('button', { name: 'Accept…' }).click();
  await expect(sides.getByLabel('Why it stays as it is')).toHaveValue('one-sided by tradition');
  await sides.getByRole('button', { name: 'Accept it' }).click();
  await expect(page.getByRole('tab', { name: 'Findings 4' })).toBeVisible();
  await sides.getByRole('button', { name: 'Accept…' }).waitFor({ state: 'detached' });
  await scrollToRow(page, 51);
  await row(page, 51).getByRole('gridcell', { name: 'Heel on the jetty' }).click();
  await page.keyboard.press('End');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.type('3');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('tab', { name: 'Findings 5' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('tab', { name: 'Findings 4' })).toBeVisible();

  // Cue cards of a lesson, turned for a teacher who faces the class.
  await page.getByRole('link', { name: 'Cue cards' }).click();
  await choose(page.getByLabel('Passage'), 'Lesson 1: Opening–3');
  await expect(page.getByText('Let the right (your left) hand lead the eyes')).toBeVisible();
  await page.getByRole('radio', { name: 'Plain' }).click();
  await expect(page.getByText('Let the right hand lead the eyes')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  const title = page.getByRole('heading', { name: 'Heron looks up' }).first();
  expect(await title.evaluate((element) => Number.parseFloat(getComputedStyle(element).fontSize))).toBeGreaterThan(50);
  // Four cards, two a page, and the line of care under the last, on either paper.
  const pages = async () =>
    (await page.pdf({ preferCSSPageSize: true })).toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length;
  expect(await pages()).toBe(2);
  await page.emulateMedia({ media: 'screen' });
  await choose(page.getByLabel('Paper'), 'Letter');
  expect(await pages()).toBe(2);

  // A small hall runs out, a larger one does not.
  await page.getByRole('link', { name: 'Floor', exact: true }).click();
  await page.getByLabel('Room width, m').fill('5');
  await page.getByLabel('Room depth, m').fill('4');
  await expect(page.getByTestId('fits')).toContainText('The room runs out at');
  await page.getByLabel('Room width, m').fill('18');
  await page.getByLabel('Room depth, m').fill('12');
  await expect(page.getByTestId('fits')).toContainText('It fits');
  await page.reload();
  await expect(page.getByTestId('fits')).toContainText('It fits');
});

test('a form is typed with the keyboard alone', async ({ page }) => {
  await open(page);
  await newScore(page, '# Typed\n1. First');
  await row(page, 1).getByRole('gridcell', { name: 'First' }).click();
  await page.keyboard.press('Insert');
  await page.keyboard.type('Heron (turning)');
  await page.keyboard.press('Tab');
  await page.keyboard.type('L');
  await page.keyboard.press('Tab');
  await page.keyboard.type('7x7');
  await page.keyboard.press('Enter');
  await expect(row(page, 2)).toContainText('Heron (turning)left7x7');
  await page.keyboard.press('Alt+m');
  await expect(row(page, 3)).toContainText('right7x7');
  await expect(row(page, 3).getByRole('gridcell').last()).toHaveText('2');
  await page.keyboard.press('Alt+n');
  await expect(row(page, 3).getByRole('gridcell').nth(1)).toHaveText('3');
  await page.keyboard.press('Alt+ArrowUp');
  await expect(row(page, 2)).toContainText('right');
  await page.keyboard.press('Control+Delete');
  await expect(page.getByRole('grid').getByRole('row')).toHaveCount(3);
  // What cannot be stays in its cell, with the reason, until it is put right.
  await page.keyboard.press('ArrowRight');
  await page.keyboard.type('many');
  await page.keyboard.press('Enter');
  const wrong = page.locator('[role=gridcell][aria-invalid=true]');
  await expect(wrong).toContainText('many');
  await expect(page.getByText('1 cell is not saved')).toBeVisible();
  await wrong.click();
  await expect(page.getByText('Not saved. Breaths: "many" is not a number.')).toBeVisible();
  await page.keyboard.type('2');
  await page.keyboard.press('Enter');
  await expect(wrong).toHaveCount(0);
  await expectSaved(page);
  // All of it can be taken back, step by step, also after the page was opened again.
  await page.reload();
  await expectSaved(page);
  const back = page.getByRole('button', { name: 'Take back', exact: true }).first();
  for (let left = 20; left > 0 && (await back.isEnabled()); left--) {
    const answered = page.waitForResponse('**/take-back');
    await back.click();
    await (await answered).finished();
    await expectSaved(page);
  }
  await expect(page.getByRole('grid').getByRole('row')).toHaveCount(2);
  await expect(page.getByRole('grid')).toContainText('First');
});

test('sixteen rows stand on a laptop at once, whole', async ({ page }) => {
  await newScore(page, longList());
  const last = await row(page, 16).evaluate((one) => one.getBoundingClientRect().bottom);
  const end = await page.getByRole('grid').evaluate((grid) => grid.parentElement?.getBoundingClientRect().bottom ?? 0);
  expect(last).toBeGreaterThan(0);
  expect(last).toBeLessThanOrEqual(Math.min(end, 800));
});

test('rows are pasted from a spreadsheet', async ({ page }) => {
  await open(page);
  await newScore(page, '# Pasted\n1. First');
  await row(page, 1).getByRole('gridcell', { name: 'First' }).click();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', 'First\tL\t3\n"Two\nlines"\tR\t\nThird\tboth\tL-R\n');
    document.activeElement?.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await expect(page.getByRole('grid').getByRole('row')).toHaveCount(4);
  await expect(row(page, 1)).toContainText('Firstleft3');
  await expect(row(page, 3)).toContainText('ThirdbothL-R');
});

test('the depth of an entry is written beside the grid and kept', async ({ page }) => {
  await open(page);
  await newScore(page, '# Deep\n1. Heron (L)\n2. Heron (R)');
  await row(page, 1).getByRole('gridcell', { name: 'Heron' }).click();
  await page.getByText('Phases and breath').click();
  await page.getByRole('group', { name: 'Phases' }).getByRole('button', { name: 'Add' }).first().click();
  await choose(page.getByLabel('Phases 1, Breath'), /^in$/);
  await page.getByLabel('Phases 1, Cue').fill('lift the {L} hand');
  await page.getByLabel('Phases 1, Left %').fill('80-90');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Care', exact: true }).click();
  await page.getByLabel('neck circle').check();
  await page.getByRole('tab', { name: /^Findings/ }).click();
  await expect(page.getByText('has a neck circle and no caution')).toBeVisible();
  await expectSaved(page);
  await page.reload();
  await expect(page.getByLabel('Phases 1, Cue')).toHaveValue('lift the {L} hand');
  await expect(page.getByLabel('Phases 1, Left %')).toHaveValue('80-90');
  await page.getByRole('link', { name: 'Time', exact: true }).click();
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByTestId('breath')).toContainText('in');
  await page.getByRole('link', { name: 'Versions' }).click();
  await page.getByRole('button', { name: 'Compare: Version 1' }).click();
  await expect(page.getByRole('dialog')).toContainText('phases');
});

test('two devices on one form: different entries are merged, the same one is asked about, nothing is lost', async ({
  page,
  browser,
  storageState,
}) => {
  await open(page);
  await newScore(page, '# Shared\n1. First\n2. Second\n3. Third');
  // Another device: tabs of one browser tell each other what was answered, and are never behind.
  const context = await browser.newContext({ storageState: storageState as string, baseURL: new URL(page.url()).origin });
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByRole('grid')).toBeVisible();

  await row(page, 1).getByRole('gridcell', { name: 'First' }).click();
  await page.keyboard.press('Tab');
  await page.keyboard.type('left');
  await page.keyboard.press('Enter');
  await expectSaved(page);
  await row(other, 2).getByRole('gridcell', { name: 'Second' }).click();
  await other.keyboard.press('Tab');
  await other.keyboard.type('right');
  await other.keyboard.press('Enter');
  // The answer brings what the other did meanwhile.
  await expect(row(other, 1)).toContainText('left');
  await expect(row(other, 2)).toContainText('right');

  // On the page that is behind, the same entry.
  await row(page, 2).getByRole('gridcell', { name: 'Second' }).click();
  await page.keyboard.press('Tab');
  await page.keyboard.type('both');
  await page.keyboard.press('Enter');
  const asked = page.getByRole('dialog', { name: 'Someone else was here' });
  await expect(asked).toContainText('Entry 2, "Second",', { ignoreCase: true });
  await expect(asked).toContainText('side “both”');
  await asked.getByRole('button', { name: 'Make my change on top of it' }).click();
  await expect(row(page, 2)).toContainText('both');
  await expectSaved(page);

  // And the other way: what is there now is shown, mine is dropped knowingly.
  await row(other, 2).getByRole('gridcell', { name: 'Second' }).click();
  await other.keyboard.press('Tab');
  await other.keyboard.type('centre');
  await other.keyboard.press('Enter');
  await other.getByRole('dialog').getByRole('button', { name: 'Show what is there now' }).click();
  await expect(row(other, 2)).toContainText('both');
  await context.close();
});

test('what is typed while the network is away is saved when it answers again', async ({ page }) => {
  await open(page);
  await newScore(page, '# Away\n1. First\n2. Second');
  await page.route('**/edits', (route) => route.abort());
  await row(page, 1).getByRole('gridcell', { name: 'First' }).click();
  await page.keyboard.press('Tab');
  await page.keyboard.type('L');
  await page.keyboard.press('Enter');
  await page.keyboard.type('R');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Not saved yet: the network does not answer', { exact: false })).toBeVisible();
  await page.unroute('**/edits');
  await expectSaved(page);
  await page.reload();
  await expect(row(page, 1)).toContainText('left');
  await expect(row(page, 2)).toContainText('right');
});

test('a starter is read, saved and its origin is said', async ({ page }) => {
  await open(page);
  await page.goto('/forms/new');
  await page.getByRole('button', { name: 'Begin from this: Sword set, 32 movements' }).click();
  await expect(page.getByText('34 entries ·', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Save the form' }).click();
  await page.getByRole('link', { name: 'Score', exact: true }).click();
  await page.getByRole('tab', { name: 'The form' }).click();
  await expect(page.getByLabel('About it, and where its values come from')).toHaveValue(/from memory/);
});

test('a ribbon of a long list zooms, and says titles when one is near', async ({ page }) => {
  await open(page);
  await newScore(page, longList());
  await page.getByRole('button', { name: 'Show the ribbon' }).click();
  const ribbon = page.getByRole('listbox');
  await expect(ribbon.getByRole('option')).toHaveCount(72);
  await expect(ribbon.locator('foreignObject')).toHaveCount(0);
  for (let times = 0; times < 3; times++) await page.getByRole('button', { name: 'Closer' }).click();
  await expect(ribbon.locator('foreignObject').first()).toBeVisible();
  await page.getByRole('button', { name: 'Whole form' }).click();
  await expect(ribbon.locator('foreignObject')).toHaveCount(0);
});
