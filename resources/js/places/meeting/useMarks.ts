import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { ulid } from 'ulid';
import type { Form, Mark, MeetingPage, Passage, Student } from '../../api/client';
import { onOutcome, type Parcel, post, waiting } from '../../api/outbox';
import { meetingQuery } from '../../api/queries';
import { useTell } from '../../kit/toasts';
import type { Support } from '../../pictures/reed';
import { momentOf } from './moment';

export type MarkedSide = 'left' | 'right' | null;

interface Sent {
  id: string;
  student: string;
  entry: string;
  side: MarkedSide;
  support: string;
  at: string;
}

export interface Marks {
  /** What a student was marked on the whole passage at this meeting, or null. */
  levelOf: (student: string, passage: Passage, side: MarkedSide) => string | null;
  mark: (student: Student, passage: Passage, side: MarkedSide, support: Support) => void;
  takeBack: (student: Student, passage: Passage, side: MarkedSide) => void;
  waiting: number;
}

const WITHDRAWALS = '/api/withdrawals';
const withdrawnIn = (parcel: Parcel): string[] =>
  (parcel.body as { withdrawals: { of: string }[] }).withdrawals.map((withdrawal) => withdrawal.of);

const toMark = (sent: Sent): Mark => ({
  id: sent.id,
  studentId: sent.student,
  entryId: sent.entry,
  side: sent.side,
  support: sent.support,
  at: sent.at,
});

/**
 * The marks of one meeting: those the server has, and those made here that it has not answered yet. One tap is one
 * request, with one id a student and entry, made here once, so that sending it again changes nothing.
 */
export function useMarks(page: MeetingPage, form: Form, describe: (passage: Passage) => string): Marks {
  const { t } = useTranslation();
  const tell = useTell();
  const client = useQueryClient();
  const { meeting } = page;
  const [made, setMade] = useState<Mark[]>([]);
  const [gone, setGone] = useState<ReadonlySet<string>>(new Set());
  const [waitingCount, setWaiting] = useState(0);
  const url = `/api/meetings/${meeting.id}/marks`;

  useEffect(() => {
    const isOurs = (parcel: Parcel) => parcel.url === url;
    const sentIn = (parcel: Parcel) => (parcel.body as { marks: Sent[] }).marks;
    const count = async () => {
      setWaiting((await waiting()).filter((parcel) => isOurs(parcel) || parcel.url === WITHDRAWALS).length);
    };
    // What an earlier visit left unsent is shown again, and what it took back stays away.
    void waiting().then((parcels) => {
      const kept = parcels.filter(isOurs).flatMap((parcel) => sentIn(parcel).map(toMark));
      const takenBack = parcels.filter((parcel) => parcel.url === WITHDRAWALS).flatMap(withdrawnIn);
      if (takenBack.length > 0) setGone((all) => new Set([...all, ...takenBack]));
      if (kept.length > 0) setMade((all) => [...kept.filter((mark) => !all.some((one) => one.id === mark.id)), ...all]);
      setWaiting(parcels.filter(isOurs).length);
    });
    return onOutcome((parcel, outcome) => {
      void count();
      if (parcel.url === WITHDRAWALS && outcome.kind !== 'waiting') {
        if (outcome.kind === 'refused') setGone(new Set());
        void client.invalidateQueries({ queryKey: meetingQuery(meeting.id).queryKey });
      }
      if (!isOurs(parcel)) return;
      if (outcome.kind === 'refused') {
        const ids = new Set(sentIn(parcel).map((sent) => sent.id));
        setMade((all) => all.filter((mark) => !ids.has(mark.id)));
      }
      if (outcome.kind === 'sent') {
        const changed = outcome.answer as Student[];
        const arrived = sentIn(parcel).map(toMark);
        client.setQueryData(
          meetingQuery(meeting.id).queryKey,
          (old) =>
            old && {
              ...old,
              students: old.students.map((student) => changed.find((one) => one.id === student.id) ?? student),
              marks: [...old.marks.filter((mark) => !arrived.some((one) => one.id === mark.id)), ...arrived],
            },
        );
      }
    });
  }, [url, meeting.id, client]);

  const entriesIn = (passage: Passage) =>
    form.entries.filter((entry) => entry.position >= passage.from && entry.position <= passage.to && entry.kind !== 'extra');

  const standing = (): Mark[] => {
    const known = new Set(page.marks.map((mark) => mark.id));
    return [...page.marks, ...made.filter((mark) => !known.has(mark.id))].filter((mark) => !gone.has(mark.id));
  };
  const latest = (student: string, passage: Passage, side: MarkedSide): Mark[] =>
    entriesIn(passage).flatMap((entry) => {
      const on = standing().filter((mark) => mark.studentId === student && mark.entryId === entry.id && mark.side === side);
      const last = on.reduce<Mark | undefined>((best, mark) => {
        const [a, b] = [Date.parse(best?.at ?? ''), Date.parse(mark.at)];
        return best === undefined || b > a || (b === a && mark.id > best.id) ? mark : best;
      }, undefined);
      return last ? [last] : [];
    });

  function takeBackIds(ids: string[], name: string) {
    setGone((all) => new Set([...all, ...ids]));
    const at = new Date().toISOString();
    void post({
      id: ulid(),
      method: 'POST',
      url: WITHDRAWALS,
      body: { withdrawals: ids.map((of) => ({ id: ulid(), of, at })) },
    });
    tell(t('meeting.takenBack', { name }));
  }

  return {
    waiting: waitingCount,
    levelOf(student, passage, side) {
      const marks = latest(student, passage, side);
      const support = marks[0]?.support;
      return support !== undefined &&
        marks.length === entriesIn(passage).length &&
        marks.every((mark) => mark.support === support)
        ? support
        : null;
    },
    mark(student, passage, side, support) {
      const at = momentOf(meeting);
      const marks: Sent[] = entriesIn(passage).map((entry) => ({
        id: ulid(),
        student: student.id,
        entry: entry.id,
        side,
        support,
        at,
      }));
      setMade((all) => [...all, ...marks.map(toMark)]);
      void post({ id: ulid(), method: 'POST', url, body: { marks } });
      tell(t('meeting.marked', { name: student.name, support: t(`support.${support}`), passage: describe(passage) }), {
        takeBack: () => {
          takeBackIds(
            marks.map((mark) => mark.id),
            student.name,
          );
        },
      });
    },
    takeBack(student, passage, side) {
      const ids = latest(student.id, passage, side).map((mark) => mark.id);
      if (ids.length > 0) takeBackIds(ids, student.name);
    },
  };
}
