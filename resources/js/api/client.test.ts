import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, ask, Problem, send, Unreachable } from './client';

let asked: { url: string; token: string | null; body: string }[] = [];
let answers: (number | Error)[] = [];

beforeEach(() => {
  asked = [];
  document.cookie = 'XSRF-TOKEN=old%3D';
  vi.stubGlobal('fetch', async (request: Request | string) => {
    if (typeof request === 'string') {
      asked.push({ url: request, token: null, body: '' });
      document.cookie = 'XSRF-TOKEN=new%3D';
      return new Response(null, { status: 204 });
    }
    asked.push({ url: new URL(request.url).pathname, token: request.headers.get('X-XSRF-TOKEN'), body: await request.text() });
    const answer = answers.shift() ?? 200;
    if (answer instanceof Error) throw answer;
    return new Response(JSON.stringify(answer === 200 ? { id: 'made' } : { code: 'http.signed_out' }), {
      status: answer,
      headers: { 'Content-Type': 'application/json' },
    });
  });
});
afterEach(() => {
  vi.unstubAllGlobals();
});

const kept = { person: 'ina', timeout: 1000 };
const make = () => ask(api.POST('/api/groups/{group}/feed', { params: { path: { group: 'g' } } }));

test.each([
  ['a request of a page', make],
  ['a request that is kept until it arrives', () => send('POST', '/api/groups/g/feed', {}, kept)],
])('%s with a token that is stale is sent again with a new one, whole', async (_, sends) => {
  answers = [419, 200];
  expect(await sends()).toEqual({ id: 'made' });
  expect(asked.map((one) => [one.url, one.token])).toEqual([
    ['/api/groups/g/feed', 'old='],
    ['/sanctum/csrf-cookie', null],
    ['/api/groups/g/feed', 'new='],
  ]);
  expect(asked[2]?.body).toBe(asked[0]?.body);
});

test('it is sent again once, and what is said then is told', async () => {
  answers = [419, 401];
  const refused = await make().then(
    () => null,
    (error: unknown) => error,
  );
  expect(refused).toBeInstanceOf(Problem);
  expect((refused as Problem).status).toBe(401);
  expect((refused as Problem).message).toBe('You are signed out. Sign in again; what you typed is kept.');
  expect(asked).toHaveLength(3);
});

test('what was answered is not asked again, and what was not answered is told as that', async () => {
  answers = [401];
  await expect(make()).rejects.toBeInstanceOf(Problem);
  answers = [new TypeError('Failed to fetch')];
  await expect(make()).rejects.toBeInstanceOf(Unreachable);
  answers = [new TypeError('Failed to fetch')];
  await expect(send('POST', '/api/x', {}, kept)).rejects.toBeInstanceOf(Unreachable);
  expect(asked).toHaveLength(3);
});
