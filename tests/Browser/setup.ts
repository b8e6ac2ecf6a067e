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
    await page.context().storageState({ path: sessionOf(worker) });
  }
  await browser.close();
}
