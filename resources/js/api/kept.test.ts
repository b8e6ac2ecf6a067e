import 'fake-indexeddb/auto';
import { QueryClient } from '@tanstack/react-query';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { meeting, page } from '../../../tests/pages/sample';
import { device } from './device';
import { endSession, forgetAnswers, keepAnswers, restoreAnswers } from './kept';

const today = new Date().toISOString().slice(0, 10);
const session = { person: { id: 'ina', name: 'Ina' } };

/** A client that was told some answers and wrote them down. */
async function kept(answers: [unknown[], unknown][]): Promise<void> {
  const client = new QueryClient();
  const stop = keepAnswers(client);
  for (const [key, data] of answers) client.setQueryData(key, data);
  await vi.waitFor(async () => {
    expect(await device.answers.count()).toBeGreaterThan(0);
  }, 5000);
  await new Promise((resolve) => setTimeout(resolve, 200));
  stop();
}

afterEach(async () => {
  await device.answers.clear();
  await device.runs.clear();
});

describe('what is kept on the device', () => {
  const tonight = page({ meeting: meeting({ id: 'tonight', on: today }) });

  test('is there after a reload, as old as it is, and is asked for again', async () => {
    await kept([
      [['session'], session],
      [['meeting', 'tonight'], tonight],
      [['class', 'tonight'], { cards: [], watch: [], shown: 5, stops: [], stood: [] }],
      [['form', 'form', 'course'], { title: 'Tide stair' }],
      [['form', 'form'], { title: 'not of a class' }],
      [['groups'], []],
    ]);
    const fresh = new QueryClient();
    await restoreAnswers(fresh);
    const keys = fresh
      .getQueryCache()
      .getAll()
      .map((query) => query.queryKey.join('/'));
    expect(keys.sort()).toEqual(['class/tonight', 'form/form/course', 'meeting/tonight', 'session']);
    const state = fresh.getQueryState(['meeting', 'tonight']);
    expect(state?.data).toEqual(tonight);
    expect(state?.isInvalidated).toBe(true);
    expect(Date.now() - (state?.dataUpdatedAt ?? 0)).toBeLessThan(60_000);
  });

  test('is kept too where it was answered before anybody wrote down, in whatever order', async () => {
    const client = new QueryClient();
    // The page asks ahead, before what was kept has been read.
    client.setQueryData(['session'], session);
    client.setQueryData(['class', 'tonight'], { cards: [], watch: [], shown: 5, stops: [], stood: [] });
    const stop = keepAnswers(client, await restoreAnswers(client));
    await vi.waitFor(async () => {
      expect((await device.answers.all()).map((one) => one.key)).toEqual(['["session"]']);
    }, 5000);
    // Until the meeting is known nobody knows the day of its class.
    client.setQueryData(['meeting', 'tonight'], tonight);
    await vi.waitFor(async () => {
      const all = (await device.answers.all()).map((one) => one.key).sort();
      expect(all).toEqual(['["class","tonight"]', '["meeting","tonight"]', '["session"]']);
    }, 5000);
    stop();
  });

  test('waits for who is in, where that is answered last', async () => {
    const client = new QueryClient();
    const stop = keepAnswers(client);
    client.setQueryData(['meeting', 'tonight'], tonight);
    await new Promise((resolve) => setTimeout(resolve, 1300));
    expect(await device.answers.count()).toBe(0);
    client.setQueryData(['session'], session);
    await vi.waitFor(async () => {
      expect(await device.answers.count()).toBe(2);
    }, 5000);
    stop();
  });

  test('is not written down again when it was only read', async () => {
    await kept([
      [['session'], session],
      [['meeting', 'tonight'], tonight],
    ]);
    const put = vi.spyOn(device.answers, 'put');
    const client = new QueryClient();
    const stop = keepAnswers(client, await restoreAnswers(client));
    client.setQueryData(['session'], { person: { id: 'ina', name: 'Ina B' } });
    await new Promise((resolve) => setTimeout(resolve, 1300));
    expect(put.mock.calls.map(([one]) => one.key)).toEqual(['["session"]']);
    put.mockRestore();
    stop();
  });

  test('is gone a day after the class', async () => {
    await kept([
      [['session'], session],
      [['meeting', 'tonight'], tonight],
    ]);
    const later = new QueryClient();
    await restoreAnswers(later, Date.parse(`${today}T23:59:59Z`) + 86_400_000 + 1);
    expect(later.getQueryData(['meeting', 'tonight'])).toBeUndefined();
    expect((await device.answers.all()).map((one) => one.key)).toEqual(['["session"]']);
  });

  test('is gone when another version of the application expects another answer', async () => {
    await kept([
      [['session'], session],
      [['meeting', 'tonight'], tonight],
    ]);
    await device.answers.change('["meeting","tonight"]', (one) => one && { ...one, shapes: 'others' });
    const fresh = new QueryClient();
    await restoreAnswers(fresh);
    expect(fresh.getQueryData(['session'])).toEqual(session);
    expect(fresh.getQueryData(['meeting', 'tonight'])).toBeUndefined();
    expect((await device.answers.all()).map((one) => one.key)).toEqual(['["session"]']);
  });

  test('is nothing of a class that has gone by, nor of somebody who is not signed in', async () => {
    await kept([
      [['session'], session],
      [['meeting', 'old'], page({ meeting: meeting({ id: 'old', on: '2026-01-20' }) })],
    ]);
    expect((await device.answers.all()).map((one) => one.key)).toEqual(['["session"]']);
  });

  test('is not written down behind the sign-out that forgets it', async () => {
    const client = new QueryClient();
    const stop = keepAnswers(client);
    client.setQueryData(['session'], session);
    client.setQueryData(['meeting', 'tonight'], tonight);
    // Forgetting takes longer than what was answered waits to be written down.
    const runs = vi.spyOn(device.runs, 'delete').mockReturnValue(new Promise((resolve) => setTimeout(resolve, 1500)));
    await endSession(client, { person: null, school: null, needsFounding: false });
    runs.mockRestore();
    stop();
    expect(await device.answers.count()).toBe(0);
    expect(client.getQueryData(['meeting', 'tonight'])).toBeUndefined();
  });

  test('is dropped when somebody else signs in, and when one signs out', async () => {
    await kept([
      [['session'], session],
      [['meeting', 'tonight'], tonight],
    ]);
    await forgetAnswers('ina');
    expect(await device.answers.count()).toBe(2);
    await forgetAnswers('bram');
    expect(await device.answers.count()).toBe(0);
  });
});
