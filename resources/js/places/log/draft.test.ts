import { describe, expect, test } from 'vitest';
import { coursePart, entry, form, meeting, page } from '../../../../tests/pages/sample';
import type { ClassLog } from '../../api/client';
import { next, type Run, start } from '../class/run';
import { type Draft, fromLog, fromPlan, taughtTo, toLog, withAddition, withChange, without, withPart } from './draft';

const forms = { course: form() };
const rounds = [
  { kind: 'new' as const, rate: 8, minutes: 20 },
  { kind: 'detail' as const, rate: 8, minutes: 20 },
];
const did = (draft: Draft, of = page()) => toLog('01J', draft, of, forms).did;
const planned = () => fromPlan(page(), forms, null);

describe('a class as planned', () => {
  test('says what was planned, in order, for those who were there, each in its place of the evening', () => {
    const away = page({
      attendance: { bo: { isHere: false, isCareful: false, isFirstTime: false, late: null, left: null, at: null } },
    });
    const log = toLog('01J', fromPlan(away, forms, null), away, forms);
    expect(log).toMatchObject({ format: 'gorvan.log/1', id: '01J', on: '2026-01-20', minutes: 60, present: ['ada', 'cy'] });
    expect(log.did).toEqual([
      { what: 'warm_up', minutes: 13 },
      { what: 'focus', minutes: 6 },
      { what: 'reviewed', entries: ['e1', 'e2'], minutes: 2.7, passes: 3 },
      { what: 'reviewed', entries: ['e1', 'e2'], passes: 1 },
      { what: 'taught', entries: ['e3', 'e4'], minutes: 19, as_planned: true },
      { what: 'run_through', entries: ['e1', 'e2', 'e3', 'e4'], minutes: 4 },
    ]);
    expect(Date.parse(log.made_at)).not.toBeNaN();
  });

  test('minutes a plan had to spare do not make a lesson look slow', () => {
    const cut = { course: form({ lessons: form().lessons.map((lesson) => ({ ...lesson, rounds })) }) };
    const spare = page({ meeting: meeting({ boxes: { ...meeting().boxes, new: 40 } }) });
    const log = toLog('01J', fromPlan({ ...spare, meeting: { ...spare.meeting, courses: [part] } }, cut, null), spare, cut);
    expect(log.did.find((one) => one.what === 'taught')?.minutes).toBe(20); // 2.4 of load at 8, rounded up
  });
  const part = coursePart({ lessons: [{ number: 2, kind: 'new', from: 3, to: 4, part: null, parts: null }] });

  test('extras stand in a passage and belong to no lesson', () => {
    const withExtra = {
      course: form({ entries: form().entries.map((one) => (one.position === 4 ? entry(4, { kind: 'extra' }) : one)) }),
    };
    const bare = page({ meeting: meeting({ review: [], recap: null, runThrough: null, boxes: { new: 19 } }) });
    expect(toLog('01J', fromPlan(bare, withExtra, null), bare, withExtra).did).toEqual([
      { what: 'taught', entries: ['e3'], minutes: 19, as_planned: true },
    ]);
  });

  test('of several courses each doing says its form; what is joined is gone through again, not taught', () => {
    const tonight = meeting({
      boxes: {},
      courses: [
        coursePart({ lessons: [{ number: 1, kind: 'new', from: 1, to: 1, part: null, parts: null }] }),
        coursePart({ courseId: 'other', lessons: [{ number: null, kind: 'join', from: 3, to: 4, part: null, parts: null }] }),
      ],
    });
    const two = page({
      meeting: tonight,
      courses: [
        { courseId: 'course', formId: 'form', title: 'A', edition: 'first' },
        { courseId: 'other', formId: 'second', title: 'B', edition: 'first' },
      ],
    });
    const all = { course: form(), other: form({ id: 'second' }) };
    expect(toLog('01J', fromPlan(two, all, null), two, all).did).toEqual([
      { what: 'taught', form: 'form', entries: ['e1'] },
      { what: 'reviewed', form: 'second', entries: ['e3', 'e4'] },
    ]);
  });

  test('careful, late, left early, and guests who were never here before go into the log', () => {
    const note = { isHere: true, isCareful: false, isFirstTime: false, late: null, left: null, at: null };
    const of = page({
      students: [...page().students, { ...page().students[0], id: 'una', name: 'Una' } as never],
      guests: ['una'],
      attendance: { ada: { ...note, isCareful: true, late: 10 }, bo: { ...note, left: 40 }, una: { ...note, isFirstTime: true } },
    });
    expect(toLog('01J', fromPlan(of, forms, null), of, forms)).toMatchObject({
      present: ['ada', 'bo', 'cy'],
      careful: ['ada'],
      late: { ada: 10 },
      left: { bo: 40 },
      guests: [{ id: 'una', name: 'Una', first_time: true }],
    });
  });
});

describe('a class as the clock saw it', () => {
  const begins = Date.parse(meeting().startsAt);
  const run = (...minutes: number[]): Run =>
    minutes.reduce((so, at) => next(so, begins + 60_000 * at), start(meeting(), begins, 0));

  test('says the minutes the boxes took, and leaves out what was never come to', () => {
    // settle 2, warm-up 11, focus 6, review to 30, new to 60: nothing is left of the run-through and the close
    const saw = run(2, 13, 19, 30, 60);
    const log = toLog('01J', fromPlan(page(), forms, saw), page(), forms);
    expect(log.minutes).toBe(60);
    expect(log.did).toEqual([
      { what: 'warm_up', minutes: 13 },
      { what: 'focus', minutes: 6 },
      { what: 'reviewed', entries: ['e1', 'e2'], minutes: 11, passes: 3 },
      { what: 'reviewed', entries: ['e1', 'e2'], passes: 1 },
      { what: 'taught', entries: ['e3', 'e4'], minutes: 30 },
      { what: 'left_out', box: 'run_through' },
      { what: 'left_out', box: 'close' },
    ]);
  });
});

test('of a class that still runs, what was not come to is as planned', () => {
  const begins = Date.parse(meeting().startsAt);
  const half = [2, 15].reduce((so, at) => next(so, begins + 60_000 * at), start(meeting(), begins, 0));
  expect(did(fromPlan(page(), forms, half)).map((one) => [one.what, one.minutes])).toEqual([
    ['warm_up', 15],
    ['focus', 6],
    ['reviewed', 15],
    ['reviewed', undefined],
    ['taught', 19],
    ['run_through', 4],
  ]);
});

describe('saying it otherwise', () => {
  test('taught only to here: the rest goes first next time', () => {
    const to = taughtTo(planned(), form(), 3);
    expect(did(to).find((one) => one.what === 'taught')?.entries).toEqual(['e3']);
    expect(toLog('01J', to, page(), forms).first_next).toEqual(['e4']);
  });

  test('taught on beyond the lesson it is longer, and before it nothing changes', () => {
    expect(did(taughtTo(planned(), form(), 6)).find((one) => one.what === 'taught')?.entries).toEqual(['e3', 'e4', 'e5', 'e6']);
    expect(did(taughtTo(planned(), form(), 1))).toEqual(did(planned()));
    const none = { ...planned(), parts: planned().parts.filter((one) => one.what !== 'taught') };
    expect(did(taughtTo(none, form(), 5)).find((one) => one.what === 'taught')?.entries).toEqual(['e5']);
  });

  test('everything of a log can be said, and comes back as it went', () => {
    let draft = planned();
    draft = withPart(draft, 'shown', { formId: 'form', passage: { from: 5, to: 5 }, minutes: 4, note: 'rough' });
    draft = withPart(draft, 'joined', { formId: 'form', passage: { from: 2, to: 5 } });
    draft = withPart(draft, 'restarted', { formId: 'form', passage: { from: 3, to: 3 } });
    draft = withPart(draft, 'left_out', { box: 'run_through' });
    draft = {
      ...draft,
      note: ' wet floor ',
      firstNext: { formId: 'form', passage: { from: 5, to: 6 } },
      away: ['cy'],
      minutes: 55,
    };
    const log = toLog('01J', draft, page(), forms);
    expect(log).toMatchObject({ minutes: 55, note: 'wet floor', first_next: ['e5', 'e6'], present: ['ada', 'bo'] });
    expect(log.did.slice(-4)).toEqual([
      { what: 'shown', entries: ['e5'], minutes: 4, note: 'rough' },
      { what: 'joined', from: 'e2', to: 'e5' },
      { what: 'restarted', at: 'e3' },
      { what: 'left_out', box: 'run_through' },
    ]);
    const again = toLog('01K', fromLog(log, page(), forms), page(), forms);
    expect(again).toMatchObject({
      replaces: '01J',
      did: log.did,
      first_next: log.first_next,
      note: log.note,
      present: log.present,
    });
  });

  test('what this page does not know of a log is kept when it is corrected', () => {
    const log: ClassLog = {
      format: 'gorvan.log/1',
      id: 'L',
      on: '2026-01-20',
      made_at: '2026-01-20T20:00:00+01:00',
      present: ['ada'],
      did: [
        { what: 'taught', entries: ['e1', 'e3'], side: 'left', students: ['ada'], minutes: 9 },
        { what: 'focus', ...({ principles: ['p1'] } as object), minutes: 5 },
      ],
    };
    expect(toLog('M', fromLog(log, page(), forms), page(), forms).did).toEqual([
      { what: 'taught', entries: ['e1'], side: 'left', students: ['ada'], minutes: 9 },
      { what: 'taught', entries: ['e3'], side: 'left', students: ['ada'] },
      { what: 'focus', principles: ['p1'], minutes: 5 },
    ]);
  });

  test('a part can be changed and taken out', () => {
    const [first, second] = planned().parts.map((one) => one.id);
    const draft = planned();
    const id = draft.parts[0]?.id ?? '';
    expect(withChange(draft, id, { minutes: 1 }).parts[0]?.minutes).toBe(1);
    expect(without(draft, id).parts).toHaveLength(draft.parts.length - 1);
    expect(first).not.toBe(second);
  });

  test('two logs of one class become one: nothing of either is lost, and nothing stands twice', () => {
    const theirs = { ...planned(), note: 'theirs', away: ['bo', 'cy'], replaces: 'T' };
    const mine = { ...withPart(planned(), 'shown', { formId: 'form', passage: { from: 5, to: 5 } }), note: 'mine', away: ['cy'] };
    const both = withAddition(theirs, mine);
    expect(both.parts).toHaveLength(theirs.parts.length + 1);
    expect(both).toMatchObject({ note: 'theirs\nmine', away: ['cy'], replaces: 'T' });
  });
});
