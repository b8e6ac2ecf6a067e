import { useEffect, useState } from 'react';

/** What time it is, looked at again every so many milliseconds. */
export function useNow(every: number): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(Date.now());
    }, every);
    return () => {
      clearInterval(timer);
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
