/**
 * The service worker keeps the application in this browser, so that it opens without a network. Browsers allow one only
 * at a secure address: https, or this machine itself.
 */
let waitingWorker: ServiceWorker | null = null;
let isReloading = false;
const readers = new Set<() => void>();

/** Whether this address may keep the application. */
export const canKeepPages = (): boolean => window.isSecureContext && 'serviceWorker' in navigator;

/** Whether a new version waits to be used. */
export const hasNewVersion = (): boolean => waitingWorker !== null;

export function onNewVersion(reader: () => void): () => void {
  readers.add(reader);
  return () => readers.delete(reader);
}

function found(worker: ServiceWorker | null): void {
  waitingWorker = worker;
  for (const reader of readers) reader();
}

/** How often an open page asks whether there is a new version, milliseconds. */
const ASK_MS = 3_600_000;

export async function startWorker(): Promise<void> {
  if (!canKeepPages()) return;
  const registration = await navigator.serviceWorker.register('/sw.js', { scope: '/', updateViaCache: 'none' });
  const watch = (worker: ServiceWorker | null) => {
    worker?.addEventListener('statechange', () => {
      // The very first one replaces nothing.
      if (worker.state === 'installed' && navigator.serviceWorker.controller !== null) found(worker);
    });
  };
  if (registration.waiting !== null && navigator.serviceWorker.controller !== null) found(registration.waiting);
  watch(registration.installing);
  registration.addEventListener('updatefound', () => {
    watch(registration.installing);
  });
  setInterval(() => void registration.update().catch(() => undefined), ASK_MS);
}

/** Takes the new version, in this tab and, from their next page on, in the others. */
export function takeNewVersion(): void {
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    if (isReloading) return;
    isReloading = true;
    window.location.reload();
  });
  waitingWorker?.postMessage({ type: 'SKIP_WAITING' });
}
