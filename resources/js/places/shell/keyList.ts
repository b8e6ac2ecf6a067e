import { SHORTCUTS } from '../../kit/shortcuts';

/** What a picture, a list or a grid does by keys while the focus is in it. */
const LOCAL = {
  close: { keys: ['Escape'], where: 'everywhere' },
  along: { keys: ['←', '→', 'Home', 'End'], where: 'pictures' },
  notch: { keys: ['←', '→', 'Enter'], where: 'pictures' },
  freeNotch: { keys: ['Delete'], where: 'pictures' },
  mark: { keys: ['1', '2', '3', '4', '5'], where: 'marking' },
  rows: { keys: ['↑', '↓'], where: 'marking' },
  levels: { keys: ['←', '→'], where: 'marking' },
  unmark: { keys: ['0', 'Z'], where: 'marking' },
  cells: { keys: ['↑', '↓', '←', '→', 'Home', 'End'], where: 'score' },
  write: { keys: ['Enter', 'F2'], where: 'score' },
  save: { keys: ['Enter', 'Tab'], where: 'score' },
  empty: { keys: ['Delete'], where: 'score' },
  rowBelow: { keys: ['Insert', 'Alt+I'], where: 'score' },
  rowAbove: { keys: ['Alt+Shift+I'], where: 'score' },
  removeRow: { keys: ['Ctrl+Delete'], where: 'score' },
  moveRow: { keys: ['Alt+↑', 'Alt+↓'], where: 'score' },
  split: { keys: ['Alt+S'], where: 'score' },
  join: { keys: ['Alt+J'], where: 'score' },
  mirror: { keys: ['Alt+M'], where: 'score' },
  renumber: { keys: ['Alt+N'], where: 'score' },
  paste: { keys: ['Ctrl+V'], where: 'score' },
} as const;

/** Every key and where it works. */
export const KEYS = { ...SHORTCUTS, ...LOCAL };
export type KeyName = keyof typeof KEYS;
export type Where = (typeof KEYS)[KeyName]['where'];
export const names = Object.keys(KEYS) as KeyName[];

const SHOWN: Record<string, string> = {
  ' ': 'Space',
  ArrowRight: '→',
  ArrowLeft: '←',
  ArrowUp: '↑',
  ArrowDown: '↓',
  PageDown: 'Page Down',
  PageUp: 'Page Up',
};

/** How the keys of a shortcut are written. */
export const shownKeys = (name: KeyName): string[] =>
  KEYS[name].keys.map((key) =>
    key.replace(/[^+]+$|^\+$/, (last) => SHOWN[last] ?? (last.length === 1 ? last.toUpperCase() : last)),
  );
