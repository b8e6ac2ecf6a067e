import Papa from 'papaparse';
import { type Edit, newId, type Row } from './edits';

export const MOST_ENTRIES = 600;

/** The rows of a piece of a spreadsheet, as the clipboard has it: tabs between cells, quotes round what holds them. */
export function pastedCells(text: string): string[][] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { delimiter: '\t' });
  while (data.length > 0 && data[data.length - 1]?.every((cell) => cell.trim() === '')) data.pop();
  return data;
}

/**
 * Puts pasted cells down from a cell on, to the right and below; rows that go past the last one are added. Null when
 * there would be more than a form may have.
 */
export function pasted(rows: Row[], columns: string[], at: { row: number; column: number }, cells: string[][]): Edit[] | null {
  if (at.row + cells.length > MOST_ENTRIES) return null;
  const edits: Edit[] = [];
  const added: Edit[] = [];
  const entries: Record<string, unknown>[] = [];
  cells.forEach((line, offset) => {
    const written: Record<string, string> = {};
    line.forEach((cell, across) => {
      const column = columns[at.column + across];
      if (column !== undefined) written[column] = cell.trim();
    });
    const row = rows[at.row + offset];
    if (row) {
      const changed = Object.fromEntries(Object.entries(written).filter(([column, cell]) => row.cells[column] !== cell));
      if (Object.keys(changed).length > 0) edits.push({ op: 'set', id: row.key, cells: changed });
      return;
    }
    const id = newId();
    entries.push({ id, kind: 'movement', title: written.title === undefined || written.title === '' ? '–' : written.title });
    const rest = Object.fromEntries(Object.entries(written).filter(([column, cell]) => column !== 'title' && cell !== ''));
    if (Object.keys(rest).length > 0) added.push({ op: 'set', id, cells: rest });
  });
  if (entries.length > 0) edits.push({ op: 'insert', after: rows[rows.length - 1]?.key ?? null, entries });
  return [...edits, ...added];
}
