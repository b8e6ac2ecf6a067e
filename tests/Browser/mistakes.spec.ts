import { expect } from '@playwright/test';
import { choose } from './choose';
import { open, PASSWORD, test } from './teacher';

test('what was made by mistake is taken back from the toast, and what was typed is there again', async ({ page }) => {
  await open(page);
  await page.goto('/forms/new');
  const list = page.getByLabel('The list, a line a movement');
  await list.fill('# Slip of the pen\n1. Heron\n2. Otter');
  await page.getByRole('button', { name: 'Read it' }).click();
  await page.getByRole('button', { name: 'Save the form' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Slip of the pen' })).toBeVisible();
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(list).toHaveValue('# Slip of the pen\n1. Heron\n2. Otter');
  await page.getByRole('link', { name: 'Forms' }).click();
  await expect(page.getByRole('link', { name: /Nine Lamps/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Slip of the pen/ })).toHaveCount(0);

  await page.goto('/groups?new');
  await page.getByLabel('Name of the group').fill('Wrong night');
  await page.getByLabel('Students, a name a line').fill('Ada\nBo');
  await page.getByRole('button', { name: 'Make the group' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Wrong night' })).toBeVisible();
  await page.getByRole('button', { name: 'Add students' }).click();
  await page.getByLabel('Students, a name a line').fill('Cy');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('3 students')).toBeVisible();
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByText('2 students')).toBeVisible();

  await page.getByRole('link', { name: 'Lay a term' }).first().click();
  await choose(page.getByLabel('Group', { exact: true }), 'Wrong night');
  await page.getByLabel('Name').fill('Wrong term');
  await page.getByRole('button', { name: 'Lay the term' }).click();
  await expect(page.getByRole('heading', { name: 'The weave' })).toBeVisible();
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(page.getByLabel('Name')).toHaveValue('Wrong term');

  await page.getByRole('link', { name: 'Groups' }).click();
  await page.getByRole('link', { name: /Wrong night/ }).click();
  await page.getByRole('button', { name: 'Remove this group' }).click();
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveText([/students?, who (are|is) in no other group/]);
  await page.getByRole('dialog').getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByRole('link', { name: /Evening long form/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Wrong night/ })).toHaveCount(0);
});

test('what has a record in it stays, and says why', async ({ page }) => {
  await open(page);
  for (const [place, row, part, button, says] of [
    ['Groups', /Evening long form/, 'Term', 'Remove this term', /so it stays/],
    ['Groups', /Evening long form/, 'Standing', 'Remove this group', /A term is laid for this group/],
    ['Forms', /Marsh Lantern/, '', 'Remove this form', /learnt by Evening long form/],
  ] as const) {
    await page.getByRole('link', { name: place, exact: true }).click();
    await page.getByRole('link', { name: row }).click();
    if (part) await page.getByRole('link', { name: part, exact: true }).click();
    await page.getByRole('button', { name: button }).click();
    await expect(page.getByRole('dialog').getByText(says)).toBeVisible();
    await expect(page.getByRole('dialog').getByRole('button', { name: 'Remove', exact: true })).toHaveCount(0);
    await page.keyboard.press('Escape');
  }
});

test('what is typed for a group stays when its window is closed, and is gone for the next person at the device', async ({
  owner,
  browser,
  baseURL,
}) => {
  const page = await (await browser.newContext({ baseURL, storageState: { cookies: [], origins: [] } })).newPage();
  const signIn = async () => {
    await page.getByLabel('Email').fill(owner);
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
  };
  await page.goto('/groups?new');
  await signIn();
  const name = page.getByLabel('Name of the group');
  await name.fill('Half typed');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Make a group' }).click();
  await expect(name).toHaveValue('Half typed');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Sign out' }).first().click();
  await signIn();
  await page.getByRole('button', { name: 'Make a group' }).click();
  await expect(name).toHaveValue('');
});
