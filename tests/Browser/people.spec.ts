import { expect } from '@playwright/test';
import { choose } from './choose';
import { open, test } from './teacher';

/** Goes to who is in the group. */
const people = (page: Parameters<typeof open>[0]) =>
  page.getByRole('navigation', { name: 'Parts of the group' }).getByRole('link', { name: 'People' }).click();

/** Makes a form and a group of it; the names are of this test alone. */
async function newGroup(page: Parameters<typeof open>[0], name: string, students: string[]): Promise<void> {
  await page.goto('/groups?new');
  await page.getByLabel('Name of the group').fill(name);
  await page.getByLabel('Students, a name a line').fill(students.join('\n'));
  await page.getByRole('button', { name: 'Make the group' }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  await people(page);
}

test('students are renamed, moved and taken off the list, and each is taken back', async ({ page }) => {
  await open(page);
  await newGroup(page, 'Left bank', ['Quill A.', 'Quill B.']);
  await newGroup(page, 'Right bank', ['Rusk A.']);
  const change = async (name: string, what: string) => {
    await page.getByRole('button', { name: `Change: ${name}` }).click();
    await page.getByRole('menuitem', { name: what }).click();
  };
  const back = () => page.getByRole('button', { name: 'Take back' }).click();

  await change('Rusk A.', 'Rename');
  await page.getByRole('dialog').getByLabel('Name').fill('Rusk Z.');
  await page.getByRole('dialog').getByRole('button', { name: 'Rename' }).click();
  await expect(page.getByRole('button', { name: 'Change: Rusk Z.' })).toBeVisible();
  await back();
  await expect(page.getByRole('button', { name: 'Change: Rusk A.' })).toBeVisible();

  await change('Rusk A.', 'Move to another group');
  await choose(page.getByLabel('To the group'), 'Left bank');
  await page.getByRole('dialog').getByRole('button', { name: 'Move to another group' }).click();
  await expect(page.getByText('Rusk A. is now in Left bank.').first()).toBeVisible();
  await expect(page.getByRole('button', { name: 'Change: Rusk A.' })).toHaveCount(0);
  await back();
  await expect(page.getByRole('button', { name: 'Change: Rusk A.' })).toBeVisible();

  await change('Rusk A.', 'Take off the list');
  await expect(page.getByText('No one is in this group yet.')).toBeVisible();
  await back();
  await expect(page.getByRole('button', { name: 'Change: Rusk A.' })).toBeVisible();
});

test('a name that is there already is asked about; the same person is one student in two groups', async ({ page }) => {
  await open(page);
  await newGroup(page, 'First shore', ['Tansy M.']);
  await page.goto('/groups?new');
  await page.getByLabel('Name of the group').fill('Second shore');
  await page.getByLabel('Students, a name a line').fill('Tansy M.\nTansy N.');
  const make = page.getByRole('button', { name: 'Make the group' });
  await make.dblclick(); // as some people do with every button
  await expect(page.getByRole('radio', { name: 'Tansy M., in First shore' })).toBeChecked();
  await expect(page.getByLabel('Students, a name a line')).toHaveValue('Tansy M.\nTansy N.');
  await make.click();
  await expect(page.getByRole('heading', { level: 1, name: 'Second shore' })).toBeVisible();
  await people(page);
  await page.getByRole('button', { name: 'Change: Tansy M.' }).click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  await page.getByRole('dialog').getByLabel('Name').fill('Tansy O.');
  await page.getByRole('dialog').getByRole('button', { name: 'Rename' }).click();
  await expect(page.getByRole('button', { name: 'Change: Tansy O.' })).toBeVisible();
  await page.getByRole('link', { name: 'Groups' }).click();
  await page.getByRole('link', { name: /First shore/ }).click();
  await people(page);
  await expect(page.getByRole('button', { name: 'Change: Tansy O.' })).toBeVisible();
});

test('a group under way says how far it was taught, and its map begins there', async ({ page }) => {
  await open(page);
  await newGroup(page, 'Under way', ['Umber A.', 'Umber B.']);
  await page.getByRole('link', { name: 'Standing', exact: true }).click();
  await expect(page.getByText(/Nothing is taught yet/)).toBeVisible();
  await page.getByRole('button', { name: 'Already taught up to…' }).click();
  const dialog = page.getByRole('dialog');
  await choose(dialog.getByLabel('The last entry taught'), { nth: 4 });
  await dialog.getByRole('button', { name: 'Keep it' }).dblclick();
  await expect(page.getByText(/Kept: taught up to/).first()).toBeVisible();
  const map = page.getByRole('region', { name: 'The standing map' });
  await expect(map.getByRole('row', { name: /Umber A\./ }).getByRole('img')).toHaveCount(5);
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByText(/Nothing is taught yet/)).toBeVisible();
});
