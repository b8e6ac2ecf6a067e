import type { Tick } from '../api/client';

export type ShownKind = 'lesson' | 'consolidation' | 'reserve' | 'unplanned' | 'past';

/** What a meeting is shown as: its kind, or that it went by without being logged. */
export function meetingKind(meeting: Pick<Tick, 'isPast' | 'isHeld' | 'kind'>): ShownKind {
  if (meeting.isPast && !meeting.isHeld) return 'past';
  return meeting.kind === 'lesson' || meeting.kind === 'consolidation' || meeting.kind === 'reserve' ? meeting.kind : 'unplanned';
}
