/** A day `YYYY-MM-DD` as the school writes it; the day itself has no time zone. */
export function day(on: string, style: 'long' | 'short' | 'weekday' | 'numbered' | 'month' = 'short'): string {
  const options: Intl.DateTimeFormatOptions =
    style === 'long'
      ? { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' }
      : style === 'weekday'
        ? { weekday: 'short', day: 'numeric', month: 'short' }
        : style === 'numbered'
          ? { day: 'numeric', month: 'short', year: 'numeric' }
          : style === 'month'
            ? { month: 'long', year: 'numeric' }
            : { day: 'numeric', month: 'short' };
  return new Intl.DateTimeFormat('en-GB', { ...options, timeZone: 'UTC' }).format(new Date(`${on}T12:00:00Z`));
}

/** The local time of an instant that carries the school's offset. */
export function clock(instant: string): string {
  return instant.slice(11, 16);
}

/** Minutes later than a local time `HH:MM`. */
export function laterClock(at: string, minutes: number): string {
  const [hours = 0, mins = 0] = at.split(':').map(Number);
  const total = (hours * 60 + mins + minutes + 1440) % 1440;
  return `${String(Math.floor(total / 60)).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}`;
}

/** A number as it is read, halves rounded away from nothing, as the server rounds them: 0.575 is .58, whatever its last bits say. */
export function number(value: number, places = 2): string {
  const scale = 10 ** places;
  const written = ((Math.sign(value) * Math.round(Number((Math.abs(value) * scale).toFixed(6)))) / scale).toFixed(places);
  return written.includes('.') ? written.replace(/\.?0+$/, '') : written;
}

/** A share 0..1 as a teacher reads it: 82 %. */
export function share(value: number | null): string {
  return value === null ? '–' : `${number(100 * value, 0)} %`;
}

export function duration(seconds: number): string {
  const minutes = Math.floor(seconds / 60);
  const rest = Math.round(seconds % 60);
  return minutes === 0 ? `${String(rest)} s` : rest === 0 ? `${String(minutes)} min` : `${String(minutes)} min ${String(rest)} s`;
}

/** Numbers in order as ranges: 1–3, 7, 9–10. */
export function ranges(numbers: number[]): string {
  const parts: string[] = [];
  for (let at = 0; at < numbers.length; at++) {
    const first = numbers[at] as number;
    let last = first;
    while (numbers[at + 1] === last + 1) last = numbers[++at] as number;
    parts.push(first === last ? String(first) : `${String(first)}–${String(last)}`);
  }
  return parts.join(', ');
}

const LIST = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** Words one after the other: "a, b and c". */
export function list(words: string[]): string {
  return LIST.format(words);
}
