/**
 * What every answer of the server is kept under. The first word says what it is; the map in `touched` knows it by that, so
 * nothing is kept under another.
 */
export const keys = {
  session: () => ['session'] as const,
  today: () => ['today'] as const,
  find: (find: string, on: string | null) => ['find', find, on] as const,

  forms: () => ['forms'] as const,
  /** Of a course, where it is cut as that course has it. */
  form: (form: string, course: string | null = null) =>
    course === null ? (['form', form] as const) : (['form', form, course] as const),
  formCourses: (form: string) => ['formCourses', form] as const,
  score: (form: string) => ['score', form] as const,
  versions: (form: string) => ['versions', form] as const,
  difference: (form: string, from: number, to: number) => ['difference', form, from, to] as const,
  losses: (form: string) => ['losses', form] as const,
  starters: () => ['starters'] as const,
  floor: (form: string, asked: unknown) => ['floor', form, asked] as const,
  times: (form: string) => ['times', form] as const,
  beats: (form: string, asked: unknown) => ['beats', form, asked] as const,
  cards: (form: string, asked: unknown) => ['cards', form, asked] as const,
  lessons: (form: string, course: string | null) => ['lessons', form, course] as const,
  lesson: (form: string, number: string, course: string | null) => ['lesson', form, number, course] as const,
  workbench: (form: string, course: string | null, size: unknown) => ['workbench', form, course, size] as const,
  prices: (form: string, course: string | null, size: unknown, moving: number) => ['prices', form, course, size, moving] as const,

  principleSets: () => ['principleSets'] as const,
  principleSet: (set: string) => ['principleSet', set] as const,
  principleStarters: () => ['principleStarters'] as const,
  principleVersions: (set: string) => ['principleVersions', set] as const,
  bites: (set: string, form: string) => ['bites', set, form] as const,
  shownIn: (form: string) => ['shownIn', form] as const,

  groups: () => ['groups'] as const,
  group: (group: string, on: string) => ['group', group, on] as const,
  groupPrinciples: (group: string, on: string) => ['groupPrinciples', group, on] as const,
  groupPractice: (group: string) => ['groupPractice', group] as const,
  groupHome: (group: string) => ['groupHome', group] as const,
  book: (group: string, find: string) => ['book', group, find] as const,

  students: () => ['students'] as const,
  studentLines: (group: string) => ['studentLines', group] as const,
  student: (student: string, on: string) => ['student', student, on] as const,
  studentLine: (student: string, group: string) => ['studentLine', student, group] as const,
  studentHome: (student: string) => ['studentHome', student] as const,
  recallCurve: (student: string, entry: string) => ['recallCurve', student, entry] as const,
  considerations: (student: string) => ['considerations', student] as const,

  terms: () => ['terms'] as const,
  nextTerm: (group: string, after: string) => ['nextTerm', group, after] as const,
  term: (term: string) => ['term', term] as const,
  changes: (term: string) => ['changes', term] as const,
  questions: (term: string) => ['questions', term] as const,
  places: (term: string, version: number, lesson: number) => ['places', term, version, lesson] as const,
  sketch: (draft: unknown) => ['sketch', draft] as const,
  dates: (draft: unknown) => ['dates', draft] as const,
  termEnd: (term: string) => ['termEnd', term] as const,

  meeting: (meeting: string) => ['meeting', meeting] as const,
  class: (meeting: string) => ['class', meeting] as const,
  careReasons: (meeting: string) => ['careReasons', meeting] as const,
  pods: (meeting: string, count: number) => ['pods', meeting, count] as const,
  pairs: (meeting: string, lesson: string, without: string[]) => ['pods', meeting, 'pairs', lesson, without] as const,
  log: (meeting: string) => ['log', meeting] as const,

  removal: (what: string, id: string) => ['removal', what, id] as const,
  warmUps: () => ['warmUps'] as const,
  reliability: () => ['reliability'] as const,
  mailbox: () => ['mailbox'] as const,
};
/** What an answer is about, by the first word of its key. */
export type Kind = keyof typeof keys;
