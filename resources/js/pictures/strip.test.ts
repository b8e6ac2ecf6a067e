import { describe, expect, test } from 'vitest';
import { entry as sample } from '../../../tests/pages/sample';
import { stripOf } from './strip';

const entry = (position: number, load: number, seconds = 12) => sample(position, { load, seconds });

describe('a ribbon’s strip', () => {
  test('fills the width, wider cells for more load', () => {
    const strip = stripOf([entry(1, 1), entry(2, 3), entry(3, 1)], 600);
    expect(strip.x(1)).toBe(0);
    expect(strip.x(4)).toBeCloseTo(600);
    expect(strip.x(3) - strip.x(2)).toBeGreaterThan(strip.x(2) - strip.x(1));
  });

  test('never lets a cell get too narrow to touch, but grows past the width', () => {
    const many = Array.from({ length: 100 }, (_, at) => entry(at + 1, at % 2 ? 0 : 5));
    const strip = stripOf(many, 300);
    expect(strip.width).toBeGreaterThan(300);
    for (let at = 1; at <= 100; at++) expect(strip.x(at + 1) - strip.x(at)).toBeGreaterThanOrEqual(9);
  });

  test('even and by time are other widths of the same cells', () => {
    const entries = [entry(1, 1, 60), entry(2, 3, 12)];
    expect(stripOf(entries, 400, 'even').x(2)).toBeCloseTo(200);
    expect(stripOf(entries, 400, 'time').x(2)).toBeGreaterThan(200);
  });

  test('finds the join nearest to a place, and never one outside the form', () => {
    const strip = stripOf([entry(1, 1), entry(2, 1), entry(3, 1)], 300);
    expect(strip.joinAt(-50)).toBe(1);
    expect(strip.joinAt(strip.x(3) + 1)).toBe(2);
    expect(strip.joinAt(9999)).toBe(2);
  });
});
