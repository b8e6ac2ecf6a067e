import { LADDER } from '../api/cells';
import type { Cell } from '../api/client';

export { LADDER };
export type Support = (typeof LADDER)[number];
export type Sureness = 'solid' | 'outlined' | 'dotted' | 'none';

/** How a standing is drawn: how many segments, and how solid. */
export interface Reed {
  segments: number;
  sureness: Sureness;
}

export function isSupport(name: string): name is Support {
  return (LADDER as readonly string[]).includes(name);
}

/** Solid when recall is good, outlined as it fades, dotted when assumed and never seen. */
export function reedOf(cell: Cell | undefined): Reed {
  if (!cell?.isMet) return { segments: 0, sureness: 'none' };
  if (cell.support === null) return { segments: cell.isAssumed ? 3 : 1, sureness: 'dotted' };
  const segments = isSupport(cell.support) ? LADDER.indexOf(cell.support) : 0;
  return { segments, sureness: cell.sureness === 'good' ? 'solid' : 'outlined' };
}
