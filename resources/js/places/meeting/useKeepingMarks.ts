import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Mark, MeetingPage, Principle, Student } from '../../api/client';
import { outbox } from '../../api/outbox';
import { shownMeeting } from '../../api/shown';
import type { Keeping } from '../../pictures/keeping';
import { momentOf } from './moment';
import { ulid, useSendMarks } from './useMarks';

export interface KeepingMarks {
  /** How well a student was marked to keep it at this meeting, or null. */
  levelOf: (student: string) => string | null;
  isUnsent: (student: string) => boolean;
  mark: (students: Student[], keeping: Keeping) => void;
  /** The same, of those who are not marked yet when it is touched. */
  markRest: (students: Student[], keeping: Keeping) => void;
  takeBack: (student: Student) => void;
}

/** The latest mark of one principle for each student: in general and as seen in an entry are of one track. */
export function latestOf(marks: Mark[], principle: string): Map<string, Mark> {
  const latest = new Map<string, Mark>();
  for (const mark of marks) {
    if (mark.principleId !== principle) continue;
    const best = latest.get(mark.studentId);
    const [a, b] = [Date.parse(best?.at ?? ''), Date.parse(mark.at)];
    if (best === undefined || b > a || (b === a && mark.id > best.id)) latest.set(mark.studentId, mark);
  }
  return latest;
}

/**
 * The marks of one principle at a meeting, as they are shown.
 *
 * @param entry  row of the entry it is seen in; null in general
 */
export function useKeepingMarks(
  page: MeetingPage,
  unsent: Set<string>,
  principle: Pick<Principle, 'id' | 'title'>,
  entry: string | null,
): KeepingMarks {
  const { t } = useTranslation();
  const { send, takeBackIds } = useSendMarks(page.meeting.id);
  const latest = useMemo(() => latestOf(page.marks, principle.id), [page.marks, principle.id]);
  // What the last touch did may not be drawn yet.
  const now = () => latestOf(shownMeeting(page, outbox().kept).marks, principle.id);

  function mark(students: Student[], keeping: Keeping) {
    const at = momentOf(page.meeting);
    const [first] = students;
    const level = { keeping: t(`keeping.${keeping}`), title: principle.title };
    const isOne = students.length === 1;
    send(
      students.map((student) => ({
        id: ulid(),
        studentId: student.id,
        entryId: entry,
        principleId: principle.id,
        side: null,
        support: keeping,
        at,
      })),
      isOne
        ? t('principles.marked', { name: first?.name ?? '', ...level })
        : t('principles.markedMany', { count: students.length, ...level }),
      isOne ? t('meeting.takenBack', { name: first?.name ?? '' }) : t('meeting.takenBackMany', { count: students.length }),
    );
  }

  return {
    levelOf: (student) => latest.get(student)?.support ?? null,
    isUnsent: (student) => unsent.has(latest.get(student)?.id ?? ''),
    mark,
    markRest(students, keeping) {
      const marked = now();
      mark(
        students.filter((student) => !marked.has(student.id)),
        keeping,
      );
    },
    takeBack(student) {
      const found = now().get(student.id);
      if (found !== undefined) takeBackIds([found.id], t('meeting.takenBack', { name: student.name }));
    },
  };
}
