import { Support } from './enums';
import type { components } from './schema';

type Schemas = components['schemas'];

/** The ladder of support, as the server counts it: from nothing to leading others. */
export const LADDER = Support;
const SURENESS = [null, 'good', 'fading', 'weak'] as const;
const HOLDS = 1;
const ASSUMED = 2;
const MET = 4;
const SURE = 8;

/** One student’s standing in one entry. */
export interface Cell {
  position: number;
  support: string | null;
  recall: number | null;
  sureness: (typeof SURENESS)[number];
  holds: boolean;
  isAssumed: boolean;
  isMet: boolean;
  left: string | null;
  right: string | null;
}

const supportOf = (level: number | null | undefined): string | null => LADDER[level ?? -1] ?? null;

/** A cell as it comes over the wire: a class of thirty has thousands of them. */
export function cellOf([position, support, recall, is, left, right]: Schemas['CellData']): Cell {
  const bits = is ?? 0;
  return {
    position: position ?? 0,
    support: supportOf(support),
    recall: recall ?? null,
    sureness: SURENESS[Math.floor(bits / SURE)] ?? null,
    holds: (bits & HOLDS) !== 0,
    isAssumed: (bits & ASSUMED) !== 0,
    isMet: (bits & MET) !== 0,
    left: supportOf(left),
    right: supportOf(right),
  };
}

interface Packed {
  cells: Schemas['CellData'][];
}
/** The same with its cells to be read by name. */
export type Opened<T extends Packed> = Omit<T, 'cells'> & { cells: Cell[] };
/** A student as the server answers one. */
export type StudentAnswer = Schemas['StudentData'];
export type Student = Opened<StudentAnswer>;

export const opened = <T extends Packed>(one: T): Opened<T> => ({ ...one, cells: one.cells.map(cellOf) });

type OfStudents = { students: Schemas['StudentData'][] };
export type WithStudents<T extends OfStudents> = Omit<T, 'students'> & { students: Student[] };
export const withStudents = <T extends OfStudents>(answer: T): WithStudents<T> => ({
  ...answer,
  students: answer.students.map(opened),
});
