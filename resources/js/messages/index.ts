import rosetta from 'rosetta';
import { useSyncExternalStore } from 'react';
import type { en, Part } from './en';
import { first } from './en/first';

type Plural = 'zero' | 'one' | 'two' | 'few' | 'many' | 'other';
/** Words with a singular and a plural stand under one key. */
type Name<K extends string> = K extends `${infer Base}_${Plural}` ? Base : K;
type Leaves<T, At extends string = ''> = {
  [K in keyof T & string]: T[K] extends string ? `${At}${Name<K>}` : Leaves<T[K], `${At}${K}.`>;
}[keyof T & string];
type Tables<T, At extends string = ''> = {
  [K in keyof T & string]: T[K] extends string ? never : `${At}${K}` | Tables<T[K], `${At}${K}.`>;
}[keyof T & string];

/** What words are called in the catalogue: by place, then by what they say. */
export type Key = Leaves<typeof en>;
/** What words are said with, nothing for what is not there; `count` decides between singular and plural. */
export type Values = Record<string, string | number | null | undefined>;
/** Says words of the catalogue in the language of the page. */
export type Say = (key: Key, values?: Values) => string;
/** The words of a whole part, by the last word of their keys, for what the server calls by that. */
export type Table = (key: Tables<typeof en>) => Record<string, string>;

/** The language that is complete; what another has no words for is said in it. */
const COMPLETE = 'en';
let language = COMPLETE;
const catalogue = rosetta<Record<string, object>>({ [COMPLETE]: { ...first } });

/** In which language there are words of a name: the page's own, or else the one that is complete. */
const languageOf = (key: string): string | undefined =>
  [language, COMPLETE].find((one) => {
    let piece: unknown = catalogue.table(one);
    for (const step of key.split('.')) piece = (piece as Record<string, unknown> | undefined)?.[step];
    return piece !== undefined;
  });

/** A piece of the catalogue, filled with what it is said with; undefined where there is none. */
function found(key: string, values?: Values): unknown {
  const of = languageOf(key);
  return of === undefined ? undefined : catalogue.t(key, values, of);
}

/** How words are said now; another one whenever there are more of them. */
function saying(): { t: Say; table: Table } {
  const plural = new Intl.PluralRules(language);
  return {
    t: (key, values) => {
      const count = values?.count;
      // Of none at all something else may be said, in any language.
      const forms = typeof count === 'number' ? [...(count === 0 ? ['_zero'] : []), `_${plural.select(count)}`] : [];
      const one = found([...forms.map((form) => key + form), key].find((name) => languageOf(name) !== undefined) ?? key, values);
      return typeof one === 'string' ? one : key;
    },
    table: (key) => (found(key) ?? {}) as Record<string, string>,
  };
}

let now = saying();
const readers = new Set<() => void>();

/** Takes more words into the catalogue. */
export function addWords(of: string, more: Record<string, object>): void {
  const before = catalogue.table(of) ?? {};
  // What the server says by code is in two files: what the first pages need of it, and the rest.
  const told = { ...before.told, ...more.told };
  catalogue.set(of, { ...more, told });
  now = saying();
  for (const reader of readers) reader();
}

const follow = (reader: () => void): (() => void) => {
  readers.add(reader);
  return () => readers.delete(reader);
};

/** The words of the page; it is drawn again when there are more. */
export const useTranslation = (): { t: Say; table: Table } => useSyncExternalStore(follow, () => now);

/** Words where nothing is drawn. */
export const t: Say = (key, values) => now.t(key, values);

/** Whether there are words by a name that no type knows, as the server may send one. */
export const hasWords = (key: string): boolean => languageOf(key) !== undefined || languageOf(`${key}_other`) !== undefined;

const files = import.meta.glob<object>('./*/*.json', { import: 'default' });
const loading = new Map<string, Promise<void>>();

async function load(of: string, part: Part): Promise<void> {
  const file = files[`./${of}/${part}.json`];
  if (file !== undefined) addWords(of, { [part]: await file() });
}

/** Parts of the catalogue, each loaded once. What could not be loaded is asked for again the next time. */
export async function words(...parts: Part[]): Promise<void> {
  const pairs = [...new Set([language, COMPLETE])].flatMap((of) => parts.map((part) => [of, part] as const));
  await Promise.all(
    pairs.map(([of, part]) => {
      const key = `${of}/${part}`;
      const promise = loading.get(key) ?? load(of, part);
      loading.set(key, promise);
      promise.catch(() => loading.delete(key));
      return promise;
    }),
  );
}

/** Another language; what it has no words for is said in English. Its words are added, or loaded, by whoever sets it. */
export function speak(wanted: string): void {
  language = wanted;
  document.documentElement.lang = wanted;
  now = saying();
  for (const reader of readers) reader();
}
