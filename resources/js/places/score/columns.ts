import type { Edited } from '../../api/client';
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

/** What a row shows that its cells do not say: the rows its relations point at, and the section that begins there. */
export interface Around {
  returns: number | undefined;
  mirrors: number | undefined;
  section: string | undefined;
}

export function around(row: Row, positions: Map<string, number>, sections: Map<string, string>): Around {
  return {
    returns: positions.get(row.cells.returns ?? ''),
    mirrors: positions.get(row.cells.mirrors ?? ''),
    section: sections.get(row.key),
  };
}

/** What a cell shows. */
export function shown(row: Row, column: Column, about: Around): string {
  if (column === 'section') return about.section ?? '';
  const text = row.cells[column] ?? '';
  return column === 'returns' || column === 'mirrors' ? String(about[column] ?? text) : text;
}

/** Which entry each section begins at. */
export function sectionStarts({ score, form }: Edited): Map<string, string> {
  return new Map(form.sections.map((section) => [score.rows[section.first - 1]?.key ?? '', section.title]));
}
