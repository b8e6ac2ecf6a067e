/* global document, window, navigator, requestAnimationFrame, PerformanceObserver, MutationObserver */
// What bin/bench --class measures, in the demo school: the log of a class of 40 beside an empty request of the same run, and,
// on a processor slowed four times, how soon a class opens from the device's own store and how long a tap holds the page up.
import { chromium } from '@playwright/test';

const STUDENTS = 40;
const ROUNDS = 60;
const SLOWER = 4;
const at = (share, all) => [...all].sort((a, b) => a - b)[Math.min(all.length - 1, Math.floor(share * all.length))];
const ms = (value) => `${value.toFixed(0).padStart(6)} ms`;

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
});
const context = await browser.newContext({ baseURL: process.env.GORVAN_ADDRESS, viewport: { width: 1024, height: 768 } });
const page = await context.newPage();
await page.goto('/');
await page.getByLabel('Email').fill('ottilie@lantern-quay.example');
await page.getByLabel('Password').fill('reeds-at-dusk');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('navigation', { name: 'Places' }).waitFor();

const call = (method, url, body) =>
  page.evaluate(
    async ([how, where, what]) => {
      const token = decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
      const began = performance.now();
      const answer = await fetch(where, {
        method: how,
        headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
        ...(what === null ? {} : { body: what }),
      });
      const text = await answer.text();
      if (!answer.ok) throw new Error(`${how} ${where}: ${answer.status} ${text}`);
      return { took: performance.now() - began, data: text === '' ? null : JSON.parse(text) };
    },
    [method, url, body === undefined ? null : JSON.stringify(body)],
  );

const form = (await call('GET', '/api/forms')).data.find((one) => one.title.startsWith('Marsh Lantern')).id;
const names = Array.from({ length: STUDENTS }, (_, n) => `Forty ${String(n + 1)}`);
const group = (await call('POST', '/api/groups', { name: 'Forty', form, students: names })).data.id;
const { today } = (await call('GET', '/api/today')).data;
const day = (plus) => new Date(Date.parse(`${today}T12:00:00Z`) + 86_400_000 * plus);
const iso = (plus) => day(plus).toISOString().slice(0, 10);
const term = (
  await call('POST', '/api/terms', {
    group,
    title: 'Forty',
    from: iso(-7),
    to: iso(70),
    closures: [],
    approach: 'piece',
    pattern: [{ weekday: ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'][day(0).getUTCDay()], at: '00:05', minutes: 75 }],
  })
).data.id;
const [last, tonight] = (await call('GET', `/api/terms/${term}`)).data.meetings;
const present = (await call('GET', `/api/groups/${group}`)).data.students.map((one) => one.id);
const keys = (await call('GET', `/api/forms/${form}`)).data.entries.map((one) => one.key);
let count = 0;
const ulid = () => `01ARZ3NDEKTSV4${String(count++).padStart(12, '0')}`;
const log = (meeting) => ({
  format: 'gorvan.log/1',
  id: ulid(),
  on: meeting.on,
  made_at: new Date().toISOString(),
  minutes: 75,
  present,
  did: [
    { what: 'reviewed', entries: keys.slice(0, 4), minutes: 12, passes: 3 },
    { what: 'taught', entries: keys.slice(4, 7), minutes: 22 },
    { what: 'run_through', entries: keys.slice(0, 7), minutes: 5 },
  ],
});
await call('POST', `/api/meetings/${last.id}/log`, log(last));

const seconds = { session: [], log: [] };
for (let round = -5; round < ROUNDS; round++) {
  const session = (await call('GET', '/api/session')).took;
  const sent = log(tonight);
  const { took } = await call('POST', `/api/meetings/${tonight.id}/log`, sent);
  await call('POST', '/api/withdrawals', { withdrawals: [{ id: ulid(), of: sent.id, at: new Date().toISOString() }] });
  if (round >= 0) {
    seconds.session.push(session);
    seconds.log.push(took);
  }
  // The plan that a log asks for is made by the worker: not while anything is measured.
  for (let wait = 0; wait < 60; wait++) {
    if (!(await call('GET', `/api/terms/${term}`)).data.term.isBeingPlanned) break;
    await new Promise((resolve) => setTimeout(resolve, 150));
  }
}
console.log(`an empty request, median and 95 %:       ${ms(at(0.5, seconds.session))} ${ms(at(0.95, seconds.session))}`);
console.log(`the log of a class of ${STUDENTS}, the same:        ${ms(at(0.5, seconds.log))} ${ms(at(0.95, seconds.log))}`);
console.log(
  `the log beside the empty request at 95 %: ${(at(0.95, seconds.log) / at(0.95, seconds.session)).toFixed(2)} times (under 4)`,
);

// The class is kept on the device, then opened without a network on a slow processor.
await page.goto('/');
await page.evaluate(() => navigator.serviceWorker.ready);
await page.goto(`/meetings/${tonight.id}/floor`);
await page
  .getByRole('button', { name: /^Start/ })
  .first()
  .click();
await page.getByTestId('floor').waitFor();
await page.waitForTimeout(3000); // what was answered is written down a second later
const slow = await context.newCDPSession(page);
await slow.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
await context.setOffline(true);
await page.addInitScript(() => {
  window.longest = 0;
  new PerformanceObserver((list) => {
    for (const one of list.getEntries()) window.longest = Math.max(window.longest, one.duration);
  }).observe({ type: 'longtask', buffered: true });
  new MutationObserver(() => {
    if (window.opened === undefined && document.querySelector('[data-testid="floor"]')) window.opened = performance.now();
  }).observe(document, { childList: true, subtree: true });
});
const opened = [];
for (let time = 0; time < 7; time++) {
  await page.reload();
  await page.getByTestId('floor').waitFor();
  opened.push(await page.evaluate(() => window.opened));
}
console.log(
  `a class opened from the device without a network, ${SLOWER} times slower: ${ms(at(0.5, opened))} at the median, ${ms(Math.max(...opened))} at most (under 1000)`,
);

await page.getByRole('button', { name: 'Mark', exact: true }).click();
const rows = page.locator('[data-student]');
await rows.first().waitFor();
await page.waitForTimeout(1500);
const tasks = [];
const shown = [];
for (let tap = 0; tap < 30; tap++) {
  await page.evaluate(() => (window.longest = 0));
  shown.push(
    await rows
      .nth(tap % STUDENTS)
      .getByRole('button')
      .nth(tap % 5)
      .evaluate(async (button) => {
        const began = performance.now();
        button.click();
        while (button.getAttribute('aria-pressed') !== 'true') await new Promise(requestAnimationFrame);
        return performance.now() - began;
      }),
  );
  await page.waitForTimeout(250);
  tasks.push(await page.evaluate(() => window.longest));
}
console.log(
  `a tap until its mark is shown, ${STUDENTS} students:        ${ms(at(0.5, shown))} at the median, ${ms(Math.max(...shown))} at most`,
);
console.log(
  `the longest task a tap makes (0 is under 50):  ${ms(at(0.5, tasks))} at the median, ${ms(Math.max(...tasks))} at most (under 50); ${tasks.filter((one) => one >= 50).length} of ${tasks.length} taps made one`,
);
await browser.close();
