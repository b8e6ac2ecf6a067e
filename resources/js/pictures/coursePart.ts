import type { Entry, Meeting, MeetingCourse, Passage } from '../api/client';

type Planned = Omit<MeetingCourse, 'courseId' | 'formTitle'>;

/** With the numbers of the lessons it gives, or gave. */
export type Part = Planned & { numbers: number[] };

/** In which order a run-through can go. */
export { RunOrder as RUN_ORDERS } from '../api/enums';

/** Every position of a passage, in order. */
export const positionsIn = ({ from, to }: Passage) => Array.from({ length: to - from + 1 }, (_, at) => from + at);

/** What a meeting holds of one course: what is planned, or, of the first course of one that was held, what was taught. */
export function partOf(meeting: Meeting, course: string): Part {
  const planned = meeting.courses.find((one) => one.courseId === course);
  const isFirst = meeting.courses.length === 0 || meeting.courses[0]?.courseId === course;
  const part: Planned = planned ?? {
    lessons: [],
    recap: meeting.recap,
    review: meeting.review,
    runThrough: meeting.runThrough,
    run: meeting.runThrough ? positionsIn(meeting.runThrough) : [],
    times: 1,
    order: 'as_written',
    shown: [],
    why: null,
    taughtAfter: meeting.taughtAfter,
    recallAfter: meeting.recallAfter,
  };
  if (!isFirst || (!meeting.isHeld && planned)) {
    return { ...part, numbers: [...new Set(part.lessons.flatMap(({ number }) => (number === null ? [] : [number])))] };
  }
  return {
    ...part,
    taughtAfter: meeting.taughtAfter,
    numbers: meeting.lessonNumbers,
    lessons: taughtOf(meeting, part.lessons),
  };
}

/** What was taught of an evening that was held: lesson by lesson, as far as they came, where it went by the plan; else in one. */
function taughtOf({ lesson, lessonNumbers }: Meeting, planned: Planned['lessons']): Planned['lessons'] {
  if (!lesson) return [];
  const went = planned
    .filter((one) => one.number !== null && one.from <= lesson.to && one.to >= lesson.from)
    .map((one) => ({ ...one, from: Math.max(one.from, lesson.from), to: Math.min(one.to, lesson.to) }));
  return went[0]?.from === lesson.from && went.at(-1)?.to === lesson.to
    ? went
    : [{ ...lesson, number: lessonNumbers[0] ?? null, kind: 'new', part: null, parts: null }];
}

/** The number printed in the form of the last movement up to a position; where it has none, how many there are. */
export const numberTo = (entries: Entry[], position: number): number =>
  entries.filter((entry) => entry.kind === 'movement' && entry.position <= position).at(-1)?.number ??
  movementsTo(entries, position);

/** How many movements stand up to a position: what opens, closes or rests is none, wherever movements are told in words. */
export const movementsTo = (entries: Entry[], position: number | null): number =>
  entries.filter((entry) => entry.kind === 'movement' && entry.position <= (position ?? 0)).length;
