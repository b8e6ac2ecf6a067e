import { v4 } from 'uuid';
import type { Score } from '../../api/client';

export type Cells = Record<string, string>;
export type Raw = Record<string, unknown>;
export type Row = Score['rows'][number];

/** One change as the server reads it; see docs/formats. */
export type Edit =
  | { op: 'set'; id: string; cells?: Cells; fields?: Raw }
  | { op: 'insert'; after: string | null; entries: Raw[] }
  | { op: 'remove'; ids: string[] }
  | { op: 'move'; id: string; after: string | null }
  | { op: 'split'; id: string; as: string }
  | { op: 'merge'; id: string }
  | { op: 'mirror'; id: string; as: string }
  | { op: 'renumber'; from: number }
  | { op: 'form'; fields: Raw }
  | { op: 'section'; id: string; title: string | null }
  | { op: 'accept'; code: string; grounds: string; reason: string | null };

/** An id for an entry made here; the server refuses one that is in use. */
export function newId(): string {
  return `n-${v4().slice(0, 13)}`;
}

function withFields(entry: Raw, fields: Raw): Raw {
  return Object.fromEntries(Object.entries({ ...entry, ...fields }).filter(([, value]) => value !== null));
}

function asRow(entry: Raw, columns: string[]): Row {
  const cells = Object.fromEntries(columns.map((column) => [column, typeof entry[column] === 'string' ? entry[column] : '']));
  return { key: String(entry.id), cells, entry };
}

/**
 * What the rows look like once an edit is made, as far as it can be told here: the answer of the server takes its place
 * as soon as it comes. Nothing is computed that core computes.
 */
export function foreseen(rows: Row[], edit: Edit, columns: string[]): Row[] {
  switch (edit.op) {
    case 'set':
      return rows.map((row) =>
        row.key === edit.id
          ? {
              ...row,
              cells: { ...row.cells, ...edit.cells },
              entry: edit.fields ? withFields(row.entry, edit.fields) : row.entry,
            }
          : row,
      );
    case 'insert':
      return inserted(
        rows,
        edit.after,
        edit.entries.map((entry) => asRow(entry, columns)),
      );
    case 'remove':
      return rows.filter((row) => !edit.ids.includes(row.key));
    case 'move': {
      const row = rows.find((one) => one.key === edit.id);
      if (!row || edit.after === edit.id) return rows;
      return inserted(
        rows.filter((one) => one !== row),
        edit.after,
        [row],
      );
    }
    case 'split':
    case 'mirror': {
      const row = rows.find((one) => one.key === edit.id);
      return row ? inserted(rows, edit.id, [asRow({ id: edit.as, title: `${row.cells.title ?? ''} …` }, columns)]) : rows;
    }
    case 'merge': {
      const at = rows.findIndex((row) => row.key === edit.id);
      return rows.filter((_, place) => place !== at + 1);
    }
    default:
      return rows;
  }
}

function inserted(rows: Row[], after: string | null, added: Row[]): Row[] {
  const at = after === null ? 0 : rows.findIndex((row) => row.key === after) + 1;
  if (after !== null && at === 0) return rows;
  return [...rows.slice(0, at), ...added, ...rows.slice(at)];
}
