import 'fake-indexeddb/auto';
import { expect, test } from 'vitest';
import { openStores } from './stores';

interface Note {
  id: string;
  text: string;
}
let made = 0;
const fresh = () => `notes-${String(made++)}`;
const notes = (database: string) => openStores<{ notes: Note }>(database, 20, { notes: 'id' }).notes;

test('what an earlier build kept, with lists of its own, is still there', async () => {
  const database = fresh();
  await new Promise<void>((resolve, reject) => {
    const opening = indexedDB.open(database, 20);
    opening.onupgradeneeded = () => {
      const store = opening.result.createObjectStore('notes', { keyPath: 'id' });
      store.createIndex('text', 'text');
      store.put({ id: 'a', text: 'from before' });
    };
    opening.onerror = reject;
    opening.onsuccess = () => {
      opening.result.close();
      resolve();
    };
  });
  expect(await notes(database).all()).toEqual([{ id: 'a', text: 'from before' }]);
});

test('a store that is no longer in the list is dropped, the others stay', async () => {
  const database = fresh();
  const before = openStores<{ notes: Note; old: Note }>(database, 10, { notes: 'id', old: 'id' });
  await before.notes.put({ id: 'a', text: 'stays' });
  await before.old.put({ id: 'b', text: 'goes' });
  // The tab with the build before lets go of the database by itself.
  expect(await notes(database).all()).toEqual([{ id: 'a', text: 'stays' }]);
  await expect(before.old.all()).rejects.toThrow();
});

test('of ten that change one thing at once, each finds what the one before it made', async () => {
  const database = fresh();
  const tabs = [notes(database), notes(database)];
  await Promise.all(
    Array.from({ length: 10 }, (_, nth) =>
      tabs[nth % 2]?.change('a', (was) => ({ id: 'a', text: `${was?.text ?? ''}${String(nth)}` })),
    ),
  );
  expect((await tabs[0]?.get('a'))?.text).toHaveLength(10);
});

test('a change that makes nothing takes it away, and one that leaves it tells nobody', async () => {
  const one = notes(fresh());
  await one.put({ id: 'a', text: 'x' });
  let told = 0;
  const stop = one.onChange(() => told++);
  await one.change('a', (was) => was);
  expect(told).toBe(0);
  await one.change('a', () => undefined);
  expect([told, await one.count()]).toEqual([1, 0]);
  stop();
  await one.put({ id: 'b', text: 'y' });
  expect(told).toBe(1);
});

test('another tab hears of it', async () => {
  const database = fresh();
  const [here, there] = [notes(database), notes(database)];
  const heard = new Promise<void>((resolve) => {
    there.onChange(resolve);
  });
  await here.put({ id: 'a', text: 'x' });
  await heard;
  expect(await there.count()).toBe(1);
});
