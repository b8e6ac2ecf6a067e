/**
 * What time it is. A device's clock may be a day off; the server says with every answer what its own says, and that decides
 * which class is on, and when something was seen.
 */
const KEPT = 'gorvan.clock';
/** So far two clocks may be apart without anybody noticing, and answers under way: no more is made of it; milliseconds. */
const NEGLIGIBLE_MS = 60_000;
/** From here on a person is told. */
const TOLD_MS = 5 * 60_000;

let ahead = kept();
const readers = new Set<() => void>();

function kept(): number {
  try {
    const found = Number(localStorage.getItem(KEPT));
    return Number.isFinite(found) ? found : 0;
  } catch {
    return 0; // a browser that keeps nothing asks anew
  }
}

/** By how much the school's time is ahead of this device's clock, as it was last heard; milliseconds. */
export const serverAhead = (): number => ahead;

/** The same where it is worth a word to a person; 0 else. */
export const toldAhead = (): number => (Math.abs(ahead) < TOLD_MS ? 0 : ahead);

/** Now, as the school has it; milliseconds since 1970. */
export const now = (): number => Date.now() + ahead;

/** The same as an instant in text. */
export const nowText = (): string => new Date(now()).toISOString();

export function onClock(reader: () => void): () => void {
  readers.add(reader);
  return () => readers.delete(reader);
}

/** Takes from an answer what time the server has. */
export function hear(answer: Response, device: number = Date.now()): void {
  const said = Date.parse(answer.headers.get('Date') ?? '');
  if (Number.isNaN(said)) return;
  const heard = Math.abs(said - device) < NEGLIGIBLE_MS ? 0 : said - device;
  if (Math.abs(heard - ahead) < NEGLIGIBLE_MS && (heard === 0) === (ahead === 0)) return;
  ahead = heard;
  try {
    localStorage.setItem(KEPT, String(heard));
  } catch {
    // full or forbidden: the next answer says it again
  }
  for (const reader of readers) reader();
}
