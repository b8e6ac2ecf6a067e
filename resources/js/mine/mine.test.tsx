import 'fake-indexeddb/auto';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { form } from '../../../tests/pages/sample';
import { server, standIn } from '../../../tests/pages/server';
import type { Mine } from '../api/client';
import '../messages';
import { turnedToStart } from '../pictures/PathPicture';
import * as storeModule from './store';

vi.mock('./client', () => ({ mine: standIn }));

const { store } = storeModule;

const own = (change: Partial<Mine> = {}): Mine => ({
  id: 'ada',
  name: 'Ada',
  school: 'Reed School',
  today: '2026-01-21',
  locale: 'en-GB',
  weeks: [
    {
      group: 'Tuesdays',
      on: '2026-01-20',
      next: '2026-01-27',
      days: ['2026-01-21'],
      minutes: 4,
      focus: [],
      passages: [
        {
          passage: {
            courseId: 'c',
            form: 'Reed set',
            from: 1,
            to: 1,
            minutes: 4,
            recallWith: 0.7,
            recallWithout: 0.6,
            leadsOn: false,
            entries: [
              {
                position: 1,
                number: 1,
                title: 'Gather',
                side: null,
                weaker: null,
                cues: [],
                do: ['smaller'],
                notIn: [],
                asks: false,
              },
            ],
          },
          beats: [{ position: 1, breath: 'in', seconds: 3, cue: null, time: 1 }],
          path: [
            { x: 0, y: 0, facing: 0 },
            { x: 0, y: 1, facing: 0 },
          ],
          entryIds: ['row-1'],
        },
      ],
      forms: [{ courseId: 'c', form: form(), cells: [], line: [] }],
    },
  ],
  notes: { practices: [], questions: [] },
  ...change,
});
const OPEN = '/mine/api/open';
const PRACTICE = '/mine/api/practices/{id}';

/** The page reads its address when it is loaded, so each visit loads it anew. */
async function visit(hash = '') {
  // The page reads its address as it is loaded; the store stays the one the test looks into.
  vi.resetModules();
  vi.doMock('./store', () => storeModule);
  window.history.replaceState(null, '', `/mine/home${hash}`);
  const [{ addWords }, { en }] = [await import('../messages'), await import('../messages/en')];
  addWords('en', en);
  const { MinePage } = await import('./MinePage');
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false, networkMode: 'always' } } })}>
      <MinePage />
    </QueryClientProvider>,
  );
}

beforeEach(async () => {
  sessionStorage.clear();
  await Promise.all([store.waiting.clear(), store.kept.clear()]);
  server.reset({ 'GET /mine/api': own() });
});
afterEach(cleanup);

describe('a personal link', () => {
  test('is exchanged once, and its token leaves the address before anything else', async () => {
    await visit('#school.secret');
    expect(window.location.hash).toBe('');
    expect(await screen.findByRole('heading', { level: 1, name: 'Practice, Ada' })).toBeTruthy();
    expect(server.got('POST', OPEN).map((one) => one.body)).toEqual([{ token: 'school.secret' }]);
    expect(screen.getByText(/– smaller/)).toBeTruthy();
  });

  test('that opens nothing says so, and so does a visit without one', async () => {
    server.refusals[`POST ${OPEN}`] = { status: 403, code: 'home.closed' };
    await visit('#school.secret');
    expect(await screen.findByRole('heading', { name: 'This link opens nothing' })).toBeTruthy();
    cleanup();
    server.refusals['GET /mine/api'] = { status: 401, code: 'http.signed_out' };
    await visit();
    expect(await screen.findByRole('heading', { name: 'Open the link that your teacher gave you' })).toBeTruthy();
  });

  test('of somebody else finds nothing of what another student noted on this device, and sends none of it', async () => {
    server.refusals[`PUT ${PRACTICE}`] = { status: 503, code: 'http.closed' };
    await visit('#school.ada');
    await userEvent.click(await screen.findByRole('button', { name: 'Note it' }));
    await screen.findByText('1 note waits to be sent.');
    // It is tried, and refused, before somebody else comes.
    await waitFor(() => {
      expect(server.got('PUT', PRACTICE)).not.toHaveLength(0);
    });
    await new Promise((resolve) => setTimeout(resolve, 500));
    cleanup();
    server.reset({ 'GET /mine/api': own({ id: 'bo', name: 'Bo' }) });
    await visit('#school.bo');
    await screen.findByRole('heading', { level: 1, name: 'Practice, Bo' });
    expect(server.got('PUT', PRACTICE)).toEqual([]);
    expect(await store.waiting.count()).toBe(0);
  });
});

describe('what is noted', () => {
  test('is sent with the day, the minutes and how, once for a double click', async () => {
    await visit();
    await userEvent.type(await screen.findByLabelText('Minutes'), '8');
    await userEvent.click(screen.getByRole('radio', { name: 'with the sheet' }));
    await userEvent.dblClick(screen.getByRole('button', { name: 'Note it' }));
    await screen.findByText('Noted.');
    const [sent, ...more] = server.got('PUT', PRACTICE);
    expect(more).toEqual([]);
    expect(sent?.body).toMatchObject({ minutes: 8, fromMemory: false, entries: ['row-1'] });
    expect(await store.waiting.count()).toBe(0);
  });

  test('without a network is kept on this device, and sent on the next visit', async () => {
    server.refusals[`PUT ${PRACTICE}`] = { status: 503, code: 'http.closed' };
    await visit();
    await userEvent.click(await screen.findByRole('button', { name: 'Note it' }));
    expect(await screen.findByText('Noted on this device. It is sent when there is a network.')).toBeTruthy();
    cleanup();
    server.reset({ 'GET /mine/api': own() });
    await visit();
    await waitFor(() => {
      expect(server.got('PUT', PRACTICE).length).toBe(1);
    });
    expect(await store.waiting.count()).toBe(0);
  });

  test('that is refused stays, with what and why, until it is thrown away', async () => {
    server.refusals['PUT /mine/api/questions/{id}'] = { status: 422, code: 'home.too_many_questions', with: { most: 10 } };
    await visit();
    await userEvent.type(await screen.findByLabelText('Your question'), 'Which foot?');
    await userEvent.click(screen.getByRole('button', { name: 'Ask it' }));
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('“Which foot?” could not be taken: You asked 10 things today.');
    await userEvent.click(screen.getByRole('button', { name: 'Throw it away' }));
    await waitFor(() => {
      expect(screen.queryByRole('alert')).toBeNull();
    });
  });

  test('what is not there for a moment is asked again for a day, holds nothing back and overtakes nothing', async () => {
    server.refusals[`PUT ${PRACTICE}`] = { status: 404, code: 'http.gone' };
    await visit();
    const { note } = await import('./sending');
    await note('practice', 'one', { minutes: 5 });
    await note('takeBack', 'two', { practice: 'one' });
    await note('question', 'three', { text: 'Which foot?' });
    expect((await store.waiting.all()).map((one) => [one.id, one.refused]).sort()).toEqual([
      ['one', null],
      ['two', null],
    ]);
    expect(server.got('DELETE', PRACTICE)).toEqual([]);
    expect(server.got('PUT', '/mine/api/questions/{id}')).toHaveLength(1);
    server.refusals = {};
    const { sendWaiting } = await import('./sending');
    await sendWaiting();
    expect(server.got('DELETE', PRACTICE)).toHaveLength(1);
    expect(await store.waiting.count()).toBe(0);
    // A day later it is refused in words.
    server.refusals[`PUT ${PRACTICE}`] = { status: 404, code: 'http.gone' };
    await note('practice', 'four', { minutes: 5 });
    const [four] = await store.waiting.all();
    await store.waiting.put({ ...(four as NonNullable<typeof four>), since: Date.now() - 86_400_001 });
    await sendWaiting();
    expect((await store.waiting.get('four'))?.refused).not.toBeNull();
  });

  test('minutes that cannot be are said, and nothing is sent', async () => {
    await visit();
    await userEvent.type(await screen.findByLabelText('Minutes'), '900');
    await userEvent.click(screen.getByRole('button', { name: 'Note it' }));
    expect(screen.getByRole('alert').textContent).toBe('1 to 240 minutes, or nothing.');
    expect(server.got('PUT', PRACTICE)).toEqual([]);
  });
});

describe('a browser that keeps nothing', () => {
  const broken = () => Promise.reject(new Error('no database')) as never;
  beforeEach(() => {
    vi.spyOn(store.waiting, 'put').mockImplementation(broken);
    vi.spyOn(store.waiting, 'get').mockImplementation(broken);
    vi.spyOn(store.kept, 'put').mockImplementation(broken);
    vi.spyOn(store.kept, 'get').mockImplementation(broken);
  });
  afterEach(() => {
    vi.restoreAllMocks();
  });

  test('shows the page and sends at once; what cannot be sent is said, and can be sent again', async () => {
    await visit();
    server.refusals[`PUT ${PRACTICE}`] = { status: 503, code: 'http.closed' };
    await userEvent.click(await screen.findByRole('button', { name: 'Note it' }));
    expect(await screen.findByRole('alert')).toBeTruthy();
    server.refusals = {};
    await userEvent.click(screen.getByRole('button', { name: 'Note it' }));
    expect(await screen.findByText('Noted.')).toBeTruthy();
    expect(screen.queryByRole('alert')).toBeNull();
    const [first, second] = server.got('PUT', PRACTICE);
    expect(first?.body).toMatchObject({ entries: ['row-1'] });
    expect(second?.body).toMatchObject({ entries: ['row-1'] });
  });
});

test('without a network the last visit stands in, with its day', async () => {
  await visit();
  await screen.findByRole('heading', { level: 1, name: 'Practice, Ada' });
  await store.kept.change('mine', (one) => one && { ...one, at: '2026-01-19T10:00:00Z' });
  cleanup();
  server.refusals['GET /mine/api'] = { status: 503, code: 'http.closed' };
  await visit();
  expect(await screen.findByText(/Without a network: this is from Mon 19 Jan/)).toBeTruthy();
  expect(screen.getByText('Gather', { exact: false })).toBeTruthy();
});

test('the way over the floor begins facing up, wherever in the form it begins', () => {
  const [, after] = turnedToStart([
    { x: 5, y: 5, facing: 90 },
    { x: 6, y: 5, facing: 90 },
  ]);
  // A step to the right of the room is a step forward for whoever faces right.
  expect(after?.x).toBeCloseTo(0);
  expect(after?.y).toBeCloseTo(-1);
  expect(turnedToStart([])).toEqual([]);
});
