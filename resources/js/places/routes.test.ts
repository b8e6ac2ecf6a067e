import { existsSync, readFileSync, statSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { expect, test } from 'vitest';
import { en } from '../messages/en';
import { first } from '../messages/en/first';
import { WORDS } from '../mine/words';
import { routeAt } from './opening';
import { routes } from './routes';

const places = resolve('resources/js/places');
const later = Object.keys(en).filter((part) => !(part in first));

function fileAt(path: string): string | null {
  return ['', '.ts', '.tsx'].map((end) => path + end).find((one) => existsSync(one) && statSync(one).isFile()) ?? null;
}

/** Which parts of the catalogue a file and all that it imports say, and what they load later by themselves. */
function said(file: string, seen = new Set<string>()): Set<string> {
  const parts = new Set<string>();
  if (seen.has(file) || !/\.tsx?$/.test(file) || file.includes('/messages/')) return parts;
  seen.add(file);
  const source = readFileSync(file, 'utf8').replace(/\/\*[\s\S]*?\*\//g, '');
  for (const [, from = ''] of source.matchAll(/(?:^|\n)(?:import|export)\s+(?!type)(?:[^'"]*?from\s+)?['"](\.[^'"]+)['"]/g)) {
    const found = fileAt(resolve(dirname(file), from));
    if (found !== null) for (const part of said(found, seen)) parts.add(part);
  }
  for (const [, part = ''] of source.matchAll(new RegExp(`['"\`](${later.join('|')})(?=\\.[\\w$])`, 'g'))) parts.add(part);
  for (const [, part = ''] of source.matchAll(new RegExp(`table\\(['"\`](${later.join('|')})['"\`]`, 'g'))) parts.add(part);
  return parts;
}

test('what is there from the start says nothing that is loaded later', () => {
  // What a part of the shell loads for itself comes with its words.
  for (const file of ['Shell.tsx', 'today/TodayPlace.tsx']) expect([...said(`${places}/${file}`)], file).toEqual([]);
});

test('every place loads all the words that it says, and no others', () => {
  const source = readFileSync(`${places}/routes.ts`, 'utf8');
  const files = [...source.matchAll(/path: '([^']+)',\s+load: async \(\) => \(await import\('\.\/([^']+)'\)\)/g)];
  expect(files.length).toBe(routes.length - 1);
  for (const [, path = '', file = ''] of files) {
    const route = routes.find((one) => one.path === path);
    const needs = [...said(`${places}/${file}.tsx`)].sort();
    // What the server may refuse is loaded with every place.
    expect([...(route?.words ?? [])].sort(), path).toEqual(needs.filter((part) => part !== 'told'));
  }
});

test('what the shell opens over a place loads all the words that it says', () => {
  const source = readFileSync(`${places}/Shell.tsx`, 'utf8');
  const parts = [...source.matchAll(/import\('\.\/([^']+)'\), words\(([^)]*)\)/g)];
  expect(parts.length).toBeGreaterThan(3);
  for (const [, file = '', list = ''] of parts) {
    const loaded = [...list.matchAll(/'(\w+)'/g)].map(([, one]) => one);
    expect(loaded.sort(), file).toEqual([...said(`${places}/${file}.tsx`)].filter((part) => part !== 'told').sort());
  }
});

test('a student’s own page loads all the words that it says', () => {
  for (const part of said(resolve('resources/js/mine/mine.tsx'))) expect(WORDS).toContain(part);
});

test.each(['places/Shell.tsx', 'places/today/TodayPlace.tsx', 'mine/mine.tsx'])('%s waits for no chart and no form', (file) => {
  const seen = new Set<string>();
  said(resolve('resources/js', file), seen);
  const heavy = [...seen].filter((one) =>
    /from '(?:recharts|react-hook-form|zod|@hookform[^']*)'/.test(readFileSync(one, 'utf8').replace(/import type[^;]*;/g, '')),
  );
  expect(seen.size).toBeGreaterThan(5);
  expect(heavy).toEqual([]);
});

test('an address leads to its place: what is written out goes before what stands for anything', () => {
  expect(routeAt('/terms/new')?.route.path).toBe('/terms/new');
  expect(routeAt('/terms/abc?x=1')?.params).toMatchObject({ term: 'abc' });
  expect(routeAt('/forms/a/lessons/3?course=c')?.search.get('course')).toBe('c');
  expect(routeAt('/forms/a/')?.route.path).toBe('/forms/:form');
  expect(routeAt('/nowhere')).toBeNull();
  expect(routeAt('https://elsewhere.example/forms')).toBeNull();
});
