import type { Attendance, ClassLog, MeetingPage, Student } from './client';
import type { Command, Kept } from './commands';

/** What a page shows is what the server said and what was done here since, put together by these functions alone. */

const here: Attendance = { isHere: true, isCareful: false, isFirstTime: false, late: null, left: null, at: null };

/** Of whom nothing was said is here. */
export const attendanceOf = (page: Pick<MeetingPage, 'attendance'>, student: string): Attendance =>
  page.attendance[student] ?? here;

/** A student nobody knows anything of yet. */
const stranger = (id: string, name: string): Student => ({
  id,
  name,
  cells: [],
  frontier: null,
  holding: 0,
  holes: [],
  behind: [],
  missed: [],
  ready: null,
  why: [],
});

function withAttendance(page: MeetingPage, student: string, note: Partial<Attendance> & { at: string }): MeetingPage {
  const known = attendanceOf(page, student);
  // Another device may have said it later.
  if (known.at !== null && Date.parse(known.at) > Date.parse(note.at)) return page;
  return { ...page, attendance: { ...page.attendance, [student]: { ...known, ...note } } };
}

function withLog(page: MeetingPage, log: ClassLog): MeetingPage {
  if (page.logId !== null && log.replaces !== page.logId) return page;
  const all = new Set([...log.present, ...(log.guests ?? []).map((guest) => guest.id)]);
  const attendance = Object.fromEntries(
    page.students.map(({ id }): [string, Attendance] => [
      id,
      {
        isHere: all.has(id),
        isCareful: log.careful?.includes(id) ?? false,
        isFirstTime: log.guests?.some((guest) => guest.id === id && guest.first_time === true) ?? false,
        late: log.late?.[id] ?? null,
        left: log.left?.[id] ?? null,
        at: null,
      },
    ]),
  );
  return { ...page, attendance, logId: log.id, meeting: { ...page.meeting, isHeld: true, isOpen: false } };
}

/** A meeting with what one command does to it; one that is about another meeting does nothing. Pure. */
export function withCommand(page: MeetingPage, command: Command): MeetingPage {
  if (command.kind === 'edits' || command.meeting !== page.meeting.id) return page;
  switch (command.kind) {
    case 'marks': {
      const known = new Set(page.marks.map((mark) => mark.id));
      const fresh = command.marks.filter((mark) => !known.has(mark.id));
      return fresh.length === 0 ? page : { ...page, marks: [...page.marks, ...fresh] };
    }
    case 'withdrawals': {
      const gone = new Set(command.withdrawals.map((one) => one.of));
      const isLogGone = page.logId !== null && gone.has(page.logId);
      return {
        ...page,
        marks: page.marks.filter((mark) => !gone.has(mark.id)),
        ...(isLogGone ? { logId: null, meeting: { ...page.meeting, isHeld: false } } : {}),
      };
    }
    case 'attendance':
      return withAttendance(page, command.student, command.note);
    case 'guest': {
      const { id, name, isFirstTime, at } = command;
      const isKnown = page.students.some((student) => student.id === id);
      return withAttendance(
        isKnown ? page : { ...page, students: [...page.students, stranger(id, name)], guests: [...page.guests, id] },
        id,
        page.attendance[id] === undefined ? { ...here, isFirstTime, at } : { isFirstTime, at },
      );
    }
    case 'log':
      return withLog(page, command.log);
  }
}

/** The day of an instant where a class is, by the offset that its own start has; YYYY-MM-DD. */
export function dayThere({ startsAt }: { startsAt: string }, at: number): string {
  const [, sign = '+', hours = '0', minutes = '0'] = /([+-])(\d\d):(\d\d)$/.exec(startsAt) ?? [];
  const offset = (sign === '-' ? -1 : 1) * (Number(hours) * 60 + Number(minutes));
  return new Date(at + offset * 60_000).toISOString().slice(0, 10);
}

/**
 * A meeting that was kept on an earlier day, as it stands today: the class that was still to come then is the one that is on.
 * What was said today stays as it was said. Pure.
 *
 * @param said  the day on which the server said it
 */
export function asOf(page: MeetingPage, said: string, today: string): MeetingPage {
  if (said === today) return page;
  const { on } = page.meeting;
  return { ...page, meeting: { ...page.meeting, isToday: on === today, isPast: on < today } };
}

/** A meeting as the server said it, with everything that waits to be sent. What was refused is not in it. Pure. */
export const shownMeeting = (page: MeetingPage, kept: Kept[]): MeetingPage =>
  kept.reduce((so, one) => (one.refusal === null ? withCommand(so, one.command) : so), page);

/** The marks that the server does not have yet. */
export function waitingMarks(kept: Kept[]): Set<string> {
  return new Set(
    kept.flatMap(({ command, refusal }) =>
      refusal === null && command.kind === 'marks' ? command.marks.map((mark) => mark.id) : [],
    ),
  );
}
