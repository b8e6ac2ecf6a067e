import type { Entry } from '../api/client';

type Named = Pick<Entry, 'number' | 'title'>;

/** "3. Heron looks up", or the title alone where there is no number. */
export function entryName(entry: Named | undefined): string {
  if (!entry) return '';
  return entry.number === null ? entry.title : `${String(entry.number)}. ${entry.title}`;
}

/** "3 Heron looks up": the same where the number is set apart or read from two metres. */
export function entryLine({ number, title }: Named): string {
  return number === null ? title : `${String(number)} ${title}`;
}

/** What a teacher says for an entry: its number, or its title where it has none. */
export function entryCall(entry: Named | undefined): string {
  return String(entry?.number ?? entry?.title ?? '');
}

/** Entries to choose from, by their positions. */
export function entryChoices(entries: (Named & { position: number })[]): { value: string; text: string }[] {
  return entries.map((entry) => ({ value: String(entry.position), text: entryName(entry) }));
}
