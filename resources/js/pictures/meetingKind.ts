import type { Meeting, Tick } from '../api/client';

const KINDS = ['lesson', 'consolidation', 'join', 'reserve', 'before_break', 'showing', 'look_back'] as const;

export type ShownKind = (typeof KINDS)[number] | 'unplanned' | 'past' | 'cancelled';

/** What a meeting is shown as: its kind, that it went by without being logged, or that it does not take place. */
export function meetingKind(meeting: Pick<Tick, 'isPast' | 'isHeld' | 'kind'> & { state?: Tick['state'] }): ShownKind {
  if (meeting.state === 'cancelled') return 'cancelled';
  if (meeting.isPast && !meeting.isHeld) return 'past';
  return KINDS.find((kind) => kind === meeting.kind) ?? 'unplanned';
}

/** Whether a lesson can be taken from it or put down on it. */
export function takesLessons(meeting: Pick<Meeting, 'isOpen' | 'state'>): boolean {
  return meeting.isOpen && meeting.state !== 'cancelled';
}
