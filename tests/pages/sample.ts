import type {
  CareNeed,
  StudentCare,
  GroupPrinciples,
  Principle,
  PrincipleSet,
  Cell,
  Course,
  CueCard,
  Edited,
  Entry,
  Finding,
  Form,
  Meeting,
  MeetingCourse,
  MeetingPage,
  Review,
  Score,
  Student,
  Term,
  WarmUps,
  NextTerm,
} from '../../resources/js/api/client';

/** Small made-up data of the shapes the API answers with; each maker takes what is different. */

export function entry(position: number, change: Partial<Entry> = {}): Entry {
  return {
    id: `row-${String(position)}`,
    key: `e${String(position)}`,
    position,
    number: position,
    title: `Movement ${String(position)}`,
    aliases: [],
    kind: 'movement',
    side: null,
    hasSides: false,
    repetition: null,
    returns: null,
    mirrors: null,
    demand: 1,
    newness: 1,
    join: 0.2,
    load: 1.2,
    parts: [{ reason: 'base', amount: 1 }],
    seconds: 12,
    isTimeAssumed: true,
    ...change,
  };
}

export function form(change: Partial<Form> = {}): Form {
  return {
    id: 'form',
    edition: 'first',
    title: 'Tide stair',
    family: null,
    announced: 6,
    target: 2.4,
    lambda: 0.5,
    objective: 1.25,
    totalLoad: 7.2,
    worth: 3,
    seconds: 72,
    entries: [1, 2, 3, 4, 5, 6].map((position) =>
      entry(
        position,
        position <= 2 ? { ...(position === 2 ? { mirrors: 1 } : {}), hasSides: true } : position === 5 ? { returns: 1 } : {},
      ),
    ),
    sections: [
      { title: 'Gate', first: 1, last: 4 },
      { title: 'Water', first: 5, last: 6 },
    ],
    moved: [],
    hasOwnLessons: false,
    lessonsOf: null,
    joins: [1, 2, 3, 4, 5].map((after) => ({ after, rest: after === 4 ? 0.9 : 0.2, pin: null })),
    lessons: [
      { number: 1, from: 1, to: 2, load: 2.4, recap: null, seconds: 24, rounds: [] },
      { number: 2, from: 3, to: 4, load: 2.4, recap: { from: 1, to: 2 }, seconds: 24, rounds: [] },
      { number: 3, from: 5, to: 6, load: 2.4, recap: { from: 3, to: 4 }, seconds: 24, rounds: [] },
    ],
    ...change,
  };
}

/** What a meeting holds of a course: nothing new, four movements known. */
export function coursePart(change: Partial<MeetingCourse> = {}): MeetingCourse {
  return {
    courseId: 'course',
    formTitle: 'Tide stair',
    lessons: [],
    recap: null,
    review: [],
    runThrough: null,
    times: 1,
    run: [],
    order: 'as_written',
    shown: [],
    why: null,
    taughtAfter: 4,
    recallAfter: 0.8,
    ...change,
  };
}

export function meeting(change: Partial<Meeting> = {}): Meeting {
  return {
    id: 'meeting',
    on: '2026-01-20',
    startsAt: '2026-01-20T19:00:00+01:00',
    minutes: 60,
    isHeld: false,
    isPast: false,
    isToday: true,
    kind: 'lesson',
    boxes: { settle: 2, warm_up: 11, focus: 6, review: 15, new: 19, run_through: 4, close: 3 },
    shares: { settle: 4, warm_up: 18, focus: 10, close: 6 },
    lessonNumbers: [2],
    lesson: { from: 3, to: 4 },
    recap: { from: 1, to: 2 },
    review: [review()],
    runThrough: { from: 1, to: 4 },
    taughtAfter: 4,
    recallAfter: 0.824,
    notes: [],
    state: 'laid',
    reason: null,
    room: null,
    pins: {},
    courses: [],
    isOpen: true,
    focus: [],
    ...change,
  };
}

export function review(change: Partial<Review> = {}): Review {
  return {
    from: 1,
    to: 2,
    passes: 3,
    minutes: 2.7,
    meanRecall: 0.66,
    without: 0.52,
    with: 0.71,
    weight: 1,
    value: 0.4,
    most: null,
    instead: null,
    isPinned: false,
    isFirstNext: false,
    isPicked: false,
    ...change,
  };
}

export function course(change: Partial<Course> = {}): Course {
  return {
    id: 'course',
    form: form(),
    approach: 'piece',
    share: 1,
    target: { from: 1, to: 6 },
    paces: [
      { kind: 'new', usual: 8, minutes: 8, lessons: 0 },
      { kind: 'detail', usual: 8, minutes: 8, lessons: 0 },
    ],
    gate: 0.65,
    rhythm: null,
    usualRhythm: 3,
    saidMovements: null,
    saidMinutes: null,
    movements: 2.4,
    minutesPerLoad: 6,
    spread: null,
    isSpread: false,
    reserve: 1,
    looksBack: true,
    keeps: [],
    showingFallenOut: null,
    showingOn: null,
    showingTo: null,
    forecast: {
      day: '2026-02-10',
      reach: 4,
      movements: 4,
      holds: 3,
      expected: 3.4,
      mean: 0.85,
      weakest: [{ at: 3, recall: 0.71 }],
      low: [],
      left: [3],
      showingHolds: null,
      showingMean: null,
      showingLeast: null,
      showingLeastAt: null,
      undetailed: [],
      throughOn: null,
      paceMinutes: 6,
      paceMovements: 2.4,
      paceNeeded: 3.1,
      says: null,
      far: [
        { studentId: 'mara', name: 'Mara', behind: 6 },
        { studentId: 'tom', name: 'Tom', behind: 1 },
      ],
    },
    ...change,
  };
}

/** A term of three meetings with a closure between the second and the third. */
export function term(): Term {
  const past = { isPast: true, isToday: false };
  return {
    term: {
      id: 'term',
      title: 'Winter',
      groupId: 'group',
      groupName: 'Tuesdays',
      formTitle: 'Tide stair',
      startsOn: '2026-01-06',
      endsOn: '2026-02-03',
      meetings: 3,
      held: 1,
      isBeingPlanned: false,
    },
    courses: [course()],
    closures: [{ from: '2026-01-26', to: '2026-01-28' }],
    meetings: [
      meeting({
        ...past,
        id: 'first',
        on: '2026-01-13',
        isHeld: true,
        isOpen: false,
        lessonNumbers: [1],
        lesson: { from: 1, to: 2 },
        recap: null,
        review: [],
      }),
      meeting({ id: 'tonight' }),
      meeting({ id: 'last', on: '2026-02-03', isToday: false, kind: 'reserve', lessonNumbers: [], lesson: null, recap: null }),
    ],
    warnings: [],
    names: {},
    turns: [],
    version: 3,
    room: null,
    isOver: false,
    principles: null,
  };
}

export function cell(position: number, change: Partial<Cell> = {}): Cell {
  return {
    position,
    support: 'Alone',
    recall: 0.9,
    sureness: 'good',
    holds: true,
    isAssumed: false,
    isMet: true,
    left: null,
    right: null,
    ...change,
  };
}

export function student(name: string, change: Partial<Student> = {}): Student {
  return {
    id: name.toLowerCase(),
    name,
    cells: [],
    frontier: null,
    holding: 0,
    holes: [],
    behind: [],
    missed: [],
    ready: 'ready',
    why: [],
    ...change,
  };
}

export const noWarmUps: WarmUps = { items: [], loaded: {}, isCold: false };

export function page(change: Partial<MeetingPage> = {}): MeetingPage {
  const { term: summary, meetings, closures } = term();
  return {
    term: summary,
    meeting: meeting({ id: 'tonight' }),
    formId: 'form',
    courseId: 'course',
    taught: [1, 2],
    students: [student('Ada', { cells: [cell(1), cell(2)] }), student('Bo'), student('Cy')],
    attendance: {},
    guests: [],
    marks: [],
    season: meetings,
    closures,
    logId: null,
    courses: [{ courseId: 'course', formId: 'form', title: 'Tide stair', edition: 'first' }],
    awayLast: [],
    newcomers: [],
    principles: null,
    keepings: [],
    room: null,
    warmUps: noWarmUps,
    care: [],
    ...change,
  };
}

const audit = {
  findings: [],
  accepted: [],
  totals: { entries: 6, movements: 6, load: 7.2, seconds: 72, turn: 0, travel: [0, 0], left: 0, right: 0 },
};

export function finding(change: Partial<Finding> = {}): Finding {
  return {
    code: 'sides',
    position: 2,
    severity: 'doubt',
    says: { code: 'Once on the left.', with: {} },
    grounds: 'abc',
    mend: null,
    reason: null,
    ...change,
  };
}

/** The score of the sample form; `cells` and `entries` change rows by their position. */
export function score(version: number, cells: Record<number, Record<string, string>> = {}, change: Partial<Score> = {}): Score {
  const shape = form();
  return {
    version,
    head: { title: shape.title, announced: 6 },
    columns: ['title', 'side', 'turn'],
    rows: shape.entries.map((one) => ({
      key: one.key,
      cells: { title: one.title, side: '', turn: '', ...cells[one.position] },
      entry: { id: one.key, title: one.title },
    })),
    audit,
    ...change,
  };
}

/** The sample form after a change: its score, and as it is cut. */
export const edited = (
  version: number,
  cells: Record<number, Record<string, string>> = {},
  change: Partial<Score> = {},
): Edited => ({
  score: score(version, cells, change),
  form: form(),
});

export const cueCard = (position: number, change: Partial<CueCard> = {}): CueCard => ({
  position,
  number: position,
  title: `Movement ${String(position)}`,
  alias: null,
  repetition: null,
  side: null,
  own: null,
  left: { code: 'side.left', with: {} },
  right: { code: 'side.right', with: {} },
  cues: [],
  keyWords: [],
  firstWords: [],
  breaths: [],
  turn: null,
  travel: [],
  checks: [],
  cautions: [],
  needsSupport: false,
  ...change,
});

export function principle(key: string, change: Partial<Principle> = {}): Principle {
  return {
    id: `row-${key}`,
    key,
    title: key.toUpperCase(),
    family: null,
    says: null,
    look: [],
    errors: [],
    after: [],
    states: [],
    ...change,
  };
}

export function principleSet(change: Partial<PrincipleSet> = {}): PrincipleSet {
  return {
    id: 'set',
    version: 3,
    title: 'Our keepings',
    about: 'Common practice, and memory.',
    families: ['Shape', 'Mind'],
    principles: [
      principle('p1', {
        title: 'Root',
        family: 'Shape',
        look: ['three points'],
        errors: [{ wrong: 'rolls in', right: 'knee out' }],
      }),
      principle('p2', { title: 'Quiet', family: 'Mind', after: ['p1'] }),
    ],
    forms: [{ id: 'form', title: 'Tide stair', bites: 1 }],
    ...change,
  };
}

export function groupPrinciples(): GroupPrinciples {
  const { id, title, families, principles } = principleSet();
  return { setId: id, title, families, principles, gone: [{ id: 'row-old', title: 'Old one' }], focuses: 1 };
}

export const careNeed = (change: Partial<CareNeed> = {}): CareNeed => ({
  box: 'new',
  courseId: 'course',
  position: 1,
  warmUpId: null,
  title: 'Movement 1',
  do: ['smaller'],
  variants: [],
  asks: false,
  ...change,
});

export const studentCare = (name: string, change: Partial<StudentCare> = {}): StudentCare => ({
  studentId: name.toLowerCase(),
  name,
  everywhere: [],
  asks: false,
  needs: [],
  ...change,
});

/** How a term would begin; of which group, and after what, is said. */
export const nextTerm = (change: Partial<NextTerm> = {}): NextTerm => ({
  group: 'group',
  after: null,
  afterTitle: null,
  saidMovements: null,
  saidMinutes: null,
  spread: null,
  from: '2026-01-20',
  to: '2026-04-13',
  pattern: [{ weekday: 'Tue', at: '19:00', minutes: 75 }],
  approach: 'piece',
  ...change,
});
