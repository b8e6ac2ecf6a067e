import type { Meeting } from '../../api/client';
import type { CellState } from '../../pictures/Ribbon';

/** Which entries are known to the group before a meeting, and which are its new ones. */
export function stateIn(meeting: Meeting, season: Meeting[]): (position: number) => CellState {
  const known = new Set<number>();
  for (const other of season) {
    if (!other.isHeld || other.id === meeting.id || !other.lesson) continue;
    for (let at = other.lesson.from; at <= other.lesson.to; at++) known.add(at);
  }
  return (position) => {
    if (meeting.lesson && position >= meeting.lesson.from && position <= meeting.lesson.to) return 'now';
    return known.has(position) ? 'known' : 'plain';
  };
}
