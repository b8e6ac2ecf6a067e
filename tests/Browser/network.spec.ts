import { expect } from '@playwright/test';
import { holdBack, open, openMarking, takeBack, test } from './teacher';

test('marks made while the network is away wait on the device, survive a reload, and are sent once', async ({ page }) => {
  await open(page);
  await openMarking(page);
  const sent: string[] = [];
  let isDown = false;
  let answersLost = 0;
  await page.route('**/api/meetings/*/marks', async (route) => {
    if (isDown) return route.abort('internetdisconnected');
    sent.push(route.request().postData() ?? '');
    if (answersLost < 1) {
      // The request arrives, its answer does not: the page cannot know, and sends it again.
      answersLost++;
      await route.fetch();
      return route.abort('connectionreset');
    }
    return route.continue();
  });

  const mark = (name: string, level: string) => page.getByRole('group', { name }).getByRole('button', { name: level }).click();
  const expectMarked = async (name: string, level: string) => {
    await expect(page.getByRole('group', { name }).getByRole('button', { name: level, pressed: true })).toHaveCount(1);
  };
  await mark('Anwen T.', 'Cued');
  await expect.poll(() => sent.length).toBe(1);
  isDown = true;
  await mark('Bastian O.', 'Alone');
  await mark('Corisande V.', 'Alone');
  await expect(page.getByText('3 things wait on this device: the server cannot be reached')).toBeVisible();

  // The pages themselves answer again, the marks still cannot be sent.
  await page.reload();
  await expect(page.getByText('3 things wait on this device: the server cannot be reached')).toBeVisible();
  await expectMarked('Bastian O.', 'Alone');
  await expectMarked('Corisande V.', 'Alone');

  isDown = false;
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect(page.getByText(/wait on this device/)).toHaveCount(0);
  await expectMarked('Bastian O.', 'Alone');
  await expectMarked('Corisande V.', 'Alone');
  await expectMarked('Anwen T.', 'Cued');
  await expect.poll(() => sent.length).toBe(4);
  expect(sent[0]).toBe(sent[1]); // the very same ids again

  // The server has each mark once.
  const meeting = /meetings\/([^?]+)/.exec(page.url())?.[1] ?? '';
  const marks = await page.evaluate(
    async (id) =>
      (
        (await (await fetch(`/api/meetings/${id}`, { headers: { Accept: 'application/json' } })).json()) as {
          marks: { id: string }[];
        }
      ).marks,
    meeting,
  );
  const first = (JSON.parse(sent[0] ?? '') as { marks: { id: string }[] }).marks;
  for (const one of first) expect(marks.filter((mark) => mark.id === one.id)).toHaveLength(1);
});

test('marks that arrive when their page was left already show on the map of the group', async ({ page }) => {
  await open(page);
  await openMarking(page);
  const letGo = await holdBack(page, '**/api/meetings/*/marks');
  const button = page.getByRole('group', { name: 'Fennick R.' }).getByRole('button', { name: 'Leading' });
  await button.click();
  await page.getByRole('link', { name: 'Groups' }).click();
  await page.getByRole('link', { name: /Evening long form/ }).click();
  const led = page
    .getByRole('region', { name: 'The standing map' })
    .getByRole('row', { name: /Fennick R\./ })
    .getByRole('img', { name: /Leading/ });
  await expect(page.getByRole('region', { name: 'The standing map' })).toBeVisible();
  await expect(led).toHaveCount(0);
  await letGo();
  await expect(led).not.toHaveCount(0);
  await page.goBack();
  await page.goBack();
  await expect(button).toHaveAttribute('aria-pressed', 'true');
  await takeBack(page, () => button.press('z'));
});

test('a class that is logged without a network says who was here, and arrives after that was said', async ({ page }) => {
  await open(page);
  await openMarking(page);
  await page.getByRole('tab', { name: 'Who is here' }).click();
  const arrived: string[] = [];
  let isDown = true;
  await page.route(/\/api\/(meetings\/[^/]+\/(attendance|log)|withdrawals)$/, async (route) => {
    if (route.request().method() === 'GET') return route.continue();
    if (isDown) return route.abort('internetdisconnected');
    arrived.push(route.request().url().split('/').pop() ?? '');
    return route.continue();
  });
  const here = page.getByRole('switch', { name: /Anwen T\./ });
  await expect(here).toBeChecked();
  await here.click();
  await here.click();
  await here.click();
  await page.getByRole('button', { name: 'Log as planned' }).click();
  const back = page.getByRole('button', { name: 'Take the log back' });
  await expect(back).toBeVisible();
  await page.reload();
  await expect(back).toBeVisible();
  await expect(page.getByText('2 things wait on this device')).toBeVisible(); // of who is here only the last word
  isDown = false;
  const meeting = /meetings\/([^?]+)/.exec(page.url())?.[1] ?? '';
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect.poll(() => arrived).toEqual(['attendance', 'log']);
  await expect(page.getByText(/wait on this device/)).toHaveCount(0);
  await expect
    .poll(() =>
      page.evaluate(
        async (id) =>
          ((await (await fetch(`/api/meetings/${id}/log`)).json()) as { log: { present: string[] } | null }).log?.present.length,
        meeting,
      ),
    )
    .toBe(15);
  await back.click();
  await expect(page.getByRole('button', { name: 'Log as planned' })).toBeVisible();
  await page.getByRole('tab', { name: 'Who is here' }).click();
  const said = page.waitForResponse('**/api/meetings/*/attendance');
  await here.click();
  await (await said).finished();
  await expect(here).toBeChecked();
});

test('a page that cannot be fetched says so and offers to try again', async ({ page }) => {
  await open(page);
  await page.route('**/api/forms', (route) => route.abort('internetdisconnected'));
  await page.getByRole('link', { name: 'Forms' }).click();
  await expect(page.getByRole('alert')).toContainText('does not answer');
  await page.unroute('**/api/forms');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('link', { name: /Marsh Lantern/ })).toBeVisible();
});
