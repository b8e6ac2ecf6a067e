import type { Cell } from '../../resources/js/api/client';
import { form } from './sample';

/** What stands in for the server in tests of the pages: answers that are set, refusals, and what was sent. */
interface Sent {
  method: string;
  url: string;
  body: unknown;
  query: unknown;
}
interface Refusal {
  status: number;
  code: string;
  with?: Record<string, unknown>;
}

/** What a place asks beside what a test is about: the sample form, and nothing that came back from home. */
const usual: Record<string, unknown> = {
  'GET /api/forms/{form}': form(),
  'GET /api/groups/{group}/home': { practices: [], questions: [] },
  'GET /api/students/{student}/home': { link: null, notes: { practices: [], questions: [] } },
};

export const server = {
  sent: [] as Sent[],
  answers: {} as Record<string, unknown>,
  refusals: {} as Record<string, Refusal>,
  reset(answers: Record<string, unknown>) {
    server.sent = [];
    server.refusals = {};
    server.answers = answers;
  },
  /** What was sent to one address, in order. */
  got: (method: string, url: string) => server.sent.filter((one) => one.method === method && one.url === url),
};

const SUPPORTS: (string | null)[] = ['Unmet', 'Following', 'Cued', 'Alone', 'Flowing', 'Leading'];
const SURENESS: (string | null)[] = [null, 'good', 'fading', 'weak'];
const isCell = (one: unknown): one is Cell => typeof one === 'object' && one !== null && 'isMet' in one && 'position' in one;
const levelOf = (support: string | null) => (support === null ? null : SUPPORTS.indexOf(support));

/** Samples are written with names; over the wire a cell is a short list. */
export function onTheWire(data: unknown): unknown {
  if (isCell(data)) {
    const is = Number(data.holds) + 2 * Number(data.isAssumed) + 4 * Number(data.isMet) + 8 * SURENESS.indexOf(data.sureness);
    const cell = [data.position, levelOf(data.support), data.recall, is];
    return data.left === null && data.right === null ? cell : [...cell, levelOf(data.left), levelOf(data.right)];
  }
  if (Array.isArray(data)) return data.map(onTheWire);
  if (typeof data !== 'object' || data === null || Object.getPrototypeOf(data) !== Object.prototype) return data;
  return Object.fromEntries(Object.entries(data).map(([key, value]) => [key, onTheWire(value)]));
}

const by =
  (method: string) =>
  (url: string, options?: { body?: unknown; params?: { query?: unknown; path?: Record<string, string> } }): Promise<unknown> => {
    server.sent.push({ method, url, body: options?.body, query: options?.params?.query });
    const set = server.answers[`${method} ${url}`] ?? usual[`${method} ${url}`] ?? [];
    const refused = server.refusals[`${method} ${url}`];
    return Promise.resolve(
      refused
        ? { error: { code: refused.code, with: refused.with ?? {} }, response: new Response(null, { status: refused.status }) }
        : {
            // An answer that depends on what is asked for is made of the address.
            data: onTheWire(
              typeof set === 'function'
                ? (set as (asked: object) => unknown)({
                    ...options?.params?.path,
                    ...(options?.params?.query as object | undefined),
                  })
                : set,
            ),
            response: new Response(null, { status: 200 }),
          },
    );
  };

/** The typed client with this server behind it, for `vi.mock`. */
export const standIn = { GET: by('GET'), POST: by('POST'), PATCH: by('PATCH'), PUT: by('PUT'), DELETE: by('DELETE') };
