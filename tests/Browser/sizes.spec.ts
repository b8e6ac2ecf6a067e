import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
import { open, openMarking, takeBack, test } from './teacher';

// Each of these only looks, so that they need not wait for one another.
test.describe.configure({ mode: 'parallel' });

/** A page of the demo's long form. */
async function formPage(page: Page, name: string): Promise<void> {
  await page.goto('/forms');
  await page.getByRole('link', { name: /Marsh Lantern/ }).click();
  await page.getByRole('navigation', { name: 'Pages of this form' }).getByRole('link', { name }).click();
}

/** The screens of the slice, each reached as a person reaches it. */
const screens: Record<string, (page: Page) => Promise<void>> = {
  Today: async (page) => {
    await expect(page.getByRole('heading', { name: 'Settle' })).toBeVisible();
  },
  Forms: async (page) => {
    await page.goto('/forms');
    await expect(page.getByRole('link', { name: /Marsh Lantern/ })).toBeVisible();
  },
  'a form': async (page) => {
    await page.goto('/forms');
    await page.getByRole('link', { name: /Marsh Lantern/ }).click();
    await page.getByRole('option').nth(4).click();
    await expect(page.getByRole('heading', { name: 'Lessons', exact: true })).toBeVisible();
  },
  'pasting a form': async (page) => {
    await page.goto('/forms/new');
    await page.getByRole('button', { name: 'Put in an example' }).click();
    await page.getByRole('button', { name: 'Read it' }).click();
    await expect(page.getByText('This is what will be made')).toBeVisible();
  },
  'the score': async (page) => {
    await formPage(page, 'Score');
    await page.getByRole('grid').getByRole('row').nth(3).getByRole('gridcell').nth(2).click();
    await expect(page.getByRole('tab', { name: /^Findings/ })).toBeVisible();
  },
  'the findings': async (page) => {
    await formPage(page, 'Score');
    await page.getByRole('tab', { name: /^Findings/ }).click();
    await page.getByRole('button', { name: 'Accept…' }).first().click();
    await expect(page.getByLabel('Why it stays as it is')).toBeVisible();
  },
  'the floor': async (page) => {
    await formPage(page, 'Floor');
    await expect(page.getByTestId('fits')).toBeVisible();
  },
  'the time and the pacer': async (page) => {
    await formPage(page, 'Time');
    await expect(page.getByTestId('breath')).toBeVisible();
  },
  'cue cards': async (page) => {
    await formPage(page, 'Cue cards');
    await expect(page.getByText('Let the wrists float up')).toBeVisible();
  },
  'the workbench': async (page) => {
    await formPage(page, 'Workbench');
    await expect(page.getByRole('row', { name: /^Lessons/ })).toBeVisible();
  },
  'a lesson': async (page) => {
    await page.goto('/forms');
    await page.getByRole('link', { name: /Marsh Lantern/ }).click();
    await page.getByRole('link', { name: 'Lesson 2', exact: true }).click();
    await page.getByRole('button', { name: 'Write into it' }).click();
    await expect(page.getByRole('button', { name: 'Keep what I wrote' })).toBeVisible();
  },
  'practice at home': async (page) => {
    await page.goto('/groups');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await page.getByRole('link', { name: 'Practice', exact: true }).click();
    await expect(page.getByRole('article', { name: 'Orla F.' })).toBeVisible();
  },
  versions: async (page) => {
    await formPage(page, 'Versions');
    await expect(page.getByText('as it is now')).toBeVisible();
  },
  files: async (page) => {
    await formPage(page, 'Files');
    await expect(page.getByRole('button', { name: /It leaves out/ }).first()).toBeVisible();
  },
  'a term': async (page) => {
    await page.goto('/terms');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await expect(page.getByRole('heading', { name: 'The weave' })).toBeVisible();
  },
  'a term’s letters': async (page) => {
    await page.goto('/terms');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await page.getByRole('link', { name: 'Letters' }).click();
    await expect(page.getByLabel('Letter to Anwen T.')).toBeVisible();
  },
  'the words of letters': async (page) => {
    await page.goto('/terms');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await page.getByRole('link', { name: 'Letters' }).click();
    await page.getByRole('radio', { name: 'Your words' }).click();
    await expect(page.getByTestId('sample')).toContainText('Dear');
  },
  'the mailbox': async (page) => {
    await page.goto('/school/mailbox');
    await expect(page.getByTestId('mails')).toBeVisible();
  },
  'a drill with a partner': async (page) => {
    await openMarking(page);
    await page.getByRole('radio', { name: 'With a partner' }).click();
    await expect(page.getByTestId('pairs')).toBeVisible();
    await page.getByRole('button', { name: 'Somebody would rather not' }).click();
  },
  'laying a term': async (page) => {
    await page.goto('/terms/new');
    await expect(page.getByRole('button', { name: 'Lay the term' })).toBeVisible();
  },
  'the plan of a class': async (page) => {
    await openMarking(page);
    await page.getByRole('tab', { name: 'Plan' }).click();
    await expect(page.getByText('not medical advice')).toBeVisible();
  },
  'who is here': async (page) => {
    await openMarking(page);
    await page.getByRole('tab', { name: 'Who is here' }).click();
    await expect(page.getByRole('switch').first()).toBeVisible();
  },
  marking: openMarking,
  'a class on the floor': async (page) => {
    await openMarking(page);
    await page.getByRole('link', { name: 'On the floor' }).click();
    const start = page.getByRole('button', { name: /^Start/ }).first();
    await expect(start.or(page.getByTestId('floor'))).toBeVisible();
    if (await start.isVisible()) await start.click();
    await expect(page.getByTestId('floor')).toBeVisible();
    await page.keyboard.press('Enter');
  },
  'the log of a class': async (page) => {
    await openMarking(page);
    await page.getByRole('link', { name: 'Log otherwise…' }).click();
    await page.getByRole('option').nth(3).click();
    await expect(page.getByRole('button', { name: 'Keep the log' })).toBeVisible();
  },
  'the class book': async (page) => {
    await page.goto('/groups');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await page.getByRole('link', { name: 'Class book' }).click();
    await expect(page.getByLabel('Find')).toBeVisible();
  },
  'what waits': async (page) => {
    await page.goto('/waiting');
    await expect(page.getByText('Nothing waits')).toBeVisible();
  },
  'the warm-ups': async (page) => {
    await page.goto('/school');
    await page.getByRole('button', { name: /^Change: Knee circles/ }).click();
    await expect(page.getByRole('form', { name: /^Knee circles/ })).toBeVisible();
  },
  'is the forecast true': async (page) => {
    await page.goto('/school/forecast');
    await expect(page.getByText(/^When Gorvan said/)).toBeVisible();
  },
  'a consideration': async (page) => {
    await page.goto('/students?find=Hartwin');
    await page.getByRole('link', { name: /^Hartwin J\./ }).click();
    await page.getByRole('button', { name: 'Change: knee' }).click();
    await expect(page.getByRole('textbox', { name: 'Private note' })).toBeVisible();
  },
  'the sheet of tonight': async (page) => {
    await openMarking(page);
    await page.getByRole('link', { name: 'Tonight’s sheet' }).click();
    await expect(page.getByText('not medical advice')).toBeVisible();
  },
  'the principles': async (page) => {
    await page.goto('/principles');
    await expect(page.getByRole('button', { name: /^Take this set: Five/ })).toBeVisible();
  },
  'a set of principles': async (page) => {
    await page.goto('/principles');
    await page
      .getByRole('link', { name: /Ten in three families/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'Change: Waist loose' }).click();
    await expect(page.getByTestId('principle-editor')).toBeVisible();
  },
  'where principles show': async (page) => {
    await page.goto('/principles');
    await page
      .getByRole('link', { name: /Ten in three families/ })
      .first()
      .click();
    await page.getByRole('link', { name: 'Where they show' }).click();
    await page.getByRole('gridcell').nth(5).focus();
    await expect(page.getByRole('grid')).toBeVisible();
  },
  'the versions of a set': async (page) => {
    await page.goto('/principles');
    await page
      .getByRole('link', { name: /Ten in three families/ })
      .first()
      .click();
    await page.getByRole('link', { name: 'Versions and files' }).click();
    await expect(page.getByText('Made, with 10 principles.')).toBeVisible();
  },
  'a term of principles': async (page) => {
    await page.goto('/terms');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await page.getByRole('link', { name: 'A term of principles' }).click();
    await expect(page.getByRole('columnheader', { name: 'Chest at ease' })).toBeVisible();
  },
  'the principles of a group': async (page) => {
    await page.goto('/groups');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await page.getByRole('navigation', { name: 'Parts of the group' }).getByRole('link', { name: 'Principles' }).click();
    await expect(page.getByRole('region', { name: 'Where everyone stands' })).toBeVisible();
  },
  students: async (page) => {
    await page.goto('/students');
    await expect(page.getByRole('link', { name: /Anwen T\./ })).toBeVisible();
  },
  'a student': async (page) => {
    await page.goto('/students');
    await page.getByRole('link', { name: /Elowen M\./ }).click();
    await page.getByRole('button', { name: /^7\. Part the reeds/ }).click();
    await expect(page.getByTestId('curve')).toBeVisible();
    await expect(page.getByTestId('line')).toBeVisible();
  },
  'the groups': async (page) => {
    await page.goto('/groups');
    await expect(page.getByRole('link', { name: /Evening long form/ })).toBeVisible();
  },
  'who is in a group': async (page) => {
    await page.goto('/groups');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await page.getByRole('link', { name: 'People', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Calendar' })).toBeVisible();
  },
  'the terms': async (page) => {
    await page.goto('/terms');
    await expect(page.getByRole('link', { name: /Evening long form/ })).toBeVisible();
  },
  'plans side by side': async (page) => {
    await page.goto('/terms');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await page.getByRole('link', { name: 'Compare plans' }).click();
    await expect(page.getByLabel('Approach').first()).toBeVisible();
  },
  'a term for the wall': async (page) => {
    await page.goto('/terms');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await page.getByRole('link', { name: 'For the wall' }).click();
    await expect(page.getByRole('table')).toBeVisible();
  },
  'the name of the school': async (page) => {
    await page.goto('/school/details');
    await expect(page.getByLabel('How days and times are written')).toBeVisible();
  },
  'what would go with a group': async (page) => {
    await page.goto('/groups');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await page.getByRole('button', { name: 'Remove this group' }).click();
    await expect(page.getByText('A term is laid for this group', { exact: false })).toBeVisible();
  },
  'a group': async (page) => {
    await page.goto('/groups');
    await page.getByRole('link', { name: /Evening long form/ }).click();
    await expect(page.getByRole('region', { name: 'The standing map' })).toBeVisible();
  },
};

async function expectNoFaults(page: Page, rules: string[] = []): Promise<void> {
  const axe = new AxeBuilder({ page });
  const { violations } = await (rules.length > 0 ? axe.withRules(rules) : axe).analyze();
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`)).toEqual([]);
}

/** How much wider than the screen the page is, once the pictures have taken the new width. */
function overflow(page: Page): Promise<number> {
  return page.evaluate(async () => {
    for (let frame = 0; frame < 3; frame++) await new Promise(requestAnimationFrame);
    return document.documentElement.scrollWidth - document.documentElement.clientWidth;
  });
}

test('signing in has no accessibility fault that axe finds', async ({ browser, baseURL }) => {
  // axe runs a page of its own, which only a context made like this may open.
  const page = await (await browser.newContext({ baseURL, storageState: { cookies: [], origins: [] } })).newPage();
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await expectNoFaults(page);
});

for (const [name, go] of Object.entries(screens)) {
  test(`${name} has no accessibility fault that axe finds, by day and in the hall, and fits a tablet and a phone`, async ({
    page,
  }) => {
    await open(page);
    await go(page);
    await expectNoFaults(page);
    // In the hall only the colours are others.
    await page.evaluate(() => (document.documentElement.dataset.theme = 'hall'));
    await expectNoFaults(page, ['color-contrast', 'link-in-text-block']);
    for (const [width, height] of [
      [1024, 768],
      [390, 844],
    ] as const) {
      await page.setViewportSize({ width, height });
      expect(await overflow(page), `${String(width)} px wide`).toBeLessThanOrEqual(0);
    }
  });
}

test('on a phone a class is marked with the thumb, and taken back', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page);
  await openMarking(page);
  const button = page
    .getByRole('group', { name: 'Quillon H.' })
    .or(page.getByRole('group', { name: 'Giselle A.' }))
    .getByRole('button', { name: 'Flowing' });
  const box = await button.boundingBox();
  expect(box?.height).toBeGreaterThanOrEqual(56);
  expect(box?.width).toBeGreaterThanOrEqual(56);
  await button.click();
  await expect(button).toHaveAttribute('aria-pressed', 'true');
  await takeBack(page, () => page.getByRole('button', { name: 'Take back' }).last().click());
  await expect(button).toHaveAttribute('aria-pressed', 'false');
});

test('a ribbon is walked with the keyboard', async ({ page }) => {
  await open(page);
  await page.goto('/forms');
  await page.getByRole('link', { name: /Marsh Lantern/ }).click();
  const ribbon = page.getByRole('listbox');
  await ribbon.focus();
  await ribbon.press('End');
  await expect(page.getByRole('heading', { name: 'Closing' })).toBeVisible();
  await ribbon.press('ArrowLeft');
  await expect(page.getByRole('heading', { name: '72. Set the lantern down', exact: true })).toBeVisible();
});
