import 'fake-indexeddb/auto';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { choose as pick } from '../../../../tests/pages/choose';
import { createMemoryRouter, RouterProvider } from '../../../../tests/pages/router';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { finding, form, score } from '../../../../tests/pages/sample';
import type { Score } from '../../api/client';
import { device } from '../../api/device';
import { closeOutbox, openOutbox } from '../../api/outbox';
import { Toasts } from '../../kit/toasts';
import '../../messages';
import { type Edit, foreseen } from './edits';
import { ScorePlace } from './ScorePlace';

/** What was sent, each as its edits; the server here does what was foreseen, or refuses once. */
let sent: Edit[][] = [];
let now: Score;
/** What answers wait for, where a test lets them. */
let held: Promise<void> | null = null;
let refusal: { status: number; code: string; place: string } | null = null;

const { ask } = vi.hoisted(() => ({
  ask: { current: (url: string, body: unknown): Promise<unknown> => Promise.reject(new Error(url + String(body))) },
}));
vi.mock('../../api/client', async (original) => {
  const request = (url: string, options?: { body?: unknown }) => ask.current(url, options?.body);
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
  refusal = null;
  held = null;
  now = score(1);
  sessionStorage.clear();
  localStorage.clear();
  ask.current = (url, body) => {
    if (url.endsWith('/edits')) sent.push((body as { edits: Edit[] }).edits);
    if (url.endsWith('/edits') && refusal) {
      const { status, ...told } = refusal;
      refusal = null;
      return Promise.resolve({ error: told, response: new Response(null, { status }) });
    }
    if (url.endsWith('/edits')) {
      const rows = (body as { edits: Edit[] }).edits.reduce((so, edit) => foreseen(so, edit, now.columns), now.rows);
      now = { ...now, version: now.version + 1, rows };
    }
    const answer = () => ({
      data: url.endsWith('/score') ? now : url.endsWith('{form}') ? form() : { score: now, form: form() },
      response: new Response(null, { status: 200 }),
    });
    return held === null ? Promise.resolve(answer()) : held.then(answer);
  };
});
afterEach(async () => {
  cleanup();
  closeOutbox();
  await device.commands.clear();
  await device.leases.clear();
});

async function open(address = '/forms/form/score') {
  const router = createMemoryRouter([{ path: '/forms/:form/score', Component: ScorePlace }], { initialEntries: [address] });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Toasts>
        <RouterProvider router={router} />
      </Toasts>
    </QueryClientProvider>,
  );
  await screen.findByRole('grid');
}
const cell = (name: string) => screen.getByRole('gridcell', { name });
/** Goes to a cell and presses keys there, as a person does. */
async function at(name: string, keys: string) {
  await userEvent.click(cell(name));
  await userEvent.keyboard(keys);
}
const lastSent = async (count = 1) => {
  await waitFor(() => {
    expect(sent.length).toBeGreaterThanOrEqual(count);
  });
  return sent[count - 1]?.map((edit) => ({ ...edit, ...('as' in edit ? { as: 'new' } : {}) }));
};

describe('the keys of the score', () => {
  test.each([
    ['moves a row up', 'Movement 2', '{Alt>}{ArrowUp}{/Alt}', { op: 'move', id: 'e2', after: null }],
    ['moves a row down', 'Movement 2', '{Alt>}{ArrowDown}{/Alt}', { op: 'move', id: 'e2', after: 'e3' }],
    ['splits one', 'Movement 2', '{Alt>}[KeyS]{/Alt}', { op: 'split', id: 'e2', as: 'new' }],
    ['merges it with the next', 'Movement 2', '{Alt>}[KeyJ]{/Alt}', { op: 'merge', id: 'e2' }],
    ['adds the other side', 'Movement 2', '{Alt>}[KeyM]{/Alt}', { op: 'mirror', id: 'e2', as: 'new' }],
    ['renumbers', 'Movement 2', '{Alt>}[KeyN]{/Alt}', { op: 'renumber', from: 1 }],
    ['takes a row out', 'Movement 2', '{Control>}{Delete}{/Control}', { op: 'remove', ids: ['e2'] }],
    ['empties a cell', 'Movement 2', '{ArrowRight}{Delete}', { op: 'set', id: 'e2', cells: { side: '' } }],
    ['writes in one', 'Movement 2', '{ArrowRight}R{Enter}', { op: 'set', id: 'e2', cells: { side: 'R' } }],
    ['begins a section', 'Movement 2', '{Home}Water{Enter}', { op: 'section', id: 'e2', title: 'Water' }],
  ])('%s', async (_, name, keys, edit) => {
    await open();
    await at(name, keys);
    expect(await lastSent()).toEqual([edit]);
  });

  test('a row is put below or above, and is written in at once', async () => {
    await open();
    await at('Movement 2', '{Insert}Kneel{Enter}');
    expect((await lastSent(1))?.[0]).toMatchObject({
      op: 'insert',
      after: 'e2',
      entries: [{ kind: 'movement', title: 'New movement' }],
    });
    const inserted = sent[0]?.[0];
    const id = inserted?.op === 'insert' ? inserted.entries[0]?.id : '';
    expect((await lastSent(2))?.[0]).toEqual({ op: 'set', id, cells: { title: 'Kneel' } });
    await at('Movement 1', '{Alt>}{Shift>}[KeyI]{/Shift}{/Alt}');
    expect((await lastSent(3))?.[0]).toMatchObject({ op: 'insert', after: null });
  });

  test('nothing is done where nothing can be: the first row does not move up, the last has no next', async () => {
    await open();
    await at('Movement 1', '{Alt>}{ArrowUp}{/Alt}');
    await at('Movement 6', '{Alt>}{ArrowDown}{/Alt}{Alt>}[KeyJ]{/Alt}');
    expect(sent).toEqual([]);
  });

  test('a relation is written as the row it points at; a row that is not there is said', async () => {
    await open();
    await at('Movement 4', '{End}2{Enter}');
    expect(await lastSent()).toEqual([{ op: 'set', id: 'e4', cells: { mirrors: 'e2' } }]);
    await at('Movement 4', '{End}99{Enter}');
    expect(await screen.findByText('There is no row 99.')).toBeTruthy();
    expect(sent).toHaveLength(1);
  });
});

describe('the score', () => {
  test('what is being written stays with its entry when somebody else’s rows come in above it', async () => {
    await open();
    await at('Movement 2', '{ArrowRight}L{Enter}');
    await lastSent();
    let letGo: () => void = () => undefined;
    held = new Promise((resolve) => (letGo = resolve));
    await at('Movement 5', '{Alt>}[KeyN]{/Alt}'); // on its way, its answer held back
    await userEvent.keyboard('Kingfish');
    const other = { key: 'x', cells: { title: 'From elsewhere', side: '', turn: '' }, entry: { id: 'x' } };
    now = { ...now, rows: [other, ...now.rows] };
    await act(async () => {
      letGo();
      await held;
    });
    expect(await screen.findByRole('gridcell', { name: 'From elsewhere' })).toBeTruthy();
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Title, 6' }).value).toBe('Kingfish');
    await userEvent.keyboard('er{Enter}');
    expect(await lastSent(3)).toEqual([{ op: 'set', id: 'e5', cells: { title: 'Kingfisher' } }]);
  });

  test('pastes rows from a spreadsheet, sections and relations too', async () => {
    await open();
    await userEvent.click(cell('Gate'));
    act(() => {
      fireEvent.paste(cell('Gate'), { clipboardData: { getData: () => 'Shore\t1\tHeron\tL\n\t2\tReed\tR\n' } });
    });
    expect(await lastSent()).toEqual([
      { op: 'set', id: 'e1', cells: { number: '1', title: 'Heron', side: 'L' } },
      { op: 'section', id: 'e1', title: 'Shore' },
      { op: 'set', id: 'e2', cells: { number: '2', title: 'Reed', side: 'R' } },
    ]);
    expect(await screen.findByText('2 rows are pasted.')).toBeTruthy();
  });

  test('opens at the row an address names, with its findings where that is asked for', async () => {
    now = score(3, {}, { audit: { ...score(1).audit, findings: [finding({ position: 5, severity: 'error' })] } });
    await open('/forms/form/score?findings&row=5');
    expect(screen.getByRole('tab', { name: 'Findings 1' }).dataset.state).toBe('active');
    expect(cell('Movement 5').dataset.active).toBe('true');
    expect(screen.getByText('Saved · version 3')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Go to row 5' }));
    expect(await screen.findByRole('region', { name: 'Row 5' })).toBeTruthy();
  });

  test('a refused cell is counted, marked and explained where one is', async () => {
    refusal = { status: 422, code: 'Side: must be left.', place: 'e2.side' };
    await open();
    await at('Movement 2', '{ArrowRight}up{Enter}');
    expect(await screen.findByText('1 cell is not saved')).toBeTruthy();
    await userEvent.click(screen.getByRole('gridcell', { name: /up/ }));
    expect(screen.getByText('Not saved. Side: must be left. What you typed is kept: “up”.')).toBeTruthy();
    await userEvent.keyboard('L{Enter}');
    await waitFor(() => {
      expect(screen.queryByText('1 cell is not saved')).toBeNull();
    });
  });

  test('what somebody else changed is asked about, with what was about to be saved; what is dropped is said', async () => {
    refusal = { status: 409, code: 'Bea changed entry 2.', place: 'e2' };
    await open();
    await at('Movement 2', '{ArrowRight}L{Enter}');
    const dialog = await screen.findByRole('dialog', { name: 'Someone else was here' });
    expect(within(dialog).getByText('Movement 2: side “L”')).toBeTruthy();
    await userEvent.click(within(dialog).getByRole('button', { name: 'Show what is there now' }));
    expect(await screen.findByText('Not saved: Movement 2: side “L”')).toBeTruthy();
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(sent).toHaveLength(1);
  });

  test('the columns can be others, and one stays where one was', async () => {
    await open();
    await userEvent.click(cell('Movement 2'));
    await pick(screen.getByLabelText('Columns'), 'Steps and turns');
    expect(screen.getByRole('columnheader', { name: 'Turn °' })).toBeTruthy();
    expect(cell('Movement 2').dataset.active).toBe('true');
  });

  test('the ribbon folds away, and stays so on this device', async () => {
    await open();
    expect(screen.queryByRole('listbox', { name: /as a ribbon/ })).toBeNull(); // a low screen has room for rows only
    await userEvent.click(screen.getByRole('button', { name: 'Show the ribbon' }));
    expect(screen.getByRole('listbox', { name: /as a ribbon/ })).toBeTruthy();
    cleanup();
    await open();
    await userEvent.click(screen.getByRole('button', { name: 'Fold the ribbon away' }));
    expect(screen.queryByRole('listbox', { name: /as a ribbon/ })).toBeNull();
  });

  test('+ and − bring the ribbon closer, but not while one types', async () => {
    await open();
    await userEvent.keyboard('+');
    expect(screen.getByText(/×2/)).toBeTruthy();
    await userEvent.keyboard('-');
    expect(screen.queryByText(/×2/)).toBeNull();
    await at('Movement 2', '{ArrowRight}+');
    expect(screen.queryByText(/×2/)).toBeNull();
  });
});
