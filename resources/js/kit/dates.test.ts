import { expect, test } from 'vitest';
import { writeAs } from './format';
import { monthLater, readDay, readTime, weeksOf } from './dates';

test.each([
  ['2026-12-10', '2026-12-10'],
  ['10 Dec 2026', '2026-12-10'],
  [' Thu, 10 december 2026 ', '2026-12-10'],
  ['10.12.2026', '2026-12-10'],
  ['1/2/2026', '2026-02-01'],
  ['29 Feb 2028', '2028-02-29'],
  ['29 Feb 2027', null],
  ['31.4.2026', null],
  ['10 Dez 2026', null],
  ['2026-12', null],
  ['', null],
  ['10 Dec 26', null],
  ['Dec 10, 2026', '2026-12-10'],
  ['Thu, Dec 10, 2026', '2026-12-10'],
  ['13/1/2026', '2026-01-13'],
  ['1/13/2026', null],
])('the day %j is read as %j', (text, day) => {
  expect(readDay(text)).toBe(day);
});

test('a week starts on the day it starts on where the school is', () => {
  expect(weeksOf('2026-12')[0]?.[0]).toBe('2026-11-30');
  expect(weeksOf('2026-12', 7)[0]?.[0]).toBe('2026-11-29');
  expect(weeksOf('2026-11', 7)[0]?.[0]).toBe('2026-11-01');
  expect(weeksOf('2026-12', 6)[0]?.[0]).toBe('2026-11-28');
});

test('figures are read as the school writes them: the month first where it does, and then not the day', () => {
  writeAs('en-US');
  try {
    expect(['12/10/2026', '1/13/2026', '13/1/2026', '2026-12-10'].map(readDay)).toEqual([
      '2026-12-10',
      '2026-01-13',
      null,
      '2026-12-10',
    ]);
  } finally {
    writeAs('en-GB');
  }
});

test.each([
  ['19:00', '19:00'],
  ['19.30', '19:30'],
  ['1930', '19:30'],
  ['7', '07:00'],
  ['7 pm', '19:00'],
  ['7:05\u202fPM', '19:05'],
  ['12 am', '00:00'],
  ['12:15pm', '12:15'],
  ['24:00', null],
  ['19:60', null],
  ['13 pm', null],
  ['soon', null],
])('the time %j is read as %j', (text, time) => {
  expect(readTime(text)).toBe(time);
});

test('a month has the weeks it touches, Monday first', () => {
  const weeks = weeksOf('2026-02');
  expect(weeks[0]?.[0]).toBe('2026-01-26');
  expect(weeks.at(-1)?.at(-1)).toBe('2026-03-01');
  expect(weeksOf('2027-02').length).toBe(4); // begins on a Monday and has four weeks
  expect([monthLater('2026-12', 1), monthLater('2026-01', -1)]).toEqual(['2027-01', '2025-12']);
});
