import type { Kept } from './commands';

/*
 * A database writes a command down after a moment, and a page that is reloaded within that moment would lose it. So a command
 * is noted at once, where a browser writes before it goes on, until the database has it.
 */
const PREFIX = 'gorvan.noted.';

/** Notes a command. */
export function note(kept: Kept): void {
  try {
    localStorage.setItem(PREFIX + kept.id, JSON.stringify(kept));
  } catch {
    // Full or forbidden: the database is asked all the same
  }
}

const read = (key: string): Kept | null => JSON.parse(localStorage.getItem(key) ?? 'null') as Kept | null;

/** The database has a command, or it is done with: a newer word of it stays noted. */
export function unnote({ id, revision }: Pick<Kept, 'id' | 'revision'>): void {
  if ((read(PREFIX + id)?.revision ?? Infinity) <= revision) localStorage.removeItem(PREFIX + id);
}

/** What was noted of a person and never written down. */
export const notedOf = (person: string): Kept[] =>
  Object.keys(localStorage)
    .filter((key) => key.startsWith(PREFIX))
    .map(read)
    .filter((kept) => kept?.person === person) as Kept[];
