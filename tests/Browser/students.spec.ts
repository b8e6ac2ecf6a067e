import { expect } from '@playwright/test';
import { inDays, open, test } from './teacher';

test('a teacher finds a student who was away for a month, and sees what to catch up with and why', async ({ page }) => {
  await open(page);
  await page.getByRole('link', { name: 'Students' }).click();
  await page.getByRole('searchbox', { name: 'Find a student' }).fill('fenn');
  await expect(page.getByRole('status').filter({ hasText: '1 student' })).toBeVisible();
  await page.getByRole('link', { name: /Fennick R\./ }).click();
  await expect(page.getByText('Evening long form: came to 5 of 8')).toBeVisible();
  const missed = page.getByRole('listitem').filter({ hasText: /missed/ });
  await expect(missed.first()).toContainText('the next lesson starts from it');
  await expect(missed.first()).toContainText('never met it: show it, then go through it together');
  await expect(page.getByText(/About \d+ min in all, three times through each: the shortest way back/)).toBeVisible();

  // Back keeps what was looked for.
  await page.goBack();
  await expect(page.getByRole('searchbox', { name: 'Find a student' })).toHaveValue('fenn');
});

test('two dates of a student and of the group are compared side by side', async ({ page }) => {
  await open(page);
  await page.goto('/students');
  await page.getByRole('link', { name: /Isaura K\./ }).click();
  await page.getByRole('button', { name: /^1\. / }).first().click();
  await expect(page.getByRole('region', { name: /^The history of 1\./ })).toContainText('was taught');
  const first = await page
    .getByRole('link', { name: /^Thu|^Fri|^Sat|^Sun|^Mon|^Tue|^Wed/ })
    .last()
    .textContent();
  // Its term began nine weeks ago, which may be last year.
  const year = inDays(-63).slice(0, 4);
  await page.getByLabel('Beside it, as it was on').fill(`${(first ?? '').split(' ').slice(1).join(' ')} ${year}`);
  await page.getByLabel('Beside it, as it was on').blur();
  await expect(page.getByText(/: nothing holds yet · .*: \d+ hold/)).toBeVisible();
  await expect(page).toHaveURL(/then=/);

  await page.getByRole('link', { name: 'Evening long form' }).click();
  await page.getByLabel('Beside it, an earlier day').fill(`${(first ?? '').split(' ').slice(1).join(' ')} ${year}`);
  await page.getByLabel('Beside it, an earlier day').blur();
  await expect(page.getByText(/0 movements held, counted over everyone/)).toBeVisible();
});

test('who is here tonight is parted into pods, each with its reason', async ({ page }) => {
  await open(page);
  await page.getByRole('region', { name: 'Evening long form' }).getByRole('link', { name: 'Open the class' }).click();
  await page.getByRole('tab', { name: 'Who is here' }).click();
  await page.getByText('Pods for tonight, and what to catch up').click();
  await expect(page.getByRole('region', { name: 'Pod 2' })).toBeVisible();
  await page.getByRole('radio', { name: '3 pods' }).click();
  await expect(page.getByRole('region', { name: 'Pod 3' })).toBeVisible();
  await page.getByRole('button', { name: 'Why: Fennick R.' }).click();
  await expect(page.getByText(/never met it: show it, then go through it together/).first()).toBeVisible();
});
