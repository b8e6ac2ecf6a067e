import { type IDBPDatabase, openDB } from 'idb';

/** Things of one kind, kept in this browser by their key. Every promise fails where the browser is full or keeps nothing. */
export interface Store<T> {
  get(key: string): Promise<T | undefined>;
  all(): Promise<T[]>;
  count(): Promise<number>;
  put(one: T): Promise<void>;
  delete(...keys: string[]): Promise<void>;
  clear(): Promise<void>;
  /** Reads one and keeps or takes away what is made of it, with nothing of any tab in between: undefined is taken away, what is the same stays. */
  change(key: string, make: (was: T | undefined) => T | undefined): Promise<void>;
  /** Is called whenever one of them has changed, in any tab of this browser. Returns how to stop. */
  onChange(reader: () => void): () => void;
}

/** By its name, which property of a thing is its key. */
type Keys<All> = { [Name in keyof All]: keyof All[Name] & string };

/**
 * The stores of one of this browser's databases. It is opened when first needed, and once more where the browser shut it.
 *
 * @param version  a whole number that grows with the list of stores; what is no longer in the list is dropped
 */
export function openStores<All extends object>(database: string, version: number, keys: Keys<All>) {
  const names = Object.keys(keys) as (keyof All & string)[];
  let opened: Promise<IDBPDatabase> | undefined;

  function open(): Promise<IDBPDatabase> {
    const again = () => {
      opened = undefined;
    };
    opened ??= openDB(database, version, {
      upgrade(db) {
        for (const name of [...db.objectStoreNames]) if (!names.includes(name as never)) db.deleteObjectStore(name);
        for (const name of names) if (!db.objectStoreNames.contains(name)) db.createObjectStore(name, { keyPath: keys[name] });
      },
      // A newer build in another tab waits for this one to let go.
      blocking(_was, _will, event) {
        (event.target as IDBDatabase).close();
        again();
      },
      terminated: again,
    });
    opened.catch(again);
    return opened;
  }

  const readers = new Map<string, Set<() => void>>();
  const tell = (name: string) => {
    for (const reader of readers.get(name) ?? []) reader();
  };
  const tabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(`stores.${database}`);
  tabs?.addEventListener('message', (event: MessageEvent<string>) => {
    tell(event.data);
  });

  function store<T>(name: string): Store<T> {
    const changed = () => {
      tell(name);
      tabs?.postMessage(name);
    };
    return {
      get: async (key) => (await (await open()).get(name, key)) as T | undefined,
      all: async () => (await (await open()).getAll(name)) as T[],
      count: async () => (await open()).count(name),
      async put(one) {
        await (await open()).put(name, one);
        changed();
      },
      async delete(...gone) {
        if (gone.length === 0) return;
        const transaction = (await open()).transaction(name, 'readwrite');
        await Promise.all([...gone.map((key) => transaction.store.delete(key)), transaction.done]);
        changed();
      },
      async clear() {
        await (await open()).clear(name);
        changed();
      },
      async change(key, make) {
        const transaction = (await open()).transaction(name, 'readwrite');
        const was = (await transaction.store.get(key)) as T | undefined;
        const will = make(was);
        if (will === undefined) await transaction.store.delete(key);
        else if (will !== was) await transaction.store.put(will);
        await transaction.done;
        if (will !== was) changed();
      },
      onChange(reader) {
        const all = readers.get(name) ?? new Set();
        readers.set(name, all.add(reader));
        return () => all.delete(reader);
      },
    };
  }
  return Object.fromEntries(names.map((name) => [name, store(name)])) as { [Name in keyof All]: Store<All[Name]> };
}
