import { device } from './device';

/** Longer than a request may take, so that nobody else begins while one is under way; milliseconds. */
export const LEASE_MS = 30_000;

const TAB = 'gorvan.tab';

/**
 * What this tab is called. A page that was reloaded is the tab it was, and goes on at once with what it held; a copy of a tab
 * is another one, though the browser hands it the same storage.
 *
 * @param navigation  how the page was opened, as the browser says it
 */
export function tabCalled(navigation: string | undefined, storage: Pick<Storage, 'getItem' | 'setItem'>): string {
  const kept = navigation === 'reload' ? storage.getItem(TAB) : null;
  const name = kept ?? Math.random().toString(36).slice(2) + Date.now().toString(36);
  storage.setItem(TAB, name);
  return name;
}

const opened = () => (performance.getEntriesByType('navigation')[0] as PerformanceNavigationTiming | undefined)?.type;
const tab = tabCalled(opened(), sessionStorage);

/**
 * Lets one tab at a time do something: whoever holds the lease, until it is given back or has run out. It lies in
 * IndexedDB, since the browser's own locks need a secure address.
 */
export async function takeLease(name: string, holder: string = tab, now: number = Date.now()): Promise<boolean> {
  let isMine = false;
  await device.leases.change(name, (held) => {
    // One further ahead than it can be was taken while the clock was wrong, and is none.
    isMine = held === undefined || held.holder === holder || held.until <= now || held.until > now + LEASE_MS;
    return isMine ? { name, holder, until: now + LEASE_MS } : held;
  });
  return isMine;
}

export async function giveLeaseBack(name: string, holder: string = tab): Promise<void> {
  await device.leases.change(name, (held) => (held?.holder === holder ? undefined : held));
}
