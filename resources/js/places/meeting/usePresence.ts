import { nowText } from '../../api/clock';
import { useMemo } from 'react';
import { v4 as uuid } from 'uuid';
import type { Attendance, AttendanceNote, MeetingPage } from '../../api/client';
import { outbox, post } from '../../api/outbox';
import { attendanceOf } from '../../api/shown';

export interface Presence {
  of: (student: string) => Attendance;
  isHere: (student: string) => boolean;
  note: (student: string, change: Partial<AttendanceNote>) => void;
  /** Someone who is in no group of it: known by name at once, and to the server when it can be reached. */
  addGuest: (name: string, isFirstTime: boolean) => string;
}

/** The commands by which the server learns of a guest, as long as it does not know them: what is about them comes after. */
export function needsGuest(student: string): string[] {
  return outbox()
    .kept.filter(({ command }) => command.kind === 'guest' && command.id === student)
    .map((one) => one.id);
}

/** Who is at a meeting: everyone, until said otherwise. The page is the one that is shown. */
export function usePresence(page: MeetingPage): Presence {
  return useMemo(() => presenceOf(page), [page]);
}

function presenceOf(page: MeetingPage): Presence {
  const meeting = page.meeting.id;
  const of = (student: string) => attendanceOf(page, student);
  return {
    of,
    isHere: (student) => of(student).isHere,
    note(student, change) {
      const { isHere, isCareful, late, left } = { ...of(student), ...change };
      const note = { isHere, isCareful, late, left, at: nowText() };
      void post({ kind: 'attendance', meeting, student, note }, needsGuest(student));
    },
    addGuest(name, isFirstTime) {
      const id = uuid();
      void post({ kind: 'guest', meeting, id, name, isFirstTime, at: nowText() });
      return id;
    },
  };
}
