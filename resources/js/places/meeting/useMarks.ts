import { nowText } from '../../api/clock';
import { useMemo } from 'react';
import { useTranslation } from '../../messages';
import { monotonicFactory } from 'ulid';
import type { Entry, Form, Mark, MeetingPage, Passage, Student } from '../../api/client';
import { outbox, post } from '../../api/outbox';
import { shownMeeting } from '../../api/shown';
import { useTell } from '../../kit/toasts';
import type { Support } from '../../pictures/reed';
import { momentOf } from './moment';
import { needsGuest } from './usePresence';

export type MarkedSide = 'left' | 'right' | null;

export interface Marks {
  /** What a student was marked on the whole passage at this meeting, or null. */
  levelOf: (student: string, passage: Passage, side: MarkedSide) => string | null;
  /** Whether anything of the passage was marked of them at this meeting. */
  isMarked: (student: string, passage: Passage, side: MarkedSide) => boolean;
  /** Whether anything was marked of them at this meeting. */
  wasSeen: (student: string) => boolean;
  /** Whether what is shown of them waits to be sent. */
  isUnsent: (student: string, passage: Passage, side: MarkedSide) => boolean;
  mark: (students: Student[], passage: Passage, side: MarkedSide, support: Support) => void;
  /** The same, of those of them who are not marked yet when it is touched. */
  markRest: (students: Student[], passage: Passage, side: MarkedSide, support: Support) => void;
  takeBack: (student: Student, passage: Passage, side: MarkedSide) => void;
}

/** Of two taps within a millisecond the second has the greater id, so that it counts. */
export const ulid = monotonicFactory();

const place = (student: string, entry: string, side: string | null): string => `${student}|${entry}|${side ?? ''}`;

/** The mark that counts of each student, entry and side: the latest, or of one instant the one with the greater id. */
export function latestMarks(marks: Mark[]): Map<string, Mark> {
  const latest = new Map<string, Mark>();
  for (const mark of marks) {
    if (mark.entryId === null || mark.principleId !== null) continue; // a principle that was seen in it is no mark of the entry
    const at = place(mark.studentId, mark.entryId, mark.side);
    const best = latest.get(at);
    const [a, b] = [Date.parse(best?.at ?? ''), Date.parse(mark.at)];
    if (best === undefined || b > a || (b === a && mark.id > best.id)) latest.set(at, mark);
  }
  return latest;
}

/** The entries a passage is marked on. */
export const markedEntries = (form: Form, { from, to }: Passage): Entry[] =>
  form.entries.filter((entry) => entry.position >= from && entry.position <= to && entry.kind !== 'extra');

/** Sends marks as one command that can be taken back, and takes some back. */
export function useSendMarks(meeting: string) {
  const tell = useTell();

  function takeBackIds(ids: string[], said: string) {
    const at = nowText();
    const needs = outbox()
      .kept.filter(({ command }) => command.kind === 'marks' && command.marks.some((mark) => ids.includes(mark.id)))
      .map((one) => one.id);
    void post({ kind: 'withdrawals', meeting, what: 'marks', withdrawals: ids.map((of) => ({ id: ulid(), of, at })) }, needs);
    tell(said);
  }

  function send(marks: Mark[], said: string, saidBack: string) {
    if (marks.length === 0) return;
    void post(
      { kind: 'marks', meeting, marks },
      [...new Set(marks.map((mark) => mark.studentId))].flatMap((student) => needsGuest(student)),
    );
    tell(said, {
      takeBack: () => {
        takeBackIds(
          marks.map((mark) => mark.id),
          saidBack,
        );
      },
    });
  }

  return { send, takeBackIds };
}

/**
 * The marks of one meeting, as they are shown. One tap is one command, with one id a student and entry, made here once,
 * so that sending it again changes nothing.
 */
export function useMarks(page: MeetingPage, unsent: Set<string>, form: Form, describe: (passage: Passage) => string): Marks {
  const { t } = useTranslation();
  const { meeting } = page;
  const { send, takeBackIds } = useSendMarks(meeting.id);
  const latest = useMemo(() => latestMarks(page.marks), [page.marks]);
  const seen = useMemo(() => new Set(page.marks.map((mark) => mark.studentId)), [page.marks]);

  const on = (student: string, passage: Passage, side: MarkedSide, among = latest): Mark[] =>
    markedEntries(form, passage).flatMap((entry) => among.get(place(student, entry.id, side)) ?? []);
  // What the last touch did may not be drawn yet.
  const now = () => latestMarks(shownMeeting(page, outbox().kept).marks);

  function mark(students: Student[], passage: Passage, side: MarkedSide, support: Support) {
    const at = momentOf(meeting);
    const marks: Mark[] = students.flatMap((student) =>
      markedEntries(form, passage).map((entry) => ({
        id: ulid(),
        studentId: student.id,
        entryId: entry.id,
        principleId: null,
        stepId: null,
        side,
        support,
        at,
      })),
    );
    const [first] = students;
    const level = { support: t(`support.${support}`), passage: describe(passage) };
    const said =
      students.length === 1
        ? t('meeting.marked', { name: first?.name ?? '', ...level })
        : t('meeting.markedMany', { count: students.length, ...level });
    send(
      marks,
      said,
      students.length === 1
        ? t('meeting.takenBack', { name: first?.name ?? '' })
        : t('meeting.takenBackMany', { count: students.length }),
    );
  }

  return {
    levelOf(student, passage, side) {
      const marks = on(student, passage, side);
      const support = marks[0]?.support;
      const isWhole = marks.length === markedEntries(form, passage).length && marks.every((mark) => mark.support === support);
      return support !== undefined && isWhole ? support : null;
    },
    isMarked: (student, passage, side) => on(student, passage, side).length > 0,
    wasSeen: (student) => seen.has(student),
    isUnsent: (student, passage, side) => on(student, passage, side).some((mark) => unsent.has(mark.id)),
    mark,
    markRest(students, passage, side, support) {
      const marked = now();
      mark(
        students.filter((student) => on(student.id, passage, side, marked).length === 0),
        passage,
        side,
        support,
      );
    },
    takeBack(student, passage, side) {
      const ids = on(student.id, passage, side, now()).map((one) => one.id);
      if (ids.length > 0) takeBackIds(ids, t('meeting.takenBack', { name: student.name }));
    },
  };
}
