import { nowText } from '../../api/clock';
import type { Meeting } from '../../api/client';

/** When something noted for a meeting was seen: now, or, noted on a later day, at the end of that meeting. */
export function momentOf(meeting: Meeting): string {
  if (!meeting.isPast) return nowText();
  return new Date(Date.parse(meeting.startsAt) + meeting.minutes * 60_000).toISOString();
}
