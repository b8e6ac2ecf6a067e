import { writeFileSync } from 'node:fs';
import { chromium, type FullConfig } from '@playwright/test';
import { OWNERS, PASSWORD, sessionOf } from './teacher';

/** Signs in once a worker; the tests start from there, and only the test of signing in signs in itself. */
export default async function setup(config: FullConfig): Promise<void> {
  const { baseURL, launchOptions } = config.projects[0]?.use ?? {};
  const browser = await chromium.launch(launchOptions);
  for (const [worker, owner] of OWNERS.entries()) {
    const page = await browser.newPage({ baseURL });
    await page.goto('/');
    await page.getByLabel('Email').fill(owner);
    await page.getByLabel('Password').fill(PASSWORD);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.getByRole('navigation', { name: 'Places' }).waitFor();
    const path = sessionOf(worker);
    const state = await page.context().storageState();
    // Chromium says when a cookie ends by its own clock; what asks beside the page goes by the moved one (bin/test --on).
    if (process.env.GORVAN_CLOCK_AHEAD !== undefined) for (const cookie of state.cookies) cookie.expires = -1;
    writeFileSync(path, JSON.stringify(state));
  }
  await browser.close();
}
