import { useEffect, useState } from 'react';
import { device } from '../../api/device';
import { type Run, trimmed } from './run';

/** A class is run on one evening; a day after it nobody goes on with it. */
const KEPT_MS = 86_400_000;

/**
 * How a class runs on this device: read when its page is opened, written down at every step, so that a reload in the
 * middle goes on where it was. Undefined while it is read, null before it has begun.
 */
export function useRun(
  meeting: string,
  person: string,
): [Run | null | undefined, (change: (run: Run | null) => Run | null) => void] {
  const [run, setRun] = useState<Run | null | undefined>(undefined);
  useEffect(() => {
    let isGone = false;
    device.runs.get(meeting).then(
      (kept) => {
        if (!isGone) setRun(kept !== undefined && kept.person === person ? (kept.run as Run) : null);
      },
      () => {
        if (!isGone) setRun(null);
      },
    );
    return () => {
      isGone = true;
    };
  }, [meeting, person]);
  const change = (of: (run: Run | null) => Run | null) => {
    setRun((was) => {
      const now = of(was ?? null);
      if (now === null) void device.runs.delete(meeting).catch(() => undefined);
      else void device.runs.put({ meeting, person, run: trimmed(now), until: now.startedAt + KEPT_MS }).catch(() => undefined);
      return now;
    });
  };
  return [run, change];
}

/** What the device saw of a class, for its log. */
export async function runOf(meeting: string): Promise<Run | null> {
  return ((await device.runs.get(meeting).catch(() => undefined))?.run as Run | undefined) ?? null;
}
