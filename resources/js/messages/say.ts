import { day } from '../kit/format';
import { hasWords, type Key, t, words as fetchWords } from './index';

/** What the server says: a code of the catalogue (under `told`), and what it is said with. */
export interface Said {
  code: string;
  with: Record<string, unknown>;
}

const isSaid = (value: unknown): value is Said =>
  typeof value === 'object' && value !== null && 'code' in value && typeof value.code === 'string';

/** Words by a code the server made, which no type here can know. Where they are not there yet they are fetched, and it is said again. */
function words(code: string, values: Record<string, string>, count?: number): string {
  if (!hasWords(`told.${code}`)) {
    void fetchWords('told').catch(() => undefined);
    return code;
  }
  return t(`told.${code}` as Key, count === undefined ? values : { ...values, count });
}

/** Numbers in order, with what runs on as a range: 1 to 3, 7. */
function inRanges(numbers: number[]): string {
  const parts: string[] = [];
  for (let at = 0; at < numbers.length; at++) {
    const first = numbers[at] as number;
    let last = first;
    while (numbers[at + 1] === last + 1) last = numbers[++at] as number;
    parts.push(first === last ? String(first) : words('list.range', { from: String(first), to: String(last) }));
  }
  return parts.join(', ');
}

function value(one: unknown): string {
  if (isSaid(one)) return say(one);
  if (Array.isArray(one)) {
    if (one.length > 0 && one.every((each) => Number.isInteger(each))) return inRanges(one as number[]);
    const all = one.map(value);
    const last = all.pop() ?? '';
    return all.length === 0 ? last : words('list.and', { first: all.join(', '), last });
  }
  if (typeof one === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(one)) return day(one, 'weekday');
  return typeof one === 'string' || typeof one === 'number' || typeof one === 'boolean' ? String(one) : '–';
}

/** The words of a message. The server has the same rule for the shell, over the same catalogue. */
export function say({ code, with: told }: Said): string {
  const count = typeof told.count === 'number' ? told.count : undefined;
  return words(code, Object.fromEntries(Object.entries(told).map(([key, one]) => [key, value(one)])), count);
}

/** A message as a sentence of its own: with a capital, and an end. */
export function sentence(message: Said): string {
  const text = say(message);
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}${/[.!?]$/.test(text) ? '' : '.'}`;
}
