import { expect } from '@playwright/test';
import { choose } from './choose';
import { Actions, longList, open, PASSWORD, takeBack, test, weekdayThere } from './teacher';

const names = Array.from({ length: 20 }, (_, at) => `Student ${String.fromCharCode(65 + at)}`);

test.describe.configure({ mode: 'serial' });

test('a wrong password is refused in words, what was typed stays, and the right one signs in', async ({
  browser,
  baseURL,
  owner,
}) => {
  const page = await (await browser.newContext({ baseURL, storageState: { cookies: [], origins: [] } })).newPage();
  await page.goto('/');
  await page.getByLabel('Email').fill(owner);
  await page.getByLabel('Password').fill('wrong');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('alert')).toContainText('Check both');
  await expect(page.getByLabel('Email')).toHaveValue(owner);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
  await page.getByRole('button', { name: 'Sign out' }).first().click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
});

test('tonight’s plan is the first thing on the screen', async ({ page }) => {
  await open(page);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Evening long form');
  await expect(page.getByRole('heading', { name: 'Run-through' })).toBeVisible();
  const minutes = await page.locator('ol > li > span:last-child').allTextContents();
  const total = minutes.filter((text) => text.endsWith(' min')).reduce((sum, text) => sum + Number.parseInt(text, 10), 0);
  expect(total).toBe(75);
});

test('from a pasted list to a marked class, as a teacher would', async ({ page }) => {
  await open(page);

  // A 72-line list, seen cut into lessons, in at most six actions.
  const pasting = new Actions();
  await pasting.do(page.getByRole('link', { name: 'Forms' }).click());
  await pasting.do(page.getByRole('link', { name: 'Paste or import a form' }).click());
  await pasting.do(page.getByLabel('The list, a line a movement').fill(longList()));
  await pasting.do(page.getByRole('button', { name: 'Read it' }).click());
  await expect(page.getByText('72 entries ·', { exact: false })).toBeVisible();
  await expect(page.getByText(/\d+ links were guessed/)).toBeVisible();
  await pasting.do(page.getByRole('button', { name: 'Save the form' }).click());
  await expect(page.getByRole('heading', { name: 'Lessons', exact: true })).toBeVisible();
  expect(pasting.count).toBeLessThanOrEqual(6);

  // The load of an entry, as its parts.
  await page.getByRole('option', { name: /^5\. / }).click();
  await expect(page.getByTestId('load-parts')).toHaveText(/1 movement, × 0\.5 mirrored, \+ 0\.2 join = 0\.7/);

  // A notch moved with the keyboard becomes a pin, core cuts again, and it survives a reload.
  const notch = page.getByRole('slider').first();
  const before = Number(await notch.getAttribute('data-notch'));
  await notch.focus();
  await notch.press('ArrowRight');
  await notch.press('Enter');
  await expect(page.getByText('The lessons are cut again.').first()).toBeVisible();
  await expect(page.locator(`[data-notch="${String(before + 1)}"]`)).toHaveCount(1);
  await page.reload();
  await expect(page.locator(`[data-notch="${String(before + 1)}"]`)).toHaveCount(1);
  await expect(page.getByText('1 pin')).toBeVisible();

  // A notch dragged does the same, and can be taken back from the toast.
  const dragged = page.getByRole('slider').nth(3);
  const place = Number(await dragged.getAttribute('data-notch'));
  const box = await dragged.boundingBox();
  const cell = await page.getByRole('option').nth(place).boundingBox();
  if (!box || !cell) throw new Error('The ribbon is not drawn.');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + cell.width + 2, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByText('2 pins')).toBeVisible();
  await page.getByRole('button', { name: 'Take back' }).last().click();
  await expect(page.getByText('1 pin', { exact: true })).toBeVisible();

  // More lessons than the form can give is refused with the range, and nothing changes.
  await page.getByRole('link', { name: 'Cut it on the workbench' }).click();
  await page.getByRole('radio', { name: 'Number' }).click();
  await page.getByLabel('Number of lessons').fill('1');
  await expect(page.getByRole('alert')).toContainText('feasible');
  await page.getByRole('link', { name: 'Lessons', exact: true }).click();

  // A group of twenty.
  await page.getByRole('link', { name: 'Make a group for it' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name of the group').fill('Twenty');
  await dialog.getByLabel('Students, a name a line').fill(names.join('\n'));
  await dialog.getByRole('button', { name: 'Make the group' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Twenty' })).toBeVisible();

  // Its lessons over a twelve-week term with two closures, in at most eight actions.
  const laying = new Actions();
  await laying.do(page.getByRole('link', { name: 'Lay a term' }).first().click());
  await expect(page.getByLabel('Group', { exact: true })).toHaveText(/.+/);
  await laying.do(choose(page.getByLabel('Group', { exact: true }), 'Twenty'));
  const weekday = weekdayThere();
  await laying.do(choose(page.getByLabel('Weekday'), weekday));
  const dates = page.getByRole('button', { pressed: false }).filter({ hasText: weekday });
  await expect(dates).toHaveCount(12);
  await laying.do(dates.nth(3).click());
  await laying.do(dates.nth(6).click());
  await expect(page.getByText('10 meetings')).toBeVisible();
  await laying.do(page.getByRole('button', { name: 'Lay the term' }).click());
  await expect(page.getByRole('heading', { name: 'The weave' })).toBeVisible();
  expect(laying.count).toBeLessThanOrEqual(8);
  await expect(page.locator('[data-stroke="new"]')).not.toHaveCount(0);

  // Tonight's meeting: who is here.
  await page.getByRole('navigation', { name: 'The term’s meetings' }).getByRole('link').first().click();
  await page.getByRole('tab', { name: 'Who is here' }).click();
  await page.getByRole('switch').nth(19).click();
  await expect(page.getByText('19 of 20 here')).toBeVisible();
  await page.getByRole('switch').nth(19).click();
  await expect(page.getByText('20 of 20 here')).toBeVisible();

  // Twenty students on one passage in at most 24 taps.
  const marking = new Actions();
  await marking.do(page.getByRole('tab', { name: 'Mark' }).click());
  for (const name of names) {
    await marking.do(page.getByRole('group', { name }).getByRole('button', { name: 'Alone' }).click());
  }
  expect(marking.count).toBeLessThanOrEqual(24);
  await expect(page.getByRole('button', { name: 'Alone', pressed: true })).toHaveCount(20);

  // Taking one back, with the keyboard.
  await page.getByRole('group', { name: 'Student T' }).getByRole('button', { name: 'Alone' }).press('z');
  await expect(page.getByRole('button', { name: 'Alone', pressed: true })).toHaveCount(19);
  await page.getByRole('group', { name: 'Student T' }).getByRole('button', { name: 'Cued' }).press('2');
  await expect(page.getByRole('group', { name: 'Student T' }).getByRole('button', { name: 'Cued' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );

  // The class went as planned: one action; and the standing map shows it.
  await page.getByRole('button', { name: 'Log as planned' }).dblclick();
  await expect(page.getByText('The class is logged.').first()).toBeVisible();
  await expect(page.getByText(/has been logged already/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Take the log back' })).toBeVisible();
  await page.getByRole('link', { name: 'Groups' }).click();
  await page.getByRole('link', { name: /Twenty/ }).click();
  const map = page.getByRole('region', { name: 'The standing map' });
  await expect(
    map.getByRole('row', { name: /Student A/ }).getByRole('img', { name: /Alone, should still be there/ }),
  ).not.toHaveCount(0);
  await expect(
    map.getByRole('row', { name: /Student T/ }).getByRole('img', { name: /Cued, should still be there/ }),
  ).not.toHaveCount(0);
  await expect(map.locator('[data-frontier]')).toHaveCount(19);
});

test('who is not ready for the next lesson, and why, in two actions', async ({ page }) => {
  await open(page);
  const finding = new Actions();
  await finding.do(
    page.getByRole('region', { name: 'Evening long form' }).getByRole('link', { name: 'See who, and why' }).click(),
  );
  await finding.do(page.getByRole('heading', { name: /Not yet ready for lesson/ }).click());
  await expect(page.getByText(/never met|still followed, last seen Following|faded/).first()).toBeVisible();
  expect(finding.count).toBeLessThanOrEqual(2);
});

test('a mark on a side shows on the map of the group, and is offered only where there are sides', async ({ page }) => {
  await open(page);
  await page.getByRole('region', { name: 'Twenty' }).getByRole('link', { name: 'Open the class' }).click();
  const left = page.getByRole('radio', { name: 'Left' });
  const passage = page.getByRole('button', { name: /choose another passage/ });
  const touch = async (number: string) => {
    await passage.click();
    await page.getByRole('option', { name: new RegExp(`^${number}\\. `) }).click();
    await page.getByRole('button', { name: 'Mark this' }).click();
    await expect(passage).toContainText(`${number} Stair`);
  };
  await touch('2');
  await expect(left).toHaveCount(0);
  const choose = async () => {
    await touch('1');
    await left.click();
  };
  await choose();
  const following = page.getByRole('group', { name: 'Student B' }).getByRole('button', { name: 'Following' });
  await following.click();
  await expect(page.getByText(/Student B: Following on 1/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Groups' }).click();
  await page.getByRole('link', { name: /Twenty/ }).click();
  const row = page.getByRole('region', { name: 'The standing map' }).getByRole('row', { name: /Student B/ });
  await expect(row.getByRole('img', { name: /\(left Following, right / })).not.toHaveCount(0);
  await page.goBack();
  await page.goBack();
  await choose();
  await expect(following).toHaveAttribute('aria-pressed', 'true');
  await takeBack(page, () => following.press('z'));
  await expect(page.getByText('Student B: mark taken back').first()).toBeVisible();
});

test('the pages can be left and come back to by their address, and Back works', async ({ page }) => {
  await open(page);
  await page.getByRole('link', { name: 'Groups' }).click();
  await page.getByRole('link', { name: /Evening long form/ }).click();
  await page.getByRole('link', { name: 'Term', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'The weave' })).toBeVisible();
  const address = page.url();
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1, name: 'Evening long form' })).toBeVisible();
  await page.goto(address);
  await expect(page.getByRole('heading', { name: 'The weave' })).toBeVisible();
  await page.goto('/nowhere');
  await expect(page.getByText('There is no page at this address.')).toBeVisible();
  await page.goto('/forms/00000000-0000-7000-8000-000000000000');
  await expect(page.getByRole('alert')).toContainText('nothing here');
});
