const PREFIX = 'gorvan.draft.';

/** What is too large for this browser to keep: it stays while the page does, and is gone only when that is reloaded. */
const beyond = new Map<string, string>();

/** What is typed is kept in this tab until it is saved, wherever one looks meanwhile. */
export function keepDraft(name: string, value: unknown): void {
  const text = JSON.stringify(value);
  try {
    sessionStorage.setItem(PREFIX + name, text);
    beyond.delete(name);
  } catch {
    // The browser keeps about five megabytes, and in some windows nothing at all: what is typed stays in memory then.
    sessionStorage.removeItem(PREFIX + name);
    beyond.set(name, text);
  }
}

export function readDraft<T>(name: string): T | null {
  const kept = beyond.get(name) ?? sessionStorage.getItem(PREFIX + name);
  return kept === null ? null : (JSON.parse(kept) as T);
}

export function dropDraft(name: string): void {
  beyond.delete(name);
  sessionStorage.removeItem(PREFIX + name);
}

/** Nothing that one person typed waits for the next one at the same device. */
export function dropDrafts(): void {
  beyond.clear();
  for (const key of Object.keys(sessionStorage)) if (key.startsWith(PREFIX)) sessionStorage.removeItem(key);
}
