import { nowText } from '../../api/clock';
import { ulid } from 'ulid';
import type { ClassLog, Doing, Form, Meeting, MeetingPage, Passage } from '../../api/client';
import { type Part as Planned, partOf } from '../../pictures/coursePart';
import { type Run, minutesOf } from '../class/run';

/** One thing a class did, as it is said on the page of its log: by position, where it is about entries. */
export interface Part {
  id: string;
  what: Doing['what'];
  formId: string;
  /** Null for what names no entries. */
  passage: Passage | null;
  minutes: number | null;
  passes: number | null;
  note: string;
  box: string | null;
  /** What this page does not change: a side, some of the students, principles. */
  others: Partial<Doing>;
}

/** What a class did hold, while it is being said. */
export interface Draft {
  parts: Part[];
  minutes: number;
  firstNext: { formId: string; passage: Passage } | null;
  note: string;
  /** Who was not there, of those the page knows; null as long as that is as the page says. */
  away: string[] | null;
  replaces: string | null;
}

type Forms = Record<string, Form>;
type Page = Pick<MeetingPage, 'meeting' | 'courses' | 'students' | 'guests' | 'attendance'> &
  Partial<Pick<MeetingPage, 'principles'>>;

const formsOf = (page: Page, forms: Forms): Form[] =>
  page.courses.flatMap(({ courseId }) => (forms[courseId] === undefined ? [] : [forms[courseId]]));
const formNamed = (page: Page, forms: Forms, id: string | undefined): Form | undefined =>
  formsOf(page, forms).find((form) => form.id === id) ?? formsOf(page, forms)[0];

/** The entries of a passage as a log names them: extras belong to no lesson, they are not taught by standing in one. */
export const keysIn = (form: Form, { from, to }: Passage): string[] =>
  form.entries
    .filter((entry) => entry.position >= from && entry.position <= to && entry.kind !== 'extra')
    .map((entry) => entry.key);

const part = (what: Doing['what'], change: Partial<Part>): Part => ({
  id: ulid(),
  what,
  formId: '',
  passage: null,
  minutes: null,
  passes: null,
  note: '',
  box: null,
  others: {},
  ...change,
});

/** Minutes by the share each has of what was planned, to a tenth. */
function shared(minutes: number, planned: number[]): number[] {
  const all = planned.reduce((a, b) => a + b, 0);
  return planned.map((one) => (all === 0 ? 0 : Math.round((10 * minutes * one) / all) / 10));
}

/** What a lesson takes in its round, as the course has it; where that is not known, what its box has. */
function lessonMinutes(form: Form, lesson: Planned['lessons'][number], meeting: Meeting, lessons: number): number | null {
  const cut = form.lessons.find((one) => one.number === lesson.number);
  const rate = cut?.rounds.find((one) => one.kind === lesson.kind)?.rate;
  // A lesson may be given in part.
  const load = form.entries.slice(lesson.from - 1, lesson.to).reduce((sum, entry) => sum + entry.load, 0);
  const usual = rate === undefined ? undefined : Math.ceil(Number((load * rate).toFixed(9)));
  const box = meeting.boxes.new;
  if (usual !== undefined) return box === undefined ? usual : Math.min(usual, box);
  return lessons === 1 && box !== undefined ? box : null;
}

/**
 * A class as it was planned; where this device ran it, with the minutes the boxes took, and without the boxes that were
 * never come to.
 */
export function fromPlan(page: Page, forms: Forms, run: Run | null): Draft {
  const { meeting } = page;
  const isOne = page.courses.length === 1;
  // Of a class that still runs on this device, what was not come to is as planned; of one that is over, it was left out.
  const took = (box: string): number | null => {
    if (run !== null && (run.endedAt !== null || run.took[box] !== undefined)) return minutesOf(run, box as 'new');
    return meeting.boxes[box] ?? null;
  };
  const isLeftOut = (box: string): boolean => run !== null && (meeting.boxes[box] ?? 0) > 0 && took(box) === 0;
  const before = (took('settle') ?? 0) + (took('warm_up') ?? 0);
  const parts: Part[] = [];
  if (before > 0) parts.push(part('warm_up', { minutes: before }));
  if ((took('focus') ?? 0) > 0) {
    // What was planned and is gone from the set by now cannot be logged: the record would not know it.
    const known = new Set(page.principles?.principles.map((one) => one.id));
    const principles = meeting.focus.map((one) => one.principle).filter((one) => known.has(one));
    parts.push(part('focus', { minutes: took('focus'), others: principles.length === 0 ? {} : { principles } }));
  }
  for (const { courseId } of page.courses) {
    const form = forms[courseId];
    if (form === undefined) continue;
    const planned = partOf(meeting, courseId);
    const of = { formId: form.id };
    if (!isLeftOut('review')) {
      const minutes =
        run !== null && isOne
          ? shared(
              took('review') ?? 0,
              planned.review.map((item) => item.minutes),
            )
          : planned.review.map((item) => item.minutes);
      planned.review.forEach((item, at) => {
        const passage = { from: item.from, to: item.to };
        parts.push(part('reviewed', { ...of, passage, minutes: minutes[at] ?? null, passes: item.passes }));
      });
    }
    if (!isLeftOut('new')) {
      if (planned.recap) parts.push(part('reviewed', { ...of, passage: planned.recap, passes: 1 }));
      const lessons = planned.lessons;
      const ran =
        run !== null && isOne
          ? shared(
              took('new') ?? 0,
              lessons.map((one) => one.to - one.from + 1),
            )
          : null;
      lessons.forEach((lesson, at) => {
        const passage = { from: lesson.from, to: lesson.to };
        const usual = lessonMinutes(form, lesson, meeting, lessons.length);
        const measured = ran?.[at];
        // What was over and went to new work is no part of what the lesson takes, and teaches no pace.
        const over = isOne && lessons.length === 1 && usual !== null ? Math.max(0, (meeting.boxes.new ?? usual) - usual) : 0;
        const slack = measured === undefined || usual === null ? 0 : Math.min(over, Math.max(0, measured - usual));
        const minutes = measured === undefined ? usual : Math.round(10 * (measured - slack)) / 10;
        const others: Partial<Doing> =
          minutes !== null && (measured === undefined || minutes === usual) ? { as_planned: true } : {};
        if (slack > 0) others.slack = slack;
        // What is joined was given before: it is gone through again.
        parts.push(
          part(lesson.kind === 'join' ? 'reviewed' : 'taught', {
            ...of,
            passage,
            minutes,
            others: lesson.kind === 'join' ? {} : others,
          }),
        );
      });
    }
    if (planned.runThrough && !isLeftOut('run_through')) {
      const others: Partial<Doing> = planned.order === 'as_written' ? {} : { order: planned.order };
      const passes = planned.times > 1 ? planned.times : null;
      parts.push(
        part('run_through', { ...of, passage: planned.runThrough, minutes: isOne ? took('run_through') : null, passes, others }),
      );
    }
  }
  for (const box of Object.keys(meeting.boxes)) if (isLeftOut(box)) parts.push(part('left_out', { box }));
  return {
    parts,
    minutes: run?.endedAt == null ? meeting.minutes : Math.max(1, Math.round((run.endedAt - run.startedAt) / 60_000)),
    firstNext: null,
    note: '',
    away: null,
    replaces: null,
  };
}

/** The runs of neighbouring positions some entries of a form make; extras between them part nothing. */
function runsOf(form: Form, keys: string[]): Passage[] {
  const wanted = new Set(keys);
  const runs: Passage[] = [];
  let isOpen = false;
  for (const entry of form.entries) {
    if (entry.kind === 'extra') continue;
    const last = runs[runs.length - 1];
    if (!wanted.has(entry.key)) isOpen = false;
    else if (isOpen && last !== undefined) last.to = entry.position;
    else {
      runs.push({ from: entry.position, to: entry.position });
      isOpen = true;
    }
  }
  return runs;
}

/** A log that was made, to be corrected or added to. */
export function fromLog(log: ClassLog, page: Page, forms: Forms): Draft {
  const parts = log.did.flatMap((doing): Part[] => {
    const { what, form: named, entries, minutes, passes, note, box, at, from, to, ...others } = doing;
    const form = formNamed(page, forms, named);
    const own = { note: note ?? '', box: box ?? null, others, minutes: minutes ?? null, passes: passes ?? null };
    const ends = [at, from, to].filter((one): one is string => one !== undefined);
    const runs = form === undefined ? [] : runsOf(form, entries ?? []);
    if (form !== undefined && runs.length === 0 && ends.length > 0) {
      const places = ends.flatMap((key) => form.entries.find((entry) => entry.key === key)?.position ?? []);
      const passage = places.length === 0 ? null : { from: Math.min(...places), to: Math.max(...places) };
      return [part(what, { ...own, formId: form.id, passage })];
    }
    if (form === undefined || runs.length === 0) return [part(what, own)];
    return runs.map((passage, nth) => part(what, { ...own, formId: form.id, passage, minutes: nth === 0 ? own.minutes : null }));
  });
  const there = new Set([...log.present, ...(log.guests ?? []).map((guest) => guest.id)]);
  const next = log.first_next ?? [];
  const of = formsOf(page, forms).find((form) => form.entries.some((entry) => next.includes(entry.key)));
  const [passage] = of === undefined ? [] : runsOf(of, next);
  return {
    parts,
    minutes: log.minutes ?? page.meeting.minutes,
    firstNext: of === undefined || passage === undefined ? null : { formId: of.id, passage },
    note: log.note ?? '',
    away: page.students.filter(({ id }) => !there.has(id)).map(({ id }) => id),
    replaces: log.id,
  };
}

/** What one device said of a class, with what another said and it did not: nothing of either is lost. */
export function withAddition(standing: Draft, mine: Draft): Draft {
  const said = (one: Part) => JSON.stringify([one.what, one.formId, one.passage, one.box]);
  const known = new Set(standing.parts.map(said));
  const notes = [standing.note, mine.note].filter((note, at, all) => note !== '' && all.indexOf(note) === at);
  return {
    ...standing,
    parts: [...standing.parts, ...mine.parts.filter((one) => !known.has(said(one)))],
    firstNext: standing.firstNext ?? mine.firstNext,
    note: notes.join('\n'),
    away: standing.away?.filter((student) => mine.away?.includes(student)) ?? mine.away,
  };
}

/** Something more was done. */
export const withPart = (draft: Draft, what: Doing['what'], change: Partial<Part>): Draft => ({
  ...draft,
  parts: [...draft.parts, part(what, change)],
});

export const withChange = (draft: Draft, id: string, change: Partial<Part>): Draft => ({
  ...draft,
  parts: draft.parts.map((one) => (one.id === id ? { ...one, ...change } : one)),
});

export const without = (draft: Draft, id: string): Draft => ({ ...draft, parts: draft.parts.filter((one) => one.id !== id) });

/**
 * The lesson was given only as far as a place: what was beyond it is not taught, and goes first next time. A lesson that
 * begins after the place was not given at all; taught on beyond its end it is longer.
 */
export function taughtTo(draft: Draft, form: Form, position: number): Draft {
  const lessons = draft.parts.filter((one) => one.what === 'taught' && one.formId === form.id && one.passage !== null);
  if (lessons.length === 0) return withPart(draft, 'taught', { formId: form.id, passage: { from: position, to: position } });
  const end = Math.max(...lessons.map((one) => one.passage?.to ?? 0));
  const last = lessons.findLast((one) => (one.passage?.from ?? 0) <= position) ?? null;
  const parts = draft.parts.flatMap((one): Part[] => {
    if (!lessons.includes(one) || one.passage === null) return [one];
    if (one.passage.from > position) return [];
    return [one === last ? { ...one, passage: { from: one.passage.from, to: position } } : one];
  });
  const rest = position < end ? { formId: form.id, passage: { from: position + 1, to: end } } : draft.firstNext;
  const isBefore = last === null;
  return { ...draft, parts: isBefore ? draft.parts : parts, firstNext: isBefore ? draft.firstNext : rest };
}

/** Who was not there, as it was said of the log or, where nothing was, of the evening. */
export const awayIn = (draft: Pick<Draft, 'away'>, page: Pick<Page, 'students' | 'attendance'>): string[] =>
  draft.away ?? page.students.filter(({ id }) => page.attendance[id]?.isHere === false).map(({ id }) => id);

/** The part of a log that says who was there, and how. */
export function whoWasThere(page: Page, away: string[]): Pick<ClassLog, 'present' | 'careful' | 'guests' | 'late' | 'left'> {
  const there = page.students.filter(({ id }) => !away.includes(id));
  const isGuest = new Set(page.guests);
  const of = (id: string) => page.attendance[id];
  const minutes = (which: 'late' | 'left') =>
    Object.fromEntries(there.flatMap(({ id }) => (of(id)?.[which] == null ? [] : [[id, of(id)?.[which]]])));
  const careful = there.filter(({ id }) => of(id)?.isCareful).map(({ id }) => id);
  const guests = there
    .filter(({ id }) => isGuest.has(id))
    .map(({ id, name }) => ({ id, name, ...(of(id)?.isFirstTime ? { first_time: true } : {}) }));
  const some = (key: string, all: object) => (Object.keys(all).length === 0 ? {} : { [key]: all });
  return {
    present: there.filter(({ id }) => !isGuest.has(id)).map(({ id }) => id),
    ...some('careful', careful),
    ...some('guests', guests),
    ...some('late', minutes('late')),
    ...some('left', minutes('left')),
  };
}

/** What is said as the file of `gorvan.log/1`. */
export function toLog(id: string, draft: Draft, page: Page, forms: Forms): ClassLog {
  const isOne = page.courses.length === 1;
  const did = draft.parts.map((one): Doing => {
    const form = formsOf(page, forms).find((other) => other.id === one.formId);
    const keys = form !== undefined && one.passage !== null ? keysIn(form, one.passage) : [];
    const [first, last] = [keys[0], keys[keys.length - 1]];
    const about: Partial<Doing> =
      first === undefined || last === undefined
        ? {}
        : one.what === 'restarted'
          ? { at: first }
          : one.what === 'joined'
            ? { from: first, to: last }
            : { entries: keys };
    return {
      what: one.what,
      ...(isOne || form === undefined || first === undefined ? {} : { form: form.id }),
      ...about,
      ...(one.minutes === null ? {} : { minutes: one.minutes }),
      ...(one.passes === null ? {} : { passes: one.passes }),
      ...(one.box === null ? {} : { box: one.box }),
      ...(one.note === '' ? {} : { note: one.note }),
      ...one.others,
    };
  });
  const next = draft.firstNext === null ? undefined : formsOf(page, forms).find((form) => form.id === draft.firstNext?.formId);
  const firstNext = next === undefined || draft.firstNext === null ? [] : keysIn(next, draft.firstNext.passage);
  return {
    format: 'gorvan.log/1',
    id,
    on: page.meeting.on,
    made_at: nowText(),
    minutes: draft.minutes,
    ...whoWasThere(page, awayIn(draft, page)),
    did,
    ...(firstNext.length === 0 ? {} : { first_next: firstNext }),
    ...(draft.note.trim() === '' ? {} : { note: draft.note.trim() }),
    ...(draft.replaces === null ? {} : { replaces: draft.replaces }),
  };
}
