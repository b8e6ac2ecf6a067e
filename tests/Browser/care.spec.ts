import { expect, type Page } from '@playwright/test';
import { open, test } from './teacher';

async function openStudent(page: Page, name: string): Promise<void> {
  await page.goto('/students');
  await page.getByRole('searchbox', { name: 'Find a student' }).fill(name);
  await page.getByRole('link', { name: new RegExp(`^${name}`) }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
}

/** What this browser keeps for evenings without a network, as one text. */
const keptHere = (page: Page): Promise<string> =>
  page.evaluate(async () => {
    const all: unknown[] = [];
    for (const { name } of await indexedDB.databases()) {
      const database = await new Promise<IDBDatabase>((give, fail) => {
        const asked = indexedDB.open(name ?? '');
        asked.onsuccess = () => {
          give(asked.result);
        };
        asked.onerror = () => {
          fail(new Error('not opened'));
        };
      });
      for (const store of database.objectStoreNames) {
        all.push(
          await new Promise((give) => {
            const asked = database.transaction(store).objectStore(store).getAll();
            asked.onsuccess = () => {
              give(asked.result);
            };
          }),
        );
      }
      database.close();
    }
    return JSON.stringify([all, { ...localStorage }, { ...sessionStorage }]);
  });

test('a knee that is noted changes tonight, the sheet and nothing on the wall; why stays off the device', async ({ page }) => {
  await open(page);
  const tonight = page.getByRole('region', { name: 'Evening long form' });
  const careful = tonight.getByRole('list', { name: 'Who takes care' }).getByText('Kenelm S.');
  await expect(tonight.getByText('not medical advice')).toBeVisible();
  await expect(careful).toHaveCount(0);

  await openStudent(page, 'Kenelm S.');
  const notes = page.getByRole('region', { name: 'Considerations' });
  await notes.getByRole('button', { name: 'Note something' }).click();
  // One that ends before it began is refused in a sentence, and what was typed stays.
  await page.getByLabel(/^Until/).fill('1 Jan 2020');
  await page.getByRole('textbox', { name: 'Private note' }).fill('Between us: an old fall.');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.getByRole('alert')).toContainText('before it began');
  await expect(page.getByRole('textbox', { name: 'Private note' })).toHaveValue('Between us: an old fall.');
  await page.getByLabel(/^Until/).fill('');
  await page.getByRole('button', { name: 'Note it' }).dblclick();
  await expect(notes.getByRole('listitem')).toHaveCount(1);
  await expect(notes.getByRole('listitem')).toContainText('Between us: an old fall.');

  await page.getByRole('link', { name: 'Today' }).click();
  await expect(careful.first()).toBeVisible();
  await tonight.getByRole('button', { name: 'Why: who takes care of what tonight' }).click();
  await expect(page.getByText('Kenelm S. spares: knee')).toBeVisible();
  await page.keyboard.press('Escape');

  await tonight.getByRole('link', { name: 'Open the class' }).click();
  await page.getByRole('link', { name: 'Tonight’s sheet' }).click();
  await expect(page.getByText('Kenelm S.').first()).toBeVisible();
  await page.getByRole('button', { name: 'For the wall' }).click();
  await expect(page.getByText('Kenelm S.')).toHaveCount(0);
  await expect(page.getByText('not medical advice')).toBeVisible();

  // The device keeps what to do, and neither a reason nor a note.
  await expect.poll(async () => (await keptHere(page)).includes('Kenelm S.')).toBe(true);
  const kept = await keptHere(page);
  for (const secret of [/careReasons/, /\[\\*"considerations/, /Between us/, /ski injury/, /"recent_surgery/])
    expect(secret.test(kept), String(secret)).toBe(false);

  await openStudent(page, 'Kenelm S.');
  await notes.getByRole('button', { name: 'Take out: knee' }).click();
  await expect(notes.getByText('Nothing is noted.')).toBeVisible();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(tonight.getByText('not medical advice')).toBeVisible();
  await expect(careful).toHaveCount(0);
});

test('a teacher reads how true the forecast was, in words and as a table', async ({ page }) => {
  await open(page);
  await page.getByRole('link', { name: 'School' }).click();
  await page.getByRole('link', { name: 'Is the forecast true?' }).click();
  await expect(page.getByText(/^When Gorvan said \d+ %, \d+ % could\.$/)).toBeVisible();
  await expect(page.getByText(/^Over \d+ looks? it said \d+ % on the whole/)).toBeVisible();
  await expect(page.getByTestId('reliability')).toBeVisible();
  expect(await page.getByRole('row').count()).toBeGreaterThan(2);
  await expect(page.getByText(/^Evening long form: it said/)).toBeVisible();
});

test('a warm-up is changed, and taken back; a room marked cold begins with two general ones', async ({ page }) => {
  await open(page);
  await page.getByRole('link', { name: 'School' }).click();
  await page.getByRole('button', { name: 'Change: Wrists and fingers' }).click();
  await page.getByRole('textbox', { name: 'Minutes' }).fill('2,5');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  const row = page.getByRole('listitem').filter({ hasText: 'Wrists and fingers' });
  await expect(row).toContainText('2.5 min');
  await page.getByRole('button', { name: 'Take back' }).click();
  await expect(row).toContainText('1 min');
});

test('a student pauses and comes back; two records of one person are made one and taken apart', async ({ page }) => {
  await open(page);
  await page.goto('/groups?new');
  await page.getByLabel('Name of the group').fill('Twin shore');
  await page.getByLabel('Students, a name a line').fill('Uma P.\nUma Q.');
  await page.getByRole('button', { name: 'Make the group' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Twin shore' })).toBeVisible();
  await openStudent(page, 'Uma P.');
  const choose = async (what: string) => {
    await page.getByRole('button', { name: 'Keep the record' }).click();
    await page.getByRole('menuitem', { name: what }).click();
  };
  await choose('Pause');
  await expect(page.getByText('Away for a while.')).toBeVisible();
  await choose('Back in class');
  await expect(page.getByText('Away for a while.')).toHaveCount(0);

  await choose('Is the same person as …');
  await page.getByRole('combobox', { name: 'The other record' }).click();
  await page.getByRole('option', { name: 'Uma Q.' }).click();
  await page.getByRole('button', { name: 'Make them one' }).dblclick();
  await expect(page.getByText('On record too as Uma Q.')).toBeVisible();
  await page.goto('/students?find=Uma');
  await expect(page.getByRole('status').filter({ hasText: '1 student' })).toBeVisible();
  await page.getByRole('link', { name: /^Uma P\./ }).click();
  await page.getByRole('button', { name: 'Take apart' }).click();
  await expect(page.getByText('On record too as Uma Q.')).toHaveCount(0);
  await page.goto('/students?find=Uma');
  await expect(page.getByRole('status').filter({ hasText: '2 students' })).toBeVisible();
});
