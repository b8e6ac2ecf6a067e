import type { TermEnd, TermEndCourse, TermEndStudent } from '../../resources/js/api/client';

/** Made-up ends of a term, of the shape the API answers with. */

export const span = (from: number, to = from) => ({ from, to });
export const endResult = (change: Partial<TermEndStudent['forms'][number]> = {}): TermEndStudent['forms'][number] => ({
  courseId: 'c',
  holding: 2,
  taught: 5,
  holds: [span(1, 2)],
  nearly: [span(3)],
  open: [span(4)],
  missed: [span(5)],
  keep: [2],
  ...change,
});
export const endStudent = (name: string, change: Partial<TermEndStudent> = {}): TermEndStudent => ({
  id: name.toLowerCase(),
  name,
  hasAddress: true,
  came: 3,
  classes: 4,
  keeps: [],
  carry: null,
  forms: [endResult()],
  letter: null,
  ...change,
});
export const endCourse = (change: Partial<TermEndCourse> = {}): TermEndCourse => ({
  courseId: 'c',
  formId: 'form',
  title: 'Tide stair',
  taught: 5,
  movements: 6,
  holding: 1.5,
  firm: [span(1)],
  more: [span(2, 5)],
  next: span(6),
  written: 2,
  ...change,
});
export const end = (change: Partial<TermEnd> = {}): TermEnd => ({
  term: {
    id: 't',
    title: 'Winter',
    groupId: 'g',
    groupName: 'Tuesdays',
    formTitle: 'Tide stair',
    startsOn: '2026-01-06',
    endsOn: '2026-03-10',
    meetings: 10,
    held: 4,
    isBeingPlanned: false,
  },
  on: '2026-03-10',
  school: 'Reed School',
  classes: 4,
  words: { words: {}, hasNumbers: false },
  courses: [endCourse()],
  keeps: ['Root'],
  carry: 'Waist loose',
  students: [endStudent('Ada'), endStudent('Bo', { hasAddress: false })],
  groupLetter: null,
  ...change,
});
