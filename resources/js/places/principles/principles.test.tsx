import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { form, principleSet } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { Bites } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { JoinsPlace } from './JoinsPlace';
import { linesOf, pairsOf } from './lines';
import { PrinciplesPlace } from './PrinciplesPlace';
import { SetPlace } from './SetPlace';
import { passagesOf } from './ShowsMost';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

const bites = (all: Bites['bites'], version = 1): Bites => ({ setId: 'set', formId: 'form', version, bites: all, unused: 0 });
const SET = '/api/principle-sets/{principleSet}';
const EDITS = `POST ${SET}/edits`;
const JOINS = `${SET}/forms/{form}`;

beforeEach(() => {
  sessionStorage.clear();
  queryClient.clear();
  server.reset({
    [`GET ${SET}`]: principleSet(),
    'GET /api/principle-sets': [],
    'GET /api/principle-starters': [{ title: 'Ten', about: 'Ours.', principles: 10, text: '{"format":"x"}' }],
    'GET /api/forms/{form}': form(),
    [`GET ${JOINS}`]: bites([{ principle: 'p1', entry: 'e2', strength: 3, note: null }]),
  });
});
afterEach(cleanup);

const openSet = () => showAt('/principles/set', [{ path: '/principles/:set', Component: SetPlace }]);
const openJoins = () => showAt('/principles/set/joins', [{ path: '/principles/:set/joins', Component: JoinsPlace }]);
const sentEdits = () => server.got('POST', `${SET}/edits`).map((one) => one.body as { base: number; edits: unknown[] });

describe('lines of a field', () => {
  test('blank ones do not count, and pairs say which line is not one', () => {
    expect(linesOf(' a \n\n b')).toEqual(['a', 'b']);
    expect(pairsOf('leans => shift first\n\na => b', '=>')).toEqual([
      ['leans', 'shift first'],
      ['a', 'b'],
    ]);
    expect(pairsOf('a => b\nno pair', '=>')).toBe(2);
    expect(pairsOf(' => b', '=>')).toBe(1);
  });
});

describe('the place', () => {
  test('offers the sets that ship, and makes one of what is taken', async () => {
    server.answers['POST /api/principle-sets'] = { set: principleSet(), warnings: [] };
    const { router } = showAt('/principles', [
      { path: '/principles', Component: PrinciplesPlace },
      { path: '/principles/:set', element: 'the set' },
    ]);
    await userEvent.click(await screen.findByRole('button', { name: 'Take this set: Ten' }));
    await waitFor(() => {
      expect(router.state.location.pathname).toBe('/principles/set');
    });
    expect(server.got('POST', '/api/principle-sets')).toHaveLength(1);
  });

  test('a file that cannot be is refused where it was given, and its title stays', async () => {
    server.refusals['POST /api/principle-sets'] = { status: 422, code: 'missing.title_column' };
    showAt('/principles', [{ path: '/principles', Component: PrinciplesPlace }]);
    const file = new File(['name\nA'], 'keepings.csv', { type: 'text/csv' });
    file.text = () => Promise.resolve('name\nA'); // the stand-in for a browser reads no files
    await userEvent.upload(await screen.findByLabelText('Choose a file'), file);
    expect(await screen.findByLabelText(/Title of the set/)).toHaveProperty('value', 'keepings');
    await userEvent.click(screen.getByRole('button', { name: 'Take this set' }));
    expect((await screen.findByRole('alert')).textContent).toContain('names no column');
    expect(screen.getByLabelText(/Title of the set/)).toHaveProperty('value', 'keepings');
  });
});

describe('a set', () => {
  test('is read by family, with what to look for, what goes wrong, and what comes before', async () => {
    openSet();
    expect(await screen.findByText('Shape', { selector: 'p' })).toBeTruthy();
    expect(screen.getByText('three points')).toBeTruthy();
    expect(screen.getByText('rolls in → knee out')).toBeTruthy();
    expect(screen.getByText(/after Root/)).toBeTruthy();
  });

  test('is saved as a field is left, each change on the version the one before it made', async () => {
    server.answers[EDITS] = principleSet({ version: 4 });
    openSet();
    await userEvent.click(await screen.findByRole('button', { name: 'Change: Root' }));
    const editor = within(screen.getByTestId('principle-editor'));
    await userEvent.type(editor.getByLabelText('Title'), 'ed');
    await userEvent.type(editor.getByLabelText('What it asks for'), 'Stand.');
    await userEvent.tab();
    await waitFor(() => {
      expect(sentEdits()).toHaveLength(2);
    });
    expect(sentEdits().map((one) => one.base)).toEqual([3, 4]);
    expect(sentEdits()[1]?.edits).toEqual([
      {
        what: 'put',
        principle: expect.objectContaining({
          id: 'p1',
          title: 'Rooted',
          says: 'Stand.',
          errors: [{ wrong: 'rolls in', right: 'knee out' }],
        }),
      },
    ]);
  });

  test('what is not sound yet is said at its field and not sent; what failed waits and is sent again', async () => {
    server.refusals[EDITS] = { status: 503, code: 'http.unavailable' };
    openSet();
    await userEvent.click(await screen.findByRole('button', { name: 'Change: Root' }));
    const editor = within(screen.getByTestId('principle-editor'));
    const wrongs = editor.getByLabelText(/What goes wrong/);
    await userEvent.type(wrongs, '\nno pair');
    await userEvent.tab();
    expect(editor.getByText('Line 2 needs => between two texts.')).toBeTruthy();
    expect(sentEdits()).toHaveLength(0);
    await userEvent.type(wrongs, ' => a pair');
    await userEvent.tab();
    await userEvent.click(await screen.findByRole('button', { name: 'Try again' }));
    expect(wrongs).toHaveProperty('value', 'rolls in => knee out\nno pair => a pair');
    await waitFor(() => {
      expect(sentEdits()).toHaveLength(2);
    });
    expect(sentEdits()[0]).toEqual(sentEdits()[1]); // under the same id, so that it is made once
  });
});

describe('what is typed of a principle', () => {
  test('is there again after a reload, and is saved then', async () => {
    openSet();
    await userEvent.click(await screen.findByRole('button', { name: 'Change: Root' }));
    await userEvent.type(within(screen.getByTestId('principle-editor')).getByLabelText('What it asks for'), 'Stand like a tree');
    cleanup(); // the page goes before the field was left
    queryClient.clear();
    openSet();
    await userEvent.click(await screen.findByRole('button', { name: 'Change: Root' }));
    const says = within(screen.getByTestId('principle-editor')).getByLabelText('What it asks for');
    expect(says).toHaveProperty('value', 'Stand like a tree');
    await userEvent.click(says);
    await userEvent.tab();
    await waitFor(() => {
      expect(sentEdits()[0]?.edits).toEqual([{ what: 'put', principle: expect.objectContaining({ says: 'Stand like a tree' }) }]);
    });
  });

  test('a double click adds one principle', async () => {
    openSet();
    await userEvent.dblClick(await screen.findByRole('button', { name: 'Add a principle' }));
    await waitFor(() => {
      expect(sentEdits()).toHaveLength(1);
    });
  });
});

describe('where it shows', () => {
  test('a sweep across a row is one change of all its entries, and can be taken back as a whole', async () => {
    server.answers[`POST ${JOINS}`] = bites([], 2);
    openJoins();
    const cells = await screen.findAllByRole('gridcell');
    const [first, third] = [cells[0], cells[2]] as [HTMLElement, HTMLElement];
    fireEvent.pointerDown(first, { button: 0, pointerType: 'mouse' });
    fireEvent.pointerEnter(third);
    fireEvent.pointerUp(window);
    await waitFor(() => {
      expect(server.got('POST', JOINS)).toHaveLength(1);
    });
    expect(server.got('POST', JOINS)[0]?.body).toEqual({
      edit: { what: 'sweep', principle: 'p1', entries: ['e1', 'e2', 'e3'], strength: 2 },
    });
    await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(server.got('POST', JOINS)).toHaveLength(2);
    });
    expect(server.got('POST', JOINS)[1]?.body).toEqual({
      base: 2,
      edit: { what: 'put', bites: [{ principle: 'p1', entry: 'e2', strength: 3, note: null }] },
    });
  });

  test('the keys walk from cell to cell, join and take out', async () => {
    openJoins();
    const cells = await screen.findAllByRole('gridcell');
    cells[0]?.focus();
    await userEvent.keyboard('{ArrowDown}{ArrowRight}3');
    await userEvent.keyboard('{ArrowUp}0');
    await waitFor(() => {
      expect(server.got('POST', JOINS)).toHaveLength(2);
    });
    expect(server.got('POST', JOINS).map((one) => (one.body as { edit: unknown }).edit)).toEqual([
      { what: 'sweep', principle: 'p2', entries: ['e2'], strength: 3 },
      { what: 'sweep', principle: 'p1', entries: ['e2'], strength: null },
    ]);
  });

  test('neighbours of the greatest strength are the passages that show it most', () => {
    const all = ['e1', 'e2', 'e4', 'e5'].map((entry) => ({
      principle: 'p1',
      entry,
      strength: entry === 'e4' ? 1 : 2,
      note: null,
    }));
    expect(passagesOf(form(), bites(all), 'p1')).toEqual([
      { from: 1, to: 2 },
      { from: 5, to: 5 },
    ]);
    expect(passagesOf(form(), bites(all), 'p2')).toEqual([]);
  });
});
