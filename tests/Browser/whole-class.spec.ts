import { type BrowserContext, expect, type Page } from '@playwright/test';
import { call, keepClass, makeClass } from './floor';
import { open, test } from './teacher';

const sizes = [
  { what: 'a tablet', width: 1024, height: 768 },
  { what: 'a phone', width: 390, height: 844 },
];

test.use({ serviceWorkers: 'allow' });

for (const { what, width, height } of sizes) {
  test(`a class from Today to the class book on ${what}, cut off in the middle`, async ({ browser, storageState, baseURL }) => {
    const context = await browser.newContext({
      baseURL: baseURL ?? '',
      storageState: storageState as string,
      viewport: { width, height },
      hasTouch: true,
      serviceWorkers: 'allow',
    });
    const page = await context.newPage();
    await open(page);
    const name = `Floor on ${what}`;
    const people = ['Ilka', 'Joss', 'Kerr', 'Lio', 'Mab', 'Nye', 'Ove', 'Pip', 'Quin'].map((one) => `${one} of ${what}`);
    const made = await makeClass(page, name, people);
    await page.goto('/');
    await keepClass(page, made.meeting);
    await page.getByRole('region', { name }).getByRole('link', { name: 'Open the class' }).tap();

    // On the floor: four minutes late, and the end stays.
    await page.getByRole('link', { name: 'On the floor' }).tap();
    await expect(page.getByText(/falls to/).first()).toBeVisible();
    await page.getByRole('button', { name: /^Start, \d+ minutes late$/ }).tap();
    const floor = page.getByTestId('floor');
    await expect(floor).toBeVisible();
    await expect(page.getByRole('timer')).toHaveText(/^\d+:\d\d$/);
    await expect(page.getByText(/Run-through .*min/).first()).toBeVisible();
    // It works on no principles, and so has no focus.
    for (const box of ['Warm-up', 'Review']) {
      await page.keyboard.press('Enter');
      await expect(page.getByTestId('box')).toHaveText(box);
    }
    const movement = page.getByTestId('movement');
    const first = await movement.textContent();
    await page.keyboard.press('PageDown'); // a foot switch
    await expect(movement).not.toHaveText(first ?? '');
    await page.getByRole('button', { name: 'Back', exact: true }).tap();
    await expect(movement).toHaveText(first ?? '');
    await page.getByRole('button', { name: /Turn \(M\)/ }).tap();
    await expect(page.getByText('You face the way they do')).toBeVisible();

    const tool = async (which: string) => {
      const direct = page.getByRole('button', { name: which, exact: true });
      if (!(await direct.isVisible())) await page.getByRole('button', { name: 'More', exact: true }).tap();
      await page.getByRole('button', { name: which, exact: true }).tap();
    };
    const close = () => page.getByRole('button', { name: 'Back to the class' }).tap();

    // Cut off.
    await context.setOffline(true);

    // A guest in two taps beside the name; somebody careful; somebody away.
    await tool('Who is here');
    await page.getByLabel('Somebody else is here').fill('Una Webb');
    await page.getByRole('button', { name: 'First time' }).tap();
    await expect(page.getByText('10 of 10 here')).toBeVisible();
    await page.getByRole('button', { name: `${people[1] ?? ''}: careful tonight` }).tap();
    await expect(page.getByText('careful tonight', { exact: true })).toBeVisible();
    await page.getByRole('switch', { name: new RegExp(people[2] ?? '') }).tap();
    await expect(page.getByText('9 of 10 here')).toBeVisible();
    await close();

    // All Cued but two, in at most five taps.
    await tool('Mark');
    let taps = 0;
    const tap = async (group: string | RegExp, level: string) => {
      taps++;
      await page.getByRole('group', { name: group }).getByRole('button', { name: level }).tap();
    };
    await tap(/^All 9 not marked yet/, 'Cued');
    await tap(people[0] ?? '', 'Alone');
    await tap('Una Webb', 'Following');
    expect(taps).toBeLessThanOrEqual(5);
    await expect(page.getByRole('button', { name: 'Cued', pressed: true })).toHaveCount(7);

    // Enough of the class is in sight at once, and the passage with it.
    const rows = page.locator('[data-student]');
    await rows.last().scrollIntoViewIfNeeded();
    const inSight = await rows.evaluateAll(
      (all) =>
        all.filter((one) => {
          const { top, bottom } = one.getBoundingClientRect();
          return top >= 0 && bottom <= window.innerHeight;
        }).length,
    );
    expect(inSight).toBeGreaterThanOrEqual(Math.min(width === 390 ? 5 : 8, people.length));
    await expect(page.getByRole('button', { name: /choose another passage/ })).toBeInViewport();

    // Sweeping: a level, and everyone it fits.
    await page.getByRole('radio', { name: 'Sweep' }).tap();
    await page.getByRole('group', { name: 'The level to give' }).getByRole('button', { name: 'Flowing' }).tap();
    await page.getByRole('button', { name: new RegExp(people[3] ?? '') }).tap();
    await expect(page.getByRole('button', { name: new RegExp(people[3] ?? ''), pressed: true })).toBeVisible();

    // A stop check, and a mark on it.
    await page.getByRole('radio', { name: 'Stop check' }).tap();
    await expect(page.getByRole('region', { name: 'Stop check' })).toContainText('Stop the class in');
    await page
      .getByRole('group', { name: people[4] ?? '' })
      .getByRole('button', { name: 'Alone' })
      .tap();
    await close();
    await expect(page.getByText(/things wait on this device: the server cannot be reached/)).toBeVisible();

    // A reload without a network goes on where it was.
    await page.reload();
    await expect(page.getByTestId('box')).toHaveText('Review');
    await expect(page.getByText(/things wait on this device/)).toBeVisible();
    await tool('Mark');
    await expect(
      page.getByRole('group', { name: people[0] ?? '' }).getByRole('button', { name: 'Alone', pressed: true }),
    ).toBeVisible();
    await close();

    // The class ended otherwise than planned: taught to here, something only shown, a note.
    for (let box = 0; box < 4 && (await floor.isVisible()); box++) await page.keyboard.press('Enter');
    await page.getByRole('link', { name: 'Say what it held' }).tap();
    await expect(page.getByText('This is what the clock saw')).toBeVisible();
    const ribbon = page.getByRole('option');
    await ribbon.nth(5).tap();
    await page.getByRole('button', { name: 'Taught only to here' }).tap();
    await ribbon.nth(6).tap();
    await page.getByRole('button', { name: 'Only shown' }).tap();
    await page.getByLabel('Note').fill(`wet floor on ${what}`);
    await page.getByRole('button', { name: 'Keep the log' }).tap();
    await expect(page.getByText('The log is kept on this device', { exact: false }).first()).toBeVisible();

    // Back on line everything arrives, once; the term is planned again and says what moved.
    await context.setOffline(false);
    await expect(page.getByText('What this moved in the term:')).toBeVisible();
    await expect(page.getByText(/things? waits? on this device/)).toHaveCount(0);
    const now = await call<{
      logId: string | null;
      students: { id: string; name: string }[];
      guests: string[];
      marks: { studentId: string; support: string }[];
    }>(page, 'GET', `/api/meetings/${made.meeting}`);
    expect(now.logId).not.toBeNull();
    expect(now.students.filter((one) => one.name === 'Una Webb')).toHaveLength(1);
    expect(new Set(now.marks.map((mark) => mark.studentId)).size).toBe(9);
    const { log } = await call<{
      log: {
        present: string[];
        careful: string[];
        guests: { name: string; first_time: boolean }[];
        did: { what: string }[];
        note: string;
      };
    }>(page, 'GET', `/api/meetings/${made.meeting}/log`);
    expect(log.present).toHaveLength(8);
    expect(log.careful).toEqual([made.students.find((one) => one.name === people[1])?.id]);
    expect(log.guests).toMatchObject([{ name: 'Una Webb', first_time: true }]);
    expect(log.did.map((one) => one.what)).toContain('shown');

    // The class book finds it, by word and by day.
    await page.getByRole('link', { name: 'Class book' }).tap();
    await page.getByLabel('Find').fill(`wet floor on ${what}`);
    await expect(page.getByText('8 there').or(page.getByText('9 there')).first()).toBeVisible();
    await expect(page.getByText(`wet floor on ${what}`)).toBeVisible();
    await page.getByLabel('Find').fill('no such word');
    await expect(page.getByText('Nothing found for')).toBeVisible();
    await context.close();
  });
}

/** A second device of the same teacher. */
async function device(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  await open(page);
  return page;
}

test('two devices on one class: both sets of marks stand, and the later log is offered as an addition', async ({
  browser,
  storageState,
  baseURL,
}) => {
  const settings = { baseURL: baseURL ?? '', storageState: storageState as string, serviceWorkers: 'block' as const };
  const [tablet, phone] = [await browser.newContext(settings), await browser.newContext(settings)];
  const [one, two] = [await device(tablet), await device(phone)];
  const made = await makeClass(one, 'Two devices', ['Rhea two', 'Sol two', 'Tam two']);
  const at = `/meetings/${made.meeting}?on=mark`;
  await one.goto(at);
  await two.goto(at);
  const mark = (page: Page, name: string, level: string) =>
    page.getByRole('group', { name }).getByRole('button', { name: level }).click();
  await expect(two.getByRole('group', { name: 'Rhea two' })).toBeVisible();
  await two.waitForLoadState('networkidle'); // what the class may need is on the device
  await phone.setOffline(true);
  await mark(one, 'Rhea two', 'Cued');
  await mark(two, 'Rhea two', 'Alone');
  // What is told, and the way to take it back, is there without a network too.
  await expect(two.getByRole('button', { name: 'Take back' })).toBeVisible();
  await mark(two, 'Sol two', 'Alone');
  await one.getByRole('button', { name: 'Log as planned' }).click();
  await expect(one.getByRole('button', { name: 'Take the log back' })).toBeVisible();
  await two.getByRole('link', { name: 'Log otherwise…' }).click();
  await two.getByLabel('Note').fill('said on the phone');
  await two.getByRole('button', { name: 'Keep the log' }).click();
  await phone.setOffline(false);
  await two.getByRole('link', { name: /could not be taken/ }).click();
  await expect(two.getByText('This class has been logged already').first()).toBeVisible();
  const marks = async () =>
    (await call<{ marks: { support: string }[] }>(one, 'GET', `/api/meetings/${made.meeting}`)).marks.map((each) => each.support);
  await expect.poll(async () => [...new Set(await marks())].sort()).toEqual(['Alone', 'Cued']);

  // Nothing of either is lost: a person looks at both and keeps them.
  await two.getByRole('link', { name: 'Look at both, and add mine' }).click();
  await expect(two.getByText('Another device has logged this class')).toBeVisible();
  await expect(two.getByLabel('Note')).toHaveValue('said on the phone');
  await two.getByRole('button', { name: 'Keep the corrected log' }).click();
  await expect
    .poll(async () => (await call<{ log: { note?: string } }>(one, 'GET', `/api/meetings/${made.meeting}/log`)).log.note)
    .toBe('said on the phone');
  await expect(two.getByRole('link', { name: /could not be taken/ })).toHaveCount(0);
  await tablet.close();
  await phone.close();
});

test('signing out sends what waits first; where it cannot, it says so and keeps it for this person alone', async ({
  browser,
  baseURL,
  owner,
}) => {
  const context = await browser.newContext({
    baseURL: baseURL ?? '',
    serviceWorkers: 'block',
    storageState: { cookies: [], origins: [] },
  });
  const page = await context.newPage();
  const signIn = async () => {
    await page.getByLabel('Email').fill(owner);
    await page.getByLabel('Password').fill('reeds-at-dusk');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
  };
  await page.goto('/');
  await signIn();
  const made = await makeClass(page, 'Signing out', ['Vex out', 'Wyn out']);
  await page.goto(`/meetings/${made.meeting}?on=mark`);
  await page.route('**/api/meetings/*/marks', (route) => route.abort('internetdisconnected'));
  await page.getByRole('group', { name: 'Vex out' }).getByRole('button', { name: 'Cued' }).click();
  await expect(page.getByText(/1 thing waits on this device/)).toBeVisible();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByText('Not everything is sent')).toBeVisible();
  await page.getByRole('button', { name: 'Sign out, keep them here' }).click();
  await expect(page.getByLabel('Password')).toBeVisible();
  const kept = () =>
    page.evaluate(
      () =>
        new Promise<{ answers: number; commands: string }>((resolve) => {
          const asked = indexedDB.open('gorvan');
          asked.onsuccess = () => {
            const all = asked.result.transaction(['answers', 'commands']);
            const answers = all.objectStore('answers').count();
            const commands = all.objectStore('commands').getAll();
            all.oncomplete = () => {
              resolve({ answers: answers.result, commands: JSON.stringify(commands.result) });
            };
          };
        }),
    );
  await expect.poll(async () => (await kept()).answers).toBe(0); // being forgotten while the page is drawn
  const { commands } = await kept();
  expect(commands).toContain('Cued');
  expect(commands).not.toContain('Vex');
  await page.unroute('**/api/meetings/*/marks');
  await signIn();
  await expect
    .poll(async () => (await call<{ marks: unknown[] }>(page, 'GET', `/api/meetings/${made.meeting}`)).marks.length)
    .toBeGreaterThan(0);
  await context.close();
});
