import type { MeetingKind } from '../api/enums';
import type { Say } from '../messages';
import type { Meeting, Tick } from '../api/client';

export type ShownKind = MeetingKind | 'unplanned' | 'past' | 'cancelled';

/** What a meeting is shown as: its kind, that it went by without being logged, or that it does not take place. */
export function meetingKind(meeting: Pick<Tick, 'isPast' | 'isHeld' | 'kind'> & { state?: Tick['state'] }): ShownKind {
  if (meeting.state === 'cancelled') return 'cancelled';
  if (meeting.isPast && !meeting.isHeld) return 'past';
  return meeting.kind ?? 'unplanned';
}

/** What a meeting is called, with the lessons it gives: "Lessons 7, 8"; what is new and of no lesson here is only new. */
export function kindWords(t: Say, kind: ShownKind, numbers: number[]): string {
  if (kind === 'lesson' && numbers.length === 0) return t('kind.new');
  return kind === 'lesson' && numbers.length > 1
    ? t('kind.lessons', { numbers: numbers.join(', ') })
    : t(`kind.${kind}`, { number: numbers[0] ?? '' });
}

/** The same of one of its courses: an evening that brings a lesson may bring none of this one. */
export const kindIn = (kind: ShownKind, { lessons }: { lessons: unknown[] }): ShownKind =>
  kind === 'lesson' && lessons.length === 0 ? 'consolidation' : kind;

/** Whether a lesson can be taken from it or put down on it. */
export function takesLessons(meeting: Pick<Meeting, 'isOpen' | 'state'>): boolean {
  return meeting.isOpen && meeting.state !== 'cancelled';
}
