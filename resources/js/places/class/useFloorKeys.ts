import { useShortcut } from '../../kit/shortcuts';

interface Actions {
  goOn: () => void;
  goBack: () => void;
  nextBox: () => void;
  longer: () => void;
  turn: () => void;
  stop: () => void;
}

/** The keys of a class on the floor. Nothing is heard while something else is open over it. */
export function useFloorKeys(isListening: boolean, actions: Actions): void {
  useShortcut('goOn', actions.goOn, isListening);
  useShortcut('goBack', actions.goBack, isListening);
  useShortcut('nextBox', actions.nextBox, isListening);
  useShortcut('longer', actions.longer, isListening);
  useShortcut('turn', actions.turn, isListening);
  useShortcut('stop', actions.stop, isListening);
}
