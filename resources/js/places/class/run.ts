import type { Meeting } from '../../api/client';
import { type BoxName, BOXES } from '../../pictures/Timeline';
import { type ClassClock, clockOf, type Cost, costs, startedLate, stretched } from './clock';

/** A class as this device runs it. Instants are milliseconds since 1970; everything here is pure. */
export interface Run {
  meeting: string;
  clock: ClassClock;
  /** The clock as it was planned, to say what was taken. */
  planned: ClassClock;
  startedAt: number;
  /** By how many seconds it began late. */
  late: number;
  /** The box that runs now, and since when. */
  box: BoxName;
  since: number;
  /** Seconds each box that is over took. */
  took: Record<string, number>;
  /** When it was over, or null while it runs. */
  endedAt: number | null;
  /** Where one is in what the box holds. */
  step: number;
  /** How it was before what was done last, for taking it back. */
  before: Run | null;
}

/** Boxes that have any time, in the order they are held. */
export const boxesIn = (clock: ClassClock): BoxName[] => BOXES.filter((box) => (clock.seconds[box] ?? 0) > 0);

/** By how many seconds a class that starts now is late; a few seconds are nothing. */
const GRACE = 30;
export const lateness = (meeting: Meeting, now: number): number => {
  const late = Math.floor((now - Date.parse(meeting.startsAt)) / 1000);
  return late <= GRACE ? 0 : Math.min(late, 60 * meeting.minutes);
};

/** Starts the clock; the end stays where it was, so what is late is taken from the boxes. */
export function start(meeting: Meeting, now: number, late: number): Run {
  const planned = clockOf(meeting.boxes);
  const clock = startedLate(planned, late);
  return {
    meeting: meeting.id,
    clock,
    planned,
    startedAt: now,
    late,
    box: boxesIn(clock)[0] ?? 'close',
    since: now,
    took: {},
    endedAt: null,
    step: 0,
    before: null,
  };
}

/** Seconds the box that runs has had. */
export const spent = (run: Run, now: number): number => Math.max(0, Math.floor(((run.endedAt ?? now) - run.since) / 1000));

/** Seconds it still has; below 0 it is over time. */
export const left = (run: Run, now: number): number => (run.clock.seconds[run.box] ?? 0) - spent(run, now);

/** The clock as it would be if the box ended now: what a box over its time has taken already. */
export function now(run: Run, at: number): ClassClock {
  const over = -left(run, at);
  return over > 0 ? stretched(run.clock, run.box, over) : run.clock;
}

/** The box after the one that runs, or null. */
export function after(run: Run, clock: ClassClock = run.clock): BoxName | null {
  const later = BOXES.slice(BOXES.indexOf(run.box) + 1);
  return later.find((box) => (clock.seconds[box] ?? 0) > 0) ?? null;
}

const withBefore = (run: Run, change: Partial<Run>): Run => ({ ...run, ...change, before: run });

/** What boxes that are still to come, or were never come to, have lost: one that was over early has lost nothing. */
export function lostBy(run: Run, clock: ClassClock): Cost[] {
  return costs(clock, run.planned).filter(({ box }) => run.took[box] === undefined && (box !== run.box || run.endedAt !== null));
}

/** Goes on to the next box; after the last one the class is over. What a box took less the next one has. */
export function next(run: Run, at: number): Run {
  if (run.endedAt !== null) return run;
  const took = { ...run.took, [run.box]: spent(run, at) };
  const clock = stretched(run.clock, run.box, spent(run, at) - (run.clock.seconds[run.box] ?? 0));
  const following = after(run, clock);
  return following === null
    ? withBefore(run, { clock, took, endedAt: at })
    : withBefore(run, { clock, took, box: following, since: at, step: 0 });
}

/** The box that runs gets more time, and the others say what it costs. */
export function stretch(run: Run, seconds: number, at: number): Run {
  if (run.endedAt !== null) return run;
  // Time it has overrun already is time it has had.
  const base = now(run, at);
  return withBefore(run, { clock: stretched(base, run.box, seconds) });
}

/** Takes the last thing done with the clock back. */
export const back = (run: Run): Run => run.before ?? run;

/** Goes on in what the box holds, without anything to take back. */
export const at = (run: Run, step: number): Run => ({ ...run, step: Math.max(0, step) });

/** Whole minutes each box took, as the log says it; a box that was never come to took none. */
export function minutesOf(run: Run, box: BoxName): number {
  return Math.round((run.took[box] ?? 0) / 60);
}

/** How far back a class is kept; more than this nobody takes back. */
const KEPT = 12;
export function trimmed(run: Run, depth: number = KEPT): Run {
  return run.before === null ? run : { ...run, before: depth === 0 ? null : trimmed(run.before, depth - 1) };
}
