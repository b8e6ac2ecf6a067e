import type { Closure } from '../api/client';

/** The days on which class falls out; where a meeting was cancelled for it, that says so itself. */
export const withoutClass = (closures: Closure[], meetings: { on: string }[]): Closure[] =>
  closures.filter((closure) => !meetings.some((meeting) => meeting.on === closure.from));
