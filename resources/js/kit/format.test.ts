import { expect, test } from 'vitest';
import { duration, laterClock, number, ranges, recall } from './format';

test('numbers in order are told as ranges', () => {
  expect(ranges([1, 2, 3, 7, 9, 10])).toBe('1–3, 7, 9–10');
  expect(ranges([])).toBe('');
});

test('a recall is two digits, and never looks like 1 when it is less', () => {
  expect([0.824, 0.994, 0.996, null].map(recall)).toEqual(['.82', '.99', '1.0', '–']);
});

test('minutes run past the hour and past midnight', () => {
  expect(laterClock('19:50', 15)).toBe('20:05');
  expect(laterClock('23:50', 15)).toBe('00:05');
});

test('times and numbers are short', () => {
  expect([45, 60, 948].map(duration)).toEqual(['45 s', '1 min', '15 min 48 s']);
  expect([number(4), number(0.5), number(3.25)]).toEqual(['4', '0.5', '3.25']);
  // The noughts of a whole number are not decimals.
  expect([number(40, 0), number(100, 0), number(0), number(39.96, 1)]).toEqual(['40', '100', '0', '40']);
});
