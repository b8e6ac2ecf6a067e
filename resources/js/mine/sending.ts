import { ask, askedSince, isPassing, Problem } from '../api/client';
import { mine } from './client';
import { allWaiting, store, type Waiting } from './store';

function sent({ id, what, body }: Waiting): Promise<unknown> {
  const path = { path: { id } };
  if (what === 'question') return ask(mine.PUT('/mine/api/questions/{id}', { params: path, body: body as never }));
  if (what === 'takeBack')
    return ask(mine.DELETE('/mine/api/practices/{id}', { params: { path: { id: String(body.practice) } } }));
  return ask(mine.PUT('/mine/api/practices/{id}', { params: path, body: body as never }));
}

let isSending: Promise<boolean> | null = null;

/**
 * Sends what waits, one after the other; what is refused stays with its reason, and what cannot arrive now waits on. Says
 * whether anything arrived.
 */
export function sendWaiting(): Promise<boolean> {
  isSending ??= send().finally(() => {
    isSending = null;
  });
  return isSending;
}

async function send(): Promise<boolean> {
  let hasArrived = false;
  const putOff = new Set<unknown>();
  // A browser that keeps nothing has nothing that waits.
  const waiting = await allWaiting().catch((): Waiting[] => []);
  for (const one of waiting) {
    // What takes back a note that is still to come would be overtaken by it.
    if (one.refused !== null || (one.what === 'takeBack' && putOff.has(one.body.practice))) continue;
    try {
      await sent(one);
      await store.waiting.delete(one.id);
      hasArrived = true;
    } catch (error) {
      if (isPassing(error)) return hasArrived;
      const since = askedSince(error, one.since, Date.now());
      if (since !== null) {
        putOff.add(one.id);
        await store.waiting.put({ ...one, since });
        continue;
      }
      await store.waiting.put({ ...one, refused: error instanceof Problem ? error.message : '' });
    }
  }
  return hasArrived;
}

/**
 * Keeps something on this device before anything else, and sends it when there is a network.
 *
 * @returns whether it waits
 * @throws where this browser keeps nothing and it could not be sent either
 */
export async function note(what: Waiting['what'], id: string, body: Record<string, unknown>): Promise<boolean> {
  const one: Waiting = { id, what, body, refused: null, made: Date.now() };
  const isKept = await store.waiting.put(one).then(
    () => true,
    () => false,
  );
  if (!isKept) {
    await sent(one);
    return false;
  }
  await sendWaiting();
  return (await store.waiting.get(id)) !== undefined;
}
