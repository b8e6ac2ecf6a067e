import type { Locator } from '@playwright/test';

/** Chooses from a list by what stands in it, or by where it stands: one thing a person does, as it is counted. */
export async function choose(list: Locator, what: string | RegExp | { nth: number }): Promise<void> {
  await list.click();
  const options = list.page().getByRole('option');
  await (typeof what === 'object' && 'nth' in what ? options.nth(what.nth) : options.filter({ hasText: what }).first()).click();
}
