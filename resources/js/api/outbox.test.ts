import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { flush, onOutcome, openOutbox, post, waiting } from './outbox';

interface Told {
  id: string;
  kind: string;
}

const answers: (() => Promise<Response>)[] = [];
const asked: { url: string; body: string }[] = [];
let told: Told[] = [];
let stop = () => undefined as unknown;

const ok = (body: unknown) => () => Promise.resolve(new Response(JSON.stringify(body), { status: 200 }));
const refuse = (status: number) => () =>
  Promise.resolve(new Response(JSON.stringify({ code: 'No.', place: 'marks.0.id' }), { status }));
const lost = () => Promise.reject(new TypeError('Failed to fetch'));

const parcel = (id: string) => ({ id, method: 'POST', url: `/api/${id}`, body: { marks: [id] } });

beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  vi.stubGlobal('fetch', async (request: Request | string) => {
    if (typeof request === 'string') return new Response(null, { status: 204 }); // the session's token
    asked.push({ url: new URL(request.url).pathname, body: await request.text() });
    return (answers.shift() ?? lost)();
  });
  told = [];
  stop = onOutcome((one, outcome) => told.push({ id: one.id, kind: outcome.kind }));
  openOutbox('ina');
  await flush();
});

afterEach(async () => {
  for (const one of await waiting()) answers.push(ok(one.id));
  await flush();
  answers.length = asked.length = 0;
  stop();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the outbox', () => {
  test('sends what is posted, tells the answer, and keeps nothing', async () => {
    answers.push(ok([{ name: 'Ada' }]));
    await post(parcel('a'));
    expect(told).toEqual([{ id: 'a', kind: 'sent' }]);
    expect(asked).toEqual([{ url: '/api/a', body: '{"marks":["a"]}' }]);
    expect(await waiting()).toEqual([]);
  });

  test('keeps what cannot be sent, and sends it again later, oldest first and the same', async () => {
    answers.push(lost, lost);
    await post(parcel('a'));
    await post(parcel('b'));
    expect((await waiting()).map((one) => one.id)).toEqual(['a', 'b']);
    expect(told.at(-1)).toEqual({ id: 'b', kind: 'waiting' });
    answers.push(ok(1), ok(2));
    await flush();
    expect(asked.map((one) => one.url)).toEqual(['/api/a', '/api/a', '/api/a', '/api/b']);
    expect(new Set(asked.slice(0, 3).map((one) => one.body)).size).toBe(1);
    expect(told.slice(-2)).toEqual([
      { id: 'a', kind: 'sent' },
      { id: 'b', kind: 'sent' },
    ]);
    expect(await waiting()).toEqual([]);
  });

  test('tries again by itself after a while', async () => {
    answers.push(lost);
    await post(parcel('a'));
    answers.push(ok(1));
    await vi.advanceTimersByTimeAsync(4100);
    await flush();
    expect(await waiting()).toEqual([]);
    expect(told.at(-1)?.kind).toBe('sent');
  });

  test('drops what is refused and says so, and goes on with the next', async () => {
    answers.push(lost);
    await post(parcel('a'));
    answers.push(refuse(409), ok(1));
    await post(parcel('b'));
    expect(told.slice(-2)).toEqual([
      { id: 'a', kind: 'refused' },
      { id: 'b', kind: 'sent' },
    ]);
    expect(await waiting()).toEqual([]);
  });

  test.each([401, 419, 429, 500, 503])('keeps what the server could not take now (%i)', async (status) => {
    answers.push(refuse(status));
    await post(parcel('a'));
    expect((await waiting()).map((one) => one.id)).toEqual(['a']);
    expect(told).toEqual([{ id: 'a', kind: 'waiting' }]);
  });

  test('a parcel of the same id takes the place of the one that waits', async () => {
    answers.push(lost, lost);
    await post(parcel('a'));
    await post({ ...parcel('a'), body: { marks: ['newer'] } });
    expect((await waiting()).map((one) => one.body)).toEqual([{ marks: ['newer'] }]);
  });

  test('sends only what belongs to the person signed in', async () => {
    answers.push(lost);
    await post(parcel('a'));
    openOutbox('bram');
    await flush();
    expect(await waiting()).toEqual([]);
    expect(asked).toHaveLength(1);
    openOutbox('ina');
    answers.push(ok(1));
    await flush();
    expect(asked).toHaveLength(2);
  });
});
