import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { longList, open, openMarking, takeBack, test, titleOfTerm } from './teacher';

/** Pages of a PDF. */
const pagesOf = (pdf: Buffer): number => pdf.toString('latin1').match(/\/Type\s*\/Page\b/g)?.length ?? 0;

const axe = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.map((one) => `${one.id}: ${one.nodes.map((node) => node.html).join(' ')}`)).toEqual([]);
};

/** A notch is taken up, carried by the keyboard and put down; returns what it was said to cost on the way. */
async function carry(page: Page, nth: number, steps: number): Promise<string> {
  const notch = page.getByRole('slider', { name: /^Lesson cut/ }).nth(nth);
  const at = Number(await notch.getAttribute('data-notch'));
  await notch.focus();
  for (let step = 0; step < steps; step++) await notch.press('ArrowRight');
  const price = page.getByTestId('price');
  await expect(price).toContainText(/costs (nothing|\d)/);
  const says = (await price.textContent()) ?? '';
  await notch.press('Enter');
  await expect(page.locator(`[data-notch="${String(at + steps)}"]`)).toHaveCount(1);
  return says;
}

test('a teacher moves two cuts and reads their prices, opens a mirrored lesson, writes into it and prints its sheet', async ({
  page,
}) => {
  await open(page);
  await page.goto('/forms/new');
  await page.getByLabel('The list, a line a movement').fill(longList());
  await page.getByRole('button', { name: 'Read it' }).click();
  await page.getByRole('button', { name: 'Save the form' }).click();
  await page.getByRole('link', { name: 'Workbench', exact: true }).click();
  await expect(page.getByRole('row', { name: /^Lessons/ })).toBeVisible();
  const first = await carry(page, 2, 1);
  const second = await carry(page, 8, 1);
  for (const says of [first, second]) expect(says).toMatch(/^A cut after .+ costs (nothing|\d+(\.\d+)?)/);
  await expect(page.getByText(/^always cut after/)).toHaveCount(2);
  await axe(page);
  // A size is tried as it is typed, and is not kept by looking at it.
  await page.getByRole('radio', { name: 'Number' }).click();
  await page.getByLabel('Number of lessons').fill('30');
  await expect(
    page
      .getByRole('row', { name: /^Lessons/ })
      .getByRole('cell')
      .nth(1),
  ).toHaveText('30');
  await page.reload();
  await expect(
    page
      .getByRole('row', { name: /^Lessons/ })
      .getByRole('cell')
      .nth(1),
  ).not.toHaveText('30');
  await page.getByRole('button', { name: 'Best again' }).click();
  await expect(page.getByText(/^always cut after/)).toHaveCount(0);

  // The lesson whose entry mirrors another says how it differs.
  await page.getByRole('link', { name: 'Lessons', exact: true }).click();
  await page.getByRole('link', { name: 'Lesson 2', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Lesson 2' })).toBeVisible();
  await expect(page.getByText(/on the other side|is new in itself|as \d+\./).first()).toBeVisible();
  await page.getByRole('button', { name: 'Write into it' }).click();
  await page.getByLabel('Note', { exact: true }).fill('Bring the long sticks.');
  await page.getByRole('button', { name: 'Keep what I wrote' }).dblclick();
  await expect(page.getByText('Kept. The form itself is as it was.').first()).toBeVisible();
  await page.reload();
  await expect(page.getByText('Bring the long sticks.')).toBeVisible();
  await axe(page);
  expect(pagesOf(await page.pdf({ format: 'A4' }))).toBe(1);
});

test('the second lesson of the demo names what differs about the other side', async ({ page }) => {
  await open(page);
  await page.goto('/forms');
  await page.getByRole('link', { name: /Marsh Lantern/ }).click();
  await page.getByRole('link', { name: 'Lesson 1', exact: true }).click();
  await expect(page.getByText(/3\. Heron looks up: as 2\. Heron looks up on the other side/)).toBeVisible();
  await page.getByRole('link', { name: /Later lesson/ }).click();
  await page.getByRole('link', { name: /Later lesson/ }).click();
  await expect(page.getByText('Hands up, tap out: stop at once.')).toBeVisible();
});

test('a step of a partner drill is marked with the safety rule in sight, stands after a reload, and is taken back', async ({
  page,
}) => {
  await open(page);
  await openMarking(page);
  await page.getByRole('radio', { name: 'With a partner' }).click();
  await expect(page.getByText('Hands up, tap out: stop at once.')).toBeVisible();
  await expect(page.getByTestId('pairs').getByRole('listitem')).toHaveCount(7);
  await expect(page.getByText('Beside it: Isaura K., Merrin D.')).toBeVisible();
  await page.getByRole('button', { name: 'Somebody would rather not' }).click();
  await page.getByRole('checkbox', { name: 'Orla F.' }).uncheck();
  await expect(page.getByTestId('pairs').getByText('Three')).toHaveCount(1);
  const row = page.locator('[data-student]').filter({ hasText: 'Anwen T.' });
  await row.getByRole('button', { name: /Alone/ }).click();
  await expect(page.getByText('Anwen T.: Alone on the weight of a hand').first()).toBeVisible();
  await page.reload();
  await page.getByRole('radio', { name: 'With a partner' }).click();
  await expect(row.getByRole('button', { name: /Alone/ })).toHaveAttribute('aria-pressed', 'true');
  await takeBack(page, async () => {
    await row.getByRole('button', { name: /Alone/ }).focus();
    await page.keyboard.press('z');
  });
  await expect(row.getByRole('button', { name: /Alone/ })).toHaveAttribute('aria-pressed', 'false');
});

test('at the end of a term each student is written to in the school’s words, kept, mailed once and printed, and the next term goes on', async ({
  page,
}) => {
  await open(page);
  const title = await titleOfTerm(page, 'Evening long form');
  await page.goto('/terms');
  await page.getByRole('link', { name: /Evening long form/ }).click();
  await page.getByRole('link', { name: 'Letters' }).click();
  await page.getByRole('radio', { name: 'Your words' }).click();
  await page.getByLabel('Ending').fill('Until {term} is over: slowly!');
  await expect(page.getByTestId('sample')).toContainText(`Until ${title} is over: slowly!`);
  await page.getByRole('button', { name: 'Keep these words' }).click();
  await expect(page.getByText('Your words are kept.').first()).toBeVisible();
  await page.getByRole('radio', { name: 'To each student' }).click();
  await page.getByRole('button', { name: /^Corisande V\./ }).click();
  const letter = page.getByLabel('Letter to Corisande V.');
  await expect(letter).toHaveValue(new RegExp(`In Marsh Lantern, long form this holds: .*Until ${title} is over: slowly!`, 's'));
  await letter.fill(`${await letter.inputValue()}\n\nPS: bring the long sticks.`);
  await page.reload(); // what was typed waits
  await expect(letter).toHaveValue(/long sticks/);
  await page.getByRole('button', { name: 'Keep it' }).dblclick();
  await expect(page.getByText('The letter to Corisande V. is kept.').first()).toBeVisible();
  await page.getByRole('button', { name: 'Send it by mail' }).dblclick();
  await expect(page.getByRole('button', { name: /^Corisande V\./ })).toContainText('sent');
  await axe(page);
  // On paper each kept letter has a page of its own: this one, and the one the demo has.
  expect(pagesOf(await page.pdf({ format: 'A4' }))).toBe(2);
  await page.getByRole('radio', { name: 'For the group' }).click();
  await expect(page.getByLabel('The page of the group')).toHaveValue(
    /holds for at least half of us|nothing holds for half of us/,
  );
  expect(pagesOf(await page.pdf({ format: 'A4' }))).toBe(1);
  await page.goto('/school/mailbox');
  await expect(page.getByTestId('mails').getByRole('listitem').filter({ hasText: title })).toHaveCount(1);
  // The next term takes the course along.
  await page.goBack();
  await page.getByRole('link', { name: 'Lay the next term' }).click();
  await expect(
    page
      .getByRole('region', { name: 'What carries over' })
      .getByText(/Marsh Lantern/)
      .first(),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Lay the term' }).click();
  await expect(page.getByRole('button', { name: 'Change the course' })).toBeVisible();
  await page.getByRole('button', { name: 'Take back' }).first().click();
  await expect(page).toHaveURL(/\/terms\/new/);
});

test('a group is sent its practice; a student opens the link on a phone, breathes, notes it offline and asks; the teacher sees it', async ({
  page,
  browser,
  baseURL,
}) => {
  await open(page);
  await page.getByRole('region', { name: 'Evening long form' }).getByRole('link', { name: 'What came back' }).click();
  await expect(page.getByRole('article', { name: 'Orla F.' })).toBeVisible();
  await axe(page);
  expect(pagesOf(await page.pdf({ format: 'A4' }))).toBeLessThanOrEqual(16); // sixteen students, none on more than a page
  await page.getByRole('button', { name: 'Links for their phones' }).click();
  await page.getByRole('checkbox', { name: 'Everyone' }).uncheck();
  await page.getByRole('checkbox', { name: 'Orla F.' }).check();
  await page.getByRole('button', { name: 'Make links' }).dblclick();
  await expect(page.getByTestId('links').getByRole('listitem')).toHaveText(/^Orla F\.sent to orla@/);
  await page.keyboard.press('Escape');
  // It went by mail: the mailbox that stands in for mail has it, and nobody else's page tells it.
  await page.goto('/school/mailbox');
  await page
    .getByRole('button', { name: /^Read: Your practice at home, .*, Orla F\.$/ })
    .first()
    .click();
  const address = (await page.getByTestId('mail').getByRole('link').getAttribute('href')) ?? '';
  await page.keyboard.press('Escape');

  const phone = await browser.newContext({
    baseURL: baseURL ?? '',
    viewport: { width: 390, height: 844 },
    serviceWorkers: 'allow',
  });
  const own = await phone.newPage();
  await own.goto(address.replace(/^https?:\/\/[^/]+/, ''));
  await expect(own.getByRole('heading', { level: 1, name: 'Practice, Orla F.' })).toBeVisible();
  expect(new URL(own.url()).hash).toBe('');
  await expect(own.getByText('Anwen T.')).toHaveCount(0);
  await own.getByRole('button', { name: 'Breathe it through' }).first().click();
  await own.getByRole('button', { name: 'Start' }).click();
  await expect(own.getByTestId('breath')).toBeVisible();
  await axe(own);
  expect(await own.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);

  // The page is kept by a worker of its own, so that it opens at home without a network.
  await own.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await own.reload();
  await expect(own.getByRole('heading', { level: 1, name: 'Practice, Orla F.' })).toBeVisible();
  await phone.setOffline(true);
  await own.reload();
  await expect(own.getByText(/Without a network/)).toBeVisible();
  await own.getByLabel('Minutes', { exact: true }).fill('8');
  await own.getByRole('button', { name: 'Note it' }).dblclick();
  await expect(own.getByText('Noted on this device. It is sent when there is a network.')).toBeVisible();
  await own.getByLabel('Your question').fill('Which foot turns first?');
  await own.getByRole('button', { name: 'Ask it' }).click();
  await expect(own.getByText('2 notes wait to be sent.')).toBeVisible();
  await own.reload(); // nothing of it is lost by a reload in the middle
  await expect(own.getByText('2 notes wait to be sent.')).toBeVisible();
  await phone.setOffline(false);
  await expect(own.getByText(/notes? waits? to be sent/)).toHaveCount(0);
  await expect(own.getByText('Which foot turns first?')).toBeVisible();

  // It stands on tonight and on the student's page, and is answered.
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByText(/students noted practice at home · \d+ questions wait for an answer/)).toBeVisible();
  await page.getByRole('region', { name: 'Evening long form' }).getByRole('link', { name: 'What came back' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Orla F.' })).toContainText('8 minutes · from memory');
  const answering = page.locator('form').filter({ has: page.getByLabel('Answer to Orla F.') });
  await answering.getByLabel('Answer to Orla F.').fill('The front one.');
  await answering.getByRole('button', { name: 'Answer it' }).click();
  await expect(page.getByText('Answered: Orla F. sees it on their page.').first()).toBeVisible();
  await own.reload();
  await expect(own.getByText('Your teacher: The front one.')).toBeVisible();
  await page.getByRole('listitem').filter({ hasText: 'Orla F.' }).getByRole('link', { name: 'Orla F.' }).click();
  const home = page.getByRole('region', { name: 'At home' });
  await expect(home.getByText(/It was opened on 1 device\./)).toBeVisible();

  // What is noted can be taken back, and a link that is ended opens nothing.
  await own.getByRole('button', { name: 'Take back' }).first().click();
  await expect(own.getByText('Nothing yet.')).toBeVisible();
  await home.getByRole('button', { name: 'End the link' }).click();
  await expect(home.getByText('No link opens their page now.')).toBeVisible();
  await own.reload();
  await expect(own.getByRole('heading', { name: 'Open the link that your teacher gave you' })).toBeVisible();
  await phone.close();
});
