import { isMonthFirst } from './format';

/** Days and times as a person writes them, read into what the server takes. */

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

function isoOf(year: number, month: number, date: number): string | null {
  const day = new Date(Date.UTC(year, month - 1, date, 12));
  const isReal = day.getUTCFullYear() === year && day.getUTCMonth() === month - 1 && day.getUTCDate() === date;
  return isReal && year >= 1900 && year <= 9999 ? day.toISOString().slice(0, 10) : null;
}

/**
 * `2026-12-10`, `10 Dec 2026`, `Dec 10, 2026`, `10.12.2026` and `10/12/2026`, where the school writes the day first, else
 * `12/10/2026`; null where it is none of these.
 */
export function readDay(text: string): string | null {
  const plain = text.trim().toLowerCase().replace(/,/g, ' ').replace(/\s+/g, ' ');
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(plain);
  if (iso) return isoOf(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const figures = /^(\d{1,2})[./ ](\d{1,2})[./ ](\d{4})$/.exec(plain);
  if (figures) {
    const [one, two] = [Number(figures[1]), Number(figures[2])];
    return isMonthFirst() ? isoOf(Number(figures[3]), one, two) : isoOf(Number(figures[3]), two, one);
  }
  const turned = plain.replace(/^((?:[a-z]{3,9} )?)([a-z]{3,9})\.? (\d{1,2}) (\d{4})$/, '$1$3 $2 $4');
  const named = /^(?:[a-z]{3,9} )?(\d{1,2})\.? ([a-z]{3,9})\.? (\d{4})$/.exec(turned);
  const month = named ? MONTHS.indexOf((named[2] ?? '').slice(0, 3)) : -1;
  return named && month >= 0 ? isoOf(Number(named[3]), month + 1, Number(named[1])) : null;
}

/** `19:00`, `19.00`, `1900`, `7 pm`, `7:30 pm`; null where it is none of these. */
export function readTime(text: string): string | null {
  const found = /^(\d{1,2})(?:[:.h]?(\d{2}))? ?(am|pm)?$/.exec(text.trim().toLowerCase().replace(/\s/g, ' '));
  if (!found) return null;
  const half = found[3];
  const hours = Number(found[1]);
  const minutes = Number(found[2] ?? '0');
  if (half !== undefined && (hours < 1 || hours > 12)) return null;
  const whole = half === undefined ? hours : (hours % 12) + (half === 'pm' ? 12 : 0);
  return whole > 23 || minutes > 59 ? null : `${String(whole).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`;
}

/** The days of the weeks a month touches; a week starts with day 1, which is Monday, to 7, which is Sunday. */
export function weeksOf(month: string, starts = 1): string[][] {
  const first = new Date(`${month}-01T12:00:00Z`);
  const start = first.getTime() - ((first.getUTCDay() + 7 - (starts % 7)) % 7) * 86_400_000;
  const weeks: string[][] = [];
  for (let week = 0; week < 6; week++) {
    const days = Array.from({ length: 7 }, (_, at) => new Date(start + (week * 7 + at) * 86_400_000).toISOString().slice(0, 10));
    if (week > 0 && !days.some((one) => one.startsWith(month))) break;
    weeks.push(days);
  }
  return weeks;
}

/** A month `YYYY-MM`, so many months on. */
export function monthLater(month: string, by: number): string {
  const [year = 2000, of = 1] = month.split('-').map(Number);
  return new Date(Date.UTC(year, of - 1 + by, 1, 12)).toISOString().slice(0, 7);
}

/** A day as one would say it, the year left out where it is the one nearest to today: `3 Dec`, or `3 Dec 2026`. */
export function readDayNear(text: string, today: string): string | null {
  const whole = readDay(text);
  if (whole !== null) return whole;
  const year = Number(today.slice(0, 4));
  const near = [year - 1, year, year + 1].map((one) => readDay(`${text} ${String(one)}`)).filter((one) => one !== null);
  const away = (one: string) => Math.abs(Date.parse(one) - Date.parse(today));
  return near.sort((a, b) => away(a) - away(b))[0] ?? null;
}
