import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { generateSW } from 'workbox-build';
import { WORDS } from './resources/js/mine/words';

/** The page all addresses are drawn in; with it a class can be opened without a network. */
const PAGE = 'resources/views/app.blade.php';

/** The shapes of the server's answers, as the code says them: what is kept in another shape is of no use to this build. */
const SHAPES = readdirSync('app/Http/Data')
  .sort()
  .reduce((hash, file) => hash.update(readFileSync(`app/Http/Data/${file}`, 'utf8')), createHash('sha256'))
  .digest('hex')
  .slice(0, 16);

/** The page of a personal link; its worker and what that keeps are its own, apart from the teachers'. */
const MINE = 'resources/views/mine.blade.php';

const FIRST =
  /node_modules[\\/](?:react|react-dom|scheduler|use-sync-external-store|wouter|regexparam|@tanstack[\\/](?:react-query|query-core)|openapi-fetch|idb|rosetta|dlv|templite|ulid)[\\/]|resources[\\/]js[\\/](?:api[\\/](?:client|device|stores|outbox|lease|noted|commands|keys|queries|queryClient|touched|kept)|messages[\\/](?:index|say|en[\\/]first))/;

/** The programs that an entry loads or may load, and of the catalogue what its page says: a student's phone gets no teacher's pages. */
function filesOf(entry: string): string[] {
  type Part = { file: string; imports?: string[]; dynamicImports?: string[] };
  const parts = JSON.parse(readFileSync('public/build/manifest.json', 'utf8')) as Record<string, Part>;
  const found = new Set<string>();
  const add = (name: string): void => {
    const words = /messages\/\w+\/(\w+)\.json$/.exec(name)?.[1];
    const part = parts[name];
    if (part === undefined || found.has(part.file) || (words !== undefined && !(WORDS as readonly string[]).includes(words)))
      return;
    found.add(part.file);
    for (const next of [...(part.imports ?? []), ...(part.dynamicImports ?? [])]) add(next);
  };
  add(entry);
  return [...found];
}

function minePages(): Plugin {
  return {
    name: 'mine-worker',
    apply: 'build',
    async closeBundle() {
      await generateSW({
        swDest: 'public/mine/sw.js',
        globDirectory: 'public/build',
        globPatterns: [...filesOf('resources/js/mine/mine.tsx'), 'assets/*.css', 'assets/{alegreya,atkinson}*latin-wght*.woff2'],
        modifyURLPrefix: { '': '/build/' },
        maximumFileSizeToCacheInBytes: 4_000_000,
        cacheId: 'gorvan-mine',
        inlineWorkboxRuntime: true,
        sourcemap: false,
        manifestTransforms: [
          (entries) => {
            const all = entries.map((entry) => `${entry.url}${String(entry.revision)}`).join() + readFileSync(MINE, 'utf8');
            const revision = createHash('sha256').update(all).digest('hex').slice(0, 16);
            return { manifest: [...entries, { url: '/mine/home', revision, size: 0 }], warnings: [] };
          },
        ],
        navigateFallback: '/mine/home',
        navigateFallbackDenylist: [/^\/mine\/api/],
        cleanupOutdatedCaches: true,
        clientsClaim: true,
        skipWaiting: true,
      });
    },
  };
}

export default defineConfig({
  define: { __SHAPES__: JSON.stringify(SHAPES) },
  plugins: [
    laravel({ input: ['resources/css/app.css', 'resources/js/main.tsx', 'resources/js/mine/mine.tsx'], refresh: true }),
    react(),
    tailwindcss(),
    minePages(),
    VitePWA({
      // A new version waits until somebody says so: it never interrupts a class.
      registerType: 'prompt',
      injectRegister: null,
      // The worker stands at the root, so that it is asked for every address.
      outDir: 'public',
      filename: 'sw.js',
      base: '/',
      scope: '/',
      buildBase: '/build/',
      manifest: false, // public/gorvan.webmanifest
      workbox: {
        globDirectory: 'public/build',
        globPatterns: ['assets/*.{js,css}', 'assets/{alegreya,atkinson}*latin-wght*.woff2'],
        modifyURLPrefix: { '': '/build/' },
        maximumFileSizeToCacheInBytes: 4_000_000,
        manifestTransforms: [
          (entries) => {
            const all = entries.map((entry) => `${entry.url}${String(entry.revision)}`).join() + readFileSync(PAGE, 'utf8');
            const revision = createHash('sha256').update(all).digest('hex').slice(0, 16);
            return { manifest: [...entries, { url: '/', revision, size: 0 }], warnings: [] };
          },
        ],
        navigateFallback: '/',
        navigateFallbackDenylist: [/^\/api\//, /^\/mine\//, /^\/sanctum\//, /^\/feed\//, /^\/up$/, /\.\w+$/],
        // Chinese titles come in a hundred small files: those that were seen once are kept.
        runtimeCaching: [
          {
            urlPattern: ({ url, sameOrigin }) => sameOrigin && /^\/build\/assets\/.*\.woff2?$/.test(url.pathname),
            handler: 'CacheFirst',
            options: { cacheName: 'type', expiration: { maxEntries: 200 } },
          },
        ],
        cleanupOutdatedCaches: true,
        clientsClaim: true,
        skipWaiting: false,
      },
    }),
  ],
  build: {
    chunkSizeWarningLimit: 900,
    assetsInlineLimit: 0,
    rolldownOptions: {
      output: {
        // What every page needs of others' programs and of our own comes in one piece: it is smaller so than in five.
        codeSplitting: { groups: [{ name: 'first', test: FIRST }] },
        // The first page names all the others' programs: short names make it lighter.
        chunkFileNames: 'assets/[hash:7].js',
      },
    },
  },
});
