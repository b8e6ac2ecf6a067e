import 'fake-indexeddb/auto';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { edited, form } from '../../../../tests/pages/sample';
import { type Edited, Unreachable } from '../../api/client';
import { device } from '../../api/device';
import { closeOutbox, openOutbox, outbox } from '../../api/outbox';
import { Toasts } from '../../kit/toasts';
import '../../messages';
import { drawnQueue, halves, type Scoring, useScore } from './useScore';

interface Sent {
  url: string;
  body: { id?: string; base?: number; version?: number; edits?: { op: string; id?: string; cells?: Record<string, string> }[] };
  answer: (status: number, body: unknown) => void;
  fail: () => void;
}
let sent: Sent[] = [];
let scoring: Scoring;
/** What is answered to whoever asks which versions there are. */
let versions: Promise<unknown[]> = Promise.resolve([]);

/** Every request waits until the test answers it. */
const { ask } = vi.hoisted(() => ({
  ask: { current: (url: string, body: unknown): Promise<unknown> => Promise.reject(new Error(url + String(body))) },
}));
vi.mock('../../api/client', async (original) => {
  const request = (url: string, options?: { body?: unknown }) => ask.current(url, options?.body ?? {});
  const client = await original<typeof import('../../api/client')>();
  return {
    ...client,
    api: { GET: request, POST: request },
    send: (_: string, url: string, body: unknown) => client.ask(ask.current(url, body) as never),
  };
});

beforeEach(async () => {
  await openOutbox('ina');
  sent = [];
  versions = Promise.resolve([]);
  sessionStorage.clear();
  ask.current = async (url, body) =>
    url.endsWith('/versions')
      ? { data: await versions, response: new Response(null, { status: 200 }) }
      : url.endsWith('{form}')
        ? { data: form(), response: new Response(null, { status: 200 }) }
        : waits(url, body);
});
const waits = (url: string, body: unknown): Promise<unknown> =>
  new Promise((resolve, reject) => {
    sent.push({
      url,
      body: body as Sent['body'],
      answer: (status, told) => {
        const response = new Response(null, { status });
        // Whoever only reads is told the score; its form is asked for beside it.
        const data = url.endsWith('/score') ? (told as Edited).score : told;
        resolve(response.ok ? { data, response } : { error: told, response });
      },
      fail: () => {
        reject(new Unreachable());
      },
    });
  });
afterEach(async () => {
  cleanup();
  closeOutbox();
  await device.commands.clear();
  await device.leases.clear();
});

function Editor({ start }: { start: Edited }) {
  scoring = useScore('form', start);
  return (
    <ul>
      {scoring.rows.map((row) => (
        <li key={row.key}>{`${row.cells.title ?? ''} ${row.cells.side ?? ''}`}</li>
      ))}
    </ul>
  );
}
const open = (start = edited(1)) =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Toasts>
        <Editor start={start} />
      </Toasts>
    </QueryClientProvider>,
  );
const set = (id: string, cells: Record<string, string>) => {
  act(() => {
    scoring.edit([{ op: 'set', id, cells }]);
  });
};
const request = async (n: number): Promise<Sent> => {
  await waitFor(() => {
    expect(sent.length).toBeGreaterThan(n);
  });
  return sent[n] as Sent;
};
const answer = async (n: number, status: number, body: unknown) => {
  const asked = await request(n);
  await act(async () => {
    asked.answer(status, body);
    await Promise.resolve();
  });
};

describe('saving as one goes', () => {
  test('what is typed shows at once and is sent in order, each on the version the last one made', async () => {
    open();
    set('e1', { side: 'left' });
    set('e2', { side: 'right' });
    expect(screen.getByText('Movement 1 left')).toBeTruthy();
    expect(screen.getByText('Movement 2 right')).toBeTruthy();
    expect((await request(0)).body.base).toBe(1);
    expect(sent).toHaveLength(1); // the second waits for the first
    await answer(0, 200, edited(2, { 1: { side: 'left' } }));
    expect((await request(1)).body).toMatchObject({ base: 2, edits: [{ id: 'e2' }] });
    expect(screen.getByText('Movement 2 right')).toBeTruthy(); // still there, though that answer did not know it
    await answer(1, 200, edited(3, { 1: { side: 'left' }, 2: { side: 'right' } }));
    await waitFor(() => {
      expect(scoring.saving).toBe('saved');
    });
  });

  test('a refused cell keeps what was typed and why, until it is written again; the rest goes on', async () => {
    open();
    set('e1', { turn: 'half' });
    set('e2', { side: 'left' });
    await answer(0, 422, { code: 'Turn: "half" is not a number.', place: 'e1.turn', problems: [] });
    await answer(1, 200, edited(2, { 2: { side: 'left' } }));
    await waitFor(() => {
      expect(scoring.refused.get('e1.turn')).toEqual({ typed: 'half', message: 'Turn: "half" is not a number.' });
    });
    expect(screen.getByText('Movement 2 left')).toBeTruthy();
    set('e1', { turn: '180' });
    expect(scoring.refused.size).toBe(0);
  });

  test('of several cells pasted at once those that are right are saved, and only what is wrong stays with its reason', async () => {
    open();
    set('e1', { side: 'left', turn: 'half', title: 'Heron' });
    await answer(0, 422, { code: 'Turn: no number.', place: 'e1.turn', problems: [] });
    expect((await request(1)).body.edits).toEqual([{ op: 'set', id: 'e1', cells: { side: 'left', turn: 'half' } }]);
    await answer(1, 422, { code: 'Turn: no number.', place: 'e1.turn', problems: [] });
    await answer(2, 200, edited(2, { 1: { side: 'left' } }));
    await answer(3, 422, { code: 'Turn: no number.', place: 'e1.turn', problems: [] });
    await answer(4, 200, edited(3, { 1: { side: 'left', title: 'Heron' } }));
    await waitFor(() => {
      expect(scoring.saving).toBe('saved');
    });
    expect([...scoring.refused]).toEqual([['e1.turn', { typed: 'half', message: 'Turn: no number.' }]]);
    expect(screen.getByText('Heron left')).toBeTruthy();
  });

  test('draws a batch until its answer is drawn, whatever is typed between', () => {
    const [insert, title, side] = [{ id: 'insert' }, { id: 'title' }, { id: 'side' }];
    // The insert is answered and its answer not drawn; the browser has let it go, and another cell is typed.
    expect(drawnQueue([insert, title], new Set(['insert']), [title, side])).toEqual([insert, title, side]);
    // Its answer is drawn: it is not made a second time, also where the browser still has it.
    expect(drawnQueue([title], new Set(['insert']), [insert, title, side])).toEqual([title, side]);
  });

  test('a refused batch is parted by rows, then by cells; what is one thing is not', () => {
    const cells = (id: string) => ({ op: 'set' as const, id, cells: { title: id } });
    const insert = { op: 'insert' as const, after: null, entries: [{ id: 'x' }] };
    expect(halves({ edits: [cells('a'), insert, cells('x')], said: 'pasted' })).toEqual([
      { edits: [cells('a'), insert], said: null },
      { edits: [cells('x')], said: 'pasted' },
    ]);
    expect(halves({ edits: [cells('a')], said: null })).toBeNull();
    expect(halves({ edits: [{ op: 'set', id: 'a', fields: { turn: 1 } }, insert], said: null })).toBeNull();
  });

  test('what is typed is kept when the page is left, and the browser closed, before it is saved', async () => {
    const { unmount } = open();
    set('e1', { side: 'left' });
    const first = await request(0);
    unmount();
    act(() => {
      first.fail();
    });
    closeOutbox();
    await openOutbox('ina');
    open();
    expect(screen.getByText('Movement 1 left')).toBeTruthy();
    expect((await request(1)).body).toEqual(first.body); // the very same, with its id
    await answer(1, 200, edited(2, { 1: { side: 'left' } }));
    await waitFor(() => {
      expect(scoring.saving).toBe('saved');
    });
  });

  test('what somebody else changed is asked about: made on top of it, or dropped for what is there', async () => {
    open();
    set('e1', { side: 'left' });
    await answer(0, 409, { code: 'Bea changed entry 1.', place: 'e1', problems: [] });
    await waitFor(() => {
      expect(scoring.conflict?.message).toBe('Bea changed entry 1.');
    });
    act(() => {
      void scoring.settle(true);
    });
    await answer(1, 200, edited(5, { 1: { side: 'right' } }));
    expect((await request(2)).body).toMatchObject({ base: 5, edits: [{ id: 'e1', cells: { side: 'left' } }] });
    await answer(2, 409, { code: 'Bea again.', place: 'e1', problems: [] });
    await waitFor(() => {
      expect(scoring.conflict?.message).toBe('Bea again.');
    });
    act(() => {
      void scoring.settle(false);
    });
    await answer(3, 200, edited(6, { 1: { side: 'both' } }));
    await waitFor(() => {
      expect(screen.getByText('Movement 1 both')).toBeTruthy();
    });
    expect(scoring.conflict).toBeNull();
    expect(sent).toHaveLength(4); // nothing is sent again
  });

  test('while the network is away it waits, says so, and sends again', async () => {
    open();
    set('e1', { side: 'left' });
    const first = await request(0);
    act(() => {
      first.fail();
    });
    await waitFor(() => {
      expect(scoring.saving).toBe('offline');
    });
    expect(screen.getByText('Movement 1 left')).toBeTruthy();
    await waitFor(() => {
      expect(sent).toHaveLength(2);
    });
    expect(sent[1]?.body).toEqual(first.body);
    await answer(1, 200, edited(2, { 1: { side: 'left' } }));
    await waitFor(() => {
      expect(scoring.saving).toBe('saved');
    });
  });

  test('signed out is no reason to lose what was typed', async () => {
    open();
    set('e1', { side: 'left' });
    await answer(0, 401, { code: 'Unauthenticated.', place: '', problems: [] });
    await waitFor(() => {
      expect(scoring.saving).toBe('signedOut');
    });
    await answer(1, 200, edited(2, { 1: { side: 'left' } }));
    await waitFor(() => {
      expect(scoring.saving).toBe('saved');
    });
    expect(screen.getByText('Movement 1 left')).toBeTruthy();
  });

  test('changes are taken back and done again, the last one first, and remembered when the page is opened again', async () => {
    const { unmount } = open();
    expect(scoring.undo).toBeNull();
    set('e1', { side: 'left' });
    await answer(0, 200, edited(2, { 1: { side: 'left' } }));
    set('e2', { side: 'right' });
    await answer(1, 200, edited(3, { 1: { side: 'left' }, 2: { side: 'right' } }));
    await waitFor(() => {
      expect(scoring.undo).not.toBeNull();
    });
    await waitFor(() => {
      expect(outbox().kept).toEqual([]);
    });
    unmount();
    open(edited(3, { 1: { side: 'left' }, 2: { side: 'right' } }));
    act(() => scoring.undo?.());
    expect((await request(2)).url).toBe('/api/forms/{form}/take-back');
    expect(sent[2]?.body).toEqual({ version: 3 });
    await answer(2, 200, edited(4, { 1: { side: 'left' } }));
    await waitFor(() => {
      expect(scoring.redo).not.toBeNull();
    });
    act(() => scoring.redo?.());
    expect((await request(3)).body).toEqual({ version: 4 });
    await answer(3, 200, edited(5, { 1: { side: 'left' }, 2: { side: 'right' } }));
    await waitFor(() => {
      expect(scoring.redo).toBeNull();
    });
    set('e3', { side: 'left' });
    await answer(4, 200, edited(6));
    await waitFor(() => {
      expect(scoring.undo).not.toBeNull();
    });
    act(() => scoring.undo?.());
    expect((await request(5)).body).toEqual({ version: 6 });
  });

  test('what was saved as the page was left is taken back before what was made earlier', async () => {
    const { unmount } = open();
    set('e1', { side: 'left' });
    await answer(0, 200, edited(2, { 1: { side: 'left' } }));
    await waitFor(() => {
      expect(scoring.undo).not.toBeNull();
    });
    set('e2', { side: 'right' });
    await request(1);
    unmount();
    await answer(1, 200, edited(3, { 1: { side: 'left' }, 2: { side: 'right' } }));
    await waitFor(() => {
      expect(outbox().kept).toEqual([]);
    });
    let tell: (all: unknown[]) => void = () => undefined;
    versions = new Promise((resolve) => {
      tell = resolve;
    });
    open(edited(4, { 1: { side: 'left' }, 2: { side: 'right' } })); // the fourth is a colleague's
    expect(scoring.undo).toBeNull(); // not before it is known what is the last one
    tell([4, 3, 2, 1].map((number) => ({ number, by: 'X', at: '', what: [], isMine: number !== 4 })));
    await waitFor(() => {
      expect(scoring.undo).not.toBeNull();
    });
    act(() => scoring.undo?.());
    expect((await request(2)).body).toEqual({ version: 3 });
    await answer(2, 200, edited(5, { 1: { side: 'left' } }));
    act(() => scoring.undo?.());
    expect((await request(3)).body).toEqual({ version: 2 });
  });

  test('where the server cannot be asked what was changed meanwhile, taking back waits and that is said', async () => {
    versions = Promise.reject(new Unreachable());
    sessionStorage.setItem('gorvan.draft.score.form', JSON.stringify({ undo: [1], redo: [], known: 1 }));
    open(edited(2));
    await waitFor(() => {
      expect(scoring.cannotStep).toBe(true);
    });
    expect(scoring.undo).toBeNull();
  });

  test('three quick presses take back three changes, the last first', async () => {
    open();
    for (const [n, side] of ['left', 'right', 'both'].entries()) {
      set('e1', { side });
      await answer(n, 200, edited(n + 2, { 1: { side } }));
    }
    await waitFor(() => {
      expect(scoring.undo).not.toBeNull();
    });
    act(() => {
      scoring.undo?.();
      scoring.undo?.();
      scoring.undo?.();
    });
    for (const [n, version] of [4, 3, 2].entries()) {
      expect((await request(3 + n)).body).toEqual({ version });
      await answer(3 + n, 200, edited(5 + n));
    }
    await waitFor(() => {
      expect(scoring.undo).toBeNull();
    });
    expect(sent.filter((one) => one.url.endsWith('take-back'))).toHaveLength(3);
  });

  test('a page that is reloaded with a cell open makes what stood in it', async () => {
    const { unmount } = open();
    scoring.typing([{ op: 'set', id: 'e1', cells: { title: 'Heron' } }]);
    unmount(); // nothing of the page was asked
    open();
    expect((await request(0)).body).toMatchObject({ edits: [{ op: 'set', id: 'e1', cells: { title: 'Heron' } }] });
    expect(screen.getByText('Heron')).toBeTruthy();
    cleanup();
    open();
    await waitFor(() => {
      expect(screen.getByText('Heron')).toBeTruthy();
    });
    expect(sent).toHaveLength(1); // and makes it once
    await answer(0, 200, edited(2, { 1: { title: 'Heron' } }));
    await waitFor(() => {
      expect(outbox().kept).toEqual([]);
    });
  });

  test('what cannot be taken back is said, and is not tried again', async () => {
    open();
    set('e1', { side: 'left' });
    await answer(0, 200, edited(2));
    await waitFor(() => {
      expect(scoring.undo).not.toBeNull();
    });
    act(() => scoring.undo?.());
    await answer(1, 409, { code: 'Entry 1 was changed again since.', place: 'e1', problems: [] });
    await waitFor(() => {
      expect(screen.getByText('Entry 1 was changed again since.')).toBeTruthy();
    });
    expect(scoring.undo).toBeNull();
  });

  test('an answer that changes nothing is nothing to take back', async () => {
    open();
    set('e1', { side: '' });
    await answer(0, 200, edited(1));
    await waitFor(() => {
      expect(scoring.saving).toBe('saved');
    });
    expect(scoring.undo).toBeNull();
  });
});
