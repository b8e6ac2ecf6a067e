import { useMemo } from 'react';
import { useTranslation } from '../../messages';
import type { Mark, MeetingPage, Student } from '../../api/client';
import { outbox } from '../../api/outbox';
import { shownMeeting } from '../../api/shown';
import { momentOf } from './moment';
import { ulid, useSendMarks } from './useMarks';

/** What is marked: a principle, or a step of a partner drill. */
export interface MarkedSubject<L extends Mark['support']> {
  fields: Pick<Mark, 'entryId' | 'principleId' | 'stepId'>;
  isOf: (mark: Mark) => boolean;
  /** What is said when one student was marked, and when several were. */
  said: (level: L, students: Student[]) => string;
}

export interface SubjectMarks<L extends Mark['support']> {
  isMarked: (student: Student) => boolean;
  /** How a student was marked at this meeting, or null. */
  levelOf: (student: Student) => string | null;
  isUnsent: (student: Student) => boolean;
  mark: (student: Student, level: L) => void;
  /** The same, of those who are not marked yet when it is touched. */
  markRest: (level: L) => void;
  takeBack: (student: Student) => void;
}

/** The latest mark of one subject for each student. */
function latestOf(marks: Mark[], isOf: (mark: Mark) => boolean): Map<string, Mark> {
  const latest = new Map<string, Mark>();
  for (const mark of marks) {
    if (!isOf(mark)) continue;
    const best = latest.get(mark.studentId);
    const [a, b] = [Date.parse(best?.at ?? ''), Date.parse(mark.at)];
    if (best === undefined || b > a || (b === a && mark.id > best.id)) latest.set(mark.studentId, mark);
  }
  return latest;
}

/** The marks of one subject at a meeting, as they are shown. */
export function useSubjectMarks<L extends Mark['support']>(
  page: MeetingPage,
  unsent: Set<string>,
  students: Student[],
  subject: MarkedSubject<L>,
): SubjectMarks<L> {
  const { t } = useTranslation();
  const { send, takeBackIds } = useSendMarks(page.meeting.id);
  const { principleId, stepId } = subject.fields;
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const latest = useMemo(() => latestOf(page.marks, subject.isOf), [page.marks, principleId, stepId]);
  // What the last touch did may not be drawn yet.
  const now = () => latestOf(shownMeeting(page, outbox().kept).marks, subject.isOf);

  function mark(of: Student[], level: L) {
    const at = momentOf(page.meeting);
    send(
      of.map((student) => ({ id: ulid(), studentId: student.id, ...subject.fields, side: null, support: level, at })),
      subject.said(level, of),
      of.length === 1 ? t('meeting.takenBack', { name: of[0]?.name ?? '' }) : t('meeting.takenBackMany', { count: of.length }),
    );
  }

  return {
    isMarked: ({ id }) => latest.has(id),
    levelOf: ({ id }) => latest.get(id)?.support ?? null,
    isUnsent: ({ id }) => unsent.has(latest.get(id)?.id ?? ''),
    mark: (student, level) => {
      mark([student], level);
    },
    markRest(level) {
      const marked = now();
      mark(
        students.filter((student) => !marked.has(student.id)),
        level,
      );
    },
    takeBack(student) {
      const found = now().get(student.id);
      if (found !== undefined) takeBackIds([found.id], t('meeting.takenBack', { name: student.name }));
    },
  };
}
