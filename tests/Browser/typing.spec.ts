import { expect } from '@playwright/test';
import { expectSaved, newScore, open, row, scrollToRow, test } from './teacher';

// A trace takes a picture of the page at every key, which is work of its own.
test.use({ trace: 'off' });

test('typing in a form of 300 entries: how long the browser works at a keystroke (reported)', async ({ page }) => {
  await open(page);
  const lines = Array.from({ length: 300 }, (_, at) => `${String(at + 1)}. Step ${String(at + 1)} of many`);
  await newScore(page, ['# Three hundred', ...lines].join('\n'));
  await scrollToRow(page, 150);
  await row(page, 150).getByRole('gridcell', { name: 'Step 150 of many' }).click();
  await page.evaluate(() => {
    const w = window as unknown as { tasks: number[] };
    w.tasks = [];
    new PerformanceObserver((list) => {
      for (const task of list.getEntries()) w.tasks.push(Math.round(task.duration));
    }).observe({ type: 'longtask' });
  });
  for (const letter of 'Waders part the reeds') await page.keyboard.type(letter, { delay: 60 });
  const typing = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks.splice(0));
  await page.keyboard.press('Enter');
  for (let step = 0; step < 10; step++) await page.keyboard.press('ArrowDown', { delay: 60 });
  await expectSaved(page);
  const moving = await page.evaluate(() => (window as unknown as { tasks: number[] }).tasks);
  test.info().annotations.push({
    type: 'tasks over 50 ms',
    description: `typing ${JSON.stringify(typing)}, saving and moving ${JSON.stringify(moving)}`,
  });
  console.log(
    `      tasks over 50 ms at 300 entries: typing 21 letters ${JSON.stringify(typing)}; saving and moving ten rows ${JSON.stringify(moving)} (ms)`,
  );
  await expect(row(page, 150)).toContainText('Waders part the reeds');
});
