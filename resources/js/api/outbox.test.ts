import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { PATIENCE_MS } from './client';
import type { Command } from './commands';
import { device } from './device';
import { giveLeaseBack, LEASE_MS, tabCalled, takeLease } from './lease';
import {
  closeOutbox,
  flush,
  letGo,
  onOutcome,
  openOutbox,
  outbox,
  PATIENT_RETRY_MS,
  post,
  refused,
  tryAgain,
  waiting,
} from './outbox';

const DAY = 24 * 3_600_000;

const answers: (() => Promise<Response>)[] = [];
const asked: { url: string; body: string; person: string | null }[] = [];
let told: string[] = [];
let stop = () => undefined as unknown;

const ok = (body: unknown) => () => Promise.resolve(new Response(JSON.stringify(body), { status: 200 }));
const refuse = (status: number) => () =>
  Promise.resolve(new Response(JSON.stringify({ code: 'No.', place: 'marks.0.id' }), { status }));
const lost = () => Promise.reject(new TypeError('Failed to fetch'));

const marks = (id: string): Command => ({
  kind: 'marks',
  meeting: id,
  marks: [
    {
      id,
      studentId: 'ada',
      principleId: null,
      stepId: null,
      entryId: 'row-1',
      side: null,
      support: 'Alone',
      at: '2026-01-20T19:00:00Z',
    },
  ],
});
const here = (isHere: boolean): Command => ({
  kind: 'attendance',
  meeting: 'm',
  student: 'ada',
  note: { isHere, isCareful: false, late: null, left: null, at: '2026-01-20T19:00:00Z' },
});
const guest: Command = { kind: 'guest', meeting: 'm', id: 'una', name: 'Una', isFirstTime: true, at: '2026-01-20T19:00:00Z' };
const name = (command: Command) => (command.kind === 'marks' ? command.meeting : command.kind);

beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
  vi.stubGlobal('fetch', async (request: Request | string) => {
    if (typeof request === 'string') return new Response(null, { status: 204 }); // the session's token
    asked.push({
      url: new URL(request.url).pathname,
      body: await request.text(),
      person: request.headers.get('X-Gorvan-Person'),
    });
    return (answers.shift() ?? lost)();
  });
  told = [];
  stop = onOutcome((command, outcome) => told.push(`${name(command)} ${outcome.kind}`));
  await openOutbox('ina');
  await flush();
});

afterEach(async () => {
  await flush();
  closeOutbox();
  await device.commands.clear();
  await device.leases.clear();
  answers.length = asked.length = 0;
  stop();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the outbox', () => {
  test('sends what is posted as the person it is of, tells the answer, and keeps nothing', async () => {
    answers.push(ok([]));
    await post(marks('a'));
    await flush();
    expect(told).toEqual(['a sent']);
    expect(asked.map(({ url, person }) => [url, person])).toEqual([['/api/meetings/a/marks', 'ina']]);
    expect(JSON.parse(asked[0]?.body ?? '')).toEqual({
      marks: [
        {
          id: 'a',
          student: 'ada',
          entry: 'row-1',
          principle: null,
          step: null,
          side: null,
          support: 'Alone',
          at: '2026-01-20T19:00:00Z',
        },
      ],
    });
    expect(waiting()).toEqual([]);
    expect(await device.commands.count()).toBe(0);
  });

  test('shows what is posted before it is written down or sent', async () => {
    const posting = post(marks('a'));
    expect(waiting().map((one) => name(one.command))).toEqual(['a']);
    await posting;
  });

  test('has what was posted in the moment before the page is reloaded, which the database had not written yet', async () => {
    const put = vi.spyOn(device.commands, 'put').mockReturnValue(new Promise(() => undefined) as never);
    void post(marks('a'));
    void post(here(true));
    void post(here(false));
    closeOutbox();
    put.mockRestore();
    expect(await device.commands.count()).toBe(0);
    await openOutbox('somebody else');
    expect(waiting()).toEqual([]);
    closeOutbox();
    answers.push(lost, lost);
    await openOutbox('ina');
    expect(waiting().map((one) => name(one.command))).toEqual(['a', 'attendance']);
    await flush();
    expect(await device.commands.count()).toBe(2);
    expect(Object.keys(localStorage)).toEqual([]); // written down now
    answers.length = 0;
    answers.push(ok([]), ok([]));
    await flush();
    expect(told.slice(-2)).toEqual(['a sent', 'attendance sent']);
    expect(asked.at(-1)?.body).toContain('"isHere":false');
    expect(await device.commands.count()).toBe(0);
  });

  test('keeps what cannot be sent, and sends it again later, oldest first and the same', async () => {
    answers.push(lost, lost, lost);
    await post(marks('a'));
    await post(marks('b'));
    await flush();
    expect(waiting().map((one) => name(one.command))).toEqual(['a', 'b']);
    expect(outbox().link).toBe('unreachable');
    asked.length = 0;
    answers.length = 0;
    answers.push(ok([]), ok([]));
    await flush();
    expect(asked.map((one) => one.url)).toEqual(['/api/meetings/a/marks', '/api/meetings/b/marks']);
    expect(told.slice(-2)).toEqual(['a sent', 'b sent']);
    expect(outbox().link).toBe('fine');
  });

  test('tries again by itself, more and more rarely', async () => {
    answers.push(lost, lost, lost);
    await post(marks('a'));
    await flush();
    const before = asked.length;
    await vi.advanceTimersByTimeAsync(2600);
    await flush();
    expect(asked.length).toBeGreaterThan(before);
    answers.length = 0;
    answers.push(ok([]));
    await vi.advanceTimersByTimeAsync(80_000);
    await flush();
    expect(told.at(-1)).toBe('a sent');
  });

  test('what is refused stays until a person has seen it, and the next goes on', async () => {
    answers.push(refuse(422), ok([]));
    await post(marks('a'));
    await post(marks('b'));
    await flush();
    expect(told).toEqual(['a refused', 'b sent']);
    expect(refused().map((one) => [name(one.command), one.refusal?.status])).toEqual([['a', 422]]);
    closeOutbox();
    await openOutbox('ina'); // a reload
    expect(refused()).toHaveLength(1);
    answers.push(ok([]));
    await tryAgain(refused()[0]?.id ?? '');
    await flush();
    expect([refused(), waiting()]).toEqual([[], []]);
  });

  test('what needs one that was refused waits with it, and goes with it', async () => {
    answers.push(refuse(409), ok([]));
    const id = await post(guest);
    await post(marks('of the guest'), [id]);
    await post(marks('b'));
    await flush();
    expect(told).toEqual(['guest refused', 'b sent']);
    expect(waiting().map((one) => name(one.command))).toEqual(['of the guest']);
    await letGo(id);
    expect(outbox().kept).toEqual([]);
  });

  test('a guest goes before the guest’s marks, also over a cut', async () => {
    answers.push(lost, lost, lost);
    const id = await post(guest);
    await post(marks('m'), [id]);
    await flush();
    answers.length = asked.length = 0;
    answers.push(ok(null), ok([]));
    await flush();
    expect(asked.map((one) => one.url)).toEqual(['/api/meetings/m/guests', '/api/meetings/m/marks']);
  });

  test.each([
    [401, 'signedOut'],
    [419, 'signedOut'],
    [429, 'trouble'],
    [500, 'trouble'],
    [503, 'trouble'],
  ])('keeps what the server could not take now (%i), and says which it is', async (status, link) => {
    for (let time = 0; time < 8; time++) answers.push(refuse(status));
    await post(marks('a'));
    await flush();
    expect(waiting()).toHaveLength(1);
    expect(outbox().link).toBe(link);
    expect(told).toEqual([]);
  });

  test('of who is here only the last word is sent', async () => {
    answers.push(lost, lost);
    await post(here(false));
    await flush();
    answers.length = asked.length = 0;
    answers.push(ok(null), ok(null));
    await post(here(true));
    await flush();
    expect(asked).toHaveLength(1);
    expect(asked[0]?.body).toContain('"isHere":true');
    expect(waiting()).toEqual([]);
  });

  test('switched again while the first is under way, the second is sent as well', async () => {
    let answer: (response: Response) => void = () => undefined;
    answers.push(() => new Promise<Response>((resolve) => (answer = resolve)), ok(null));
    await post(here(false));
    const first = flush();
    await vi.waitFor(() => {
      expect(asked).toHaveLength(1);
    });
    await post(here(true));
    answer(new Response(null, { status: 204 }));
    await first;
    await flush();
    expect(asked.map((one) => JSON.parse(one.body) as { attendance: { ada: { isHere: boolean } } })).toMatchObject([
      { attendance: { ada: { isHere: false } } },
      { attendance: { ada: { isHere: true } } },
    ]);
    expect(waiting()).toEqual([]);
    expect(await device.commands.count()).toBe(0);
  });

  test('sends only what belongs to the person signed in', async () => {
    answers.push(lost, lost);
    await post(marks('a'));
    await flush();
    const before = asked.length;
    await openOutbox('bram');
    await flush();
    expect(outbox().kept).toEqual([]);
    expect(asked).toHaveLength(before);
    answers.length = 0;
    answers.push(ok([]));
    await openOutbox('ina');
    await flush();
    expect(told.at(-1)).toBe('a sent');
  });

  test('a page that was reloaded goes on with what its tab held; a copy of a tab is another one', async () => {
    const kept = new Map<string, string>();
    const storage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
    };
    const first = tabCalled('navigate', storage);
    expect(await takeLease('y', first)).toBe(true);
    expect(tabCalled('reload', storage)).toBe(first);
    expect(await takeLease('y', tabCalled('reload', storage))).toBe(true);
    const copied = { ...storage, setItem: () => undefined };
    for (const how of ['navigate', 'back_forward', undefined]) expect(await takeLease('y', tabCalled(how, copied))).toBe(false);
    expect(tabCalled('reload', { getItem: () => null, setItem: () => undefined })).not.toBe(first);
  });

  test('a second tab does not send while the first does; one that was closed in the middle loses the right in time', async () => {
    expect(await takeLease('sender', 'another tab')).toBe(true);
    answers.push(ok([]));
    await post(marks('a'));
    await flush();
    expect(asked).toEqual([]);
    await giveLeaseBack('sender', 'another tab');
    await flush();
    expect(asked).toHaveLength(1);
    const now = Date.now();
    expect(await takeLease('x', 'gone', now)).toBe(true);
    expect(await takeLease('x', 'here', now + LEASE_MS - 1)).toBe(false);
    expect(await takeLease('x', 'here', now + LEASE_MS + 1)).toBe(true);
    expect(await takeLease('x', 'gone', now + LEASE_MS + 2)).toBe(false);
  });

  test('a right to send that was taken while the clock ran a day fast blocks nothing once the clock is right', async () => {
    const now = Date.now();
    expect(await takeLease('sender', 'another tab', now + DAY)).toBe(true);
    answers.push(ok([]));
    await post(marks('a'));
    await flush();
    expect(told).toEqual(['a sent']);
  });

  test('what is said not to be there is asked again for a day, holds nothing else back, and then is refused', async () => {
    const start = Date.now();
    const at = vi.spyOn(Date, 'now').mockReturnValue(start);
    answers.push(refuse(404), ok([]));
    await post(marks('a'));
    await post(marks('b'));
    await flush();
    expect(told).toEqual(['b sent']);
    expect(waiting().map((one) => name(one.command))).toEqual(['a']);
    expect(outbox().link).toBe('fine');
    // Not asked again at once, and of its own accord later: what it was about is there again.
    asked.length = 0;
    await flush();
    expect(asked).toEqual([]);
    at.mockReturnValue(start + PATIENT_RETRY_MS + 1);
    answers.push(ok([]));
    await vi.advanceTimersByTimeAsync(PATIENT_RETRY_MS + 100);
    await flush();
    expect(told).toEqual(['b sent', 'a sent']);
    // Another that is never there: a day later a person sees it.
    answers.push(refuse(403));
    await post(marks('c'));
    await flush();
    at.mockReturnValue(start + PATIENT_RETRY_MS + 1 + PATIENCE_MS);
    answers.push(refuse(403));
    await flush();
    expect(told.at(-1)).toBe('c refused');
    expect(refused().map((one) => one.refusal?.status)).toEqual([403]);
    await letGo(refused()[0]?.id ?? '');
    at.mockRestore();
  });

  test('a mark that is asked again later is not taken back before it is there; and a clock that was wrong puts nothing off', async () => {
    const start = Date.now();
    const at = vi.spyOn(Date, 'now').mockReturnValue(start);
    answers.push(refuse(404));
    await post(marks('a'));
    await post({ kind: 'withdrawals', meeting: 'm', what: 'marks', withdrawals: [{ id: 'w', of: 'a', at: '' }] });
    await flush();
    expect(waiting()).toHaveLength(2);
    at.mockReturnValue(start - DAY); // the device had been a day fast
    answers.push(ok([]), ok([]));
    await flush();
    expect(told).toEqual(['a sent', 'withdrawals sent']);
    at.mockRestore();
  });

  test('where nothing can be written down it is said, and sent all the same', async () => {
    const put = vi.spyOn(device.commands, 'put').mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
    answers.push(ok([]));
    await post(marks('a'));
    await flush();
    expect(outbox().isDurable).toBe(false);
    expect(told).toEqual(['a sent']);
    put.mockRestore();
  });

  test('what waits is still sent where the browser’s database is cleared under it, and is written down again', async () => {
    answers.push(lost);
    await post(marks('a'));
    await flush();
    answers.push(lost);
    await post(marks('b'));
    await flush();
    // The site’s data are cleared in the settings of the browser, in the middle of a class.
    await Promise.all([device.commands.clear(), device.leases.clear(), device.answers.clear()]);
    answers.push(lost);
    await post(marks('c'));
    await flush();
    expect(waiting().map((one) => name(one.command))).toEqual(['a', 'b', 'c']);
    await vi.waitFor(async () => {
      expect(await device.commands.count()).toBe(3);
    });
    answers.push(ok([]), ok([]), ok([]));
    await flush();
    expect(told).toEqual(['a sent', 'b sent', 'c sent']);
    // What another tab sent meanwhile is not written down again.
    answers.push(lost);
    await post(marks('d'));
    await flush();
    await device.commands.clear();
    await vi.waitFor(() => {
      expect(waiting()).toEqual([]);
    });
  });

  test('500 commands over 60 cuts arrive once each and in order', async () => {
    const arrived: string[] = [];
    let cuts = 0;
    let seed = 7;
    const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
    vi.stubGlobal('fetch', async (request: Request | string) => {
      if (typeof request === 'string') return new Response(null, { status: 204 });
      const url = new URL(request.url).pathname;
      const isCut = cuts < 60 && random() < 0.2;
      if (isCut) cuts++;
      // Half of the cuts lose the answer and not the request: the server has it, the page cannot know.
      if (!isCut || cuts % 2 === 0) if (!arrived.includes(url)) arrived.push(url);
      if (isCut) throw new TypeError('Failed to fetch');
      return new Response('[]', { status: 200 });
    });
    const all = Array.from({ length: 500 }, (_, at) => `n${String(at)}`);
    for (const [at, id] of all.entries()) {
      void post(marks(id));
      if (at % 50 === 49) {
        await flush();
        closeOutbox(); // a reload in the middle
        await openOutbox('ina');
      }
    }
    while (waiting().length > 0) await flush();
    expect(cuts).toBe(60);
    expect(arrived).toEqual(all.map((id) => `/api/meetings/${id}/marks`));
    expect(told.filter((one) => one.endsWith('sent'))).toHaveLength(500);
  });
});
