import { Keeping } from '../api/enums';
import type { KeepingCell } from '../api/client';
import type { Sureness } from './reed';

export const KEEPINGS = Keeping;
export type { Keeping };

/** How a standing in a principle is drawn: how many ticks stand on the stroke, and how solid it is. */
export interface Stroke {
  ticks: number;
  sureness: Sureness;
}

export function isKeeping(name: string): name is Keeping {
  return (KEEPINGS as readonly string[]).includes(name);
}

/** Solid when it is recalled, outlined as it fades, dotted where nobody has looked. */
export function strokeOf(cell: KeepingCell | undefined): Stroke {
  if (!cell || (cell.recall === null && cell.keeping === null)) return { ticks: 0, sureness: 'none' };
  if (cell.keeping === null) return { ticks: cell.isAssumed ? 3 : 1, sureness: 'dotted' };
  const ticks = isKeeping(cell.keeping) ? KEEPINGS.indexOf(cell.keeping) : 0;
  return { ticks, sureness: cell.sureness === 'good' ? 'solid' : 'outlined' };
}
