import { describe, expect, test } from 'vitest';
import { meeting, page, student } from '../../../tests/pages/sample';
import type { Mark, MeetingPage } from './client';
import type { Command, Kept } from './commands';
import { asOf, attendanceOf, dayThere, shownMeeting, waitingMarks, withCommand } from './shown';

const at = (minute: number) => `2026-01-20T19:${String(minute).padStart(2, '0')}:00+01:00`;
const mark = (id: string, support: Mark['support'] = 'Alone'): Mark => ({
  id,
  studentId: 'ada',
  principleId: null,
  stepId: null,
  entryId: 'row-3',
  side: null,
  support,
  at: at(5),
});
const marks = (...all: Mark[]): Command => ({ kind: 'marks', meeting: 'tonight', marks: all });
const here = (isHere: boolean, minute: number): Command => ({
  kind: 'attendance',
  meeting: 'tonight',
  student: 'bo',
  note: { isHere, isCareful: false, late: null, left: null, at: at(minute) },
});
const kept = (command: Command, refusal: Kept['refusal'] = null): Kept => ({
  id: 'x',
  person: 'ina',
  key: 'x',
  revision: 0,
  order: 0,
  needs: [],
  command,
  refusal,
});
const ids = (shown: MeetingPage) => shown.marks.map((one) => one.id);

describe('what a page shows', () => {
  test('is what the server said and what waits, each mark once', () => {
    const was = page({ marks: [mark('a')] });
    const now = shownMeeting(was, [kept(marks(mark('a'), mark('b'))), kept(marks(mark('c')))]);
    expect(ids(now)).toEqual(['a', 'b', 'c']);
    expect(ids(was)).toEqual(['a']);
    expect([...waitingMarks([kept(marks(mark('b'), mark('c')))])]).toEqual(['b', 'c']);
  });

  test('what was taken back is away, in whatever order the server hears of it', () => {
    const back: Command = {
      kind: 'withdrawals',
      meeting: 'tonight',
      what: 'marks',
      withdrawals: [{ id: 'w', of: 'a', at: at(6) }],
    };
    expect(ids(shownMeeting(page({ marks: [mark('a')] }), [kept(back)]))).toEqual([]);
    expect(ids(shownMeeting(page(), [kept(marks(mark('a'))), kept(back)]))).toEqual([]);
  });

  test('what was refused is not shown as done, and nothing of another class is', () => {
    const no = { status: 422, code: 'x', message: 'No.' };
    expect(ids(shownMeeting(page(), [kept(marks(mark('a')), no)]))).toEqual([]);
    expect(withCommand(page(), { ...marks(mark('a')), meeting: 'other' } as Command)).toEqual(page());
  });

  test('of who is here the later word stands, whichever device said it', () => {
    const there = (isHere: boolean, minute: number) =>
      page({ attendance: { bo: { isHere, isCareful: false, isFirstTime: false, late: null, left: null, at: at(minute) } } });
    expect(attendanceOf(withCommand(there(true, 3), here(false, 4)), 'bo').isHere).toBe(false);
    expect(attendanceOf(withCommand(there(true, 9), here(false, 4)), 'bo').isHere).toBe(true);
    expect(attendanceOf(page(), 'cy').isHere).toBe(true);
  });

  test('a guest is there at once, also twice', () => {
    const guest: Command = { kind: 'guest', meeting: 'tonight', id: 'una', name: 'Una', isFirstTime: true, at: at(1) };
    const now = shownMeeting(page(), [kept(guest), kept(guest)]);
    expect(now.students.map((one) => one.name)).toEqual(['Ada', 'Bo', 'Cy', 'Una']);
    expect([now.guests, attendanceOf(now, 'una').isFirstTime]).toEqual([['una'], true]);
  });

  test('a log makes the class held; one that another device logged is not overwritten by it', () => {
    const log = { format: 'gorvan.log/1', id: 'L', on: '2026-01-20', made_at: at(59), present: ['ada'], did: [] };
    const now = shownMeeting(page({ students: [student('Ada'), student('Bo')] }), [
      kept({ kind: 'log', meeting: 'tonight', log }),
    ]);
    expect([now.logId, now.meeting.isHeld, attendanceOf(now, 'bo').isHere]).toEqual(['L', true, false]);
    const theirs = shownMeeting(page({ logId: 'T' }), [kept({ kind: 'log', meeting: 'tonight', log })]);
    expect(theirs.logId).toBe('T');
    const corrected = shownMeeting(page({ logId: 'T' }), [
      kept({ kind: 'log', meeting: 'tonight', log: { ...log, replaces: 'T' } }),
    ]);
    expect(corrected.logId).toBe('L');
    const back: Command = {
      kind: 'withdrawals',
      meeting: 'tonight',
      what: 'log',
      withdrawals: [{ id: 'w', of: 'L', at: at(60) }],
    };
    expect(withCommand(now, back)).toMatchObject({ logId: null, meeting: { isHeld: false } });
  });
});

describe('a meeting that was kept on an earlier day', () => {
  const kept = page({
    meeting: meeting({ on: '2026-01-22', startsAt: '2026-01-22T19:00:00-08:00', isToday: false, isPast: false }),
  });

  test.each([
    ['2026-01-20', false, false],
    ['2026-01-22', true, false],
    ['2026-01-25', false, true],
  ])('is on, or gone by, as of %s', (today, isToday, isPast) => {
    expect(asOf(kept, '2026-01-19', today).meeting).toMatchObject({ isToday, isPast });
  });

  test('is left as the server said it on the day itself', () => {
    expect(asOf(kept, '2026-01-20', '2026-01-20')).toBe(kept);
  });

  test('goes by the day where the class is', () => {
    const at = Date.parse('2026-01-23T02:00:00Z');
    expect(dayThere(kept.meeting, at)).toBe('2026-01-22');
    expect(dayThere({ startsAt: '2026-01-22T19:00:00+01:00' }, at)).toBe('2026-01-23');
    expect(dayThere({ startsAt: '2026-01-22T19:00:00Z' }, at)).toBe('2026-01-23');
  });
});
