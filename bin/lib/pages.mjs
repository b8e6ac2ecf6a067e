/* global document, requestAnimationFrame, URL, crypto, MessageChannel */
// What bin/bench --pages measures, in the demo school: what the first visit to Today loads, which requests it waits for one
// after the other, and, in the score of a form of 600 entries, how long a key takes until its picture is drawn.
import { chromium } from '@playwright/test';

const ENTRIES = 600;
const KEYS = 120;
const at = (share, all) => [...all].sort((a, b) => a - b)[Math.min(all.length - 1, Math.floor(share * all.length))];
const kB = (bytes) => `${(bytes / 1000).toFixed(1).padStart(7)} kB`;
const ms = (value) => `${value.toFixed(0).padStart(5)} ms`;
const say = (line) => process.stdout.write(`${line}\n`);

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--headless', '--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
});
const origin = process.env.GORVAN_ADDRESS;
// The worker fetches every place ahead, in its own time; what a first visit itself loads is counted without it.
const context = await browser.newContext({ baseURL: origin, viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
const page = await context.newPage();
await page.goto('/');
await page.getByLabel('Email').fill('ottilie@lantern-quay.example');
await page.getByLabel('Password').fill('reeds-at-dusk');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.getByRole('heading', { name: 'Settle' }).first().waitFor();
const state = await context.storageState();

// The first visit of a browser that has nothing but the session.
const fresh = await browser.newContext({
  baseURL: origin,
  viewport: { width: 1280, height: 800 },
  serviceWorkers: 'block',
  storageState: state,
});
const visit = await fresh.newPage();
const network = await fresh.newCDPSession(visit);
await network.send('Network.enable');
const loads = new Map();
network.on('Network.responseReceived', ({ requestId, type, response }) =>
  loads.set(requestId, { type, url: response.url, head: response.encodedDataLength, bytes: 0 }),
);
network.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
  const one = loads.get(requestId);
  if (one) one.bytes = encodedDataLength - one.head;
});
await visit.goto('/');
await visit.getByRole('heading', { name: 'Settle' }).first().waitFor();
const drawn = await visit.evaluate(() => performance.now());
await visit.waitForLoadState('networkidle');
const of = (is) => [...loads.values()].filter(is).reduce((sum, one) => sum + one.bytes, 0);
say(`The first visit to Today loads, compressed as it is served:`);
say(`  JavaScript ${kB(of((one) => one.type === 'Script'))}   (at most 130)`);
for (const one of [...loads.values()].filter(({ type }) => type === 'Script').sort((a, b) => b.bytes - a.bytes))
  say(`             ${kB(one.bytes)}   ${new URL(one.url).pathname.split('/').pop()}`);
say(`  CSS        ${kB(of((one) => one.type === 'Stylesheet'))}   (at most 20)`);
say(`  type       ${kB(of((one) => one.type === 'Font'))}`);
say(`  answers    ${kB(of((one) => one.url.includes('/api/')))}`);
say(`  in all     ${kB(of(() => true))}`);
const asked = (
  await visit.evaluate(() =>
    performance
      .getEntriesByType('resource')
      .filter((one) => one.name.includes('/api/'))
      .map((one) => ({
        path: new URL(one.name).pathname.replace(/[0-9a-f-]{36}/g, '…'),
        from: one.startTime,
        to: one.responseEnd,
      })),
  )
).filter((one) => one.from < drawn);
const waits = (one) => 1 + Math.max(0, ...asked.filter((other) => other.to <= one.from).map(waits));
say(
  `  before it is drawn it asks ${[...new Set(asked.map((one) => one.path))].join(', ')}; at most ${Math.max(...asked.map(waits))} one after the other`,
);
await fresh.close();

// A form of 600 entries in the score.
const list = Array.from({ length: ENTRIES }, (_, n) => `${n + 1}. Movement number ${n + 1}`).join('\n');
const form = await page.evaluate(async (text) => {
  const token = decodeURIComponent(/(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '');
  const answer = await fetch('/api/forms', {
    method: 'POST',
    headers: {
      Accept: 'application/json',
      'Content-Type': 'application/json',
      'X-XSRF-TOKEN': token,
      'Idempotency-Key': crypto.randomUUID(),
    },
    body: JSON.stringify({ text, title: 'Six hundred' }),
  });
  if (!answer.ok) throw new Error(`${answer.status} ${await answer.text()}`);
  return (await answer.json()).id;
}, list);
await page.goto(`/forms/${form}/score`);
await page.getByRole('grid').waitFor();
await page.waitForLoadState('networkidle');
await page.evaluate(() => {
  globalThis.took = [];
  // From the key until the frame after the one that draws it.
  document.addEventListener(
    'keydown',
    () => {
      const began = performance.now();
      requestAnimationFrame(() => {
        const channel = new MessageChannel();
        channel.port1.onmessage = () => globalThis.took.push(performance.now() - began);
        channel.port2.postMessage(null);
      });
    },
    true,
  );
});
/** As fast as a key that is held down repeats: faster than that only a program presses, and then one long frame counts ten times. */
const REPEAT_MS = 33;
async function press(key) {
  await page.keyboard.press(key);
  await page.waitForTimeout(REPEAT_MS);
}
async function keys(name, pressing) {
  await page.evaluate(() => {
    globalThis.took = [];
  });
  await pressing();
  await page.waitForTimeout(300);
  const took = await page.evaluate(() => globalThis.took);
  say(
    `  ${name.padEnd(26)} median ${ms(at(0.5, took))}   95th percentile ${ms(at(0.95, took))}   (at most 50 and 100; ${took.length} keys)`,
  );
}
say('');
say(
  `In the score of a form of ${ENTRIES} entries, a key takes until it is drawn, pressed as fast as one that is held down repeats:`,
);
await page.getByRole('gridcell', { name: 'Movement number 1', exact: true }).click();
await keys('moving down and across', async () => {
  for (let n = 0; n < KEYS; n++) await press(n % 4 === 3 ? 'ArrowRight' : n % 8 > 4 ? 'ArrowLeft' : 'ArrowDown');
});
await keys('a page at a time', async () => {
  for (let n = 0; n < 40; n++) await press(n < 30 ? 'PageDown' : 'PageUp');
});
await keys('typing in a cell', async () => {
  for (let n = 0; n < 12; n++) {
    for (const letter of 'Reed moves') await press(letter === ' ' ? 'Space' : letter);
    await press('Enter');
  }
});
await browser.close();
