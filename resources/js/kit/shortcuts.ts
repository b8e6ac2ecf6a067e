import { useEffect, useEffectEvent, useSyncExternalStore } from 'react';

/**
 * What can be done by a key wherever one is on a page: one table, from which the keys are heard, listed by `?`, shown in
 * tooltips and offered by `/`. The words of each stand in the catalogue under `keys.does`, those of its group under
 * `keys.where`. What a picture, a list or a grid does by its own keys is listed beside it, in `keyList`.
 */
export const SHORTCUTS = {
  find: { keys: ['/'], where: 'everywhere' },
  help: { keys: ['?'], where: 'everywhere' },
  goOn: { keys: ['ArrowRight', 'ArrowDown', 'PageDown', ' '], where: 'class' },
  goBack: { keys: ['ArrowLeft', 'ArrowUp', 'PageUp'], where: 'class' },
  nextBox: { keys: ['Enter'], where: 'class' },
  longer: { keys: ['+'], where: 'class' },
  turn: { keys: ['m'], where: 'class' },
  stop: { keys: ['s'], where: 'class' },
  pace: { keys: [' '], where: 'time' },
  zoomIn: { keys: ['+'], where: 'score' },
  zoomOut: { keys: ['-'], where: 'score' },
  undo: { keys: ['Ctrl+z'], where: 'score' },
  redo: { keys: ['Ctrl+Shift+z', 'Ctrl+y'], where: 'score' },
} as const satisfies Record<string, { keys: readonly string[]; where: string }>;

export type Shortcut = keyof typeof SHORTCUTS;
export type Where = (typeof SHORTCUTS)[Shortcut]['where'];

/** What can be done by key on what is open, the latest last. */
let bound: { name: Shortcut; run: () => void }[] = [];
const readers = new Set<() => void>();

function rebind(now: typeof bound): void {
  bound = now;
  for (const reader of readers) reader();
}

function pressed(event: KeyboardEvent): string {
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  const control = event.ctrlKey || event.metaKey ? 'Ctrl+' : '';
  return `${control}${event.altKey ? 'Alt+' : ''}${control !== '' && event.shiftKey ? 'Shift+' : ''}${key}`;
}

function onKey(event: KeyboardEvent): void {
  const target = event.target as HTMLElement;
  if (
    event.defaultPrevented ||
    target.isContentEditable ||
    target.closest('input, textarea, select, [role=grid], [role=listbox]')
  ) {
    // In a grid or a list the keys are its own; only taking back is heard there as well.
    if (!target.closest('[role=grid]') || !(event.ctrlKey || event.metaKey) || target.closest('input, textarea')) return;
  }
  // What a button does by these keys goes first.
  if (target.closest('button, a, summary') && (event.key === ' ' || event.key === 'Enter')) return;
  const said = pressed(event);
  const found = bound.findLast(({ name }) => (SHORTCUTS[name].keys as readonly string[]).includes(said));
  if (found === undefined) return;
  event.preventDefault();
  found.run();
}

/** Does something by its key while what calls this is shown, and offers it by `/`. */
export function useShortcut(name: Shortcut, run: () => void, isOn = true): void {
  const doIt = useEffectEvent(run);
  useEffect(() => {
    if (!isOn) return;
    const one = {
      name,
      run: () => {
        doIt();
      },
    };
    if (bound.length === 0) window.addEventListener('keydown', onKey);
    rebind([...bound, one]);
    return () => {
      rebind(bound.filter((other) => other !== one));
      if (bound.length === 0) window.removeEventListener('keydown', onKey);
    };
  }, [name, isOn]);
}

const follow = (reader: () => void): (() => void) => {
  readers.add(reader);
  return () => readers.delete(reader);
};

/** What can be done here by key. */
export const useBound = () => useSyncExternalStore(follow, () => bound);
