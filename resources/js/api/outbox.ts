import Dexie, { type EntityTable } from 'dexie';
import { isPassing, Problem, send, Unreachable } from './client';

/** A request that is kept in this browser until the server has answered it. */
export interface Parcel {
  id: string;
  person: string;
  method: string;
  url: string;
  body: unknown;
  made: number;
}

const store = new Dexie('gorvan') as Dexie & { outbox: EntityTable<Parcel, 'id'> };
store.version(1).stores({ outbox: 'id, person, made' });

type Outcome = { kind: 'sent'; answer: unknown } | { kind: 'waiting' } | { kind: 'refused'; problem: Problem };
type Listener = (parcel: Parcel, outcome: Outcome) => void;

const listeners = new Set<Listener>();
const RETRY_MS = 4000;
let queue: Promise<void> = Promise.resolve();
let timer: ReturnType<typeof setTimeout> | undefined;
let owner = '';

window.addEventListener('online', () => void flush());

/** Is told what becomes of each parcel. Returns how to stop listening. */
export function onOutcome(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Whose parcels may be sent: only those of the person signed in. */
export function openOutbox(person: string): void {
  owner = person;
  void flush();
}

export async function waiting(): Promise<Parcel[]> {
  return store.outbox.where('person').equals(owner).sortBy('made');
}

/** Keeps a request, then tries to send everything that is kept, oldest first. */
export async function post(parcel: Omit<Parcel, 'person' | 'made'>): Promise<void> {
  await store.outbox.put({ ...parcel, person: owner, made: performance.timeOrigin + performance.now() });
  await flush();
}

export function flush(): Promise<void> {
  queue = queue.then(run, run);
  return queue;
}

async function run(): Promise<void> {
  clearTimeout(timer);
  for (;;) {
    const [parcel] = await waiting();
    if (!parcel) return;
    try {
      const answer = await send(parcel.method, parcel.url, parcel.body);
      await store.outbox.delete(parcel.id);
      tell(parcel, { kind: 'sent', answer });
    } catch (error) {
      if (error instanceof Problem && !isPassing(error)) {
        await store.outbox.delete(parcel.id);
        tell(parcel, { kind: 'refused', problem: error });
        continue;
      }
      if (!(error instanceof Unreachable) && !(error instanceof Problem)) throw error;
      // The ids were made here, so sending again changes nothing that did arrive.
      for (const kept of await waiting()) tell(kept, { kind: 'waiting' });
      timer = setTimeout(() => void flush(), RETRY_MS);
      return;
    }
  }
}

function tell(parcel: Parcel, outcome: Outcome): void {
  for (const listener of listeners) listener(parcel, outcome);
}
