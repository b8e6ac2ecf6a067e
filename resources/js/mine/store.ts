import type { Mine } from '../api/client';
import { openStores } from '../api/stores';

/** Something noted on this device that the server has not taken yet. */
export interface Waiting {
  id: string;
  what: 'practice' | 'question' | 'takeBack';
  body: Record<string, unknown>;
  /** Why the server refused it; null while it only waits. */
  refused: string | null;
  made: number;
  /** Since when it is said not to be there or not allowed, and asked again; ms since 1970. */
  since?: number;
}

/** What was last shown, for a visit without a network. */
export interface Kept {
  key: 'mine';
  at: string;
  data: Mine;
}

/** A store of its own: nothing of a teacher's pages is in it, and nothing of it in theirs. */
export const store = openStores<{ waiting: Waiting; kept: Kept }>('gorvan-mine', 10, { waiting: 'id', kept: 'key' });

/** What waits, oldest first. */
export const allWaiting = async (): Promise<Waiting[]> => (await store.waiting.all()).sort((a, b) => a.made - b.made);

/** Remembers what was shown; a browser that keeps nothing, as a private window may, shows it all the same. */
export async function keep(kept: Kept): Promise<void> {
  try {
    await store.kept.put(kept);
  } catch {
    return;
  }
}

/** What was last shown here, if this browser keeps anything. */
export async function lastKept(): Promise<Kept | undefined> {
  try {
    return await store.kept.get('mine');
  } catch {
    return undefined;
  }
}

/** Of another link, what this device has kept is somebody else's. */
export async function forget(): Promise<void> {
  await Promise.all([store.waiting.clear(), store.kept.clear()]);
}
