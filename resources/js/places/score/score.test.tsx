import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, test, vi } from 'vitest';
import '../../messages';
import { SETS } from './columns';
import { foreseen, type Row } from './edits';
import { findingsByPosition } from './Findings';
import { Grid, type Place } from './Grid';
import { pasted, pastedCells } from './paste';
import { cleaned, Records, weightOf } from './Records';
import type { Refused } from './useScore';

afterEach(cleanup);

const row = (key: string, cells: Record<string, string> = {}): Row => ({
  key,
  cells: { title: key.toUpperCase(), kind: 'movement', ...cells },
  entry: { id: key },
});
const keys = (rows: Row[]) => rows.map((one) => one.key);
const three = [row('a'), row('b'), row('c')];

describe('what rows look like before the server answers', () => {
  test('entries come, go and move', () => {
    const entries = [{ id: 'x', title: 'X' }];
    expect(keys(foreseen(three, { op: 'insert', after: 'a', entries }, []))).toEqual(['a', 'x', 'b', 'c']);
    expect(keys(foreseen(three, { op: 'insert', after: null, entries }, []))).toEqual(['x', 'a', 'b', 'c']);
    expect(keys(foreseen(three, { op: 'remove', ids: ['a', 'c'] }, []))).toEqual(['b']);
    expect(keys(foreseen(three, { op: 'move', id: 'c', after: null }, []))).toEqual(['c', 'a', 'b']);
    expect(keys(foreseen(three, { op: 'move', id: 'a', after: 'b' }, []))).toEqual(['b', 'a', 'c']);
    expect(keys(foreseen(three, { op: 'merge', id: 'a' }, []))).toEqual(['a', 'c']);
    expect(keys(foreseen(three, { op: 'mirror', id: 'a', as: 'm' }, []))).toEqual(['a', 'm', 'b', 'c']);
  });

  test('a cell shows what was typed, a field what was set, and null takes it out', () => {
    const [set] = foreseen(three, { op: 'set', id: 'a', cells: { turn: '90' }, fields: { phases: [1], id: 'a' } }, []);
    expect(set?.cells.turn).toBe('90');
    expect(set?.entry.phases).toEqual([1]);
    expect(foreseen([set as Row], { op: 'set', id: 'a', fields: { phases: null } }, [])[0]?.entry).not.toHaveProperty('phases');
  });

  test('what is not there changes nothing', () => {
    expect(foreseen(three, { op: 'insert', after: 'zz', entries: [{ id: 'x' }] }, [])).toEqual(three);
    expect(foreseen(three, { op: 'move', id: 'zz', after: null }, [])).toEqual(three);
  });
});

describe('pasting', () => {
  test('the clipboard of a spreadsheet is read: tabs, quotes round several lines, an empty end', () => {
    expect(pastedCells('\uFEFFa\t"b\nc"\r\nd\t""\r\n\r\n')).toEqual([
      ['a', 'b\nc'],
      ['d', ''],
    ]);
  });

  test('cells go down and to the right; what is past the last row is added; what is the same is left', () => {
    const edits = pasted(three, ['title', 'side'], { row: 2, column: 0 }, [
      ['C', 'left', 'beyond the last column'],
      ['New', 'right'],
      ['', ''],
    ]);
    expect(edits?.[0]).toEqual({ op: 'set', id: 'c', cells: { side: 'left' } });
    const inserted = edits?.[1];
    expect(inserted).toMatchObject({ op: 'insert', after: 'c', entries: [{ title: 'New' }, { title: '–' }] });
    const id = inserted?.op === 'insert' ? inserted.entries[0]?.id : '';
    expect(edits?.[2]).toEqual({ op: 'set', id, cells: { side: 'right' } });
    expect(edits).toHaveLength(3);
  });

  test('more than a form may have is not pasted at all', () => {
    expect(pasted(three, ['title'], { row: 0, column: 0 }, Array<string[]>(601).fill(['x']))).toBeNull();
  });
});

describe('records of an entry', () => {
  test('weights and numbers are read, empty fields left out, and what lacks something it needs waits', () => {
    expect([weightOf('80'), weightOf('40-60'), weightOf(''), weightOf('much')]).toEqual([80, [40, 60], undefined, 'much']);
    const fields = [
      { key: 'for', kind: 'choice', isRequired: true },
      { key: 'weight', kind: 'weight' },
      { key: 'in', kind: 'list', fields: [{ key: 'a', kind: 'text', isRequired: true }] },
    ] as const;
    expect(cleaned({ for: 'knee', weight: '5-10', text: '', in: [{ a: '' }, { a: 'x' }] }, fields)).toEqual({
      for: 'knee',
      weight: [5, 10],
      text: '',
      in: [{ a: 'x' }],
    });
    expect(cleaned({ for: '', weight: '5' }, fields)).toBeNull();
  });

  test('a record is saved when its field is left, once it has what it needs', async () => {
    const saved = vi.fn();
    render(
      <Records
        title="Common errors"
        fields={[
          { key: 'wrong', kind: 'text', isRequired: true },
          { key: 'right', kind: 'text', isRequired: true },
        ]}
        value={[]}
        onSave={saved}
      />,
    );
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: 'Add' }));
    await user.type(screen.getByLabelText('Common errors 1, Wrong'), 'leaning');
    await user.tab();
    expect(saved).not.toHaveBeenCalled();
    await user.type(screen.getByLabelText('Common errors 1, Right'), 'upright');
    await user.tab();
    expect(saved).toHaveBeenCalledWith([{ wrong: 'leaning', right: 'upright' }]);
    await user.click(screen.getByRole('button', { name: 'Remove Common errors 1' }));
    expect(saved).toHaveBeenLastCalledWith([]);
  });
});

test('of several findings at a place the worst is shown', () => {
  const finding = { code: 'sides' as const, says: { code: '', with: {} }, grounds: '', mend: null, reason: null };
  const found = findingsByPosition([
    { ...finding, position: 2, severity: 'gap' },
    { ...finding, position: 2, severity: 'error' },
    { ...finding, position: 2, severity: 'doubt' },
    { ...finding, position: null, severity: 'error' },
  ]);
  expect([...found]).toEqual([[2, 'error']]);
});

describe('the grid', () => {
  interface HeldProps {
    onWrite: (...what: unknown[]) => void;
    onTyping?: (...what: unknown[]) => void;
    refused?: Refused;
    rows?: Row[];
  }
  function Held({ onWrite, onTyping, refused = new Map() as Refused, rows = three }: HeldProps) {
    const [place, setPlace] = useState<Place>({ row: 0, column: 2 });
    return (
      <Grid
        className=""
        rows={rows}
        columns={SETS.typing}
        sections={new Map([['a', 'Gate']])}
        refused={refused}
        place={place}
        onPlace={setPlace}
        onWrite={(target, column, text) => {
          onWrite(target.key, column, text);
        }}
        onTyping={(target, column, text) => {
          onTyping?.(target.key, column, text);
        }}
        onPaste={() => undefined}
        onCommand={() => false}
        hintId="hint"
      />
    );
  }
  const cell = (name: string) => screen.getByRole('gridcell', { name });

  test('a cell that is open when the page is left is written, and what stands in it is told as it is typed', async () => {
    const [write, typing] = [vi.fn(), vi.fn()];
    const { unmount } = render(<Held onWrite={write} onTyping={typing} />);
    const user = userEvent.setup();
    await user.click(cell('A'));
    await user.keyboard('Reed');
    expect(typing).toHaveBeenLastCalledWith('a', 'title', 'Reed');
    expect(write).not.toHaveBeenCalled();
    unmount();
    expect(write).toHaveBeenCalledExactlyOnceWith('a', 'title', 'Reed');
    cleanup();
    // What was given up is not written.
    render(<Held onWrite={write} onTyping={typing} />);
    await user.click(cell('A'));
    await user.keyboard('Lamp{Escape}');
    expect(typing).toHaveBeenLastCalledWith('a', 'title', null);
    cleanup();
    expect(write).toHaveBeenCalledTimes(1);
  });

  test('is walked and written in with the keyboard', async () => {
    const write = vi.fn();
    render(<Held onWrite={write} />);
    const user = userEvent.setup();
    await user.click(cell('A'));
    await user.keyboard('{ArrowDown}');
    expect(document.activeElement).toBe(cell('B'));
    await user.keyboard('Heron{Enter}');
    expect(write).toHaveBeenCalledWith('b', 'title', 'Heron');
    await waitFor(() => {
      expect(document.activeElement).toBe(cell('C'));
    });
    await user.keyboard('{Tab}L{Tab}');
    expect(write).toHaveBeenLastCalledWith('c', 'side', 'L');
    await user.keyboard('{Home}{F2}Water{Enter}');
    expect(write).toHaveBeenLastCalledWith('c', 'section', 'Water');
  });

  test('Tab fills row after row, and Shift goes back the same way', async () => {
    const write = vi.fn();
    render(<Held onWrite={write} />);
    const user = userEvent.setup();
    await user.click(cell('A'));
    // Seven columns on, the last one is left for the first of the next row.
    await user.keyboard('Reed{Tab}{Tab}{Tab}{Tab}{Tab}{Tab}2{Tab}Gate{Tab}');
    expect(write.mock.calls).toEqual([
      ['a', 'title', 'Reed'],
      ['a', 'mirrors', '2'],
      ['b', 'section', 'Gate'],
    ]);
    await user.keyboard('x{Shift>}{Tab}{Tab}{/Shift}');
    expect(write).toHaveBeenLastCalledWith('b', 'number', 'x');
    expect(document.activeElement?.getAttribute('aria-invalid')).toBeNull();
  });

  test('an arrow leaves a cell that was opened and not touched, and goes along what is being mended', async () => {
    const write = vi.fn();
    render(<Held onWrite={write} />);
    const user = userEvent.setup();
    await user.click(cell('B'));
    await user.keyboard('{Enter}{ArrowRight}');
    expect(screen.queryByRole('textbox')).toBeNull();
    await user.keyboard('{ArrowLeft}{F2}{ArrowLeft}');
    expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('B');
    await user.keyboard('{ArrowDown}');
    await waitFor(() => {
      expect(document.activeElement).toBe(cell('C'));
    });
    expect(write).not.toHaveBeenCalled();
  });

  test('of six hundred rows those near what is seen are there, and wherever one goes is', async () => {
    const many = Array.from({ length: 600 }, (_, n) => ({
      ...(three[0] as Row),
      key: `k${String(n)}`,
      cells: { title: `No ${String(n + 1)}` },
    }));
    render(<Held onWrite={vi.fn()} rows={many} />);
    expect(screen.getAllByRole('row').length).toBeLessThan(60);
    expect(screen.getByRole('grid').getAttribute('aria-rowcount')).toBe('601');
    const user = userEvent.setup();
    await user.click(cell('No 1'));
    await user.keyboard('{Control>}{End}{/Control}{ArrowLeft}');
    await waitFor(() => {
      expect(document.activeElement?.closest('[role=row]')?.getAttribute('aria-rowindex')).toBe('601');
    });
    expect(screen.getAllByRole('row').length).toBeLessThan(60);
    act(() => {
      window.dispatchEvent(new Event('beforeprint'));
    });
    expect(screen.getAllByRole('row')).toHaveLength(601);
  });

  test('Escape leaves a cell as it was, and what is the same is not written', async () => {
    const write = vi.fn();
    render(<Held onWrite={write} />);
    const user = userEvent.setup();
    await user.click(cell('A'));
    await user.keyboard('x{Escape}{Enter}{Enter}');
    expect(write).not.toHaveBeenCalled();
  });

  test('a refused cell keeps what was typed and says why', () => {
    render(<Held onWrite={vi.fn()} refused={new Map([['b.side', { typed: 'up', message: 'Side: must be left.' }]])} />);
    const wrong = screen.getByRole('gridcell', { name: /up/ });
    expect(wrong.getAttribute('aria-invalid')).toBe('true');
    expect(wrong.getAttribute('data-tip')).toBe('Side: must be left.');
  });

  test('a click goes to a cell, a second one writes in it', async () => {
    render(<Held onWrite={vi.fn()} />);
    const user = userEvent.setup();
    await user.click(cell('B'));
    expect(screen.queryByRole('textbox')).toBeNull();
    await user.click(cell('B'));
    expect(screen.getByRole<HTMLInputElement>('textbox', { name: 'Title, 2' }).value).toBe('B');
  });
});
