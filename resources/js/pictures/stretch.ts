import type { Passage } from '../api/client';

/** A stretch chosen on the ribbon: the first touch starts it, a second one further on ends it; any other starts anew. Pure. */
export const stretchTo = (before: Passage | null, position: number): Passage =>
  before !== null && before.from === before.to && position > before.from
    ? { from: before.from, to: position }
    : { from: position, to: position };
