import { expect } from '@playwright/test';
import { open, openMarking, takeBack, test } from './teacher';

test('tonight’s focus is marked in a stop check, as seen where the class was stopped', async ({ page }) => {
  await open(page);
  // Tonight shows what to look for, and so does the stop check.
  await expect(page.getByRole('region', { name: 'Evening long form' }).getByText('Look for:')).toBeVisible();
  await openMarking(page);
  await page.getByRole('radio', { name: 'Stop check' }).click();
  await expect(page.getByRole('region', { name: 'Stop check' }).getByText('Look for:')).toBeVisible();
  const first = page.locator('li[data-student]').first();
  const sent = page.waitForResponse('**/marks');
  await first.getByRole('button', { name: 'Stopped' }).click();
  await (await sent).finished();
  // As seen in the entry the class was stopped in.
  const meeting = new URL(page.url()).pathname.split('/')[2] ?? '';
  const answer = await page.evaluate(
    async (id) =>
      (await (await fetch(`/api/meetings/${id}`, { headers: { Accept: 'application/json' } })).json()) as {
        marks: { principleId: string | null; entryId: string | null; support: string }[];
      },
    meeting,
  );
  // Other tests may have marked this evening; of principles only this one does.
  expect(answer.marks.filter((mark) => mark.principleId !== null)).toEqual([
    expect.objectContaining({ principleId: expect.any(String), entryId: expect.any(String), support: 'Stopped' }),
  ]);
  await expect(first.getByRole('button', { name: 'Stopped' })).toHaveAttribute('aria-pressed', 'true');
  await page.reload();
  await page.getByRole('radio', { name: 'Principle', exact: true }).click();
  await expect(page.locator('li[data-student]').first().getByRole('button', { name: 'Stopped' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await takeBack(page, async () => {
    await page.locator('li[data-student]').first().getByRole('button', { name: 'Stopped' }).press('0');
  });
});

test('a teacher takes a set, joins ten principles to a form, has focuses proposed, and changes one', async ({ page }) => {
  await open(page);
  // A set that ships, taken.
  await page.getByRole('link', { name: 'Principles' }).click();
  await page.getByRole('button', { name: 'Take this set: Ten in three families' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Ten in three families' })).toBeVisible();
  const set = page.url();
  await page.getByRole('button', { name: 'Change: Waist loose' }).click();
  await page.getByTestId('principle-editor').getByLabel('Title').fill('The waist turns first');
  const saved = page.waitForResponse('**/edits');
  await page.getByTestId('principle-editor').getByLabel('What it asks for').focus();
  await (await saved).finished();
  await expect(page.getByRole('heading', { name: 'The waist turns first', exact: true })).toBeVisible();

  // Ten principles, each swept across five entries of the demo's form.
  await page.getByRole('link', { name: 'Where they show' }).click();
  await page.getByRole('combobox', { name: 'Form' }).click();
  await page.getByRole('option', { name: 'Marsh Lantern, long form' }).click();
  await page.getByRole('radio', { name: 'most of all' }).click();
  for (let row = 0; row < 10; row++) {
    const cell = (column: number) => page.locator(`[data-cell="${String(row)}-${String(column)}"]`);
    await cell(row).scrollIntoViewIfNeeded();
    const joined = page.waitForResponse('**/principle-sets/*/forms/*');
    await cell(row).hover();
    await page.mouse.down();
    await cell(row + 4).hover();
    await page.mouse.up();
    await (await joined).finished();
    await expect(cell(row + 2).locator('[data-strength="3"]')).toBeVisible();
  }
  await expect(page.locator('[data-strength="3"]')).toHaveCount(50);

  // The group works on it, and every class to come gets a focus.
  await page.getByRole('link', { name: 'Groups' }).click();
  await page.getByRole('link', { name: 'Evening long form' }).click();
  await page.getByRole('navigation', { name: 'Parts of the group' }).getByRole('link', { name: 'Principles' }).click();
  const own = page.getByRole('combobox', { name: 'The set this group works on' });
  await own.click();
  await page.getByRole('option', { name: 'Ten in three families' }).last().click();
  await expect(page.getByText('Chosen. The plan is laid again.', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Term', exact: true }).click();
  await page.getByRole('link', { name: 'A term of principles' }).click();
  await expect(page.getByRole('columnheader', { name: 'The waist turns first' })).toBeVisible();
  const rows = page.locator('tr[data-meeting]');
  // The first that is planned anew: an evening whose log was taken back keeps the plan it had.
  const tonight = rows
    .filter({ hasText: 'Head lightly up' })
    .filter({ has: page.getByRole('button', { name: /Set the focus/ }) })
    .first();
  await expect(tonight.getByText('new')).toBeVisible();

  // One is changed by hand: first shown, then made.
  await tonight.getByRole('button', { name: /Set the focus/ }).click();
  await page.getByRole('dialog').getByRole('combobox', { name: 'First' }).click();
  await page.getByRole('option', { name: 'The waist turns first' }).click();
  await page.getByRole('button', { name: 'Look what it moves' }).click();
  await page.getByRole('button', { name: 'Take it over' }).click();
  const changed = rows.filter({ has: page.getByRole('img', { name: 'Focus, new, set by hand' }) });
  await expect(changed).toHaveCount(1);
  await changed.getByRole('button', { name: /^Why: The waist/ }).click();
  await expect(page.getByText('set by hand', { exact: false }).last()).toBeVisible();
  await page.keyboard.press('Escape');

  // The set is in use, so it is not removed by mistake.
  await page.goto(set);
  await page.getByRole('button', { name: 'Remove this set' }).click();
  await expect(page.getByRole('dialog')).toContainText('Evening long form');
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Remove', exact: true })).toHaveCount(0);
});
