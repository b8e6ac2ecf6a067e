import { expect, type Locator } from '@playwright/test';
import { choose } from './choose';
import { Actions, inDays, open, test, weekdayThere } from './teacher';

test.describe.configure({ mode: 'serial' });

/** The day a tick of the season line is shown with, as in "3 Dec". */
const dayOf = async (tick: Locator): Promise<string> =>
  /\d+ \w{3}/.exec((await tick.getByRole('link').textContent()) ?? '')?.[0] ?? 'no day';

test('a term is laid, changed by hand, compared, asked why, solved for, subscribed to and printed', async ({ page, baseURL }) => {
  const group = `Harbour ${String(Date.now() % 100000)}`;
  await open(page);
  await page.getByRole('link', { name: 'Groups' }).click();
  await page
    .getByRole('link', { name: 'Make a group' })
    .or(page.getByRole('button', { name: 'Make a group' }))
    .first()
    .click();
  const making = page.getByRole('dialog');
  await making.getByLabel('Name of the group').fill(group);
  await choose(making.getByLabel('Form'), 'Marsh Lantern, long form');
  await making.getByRole('button', { name: 'Make the group' }).click();
  await expect(page.getByRole('heading', { level: 1, name: group })).toBeVisible();

  // The demo form over a twelve-week term with two closures and a showing, in at most eight actions.
  const laying = new Actions();
  await laying.do(page.getByRole('link', { name: 'Lay a term' }).first().click());
  const weekday = weekdayThere();
  await laying.do(choose(page.getByLabel('Weekday'), weekday));
  const dates = page.getByRole('button', { pressed: false }).filter({ hasText: weekday });
  await expect(dates).toHaveCount(12);
  await laying.do(dates.nth(3).click());
  await laying.do(dates.nth(6).click());
  await laying.do(page.getByLabel('Showing on').fill(inDays(70)));
  await laying.do(choose(page.getByLabel('up to'), { nth: 7 }));
  await expect(page.getByText('10 meetings')).toBeVisible();
  await laying.do(page.getByRole('button', { name: 'Lay the term' }).click());
  await expect(page.getByRole('heading', { name: 'The weave' })).toBeVisible();
  expect(laying.count).toBeLessThanOrEqual(8);
  await expect(page.getByText(/The showing on .* (holds|does not hold)/).first()).toBeVisible();

  // A second course.
  await page.getByRole('button', { name: 'Add a course' }).click();
  await page.getByRole('dialog').getByLabel('Form').click();
  await page.getByRole('option', { name: 'Nine Lamps, short qigong' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Add a course' }).click();
  await expect(page.getByRole('radio', { name: /Nine Lamps/ })).toBeVisible();

  // A lesson is carried to the next evening, by keyboard; what moves is said, and taken over.
  const lesson = page.locator('[data-lesson="2"]').first();
  /** What the picture says of what is carried, for whoever does not see it. */
  const told = page.getByRole('status').filter({ hasText: /^(Lesson \d+ is taken up|Over |Put )/ });
  /** Carries by keyboard; each key waits until the last one was heard. */
  const carryByKeys = async (what: Locator, arrow: string) => {
    await what.focus();
    await page.keyboard.press('Space');
    await expect(told).toHaveText(/^Over /);
    const from = await told.innerText();
    await page.keyboard.press(arrow);
    await expect(told).not.toHaveText(from);
    await page.keyboard.press('Space');
  };
  await carryByKeys(lesson, 'ArrowDown');
  const bar = page.getByRole('region', { name: 'A change that is not made yet' });
  await expect(bar.getByText(/lesson 2 moves from/)).toBeVisible();
  await expect(page.locator('[data-stroke="ghost"]').first()).toBeAttached();
  await bar.getByRole('button', { name: 'Take it over' }).dblclick();
  await expect(page.getByText('The term is changed, and planned again around it.').first()).toBeVisible();
  await expect(bar).toHaveCount(0);

  // And with the mouse: a lesson dropped on another evening, once the plan made meanwhile has moved everything to its place.
  await page.setViewportSize({ width: 1280, height: 1400 });
  await page.waitForLoadState('networkidle');
  await expect(page.getByText('What follows is the plan as it was')).toHaveCount(0);
  const middleOf = async (place: Locator) => {
    await place.scrollIntoViewIfNeeded();
    const box = await place.boundingBox();
    if (!box) throw new Error('It is not drawn.');
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  /** The middle of something, once it lies still: what arrives from the server can move it. */
  const middleAtRest = async (place: Locator) => {
    let last = await middleOf(place);
    await expect(async () => {
      const now = await middleOf(place);
      const isStill = now.x === last.x && now.y === last.y;
      last = now;
      expect(isStill).toBe(true);
    }).toPass({ intervals: [200] });
    return last;
  };
  const carry = async (what: Locator, to: Locator) => {
    await middleAtRest(to);
    const start = await middleAtRest(what);
    await page.mouse.move(start.x, start.y);
    await page.mouse.down();
    await page.mouse.move(start.x, start.y - 12, { steps: 3 });
    const end = await middleOf(to);
    await page.mouse.move(end.x, end.y, { steps: 8 });
    await page.mouse.up();
  };
  const block = page.locator('[data-lesson="4"]').first();
  const evening = page.getByRole('group', { name: 'The weave' }).getByRole('link').nth(7);
  await carry(block, evening);
  await expect(bar.getByText(/lesson 4 moves from/).first()).toBeVisible();
  await bar.getByRole('button', { name: 'Drop it' }).click();

  // From the weave onto a tick of the season line; and beside both pictures it falls back to where it was.
  await carry(block, page.getByRole('heading', { level: 1 }));
  await expect(page.getByText('Put back where it was.')).toBeAttached();
  await expect(bar).toHaveCount(0);
  const target = page.locator('[data-spot]').nth(7);
  await carry(block, target);
  await expect(bar.getByText(new RegExp(`lesson 4 moves from .* to .*${await dayOf(target)}`)).first()).toBeVisible();
  await bar.getByRole('button', { name: 'Drop it' }).click();

  // Along the season line itself, with the mouse and by keyboard; a plain click on it opens the meeting, as the tick does.
  await carry(page.locator('[data-tick-lesson="4"]').first(), target);
  await expect(bar.getByText(new RegExp(`lesson 4 moves from .* to .*${await dayOf(target)}`)).first()).toBeVisible();
  await bar.getByRole('button', { name: 'Drop it' }).click();
  await carryByKeys(page.locator('[data-tick-lesson="4"]').first(), 'ArrowRight');
  await expect(bar.getByText(/lesson 4 moves from/).first()).toBeVisible();
  await bar.getByRole('button', { name: 'Drop it' }).click();
  // The tick itself, at its middle, is the link it always was.
  const tick = page.locator('[data-spot]').filter({ has: page.locator('[data-tick-lesson="4"]') });
  const on = await middleOf(tick);
  expect(await page.evaluate(({ x, y }) => document.elementFromPoint(x, y)?.closest('a') !== null, on)).toBe(true);
  await page.locator('[data-tick-lesson="4"]').first().click();
  await expect(page).toHaveURL(/\/meetings\//);
  await page.goBack();
  await page.setViewportSize({ width: 1280, height: 800 });

  // An evening moves two days on; what is on another day already is refused with the nearest day.
  await page.getByText('As a table').click();
  const change = page.getByRole('button', { name: /^Change / });
  await change.nth(5).click();
  const dialog = page.getByRole('dialog');
  const day = await dialog.getByLabel('To', { exact: true }).inputValue(); // as the school writes it
  const later = new Date(Date.parse(`${day} 12:00 UTC`) + 2 * 86_400_000).toISOString().slice(0, 10);
  await dialog.getByLabel('To', { exact: true }).fill(later);
  await dialog.getByLabel('Reason').fill('the hall is taken');
  await dialog.getByRole('button', { name: 'See what it moves' }).first().click();
  await expect(bar.getByText(/The meeting of .* moves to /)).toBeVisible();
  await bar.getByRole('button', { name: 'Take it over' }).click();
  await expect(bar).toHaveCount(0);

  // A meeting is cancelled, and what moved is read in words; later too.
  await change.nth(2).click();
  await dialog.getByLabel('Reason').fill('snow');
  await dialog.getByRole('button', { name: 'Cancel this evening' }).click();
  await expect(bar.getByText(/does not take place: snow\./)).toBeVisible();
  await bar.getByRole('button', { name: 'Take it over' }).click();
  await expect(bar).toHaveCount(0);
  await page.getByText('What was changed').click();
  await expect(page.getByText('The term was changed by hand.').first()).toBeVisible();
  await expect(
    page
      .getByRole('list')
      .getByText(/does not take place: snow\./)
      .first(),
  ).toBeVisible();

  // Why: of the end, by keyboard.
  await page.getByRole('button', { name: 'Why: The end of the plan' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/The chances of all of them add up to/)).toBeVisible();
  await page.keyboard.press('Escape');

  // How far by the showing: worked out in the background, and there.
  await page.getByRole('button', { name: 'How far by the showing?' }).click();
  await expect(page.getByText(/^(Up to .* the passage holds\.|Not even the first movement holds by then\.)$/)).toBeVisible();

  // The three approaches side by side; leaving the page loses nothing.
  await page.getByRole('link', { name: 'Compare plans' }).click();
  await page.getByRole('button', { name: 'Work them out' }).click();
  await expect(page.getByRole('region', { name: /^Plan \d$/ })).toHaveCount(3);
  await page.reload();
  await expect(page.getByRole('region', { name: /^Plan \d$/ })).toHaveCount(3);
  await expect(page.getByRole('region', { name: 'Plan 2' })).toContainText('Expected movements');
  await page.getByRole('link', { name: 'The term' }).click();

  // The feed: its address is read without signing in, and the cancelled evening is cancelled there.
  await page.getByRole('link', { name: 'People', exact: true }).click();
  await page.getByRole('button', { name: 'Make a private address' }).click();
  const address = (await page.locator('code').textContent()) ?? '';
  const feed = await (await fetch(new URL(new URL(address).pathname, baseURL))).text();
  expect(feed).toContain('BEGIN:VCALENDAR');
  expect(feed).toContain('STATUS:CANCELLED');
  await page.getByRole('button', { name: 'Revoke the address' }).click();
  await expect(page.getByText('The address no longer works.').first()).toBeVisible();
  expect((await fetch(new URL(new URL(address).pathname, baseURL))).status).toBe(404);

  // Tonight's sheet is one page of paper.
  await page.getByRole('link', { name: 'Term', exact: true }).click();
  await page.getByRole('navigation', { name: 'The term’s meetings' }).getByRole('link').first().click();
  await page.getByRole('link', { name: 'Tonight’s sheet' }).click();
  await expect(page.getByRole('region', { name: 'Cues and cautions: Marsh Lantern, long form' })).toBeVisible();
  await page.evaluate(() => (document.documentElement.dataset.theme = 'hall'));
  await page.emulateMedia({ media: 'print' });
  // Printed from the dark hall, letters are dark all the same.
  expect(await page.evaluate(() => getComputedStyle(document.documentElement).color)).toBe('rgb(32, 41, 43)');
  await expect(page.getByRole('navigation', { name: 'Places' })).toBeHidden();
  // Nor what was just told, for as long as it stands.
  const toasts = page.getByRole('region', { name: /^Notifications/ }).locator('ol');
  expect(await toasts.evaluate((list) => getComputedStyle(list).display)).toBe('none');
  await page.evaluate(() => document.fonts.ready); // letters of another face take other room
  const pdf = await page.pdf({ format: 'A4' });
  expect((pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g) ?? []).length).toBe(1);
  await page.emulateMedia({ media: 'screen' });
  await page.evaluate(() => (document.documentElement.dataset.theme = 'day'));
});

test('a page of a term on a phone has nothing off the screen, and a change is made there', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/groups');
  await page.getByRole('link', { name: /Evening long form/ }).click();
  await page.getByRole('link', { name: 'Term', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'The weave' })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await page.getByRole('button', { name: 'Why: The end of the plan' }).click();
  const why = await page.getByRole('dialog').boundingBox();
  expect(why?.x).toBeGreaterThanOrEqual(0);
  expect((why?.x ?? 0) + (why?.width ?? 0), 'the explanation fits the phone').toBeLessThanOrEqual(390);
  await page.keyboard.press('Escape');
  await page.getByText('As a table').click();
  await page
    .getByRole('button', { name: /^Change / })
    .last()
    .click();
  await page.getByRole('dialog').getByLabel('Nothing new on this evening').click();
  const bar = page.getByRole('region', { name: 'A change that is not made yet' });
  await expect(bar.getByRole('button', { name: 'Take it over' })).toBeVisible();
  await bar.getByRole('button', { name: 'Drop it' }).click();
});
