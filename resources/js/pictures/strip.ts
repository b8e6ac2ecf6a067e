import type { Entry } from '../api/client';

export type WidthBy = 'load' | 'time' | 'even';

/** Where each cell of a ribbon starts and ends, in pixels. */
export interface Strip {
  width: number;
  /** Left edge of the cell at a position, from 1; one more than there are cells is the right end. */
  x: (position: number) => number;
  /** The join nearest to a place: the position it comes after. */
  joinAt: (x: number) => number;
}

/** Cells are so wide where there is room: a reed and a numeral can be told apart in them. */
const READABLE = 16;
/** So much of the width, beyond what every cell has, is shared out by weight at least. */
const SPREAD = 1.4;
/** A cell that a finger can still touch. */
const TOUCHED = 9;

/**
 * What stands beside the strip, the same in every picture of entries, so that they align: names or days on the left, what
 * each row comes to on the right. On a phone the names are short, and there is nothing on the right.
 */
export function frameOf(available: number): { left: number; right: number; inner: number } {
  const [left, right] = available > 0 && available < 600 ? [84, 0] : [164, 124];
  return { left, right, inner: Math.max(available - left - right, 0) };
}

function weight(entry: Entry, by: WidthBy): number {
  if (by === 'even') return 1;
  if (by === 'time') return Math.max(entry.seconds ?? 0, 1);
  return Math.max(entry.load, 0.12);
}

/**
 * Lays entries side by side into a width, on the one scale of all pictures: every cell has the same least width and the rest
 * is shared out by weight. The least is what can be read where there is room, and never under what a picture needs; then it
 * is scrolled.
 */
export function stripOf(entries: Entry[], available: number, by: WidthBy = 'load', narrowest = TOUCHED): Strip {
  const weights = entries.map((entry) => weight(entry, by));
  const total = weights.reduce((sum, one) => sum + one, 0) || 1;
  const count = Math.max(entries.length, 1);
  const least = Math.max(narrowest, Math.min(READABLE, available / count / SPREAD));
  const width = Math.max(available, count * least * (narrowest < TOUCHED ? 1 : SPREAD));
  // What the least width takes first is shared out by weight after.
  const spare = Math.max(0, width - entries.length * least);
  const edges = [0];
  for (const one of weights) edges.push((edges[edges.length - 1] ?? 0) + least + (spare * one) / total);
  const x = (position: number) => edges[Math.min(Math.max(position - 1, 0), entries.length)] ?? 0;
  return {
    width,
    x,
    joinAt: (at) => {
      let best = 1;
      for (let after = 1; after < entries.length; after++) {
        if (Math.abs(x(after + 1) - at) < Math.abs(x(best + 1) - at)) best = after;
      }
      return best;
    },
  };
}
