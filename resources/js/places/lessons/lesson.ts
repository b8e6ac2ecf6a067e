/** What a teacher writes into a lesson, as `gorvan.lessons/1` has it; what the page does not know is carried along. */
export interface WrittenLesson {
  id: string;
  title?: string;
  kind: Kind;
  entries: string[];
  note?: string;
  bite?: string;
  steps?: Step[];
  views?: View[];
  checks?: string[];
  errors?: { wrong: string; right: string }[];
  drills?: Drill[];
  run_from?: string;
  partner?: Partner;
}
export interface Step {
  mode: (typeof MODES)[number];
  cues: (typeof FADINGS)[number];
  text?: string;
}
export interface Drill {
  id: string;
  title: string;
  parent: string;
  after?: string[];
  text?: string;
}
export interface Partner {
  entry: string;
  contact?: string;
  steps: { id: string; title: string; text?: string }[];
  limit?: number;
  not_for: string[];
}

export const KINDS = [
  'new',
  'detail',
  'join',
  'review',
  'consolidation',
  'principle',
  'check_in',
  'partner',
  'nothing_new',
] as const;
export type Kind = (typeof KINDS)[number];
export const MODES = ['watch', 'together', 'alone'] as const;
export const FADINGS = ['all', 'key_words', 'first_word', 'none'] as const;
export type Fading = (typeof FADINGS)[number];
export const VIEWS = ['facing', 'same', 'behind'] as const;
export type View = (typeof VIEWS)[number] | 'plain';

/** What is left of the cues of an entry at one step. */
export function cuesLeft(of: { cues: string[]; keyWords: string[]; firstWords: string[] }, fading: Fading): string[] {
  return { all: of.cues, key_words: of.keyWords, first_word: of.firstWords, none: [] }[fading];
}

/** On paper and on a page, `{L}` and `{R}` are the student's own left and right. */
export const SIDES = { left: { code: 'side.left', with: {} }, right: { code: 'side.right', with: {} } };

/** Whole minutes of new work, rounded up as a meeting's boxes are. */
export const wholeMinutes = (minutes: number): number => Math.ceil(Number(minutes.toFixed(9)));
