import { useEffect, useEffectEvent } from 'react';

interface Actions {
  goOn: () => void;
  goBack: () => void;
  nextBox: () => void;
  longer: () => void;
  turn: () => void;
  stop: () => void;
}

/** The keys of a class on the floor; a foot switch sends Page Down. Nothing is heard while something else is open over it. */
export function useFloorKeys(isListening: boolean, actions: Actions): void {
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (!isListening || event.ctrlKey || event.metaKey || event.altKey) return;
    if (['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)) return;
    if (target.closest('button, a') && (event.key === ' ' || event.key === 'Enter')) return;
    switch (event.key) {
      case 'ArrowRight':
      case 'ArrowDown':
      case 'PageDown': // a foot switch sends this
      case ' ':
        actions.goOn();
        break;
      case 'ArrowLeft':
      case 'ArrowUp':
      case 'PageUp':
        actions.goBack();
        break;
      case 'Enter':
        actions.nextBox();
        break;
      case '+':
        actions.longer();
        break;
      case 'm':
      case 'M':
        actions.turn();
        break;
      case 's':
      case 'S':
        actions.stop();
        break;
      default:
        return;
    }
    event.preventDefault();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      onKey(event);
    };
    window.addEventListener('keydown', listen);
    return () => {
      window.removeEventListener('keydown', listen);
    };
  }, []);
}
