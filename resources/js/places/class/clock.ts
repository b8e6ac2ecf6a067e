import { type BoxName, BOXES } from '../../pictures/Timeline';

/**
 * The clock of a class: core's rule (`ClassClock`) once more, for where there is no network. Both are held to
 * `core/tests/Term/clock.json`. Whole seconds; everything here is pure.
 */
export interface ClassClock {
  seconds: Record<string, number>;
  /** By how much the class runs over its end, where no box has anything left to give. */
  over: number;
}

/** Who gives first. Settling, warming up and closing are part of the practice: they give last. */
const GIVES: BoxName[] = ['free', 'run_through', 'review', 'new', 'focus', 'settle', 'warm_up', 'close'];
const LAST: BoxName[] = ['settle', 'warm_up', 'close'];

export const givesLast = (box: BoxName): boolean => LAST.includes(box);

/** The boxes a clock has, in the order they are held. */
const order = (clock: ClassClock): BoxName[] => BOXES.filter((box) => clock.seconds[box] !== undefined);
const has = (clock: ClassClock, box: BoxName): number => clock.seconds[box] ?? 0;

export function clockOf(minutes: Record<string, number>): ClassClock {
  return { seconds: Object.fromEntries(Object.entries(minutes).map(([box, of]) => [box, 60 * of])), over: 0 };
}

function give(clock: ClassClock, seconds: number, from: BoxName[]): { seconds: Record<string, number>; left: number } {
  const all = { ...clock.seconds };
  let left = seconds;
  for (const box of GIVES) {
    if (!from.includes(box)) continue;
    const given = Math.min(left, all[box] ?? 0);
    all[box] = (all[box] ?? 0) - given;
    left -= given;
  }
  return { seconds: all, left };
}

/** The class begins late: every box may have to give. */
export function startedLate(clock: ClassClock, seconds: number): ClassClock {
  const { seconds: all, left } = give(clock, seconds, order(clock));
  return { seconds: all, over: clock.over + left };
}

/** A box takes longer, and those after it give; or it is over early, and the next one that is held has what is left. */
export function stretched(clock: ClassClock, box: BoxName, seconds: number): ClassClock {
  const all = order(clock);
  const later = all.slice(all.indexOf(box) + 1);
  if (seconds < 0) {
    // The next one that is held has what is left; where none is, the last, which closes.
    const next = later.find((one) => has(clock, one) > 0) ?? later[later.length - 1];
    if (next === undefined) return clock;
    const spare = Math.min(-seconds, has(clock, box));
    return {
      seconds: {
        ...clock.seconds,
        [box]: has(clock, box) - spare,
        [next]: has(clock, next) + Math.max(0, spare - clock.over),
      },
      over: Math.max(0, clock.over - spare),
    };
  }
  const given = give(clock, seconds, later);
  return { seconds: { ...given.seconds, [box]: has(clock, box) + seconds }, over: clock.over + given.left };
}

export interface Cost {
  box: BoxName;
  from: number;
  to: number;
}

/** What boxes lost between one clock and another, in the order in which they give. */
export function costs(clock: ClassClock, before: ClassClock): Cost[] {
  return GIVES.map((box) => ({ box, from: has(before, box), to: has(clock, box) })).filter(({ from, to }) => to < from);
}
