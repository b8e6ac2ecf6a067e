import { execFileSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { resolve } from 'node:path';

/** Where the pages stand in the language no one speaks. */
const BUILT = resolve('var/pseudo');

const LETTERS: Record<string, string> = { a: 'á', e: 'ë', i: 'ï', o: 'ø', u: 'ü', c: 'ç', n: 'ñ', s: 'š', y: 'ý', t: 'ţ', r: 'ř', d: 'đ', l: 'ł', h: 'ħ', g: 'ğ', m: 'ɱ', w: 'ŵ', b: 'ƀ', p: 'ƥ', k: 'ķ', v: 'ṽ', f: 'ƒ', j: 'ĵ', q: 'ɋ', x: 'ẋ', z: 'ž' }; // prettier-ignore

/** A sentence with every letter another one, and 1.4 times as long; what is put into it stays. */
export function pseudo(text: string): string {
  const other = text
    .split(/(\{\{?\w+\}?\})/)
    .map((part, nth) =>
      nth % 2 === 1
        ? part
        : part.replace(/[a-z]/gi, (letter) => {
            const to = LETTERS[letter.toLowerCase()] ?? letter;
            return letter === letter.toLowerCase() ? to : to.toUpperCase();
          }),
    )
    .join('');
  const longer = Math.ceil(text.replace(/\{\{?\w+\}?\}/g, '').length * 0.4);
  return other + 'ø'.repeat(longer).replace(/(.{6})/g, '$1\u200b'); // what is long may be broken, as a word may
}

/** Builds the pages with every word of the catalogue in that language. Returns where they are. */
export function buildPseudo(): string {
  rmSync(BUILT, { recursive: true, force: true });
  const config = resolve('var/pseudo.config.ts');
  mkdirSync('var', { recursive: true });
  writeFileSync(
    config,
    `import { defineConfig } from 'vite';
import react from '@vitejs/plugin-react';
import { all } from '${resolve('var/pseudo.words.mjs')}';
export default defineConfig({
  root: ${JSON.stringify(resolve('.'))},
  base: '/build/',
  publicDir: false,
  logLevel: 'error',
  define: { __SHAPES__: '"pseudo"' },
  plugins: [{ name: 'pseudo', enforce: 'pre', transform(code, id) { if (/messages\\/en\\/.*\\.json$/.test(id)) return JSON.stringify(all(JSON.parse(code))); } }, react()],
  build: { outDir: ${JSON.stringify(BUILT)}, emptyOutDir: true, manifest: 'manifest.json', minify: false, rollupOptions: { input: 'resources/js/main.tsx' } },
});
`,
  );
  writeFileSync(
    resolve('var/pseudo.words.mjs'),
    `const LETTERS = ${JSON.stringify(LETTERS)};\nconst pseudo = ${pseudo.toString()};\nexport const all = (value) => typeof value === 'string' ? pseudo(value) : Array.isArray(value) ? value.map(all) : Object.fromEntries(Object.entries(value).map(([key, one]) => [key, all(one)]));\n`,
  );
  execFileSync('npx', ['vite', 'build', '-c', config], { stdio: ['ignore', 'ignore', 'inherit'] });
  return BUILT;
}
