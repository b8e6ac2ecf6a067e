import { createContext, type ReactNode, startTransition, useCallback, useContext, useState } from 'react';
import type { Told } from './ToastList';
import { useWanted, wantedPart } from './wanted';

type Tell = (text: string, options?: { isProblem?: boolean; takeBack?: () => void }) => void;

const Telling = createContext<Tell>(() => undefined);
const list = wantedPart(async () => (await import('./ToastList')).ToastList);

/** How a page says that something happened, and offers to take it back. */
export function useTell(): Tell {
  return useContext(Telling);
}

export function Toasts({ children }: { children: ReactNode }) {
  const [told, setTold] = useState<Told[]>([]);
  const [hasTold, setHasTold] = useState(false);
  const tell = useCallback<Tell>((text, options = {}) => {
    const one: Told = { id: Math.random(), text, isProblem: options.isProblem ?? false, takeBack: options.takeBack };
    // One at a time, so that it never hides more than a strip of what is being worked on; and after that itself was drawn.
    startTransition(() => {
      setTold([one]);
      setHasTold(true);
    });
  }, []);
  const drop = (id: number) => {
    setTold((all) => all.filter((one) => one.id !== id));
  };
  const List = useWanted(list, hasTold);
  return (
    <Telling value={tell}>
      {children}
      {List === null ? null : <List told={told} onDrop={drop} />}
    </Telling>
  );
}
