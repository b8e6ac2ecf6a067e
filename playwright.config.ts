import { defineConfig } from '@playwright/test';

export default defineConfig({
  globalSetup: './tests/Browser/setup.ts',
  testDir: 'tests/Browser',
  outputDir: 'var/browser',
  workers: 2, // each with a school of its own
  fullyParallel: false,
  retries: 0,
  // What is expected is waited for, however busy the machine is.
  timeout: 400_000,
  expect: { timeout: 60_000 },
  reporter: [['list']],
  use: {
    baseURL: process.env.GORVAN_ADDRESS,
    viewport: { width: 1280, height: 800 },
    // Tests that are not about it ask the server itself.
    serviceWorkers: 'block',
    // A step that waits for something that never comes says which it was, long before the test's own time is over.
    actionTimeout: 90_000,
    navigationTimeout: 90_000,
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      // Without what shifts the clock of the servers: Chromium does not draw beside it (tests/Browser/teacher.ts shifts its own).
      env: Object.fromEntries(
        Object.entries(process.env).filter(([name, value]) => name !== 'LD_PRELOAD' && value !== undefined),
      ) as Record<string, string>,
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
