const PREFIX = 'gorvan.draft.';

/** What is typed is kept in this tab until it is saved, wherever one looks meanwhile. */
export function keepDraft(name: string, value: unknown): void {
  sessionStorage.setItem(PREFIX + name, JSON.stringify(value));
}

export function readDraft<T>(name: string): T | null {
  const kept = sessionStorage.getItem(PREFIX + name);
  return kept === null ? null : (JSON.parse(kept) as T);
}

export function dropDraft(name: string): void {
  sessionStorage.removeItem(PREFIX + name);
}

/** Nothing that one person typed waits for the next one at the same device. */
export function dropDrafts(): void {
  for (const key of Object.keys(sessionStorage)) if (key.startsWith(PREFIX)) sessionStorage.removeItem(key);
}
