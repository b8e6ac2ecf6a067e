import type { Meeting } from '../../api/client';
import type { CellState } from '../../pictures/Ribbon';

/** Which entries are known to the group, and which are a meeting's new ones. */
export function stateIn(meeting: Meeting, taught: number[]): (position: number) => CellState {
  const known = new Set(taught);
  return (position) => {
    if (meeting.lesson && position >= meeting.lesson.from && position <= meeting.lesson.to) return 'now';
    return known.has(position) ? 'known' : 'plain';
  };
}
