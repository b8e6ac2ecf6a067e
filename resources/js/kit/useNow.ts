import { useEffect, useState } from 'react';
import { now as nowThere, onClock } from '../api/clock';

/** What time it is where the school is kept, looked at again every so many milliseconds, and when the server says otherwise. */
export function useNow(every: number): number {
  const [now, setNow] = useState(nowThere);
  useEffect(() => {
    const look = () => {
      setNow(nowThere());
    };
    const timer = setInterval(look, every);
    const stop = onClock(look);
    return () => {
      clearInterval(timer);
      stop();
    };
  }, [every]);
  return now;
}

/** The calendar day an instant falls on where another instant's offset holds: the school's day on a device from elsewhere. */
export function dayAt(now: number, like: string): string {
  const offset = /([+-])(\d{2}):(\d{2})$/.exec(like);
  const minutes = offset === null ? 0 : (offset[1] === '-' ? -1 : 1) * (60 * Number(offset[2]) + Number(offset[3]));
  return new Date(now + 60_000 * minutes).toISOString().slice(0, 10);
}
