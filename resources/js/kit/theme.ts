import { useSyncExternalStore } from 'react';

const KEY = 'gorvan.theme';
export type Theme = 'day' | 'hall';

const dark = typeof matchMedia === 'undefined' ? null : matchMedia('(prefers-color-scheme: dark)');
const readers = new Set<() => void>();

function chosen(): Theme | null {
  try {
    const kept = localStorage.getItem(KEY);
    return kept === 'hall' || kept === 'day' ? kept : null;
  } catch {
    return null;
  }
}

/** What was chosen on this device; else what the device itself is set to. */
export const theme = (): Theme => chosen() ?? (dark?.matches === true ? 'hall' : 'day');

/** The page was drawn in it from the first: a small script in its head does the same before anything is shown. */
function apply(): void {
  document.documentElement.dataset.theme = theme();
  for (const reader of readers) reader();
}

export function chooseTheme(wanted: Theme): void {
  try {
    // Whoever chooses what the device has follows it again.
    if (wanted === (dark?.matches === true ? 'hall' : 'day')) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, wanted);
  } catch {
    // A browser that keeps nothing has it as long as the page is open.
  }
  document.documentElement.dataset.theme = wanted;
  for (const reader of readers) reader();
}

/** Follows the device and the other tabs from now on. */
export function followTheme(): void {
  apply();
  dark?.addEventListener('change', apply);
  window.addEventListener('storage', (event) => {
    if (event.key === KEY) apply();
  });
}

const follow = (reader: () => void): (() => void) => {
  readers.add(reader);
  return () => readers.delete(reader);
};

export const useTheme = (): Theme =>
  useSyncExternalStore(follow, () => (document.documentElement.dataset.theme === 'hall' ? 'hall' : 'day'));
