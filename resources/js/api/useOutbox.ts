import { useMemo, useSyncExternalStore } from 'react';
import type { MeetingPage } from './client';
import { onChange, outbox, type Outbox } from './outbox';
import { dayAt, useNow } from '../kit/useNow';
import { shownMeeting, waitingMarks } from './shown';

/** What waits to be sent, and how the server can be reached. */
export const useOutbox = (): Outbox => useSyncExternalStore(onChange, outbox);

/** A meeting as it is to be shown, and which of its marks the server does not have yet. */
export function useShownMeeting(page: MeetingPage): { shown: MeetingPage; unsent: Set<string> } {
  // How it is being sent does not change what is shown.
  const kept = useSyncExternalStore(onChange, () => outbox().kept);
  // What was kept yesterday does not know that its day has come.
  const today = dayAt(useNow(60_000), page.meeting.startsAt);
  return useMemo(() => {
    const shown = shownMeeting(page, kept);
    const { on } = shown.meeting;
    return {
      shown: { ...shown, meeting: { ...shown.meeting, isToday: on === today, isPast: on < today } },
      unsent: waitingMarks(kept),
    };
  }, [page, kept, today]);
}
