import { ulid } from 'ulid';
import { askedSince, type Edited, isPassing, Problem, send, Unreachable } from './client';
import { type Command, keyOf, type Kept, wire } from './commands';
import { device } from './device';
import { giveLeaseBack, takeLease } from './lease';
import { note, notedOf, unnote } from './noted';

/**
 * What was done here and has not reached the server: commands, kept in this browser, sent one after the other by one tab
 * at a time. Every id is made here, so that sending again changes nothing that did arrive.
 */
export type Link =
  /** Nothing is known to be wrong. */
  | 'fine'
  | 'unreachable'
  | 'signedOut'
  /** It answered, and could not do it now. */
  | 'trouble';

export interface Outbox {
  kept: Kept[];
  link: Link;
  /** Which is under way. */
  sending: string | null;
  /** Whether this browser could write it down; where not, it lives as long as this tab. */
  isDurable: boolean;
}

export type Outcome = { kind: 'sent'; answer: unknown } | { kind: 'refused'; problem: Problem };
type Listener = (command: Command, outcome: Outcome) => void;

const LEASE = 'sender';
const FIRST_RETRY = 2_000;
const LAST_RETRY = 60_000;
/** What is not there, or not allowed, may be again soon: so seldom it is asked again; milliseconds. */
export const PATIENT_RETRY_MS = 60_000;
const LAST_PATIENT_RETRY_MS = 30 * 60_000;
/** Shorter than the lease: no request outlives the right to send it. */
const REQUEST_MS = 20_000;

let state: Outbox = { kept: [], link: 'fine', sending: null, isDurable: true };
let owner = '';
let failures = 0;
let timer: ReturnType<typeof setTimeout> | undefined;
let queue: Promise<void> = Promise.resolve();
let lastOrder = 0;
let stopWatching: (() => void) | undefined;
/** What is here and not yet in the database, and what is no longer here though it may still be in it; by revision. */
const unwritten = new Map<string, Kept>();
const gone = new Map<string, number>();

const readers = new Set<() => void>();
const listeners = new Set<Listener>();
/** Tells the other tabs what the server answered, so that their pages know it as well. */
const others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('gorvan.outbox');
others?.addEventListener('message', (event: MessageEvent<{ command: Command; answer: unknown }>) => {
  for (const listener of listeners) listener(event.data.command, { kind: 'sent', answer: event.data.answer });
});
if (typeof window !== 'undefined') {
  window.addEventListener('online', () => {
    failures = 0;
    void flush();
  });
  // What could not be written down lives as long as this tab: it is not closed over it unasked.
  window.addEventListener('beforeunload', (event) => {
    if (!state.isDurable && waiting().length > 0) event.preventDefault();
  });
}

export const outbox = (): Outbox => state;

export function onChange(reader: () => void): () => void {
  readers.add(reader);
  return () => readers.delete(reader);
}

/** Is told what the server says to each command. Returns how to stop listening. */
export function onOutcome(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function set(change: Partial<Outbox>): void {
  if (Object.entries(change).every(([key, value]) => state[key as keyof Outbox] === value)) return;
  state = { ...state, ...change };
  for (const reader of readers) reader();
}

function put(kept: Kept): void {
  set({ kept: [...state.kept.filter((one) => one.id !== kept.id), kept].sort((a, b) => a.order - b.order) });
}

/** Whose commands may be sent: only those of the person signed in. */
export async function openOutbox(person: string): Promise<void> {
  if (owner !== person) {
    owner = person;
    failures = 0;
    stopWatching?.();
    unwritten.clear();
    gone.clear();
    set({ kept: [], link: 'fine', sending: null });
  }
  const noted = notedOf(person);
  for (const one of noted) unwritten.set(one.id, one);
  await read();
  for (const one of noted) void write(one);
  watch(person);
  void flush();
}

/** Says that this browser's database is the one that was written into. */
const SEAL = 'seal';

/**
 * Reads again what other tabs may have written. A database without its seal was cleared, by a person or a browser that ran out
 * of room: nothing of it was sent by another tab, and what this one still knows is written down again.
 */
async function read(): Promise<void> {
  const person = owner;
  const [all, seal] = await Promise.all([device.commands.all(), device.leases.get(SEAL)]);
  if (person !== owner) return;
  const lost =
    seal === undefined ? state.kept.filter((one) => !all.some((other) => other.id === one.id) && !gone.has(one.id)) : [];
  for (const one of lost) unwritten.set(one.id, one);
  take(all.filter((one) => one.person === person));
  if (seal === undefined) await device.leases.put({ name: SEAL, holder: '', until: 0 });
  for (const one of lost) void write(one);
}

function watch(person: string): void {
  stopWatching?.();
  let isReading = false;
  let isOld = false;
  stopWatching = device.commands.onChange(() => {
    isOld = true;
    if (isReading) return; // however many changes there are meanwhile, they are read once
    isReading = true;
    const readAll = async () => {
      while (isOld) {
        isOld = false;
        await read();
      }
      if (person === owner && state.kept.some(isOpen) && timer === undefined && state.sending === null) schedule(FIRST_RETRY);
    };
    readAll()
      .catch(() => {
        set({ isDurable: false });
      })
      .finally(() => {
        isReading = false;
      });
  });
}

function take(found: Kept[]): void {
  const known = new Map(found.map((one) => [one.id, one]));
  for (const [id, revision] of gone) {
    if (known.get(id)?.revision === revision) known.delete(id);
    else gone.delete(id);
  }
  for (const [id, one] of unwritten) {
    if ((known.get(id)?.revision ?? -1) <= one.revision) known.set(id, one);
  }
  const now = [...known.values()].sort((a, b) => a.order - b.order);
  const said = (all: Kept[]) =>
    all.map((one) => `${one.id}/${String(one.revision)}/${String(one.refusal?.status)}/${String(one.again?.next)}`).join();
  // What is read back as it was is no news: nothing is drawn again for it.
  if (said(now) !== said(state.kept)) set({ kept: now });
}

/** Keeps a command, shows it at once, and sends everything that is kept, oldest first. Settles once it is written down. */
export async function post(command: Command, needs: string[] = []): Promise<string> {
  const fresh = ulid();
  const key = keyOf(command, fresh);
  const before = state.kept.find((one) => one.key === key);
  lastOrder = Math.max(lastOrder + 0.001, performance.timeOrigin + performance.now());
  const kept: Kept =
    before === undefined
      ? { id: fresh, person: owner, key, revision: 0, order: lastOrder, needs, command, refusal: null }
      : { ...before, revision: before.revision + 1, command, refusal: null, again: undefined };
  unwritten.set(kept.id, kept);
  put(kept);
  const written = write(kept);
  void written.then(() => flush());
  await written;
  return kept.id;
}

async function write(kept: Kept): Promise<void> {
  note(kept);
  try {
    await device.commands.put(kept);
    unnote(kept);
    if (unwritten.get(kept.id)?.revision === kept.revision) unwritten.delete(kept.id);
  } catch {
    // A full or forbidden store: it is sent all the same, and said to live only as long as this tab.
    set({ isDurable: false });
  }
}

/** A refused command is tried once more, as it is. */
export async function tryAgain(id: string): Promise<void> {
  const kept = state.kept.find((one) => one.id === id);
  if (kept === undefined) return;
  const again = { ...kept, revision: kept.revision + 1, refusal: null, again: undefined };
  unwritten.set(id, again);
  put(again);
  await write(again);
  await flush();
}

/** A person has seen it and lets it go, and with it whatever cannot be without it, unless that is said otherwise. */
export async function letGo(id: string, { isAlone = false } = {}): Promise<void> {
  const going = state.kept.filter((one) => one.id === id || (!isAlone && one.needs.includes(id)));
  for (const one of going) await remove(one);
  if (isAlone) await flush();
}

/** Commands that take the place of a refused one, where it stood in the order. */
export async function putInstead(id: string, commands: Command[]): Promise<void> {
  const kept = state.kept.find((one) => one.id === id);
  if (kept === undefined) return;
  const following = state.kept.find((one) => one.order > kept.order)?.order ?? kept.order + 1;
  for (const [nth, command] of commands.entries()) {
    const one: Kept = {
      ...kept,
      ...(nth === 0 ? { revision: kept.revision + 1 } : { id: ulid(), revision: 0 }),
      key: nth === 0 ? kept.key : `${kept.key}/${ulid()}`,
      order: kept.order + ((following - kept.order) * nth) / commands.length,
      command,
      refusal: null,
    };
    unwritten.set(one.id, one);
    put(one);
    await write(one);
  }
  await flush();
}

/** What else is edited of a form was seen after what has just been made of it. */
async function rebase(form: string, version: number): Promise<void> {
  for (const kept of state.kept) {
    if (kept.command.kind !== 'edits' || kept.command.form !== form || kept.command.base >= version) continue;
    const one: Kept = { ...kept, command: { ...kept.command, base: version } };
    unwritten.set(one.id, one);
    put(one);
    await write(one);
  }
}

async function remove(kept: Kept): Promise<void> {
  gone.set(kept.id, kept.revision);
  unnote(kept);
  await device.commands
    // Where a newer word came in meanwhile, that is still to be sent.
    .change(kept.id, (now) => (now?.revision === kept.revision ? undefined : now))
    .catch(() => {
      set({ isDurable: false });
    });
  const here = state.kept.find((one) => one.id === kept.id);
  if (here?.revision === kept.revision) {
    unwritten.delete(kept.id);
    set({ kept: state.kept.filter((one) => one.id !== kept.id) });
  }
}

const isOpen = (kept: Kept): boolean => kept.refusal === null;

/** Whether something is to be asked again later, and not now; a time further ahead than it can be was set by a wrong clock. */
const isPutOff = (kept: Kept, at: number): boolean =>
  kept.again !== undefined && kept.again.next > at && kept.again.next <= at + LAST_PATIENT_RETRY_MS;

/** Whether it takes back something that is still here. */
const takesBack = (kept: Kept, one: Kept): boolean =>
  kept.command.kind === 'withdrawals' &&
  one.order < kept.order &&
  kept.command.withdrawals.some(
    ({ of }) =>
      (one.command.kind === 'marks' && one.command.marks.some((mark) => mark.id === of)) ||
      (one.command.kind === 'log' && one.command.log.id === of),
  );

/** The next that can be sent: what waits for a refused one, or for one that is asked again later, waits with it. */
function next(): Kept | undefined {
  const here = new Set(state.kept.map((one) => one.id));
  const at = Date.now();
  const later = state.kept.filter((one) => isOpen(one) && isPutOff(one, at));
  return state.kept.find(
    (one) =>
      isOpen(one) &&
      !later.includes(one) &&
      !one.needs.some((id) => here.has(id)) &&
      !later.some((other) => takesBack(one, other)),
  );
}

/** Comes back when the first of those that were put off is due. */
function comeBack(): void {
  const at = Date.now();
  const due = state.kept.filter((one) => isOpen(one) && isPutOff(one, at)).map((one) => one.again?.next ?? at);
  if (due.length > 0 && timer === undefined) schedule(Math.min(...due) - at + 50);
}

/** What waits to be sent, in order; those that were refused are not among them. */
export const waiting = (): Kept[] => state.kept.filter(isOpen);
export const refused = (): Kept[] => state.kept.filter((one) => !isOpen(one));

/** Sends what waits, as far as it goes. */
export function flush(): Promise<void> {
  queue = queue.then(run, run);
  return queue;
}

async function run(): Promise<void> {
  clearTimeout(timer);
  timer = undefined;
  if (owner === '') return;
  if (next() === undefined) {
    comeBack();
    return;
  }
  if (!(await takeLease(LEASE).catch(() => true))) {
    schedule(FIRST_RETRY); // another tab is sending
    return;
  }
  try {
    await read().catch(() => undefined);
    for (let kept = next(); kept !== undefined; kept = next()) {
      if (!(await takeLease(LEASE).catch(() => true))) break;
      if (!(await one(kept))) break;
    }
  } finally {
    set({ sending: null });
    await giveLeaseBack(LEASE).catch(() => undefined);
    comeBack();
  }
}

/** Sends one; false where it is no use to go on. */
async function one(kept: Kept): Promise<boolean> {
  set({ sending: kept.id });
  const person = kept.person;
  const { method, url, body } = wire(kept.command);
  try {
    const answer = await send(method, url, body, { person, timeout: REQUEST_MS });
    if (person !== owner) return false;
    tell(kept.command, { kind: 'sent', answer });
    others?.postMessage({ command: kept.command, answer });
    await remove(kept);
    if (kept.command.kind === 'edits') await rebase(kept.command.form, (answer as Edited).score.version);
    failures = 0;
    if (state.link !== 'fine') set({ link: 'fine' });
    return true;
  } catch (error) {
    if (!(error instanceof Unreachable) && !(error instanceof Problem)) throw error;
    if (person !== owner) return false;
    if (error instanceof Problem && !isPassing(error)) {
      if (!(await putOff(kept, error))) await refuse(kept, error);
      return true;
    }
    set({ link: linkOf(error) });
    failures++;
    schedule(Math.min(LAST_RETRY, FIRST_RETRY * 2 ** Math.min(failures - 1, 5)) * (0.75 + Math.random() / 2));
    return false;
  }
}

const linkOf = (error: Problem | Unreachable): Link => {
  if (error instanceof Unreachable) return 'unreachable';
  return error.status === 401 || error.status === 419 ? 'signedOut' : 'trouble';
};

/** Has it asked again later, where it may come back, and holds nothing else back. False where it has been asked long enough. */
async function putOff(kept: Kept, problem: Problem): Promise<boolean> {
  const at = Date.now();
  const since = askedSince(problem, kept.again?.since, at);
  if (since === null) return false;
  const here = state.kept.find((one) => one.id === kept.id);
  if (here?.revision === kept.revision) {
    const waited = Math.min(LAST_PATIENT_RETRY_MS, Math.max(PATIENT_RETRY_MS, at - since));
    const later: Kept = { ...kept, again: { since, next: at + waited } };
    unwritten.set(later.id, later);
    put(later);
    await write(later);
  }
  set({ link: 'fine' });
  return true;
}

async function refuse(kept: Kept, problem: Problem): Promise<void> {
  const here = state.kept.find((one) => one.id === kept.id);
  if (here?.revision === kept.revision) {
    const seen = { ...kept, again: undefined, refusal: { status: problem.status, code: problem.code, message: problem.message } };
    unwritten.set(seen.id, seen);
    put(seen);
    await write(seen);
  }
  set({ link: 'fine' });
  tell(kept.command, { kind: 'refused', problem });
}

function schedule(after: number): void {
  clearTimeout(timer);
  timer = setTimeout(() => void flush(), after);
}

function tell(command: Command, outcome: Outcome): void {
  for (const listener of listeners) listener(command, outcome);
}

/** Forgets in this tab whose commands they are: nothing is sent until somebody is signed in. */
export function closeOutbox(): void {
  owner = '';
  clearTimeout(timer);
  timer = undefined;
  stopWatching?.();
  stopWatching = undefined;
  unwritten.clear();
  gone.clear();
  set({ kept: [], link: 'fine', sending: null });
}
