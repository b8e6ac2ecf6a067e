import { device } from './device';

/** Longer than a request may take, so that nobody else begins while one is under way; milliseconds. */
export const LEASE_MS = 30_000;

const tab = Math.random().toString(36).slice(2) + Date.now().toString(36);

/**
 * Lets one tab at a time do something: whoever holds the lease, until it is given back or has run out. It lies in
 * IndexedDB, since the browser's own locks need a secure address.
 */
export async function takeLease(name: string, holder: string = tab, now: number = Date.now()): Promise<boolean> {
  return device.transaction('rw', device.leases, async () => {
    const held = await device.leases.get(name);
    if (held !== undefined && held.holder !== holder && held.until > now) return false;
    await device.leases.put({ name, holder, until: now + LEASE_MS });
    return true;
  });
}

export async function giveLeaseBack(name: string, holder: string = tab): Promise<void> {
  await device.transaction('rw', device.leases, async () => {
    const held = await device.leases.get(name);
    if (held?.holder === holder) await device.leases.delete(name);
  });
}
