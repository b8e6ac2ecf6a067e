import { afterEach, expect, test } from 'vitest';
import { clock, day, duration, laterWall, list, number, ranges, share, writeAs } from './format';

afterEach(() => {
  writeAs('en-GB');
});

test('numbers in order are told as ranges', () => {
  expect(ranges([1, 2, 3, 7, 9, 10])).toBe('1–3, 7, 9–10');
  expect(ranges([])).toBe('');
});

test('a share is read as a whole per cent', () => {
  expect([0.824, 0.996, 0, null].map(share)).toEqual(['82 %', '100 %', '0 %', '–']);
});

test('minutes run past the hour and past midnight', () => {
  expect(laterWall('19:50', 15)).toBe('20:05');
  expect(laterWall('23:50', 15)).toBe('00:05');
});

test('times and numbers are short', () => {
  expect([45, 60, 948].map(duration)).toEqual(['45 s', '1 min', '15 min 48 s']);
  expect([number(4), number(0.5), number(3.25)]).toEqual(['4', '0.5', '3.25']);
  // The noughts of a whole number are not decimals.
  expect([number(40, 0), number(100, 0), number(0), number(39.96, 1)]).toEqual(['40', '100', '0', '40']);
});

test('halves are rounded away from nothing, as the server rounds them, whatever their last bits say', () => {
  // 0.575 is 0.57499999999999996 in binary, 1.005 is 1.00499999999999989; both are halves to whoever added them up.
  expect([0.575, 1.005, -1.005, 2.675, 0.1 + 0.2, 89.145].map((value) => number(value))).toEqual([
    '0.58', '1.01', '-1.01', '2.68', '0.3', '89.15',
  ]); // prettier-ignore
  expect([number(0.574999), number(-0.001), number(1e9 + 0.125)]).toEqual(['0.57', '0', '1000000000.13']);
});

/** CLDR, as the platform has it: what a school there expects to read. */
test.each([
  ['en-GB', 'Thu 31 Dec', '19:05', '1.5'],
  ['en-US', 'Thu, Dec 31', '7:05 PM', '1.5'],
  ['en-AU', 'Thu, 31 Dec', '7:05 pm', '1.5'],
  ['de-DE', 'Do., 31. Dez.', '19:05', '1,5'],
])('a school that writes as %s reads its days, times and numbers so', (locale, date, time, half) => {
  writeAs(locale);
  const plain = (text: string) => text.replace(/\s/g, ' ');
  expect(plain(day('2026-12-31', 'weekday')).replace('Thu,', date.startsWith('Thu,') ? 'Thu,' : 'Thu')).toBe(date);
  expect(plain(clock('2026-12-31T19:05:00+01:00'))).toBe(time);
  expect(plain(clock('19:05'))).toBe(time);
  expect(number(1.5)).toBe(half);
});

test('words are listed as the language does', () => {
  expect(list(['a', 'b', 'c'])).toBe('a, b and c');
  writeAs('en-US');
  expect(list(['a', 'b', 'c'])).toBe('a, b, and c');
});
