import { t } from '../messages';

/** How the school writes days, times and numbers (BCP 47); as they are written in Britain until the school is known. */
let locale = 'en-GB';

/** From now on everything is written as this school does. */
export function writeAs(school: string): void {
  locale = school;
}

/** Whether figures of a day have the month first, as 12/31 does. */
export function isMonthFirst(): boolean {
  const parts = new Intl.DateTimeFormat(locale).formatToParts(0).map((part) => part.type);
  return parts.indexOf('month') < parts.indexOf('day');
}

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
  return new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' }).format(new Date(`${on}T12:00:00Z`));
}

/** The local time `HH:MM` of an instant that carries the school's offset. */
export function wall(instant: string): string {
  return instant.slice(11, 16);
}

/** A local time as the school writes it, of an instant that carries its offset or of `HH:MM`. */
export function clock(at: string): string {
  const time = at.length > 5 ? wall(at) : at;
  return new Intl.DateTimeFormat(locale, { timeStyle: 'short', timeZone: 'UTC' }).format(new Date(`2000-01-01T${time}:00Z`));
}

/** The examples by which a day and a time are asked for. */
export const dayLike = (): string => day('2026-12-10', 'numbered');
export const timeLike = (): string => clock('19:00');

/** The first day of its week, 1 for Monday to 7 for Sunday; of what the browser does not know, Monday. */
export function weekStart(): number {
  const known = new Intl.Locale(locale) as { getWeekInfo?: () => { firstDay: number }; weekInfo?: { firstDay: number } };
  return (known.getWeekInfo?.() ?? known.weekInfo)?.firstDay ?? 1;
}

/** When something was, by the clock of this device: with its day where that is long ago. */
export function moment(at: number): string {
  const options: Intl.DateTimeFormatOptions = { hour: 'numeric', minute: '2-digit' };
  const isLongAgo = Date.now() - at > 12 * 3_600_000;
  return new Intl.DateTimeFormat(
    locale,
    isLongAgo ? { ...options, weekday: 'long', day: 'numeric', month: 'short' } : options,
  ).format(at);
}

/** Minutes later than a local time `HH:MM`. */
export function laterWall(at: string, minutes: number): string {
  const [hours = 0, mins = 0] = at.split(':').map(Number);
  const total = (hours * 60 + mins + minutes + 1440) % 1440;
  return `${String(Math.floor(total / 60)).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}`;
}

const made = new Map<string, Intl.NumberFormat>();
/** Made once: there are hundreds of numbers on a page. */
function numbers(places: number): Intl.NumberFormat {
  const key = `${locale} ${String(places)}`;
  const format =
    made.get(key) ??
    new Intl.NumberFormat(locale, { maximumFractionDigits: places, useGrouping: false, signDisplay: 'negative' });
  made.set(key, format);
  return format;
}

/** A number as it is read, halves rounded away from nothing, as the server rounds them: 0.575 is .58, whatever its last bits say. */
export function number(value: number, places = 2): string {
  const scale = 10 ** places;
  const rounded = (Math.sign(value) * Math.round(Number((Math.abs(value) * scale).toFixed(6)))) / scale;
  return numbers(places).format(rounded);
}

/** A share 0..1 as a teacher reads it: 82 %. */
export function share(value: number | null): string {
  return value === null ? '–' : `${number(100 * value, 0)} %`;
}

/** So many minutes, as they are read: 7.5 min. */
export const inMinutes = (minutes: number, places = 2): string => t('app.min', { minutes: number(minutes, places) });

export function duration(seconds: number): string {
  const minutes = Math.floor(seconds / 60);
  const rest = t('app.s', { seconds: Math.round(seconds % 60) });
  return minutes === 0 ? rest : Math.round(seconds % 60) === 0 ? inMinutes(minutes) : `${inMinutes(minutes)} ${rest}`;
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

/** Words one after the other: "a, b and c". */
export function list(words: string[]): string {
  return new Intl.ListFormat(locale, { type: 'conjunction' }).format(words);
}
