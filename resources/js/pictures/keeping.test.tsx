import { cleanup, render, screen, within } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import { groupPrinciples } from '../../../tests/pages/sample';
import type { GroupKeepings, KeepingCell } from '../api/client';
import '../messages';
import { strokeOf } from './keeping';
import { KeepingGlyph } from './KeepingGlyph';
import { KeepingMap } from './KeepingMap';

afterEach(cleanup);

const cell = (change: Partial<KeepingCell>): KeepingCell => ({
  principle: 'row-p1',
  keeping: 'Stopped',
  recall: 0.9,
  sureness: 'good',
  holds: true,
  isAssumed: false,
  ...change,
});

test('a stroke has as many ticks as the ladder has steps: solid while it is recalled, outlined as it fades, dotted unseen', () => {
  expect(strokeOf(cell({}))).toEqual({ ticks: 3, sureness: 'solid' });
  expect(strokeOf(cell({ keeping: 'Throughout', sureness: 'fading' }))).toEqual({ ticks: 4, sureness: 'outlined' });
  expect(strokeOf(cell({ keeping: null, isAssumed: true }))).toEqual({ ticks: 3, sureness: 'dotted' });
  expect(strokeOf(cell({ keeping: null }))).toEqual({ ticks: 1, sureness: 'dotted' });
  expect(strokeOf(undefined)).toEqual({ ticks: 0, sureness: 'none' });
});

test('the glyph lies where the reed stands, so that nobody takes one for the other', () => {
  render(<KeepingGlyph stroke={{ ticks: 2, sureness: 'solid' }} label="Root: Slow" />);
  const glyph = screen.getByRole('img', { name: 'Root: Slow' });
  const [width, height] = (glyph.getAttribute('viewBox') ?? '').split(' ').slice(2).map(Number);
  expect(width).toBeGreaterThan(1.8 * (height ?? 0));
  expect(glyph.querySelectorAll('line')).toHaveLength(3); // the stroke and two ticks
});

test('the map names families, says each standing in words, and what the class keeps on average', () => {
  const data: GroupKeepings = {
    on: '2026-01-20',
    principles: groupPrinciples(),
    names: [{ id: 'ada', name: 'Ada' }],
    students: [{ student: 'ada', keepings: [cell({ sureness: 'fading', recall: 0.7 })] }],
    means: [
      { principle: 'row-p1', mean: 0.7, slips: true, met: 1 },
      { principle: 'row-p2', mean: 0, slips: false, met: 0 },
    ],
  };
  const before = { ...data, students: [{ student: 'ada', keepings: [cell({ keeping: 'Reminded', sureness: 'weak' })] }] };
  render(<KeepingMap data={data} before={before} caption="Where everyone stands" />);
  expect(screen.getByRole('columnheader', { name: 'Shape' })).toBeTruthy();
  const row = within(screen.getByRole('row', { name: /Ada/ }));
  expect(row.getByRole('img', { name: /^Root: Stopped, / })).toBeTruthy();
  expect(row.getByRole('img', { name: /^before: Reminded/ })).toBeTruthy();
  expect(row.getByRole('img', { name: 'Quiet: not worked on yet' })).toBeTruthy();
  const foot = within(screen.getByRole('row', { name: /The class, on average/ }));
  expect(foot.getByText('70 %').className).toContain('persimmon');
  expect(foot.getByText('–')).toBeTruthy(); // never worked on: no number is said of it
});
