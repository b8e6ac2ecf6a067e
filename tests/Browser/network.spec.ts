import { expect, test } from '@playwright/test';
import { openMarking, open } from './teacher';

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
  await mark('Anwen T.', 'Cued');
  await expect.poll(() => sent.length).toBe(1);
  isDown = true;
  await mark('Bastian O.', 'Alone');
  await mark('Corisande V.', 'Alone');
  await expect(page.getByText('3 marks are kept on this device')).toBeVisible();

  // The pages themselves answer again, the marks still cannot be sent.
  await page.reload();
  await expect(page.getByText('3 marks are kept on this device')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Alone', pressed: true })).toHaveCount(2);

  isDown = false;
  await page.getByRole('button', { name: 'Send now' }).click();
  await expect(page.getByText(/kept on this device/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Alone', pressed: true })).toHaveCount(2);
  await expect(page.getByRole('button', { name: 'Cued', pressed: true })).toHaveCount(1);
  expect(sent).toHaveLength(4);
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

test('a page that cannot be fetched says so and offers to try again', async ({ page }) => {
  await open(page);
  await page.route('**/api/forms', (route) => route.abort('internetdisconnected'));
  await page.getByRole('link', { name: 'Forms' }).click();
  await expect(page.getByRole('alert')).toContainText('does not answer', { timeout: 30_000 });
  await page.unroute('**/api/forms');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('link', { name: /Marsh Lantern/ })).toBeVisible();
});
