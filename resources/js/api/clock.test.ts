import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { hear, now, nowText, onClock, serverAhead, toldAhead } from './clock';

const DAY = 24 * 3_600_000;
const saying = (ms: number) => new Response(null, { headers: { Date: new Date(ms).toUTCString() } });
const device = Date.UTC(2026, 0, 20, 19, 0, 0);

beforeEach(() => {
  vi.spyOn(Date, 'now').mockReturnValue(device);
  hear(saying(device));
});
afterEach(() => {
  vi.restoreAllMocks();
  localStorage.clear();
});

test('a device that is a day slow goes by the time that the server says, and says so', () => {
  const told: number[] = [];
  const stop = onClock(() => told.push(serverAhead()));
  hear(saying(device + DAY));
  expect(now()).toBe(device + DAY);
  expect(nowText()).toBe('2026-01-21T19:00:00.000Z');
  expect(toldAhead()).toBe(DAY);
  hear(saying(device + DAY + 1000)); // under way a moment longer: nobody is told twice
  expect(told).toEqual([DAY]);
  stop();
});

test('it stays known without a network, and is forgotten once the clock is right', () => {
  hear(saying(device - DAY));
  expect(localStorage.getItem('gorvan.clock')).toBe(String(-DAY));
  hear(saying(device));
  expect([now(), toldAhead(), localStorage.getItem('gorvan.clock')]).toEqual([device, 0, '0']);
});

test('seconds are nothing, a minute and more is gone by, and five are told', () => {
  hear(saying(device + 40_000));
  expect(now()).toBe(device);
  hear(saying(device + 120_000));
  expect([now() - device, toldAhead()]).toEqual([120_000, 0]);
  hear(new Response(null)); // says nothing
  expect(now() - device).toBe(120_000);
});
