import { CueFading, CueView, StepMode, TeachingKind } from '../../api/enums';
import type { LessonPage } from '../../api/client';

/** What a teacher writes into a lesson, as `gorvan.lessons/1` has it; what the page does not know is carried along. */
export type WrittenLesson = LessonPage['lesson'];
export type Step = NonNullable<WrittenLesson['steps']>[number];
export type Drill = NonNullable<WrittenLesson['drills']>[number];
export type Partner = NonNullable<WrittenLesson['partner']>;

export { TeachingKind as KINDS, StepMode as MODES, CueFading as FADINGS };
export type Kind = TeachingKind;
export type Fading = CueFading;
/** From where it can be shown; plain is for paper. */
export const VIEWS = CueView.filter((view) => view !== 'plain');
export type View = CueView;

/** What is left of the cues of an entry at one step. */
export function cuesLeft(of: { cues: string[]; keyWords: string[]; firstWords: string[] }, fading: Fading): string[] {
  return { all: of.cues, key_words: of.keyWords, first_word: of.firstWords, none: [] }[fading];
}

/** On paper and on a page, `{L}` and `{R}` are the student's own left and right. */
export const SIDES = { left: { code: 'side.left', with: {} }, right: { code: 'side.right', with: {} } };

/** Whole minutes of new work, rounded up as a meeting's boxes are. */
export const wholeMinutes = (minutes: number): number => Math.ceil(Number(minutes.toFixed(9)));
