import { startTransition, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import type { MeetingPage } from './client';
import type { Kept } from './commands';
import { onChange, outbox, type Outbox } from './outbox';
import { dayAt, useNow } from '../kit/useNow';
import { shownMeeting, waitingMarks } from './shown';

/** What waits to be sent, and how the server can be reached. */
export const useOutbox = (): Outbox => useSyncExternalStore(onChange, outbox);

interface Shown {
  shown: MeetingPage;
  /** Which of its marks the server does not have yet. */
  unsent: Set<string>;
}

/** A meeting as it is to be shown. */
export function useShownMeeting(page: MeetingPage): Shown {
  // How it is being sent does not change what is shown.
  return useShown(
    page,
    useSyncExternalStore(onChange, () => outbox().kept),
  );
}

/**
 * The same, for what takes long to draw: in slices, so that no touch holds the page up. Whatever is done there has to ask
 * the outbox and not what is drawn, which may be a few frames older.
 */
export function useMarkedMeeting(page: MeetingPage): Shown {
  const [kept, setKept] = useState(() => outbox().kept);
  useEffect(() => {
    const take = () => {
      startTransition(() => {
        setKept(outbox().kept);
      });
    };
    take(); // what came in since it was drawn first
    return onChange(take);
  }, []);
  return useShown(page, kept);
}

function useShown(page: MeetingPage, kept: Kept[]): Shown {
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
