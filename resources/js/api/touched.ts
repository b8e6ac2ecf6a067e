import type { Kind } from './keys';
import { queryClient } from './queryClient';

/** What is out of date once one of these was made, changed or taken away. */
const touched = {
  form: ['forms', 'today'],
  /** A form's entries, as distinct from which forms there are. */
  score: [
    'lessons',
    'lesson',
    'workbench',
    'form',
    'forms',
    'term',
    'today',
    'meeting',
    'class',
    'group',
    'versions',
    'floor',
    'times',
    'beats',
    'cards',
    'losses',
  ],
  lesson: ['lessons', 'lesson'],
  /** What passes between class and home. */
  home: ['groupHome', 'studentHome', 'groupPractice', 'mailbox'],
  letters: ['termEnd', 'mailbox'],
  /** Where a form is cut, and so its lessons and what is planned of them. */
  cut: ['form', 'forms', 'workbench', 'prices', 'lessons', 'lesson', 'score', 'versions', 'term', 'today', 'meeting', 'group'],
  /** What the school is called, and how it writes. */
  school: ['session'],
  group: ['groups', 'forms', 'today'],
  /** What a set says, what it is joined to, and who works with it. */
  principles: [
    'principleSets',
    'principleSet',
    'principleVersions',
    'bites',
    'shownIn',
    'groupPrinciples',
    'group',
    'term',
    'today',
    'meeting',
    'class',
  ],
  roster: [
    'group',
    'groups',
    'meeting',
    'class',
    'today',
    'students',
    'studentLines',
    'student',
    'studentLine',
    'groupPrinciples',
    'considerations',
    'termEnd',
  ],
  term: ['formCourses', 'terms', 'today', 'groups', 'group'],
  /** What a student spares, and what an evening makes of it. */
  care: ['considerations', 'careReasons', 'meeting', 'today'],
  warmUps: ['warmUps', 'meeting', 'today', 'term', 'class'],
  /** How recall is read. */
  factor: ['reliability', 'studentLines', 'student', 'studentLine', 'recallCurve', 'group', 'meeting', 'today', 'term', 'class'],
  /** A plan that was changed, as distinct from which terms there are. */
  plan: ['workbench', 'prices', 'term', 'terms', 'changes', 'questions', 'today', 'meeting', 'class', 'group', 'groupPrinciples'],
  /** What a command did that was kept on this device until it arrived; its own meeting is put right without asking. */
  marks: ['group', 'today', 'studentLines', 'student', 'groupPrinciples'],
  unmarked: ['group', 'today', 'class', 'studentLines', 'student', 'groupPrinciples'],
  attendance: ['students'],
  guest: ['group', 'students'],
  // What a class took moves the pace of its group, and with it what a lesson of a course takes.
  log: ['form', 'today', 'term', 'terms', 'group', 'changes', 'book', 'class', 'log', 'studentLines', 'student', 'groupPractice'],
} as const satisfies Record<string, readonly Kind[]>;
export type Touched = keyof typeof touched;

/** Asks again for all that is shown of what was touched, at once; the rest is asked for when it is shown. */
export async function readAgain(what: Touched): Promise<void> {
  const kinds: readonly Kind[] = touched[what];
  await queryClient.invalidateQueries({ predicate: ({ queryKey }) => kinds.includes(queryKey[0] as Kind) });
}
