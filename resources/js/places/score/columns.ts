import type { Score } from '../../api/client';
import type { Row } from './edits';

/** Columns of the grid: those of a CSV file, and where sections begin. */
export const SETS = {
  typing: ['section', 'number', 'title', 'side', 'repetition', 'breaths', 'kind', 'returns', 'mirrors'],
  body: ['number', 'title', 'first_step', 'steps', 'weight_end', 'turn', 'travel', 'stance', 'one_leg'],
  all: [
    'section',
    'number',
    'title',
    'kind',
    'side',
    'repetition',
    'breaths',
    'first_step',
    'steps',
    'footfall',
    'weight_end',
    'turn',
    'travel',
    'stance',
    'one_leg',
    'returns',
    'mirrors',
    'booklet_number',
    'booklet_page',
  ],
} as const;
export type ColumnSet = keyof typeof SETS;
export type Column = (typeof SETS)['all'][number];

/** Least widths in rem. */
export const WIDTHS: Record<Column, number> = {
  section: 8,
  number: 3.2,
  title: 14,
  kind: 7,
  side: 4.5,
  repetition: 7,
  breaths: 4.5,
  first_step: 5,
  steps: 4,
  footfall: 5,
  weight_end: 5,
  turn: 4.5,
  travel: 5,
  stance: 7,
  one_leg: 4.8,
  returns: 5,
  mirrors: 5,
  booklet_number: 5,
  booklet_page: 4,
};

/** What a cell shows: a relation by the row it points at, a section where it begins. */
export function shown(row: Row, column: Column, positions: Map<string, number>, sections: Map<string, string>): string {
  if (column === 'section') return sections.get(row.key) ?? '';
  const text = row.cells[column] ?? '';
  if ((column === 'returns' || column === 'mirrors') && text !== '') return String(positions.get(text) ?? text);
  return text;
}

/** Which entry each section begins at. */
export function sectionStarts(score: Score): Map<string, string> {
  return new Map(score.form.sections.map((section) => [score.rows[section.first - 1]?.key ?? '', section.title]));
}
