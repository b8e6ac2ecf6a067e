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

const LEAST_CELL = 9;

function weight(entry: Entry, by: WidthBy): number {
  if (by === 'even') return 1;
  if (by === 'time') return Math.max(entry.seconds ?? 0, 1);
  return Math.max(entry.load, 0.12);
}

/** Lays entries side by side into a width; no cell gets narrower than a finger can tell apart when scrolled. */
export function stripOf(entries: Entry[], available: number, by: WidthBy = 'load', least = LEAST_CELL): Strip {
  const weights = entries.map((entry) => weight(entry, by));
  const total = weights.reduce((sum, one) => sum + one, 0) || 1;
  const width = Math.max(available, entries.length * least * 1.4);
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
