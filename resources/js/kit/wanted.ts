import type { ComponentType } from 'react';
import { useEffect, useState } from 'react';

/** A part of a page that is loaded when it is first wanted. */
export interface WantedPart<P> {
  /** The part, where it is there. */
  ready: ComponentType<P> | null;
  load: () => Promise<ComponentType<P>>;
}

const parts: (() => Promise<unknown>)[] = [];

/** Loads every part that a page may want, so that it is there though the network goes away. */
export function loadWanted(): void {
  for (const load of parts) void load().catch(() => undefined);
}

export function wantedPart<P>(load: () => Promise<ComponentType<P>>): WantedPart<P> {
  let loading: Promise<ComponentType<P>> | null = null;
  const part: WantedPart<P> = {
    ready: null,
    load: () => {
      loading ??= load().then(
        (found) => {
          part.ready = found;
          return found;
        },
        (error: unknown) => {
          loading = null; // it is asked for again the next time
          throw error;
        },
      );
      return loading;
    },
  };
  parts.push(part.load);
  return part;
}

/** The part once it is wanted and there; null before. Without a network it may not come: then what was pressed stays as it was. */
export function useWanted<P>(part: WantedPart<P>, isWanted: boolean): ComponentType<P> | null {
  const [Found, setFound] = useState<ComponentType<P> | null>(() => part.ready);
  useEffect(() => {
    if (!isWanted || Found !== null) return;
    let isGone = false;
    part.load().then(
      (found) => {
        if (!isGone) setFound(() => found);
      },
      () => undefined,
    );
    return () => {
      isGone = true;
    };
  }, [part, isWanted, Found]);
  return isWanted ? Found : null;
}
