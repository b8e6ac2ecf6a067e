import { ask, isPassing, Problem } from '../api/client';
import { mine } from './client';
import { store, type Waiting } from './store';

function sent({ id, what, body }: Waiting): Promise<unknown> {
  const path = { path: { id } };
  if (what === 'question') return ask(mine.PUT('/mine/api/questions/{id}', { params: path, body: body as never }));
  if (what === 'takeBack')
    return ask(mine.DELETE('/mine/api/practices/{id}', { params: { path: { id: String(body.practice) } } }));
  return ask(mine.PUT('/mine/api/practices/{id}', { params: path, body: body as never }));
}

let isSending: Promise<void> | null = null;

/** Sends what waits, one after the other; what is refused stays with its reason, and what cannot arrive now waits on. */
export function sendWaiting(): Promise<void> {
  isSending ??= send().finally(() => {
    isSending = null;
  });
  return isSending;
}

async function send(): Promise<void> {
  const waiting = await store.waiting.orderBy('made').toArray();
  for (const one of waiting) {
    if (one.refused !== null) continue;
    try {
      await sent(one);
      await store.waiting.delete(one.id);
    } catch (error) {
      if (isPassing(error)) return;
      await store.waiting.update(one.id, { refused: error instanceof Problem ? error.message : '' });
    }
  }
}

/** Keeps something on this device before anything else, and sends it when there is a network. */
export async function note(what: Waiting['what'], id: string, body: Record<string, unknown>): Promise<void> {
  await store.waiting.put({ id, what, body, refused: null, made: Date.now() });
  await sendWaiting();
}
