import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import type { Floor } from '../api/client';
import '../messages';
import { FloorPicture } from './FloorPicture';

afterEach(cleanup);

const floor: Floor = {
  footings: [],
  turned: 0,
  unknown: [],
  joins: [],
  fit: {
    fits: false,
    facing: 0,
    ranks: 1,
    files: 2,
    start: [4, 2],
    needs: [6, 3],
    out: [2],
    spots: [
      { x: 4, y: 2, facing: 0 },
      { x: 4, y: 3, facing: 90 },
      { x: 4, y: 7, facing: 180 },
    ],
    stands: [
      { x: 3.1, y: 2, facing: 0 },
      { x: 4.9, y: 2, facing: 0 },
    ],
    block: [3.6, 1.8],
    students: 1,
  },
};
const NUMBERS = new Map([
  [2, '12'],
  [1, '11'],
]);
const show = (chosen: number | null = null, onChoose = vi.fn(), named = NUMBERS) =>
  render(<FloorPicture floor={floor} width={8} depth={6} named={named} chosen={chosen} onChoose={onChoose} label="The path" />)
    .container;

test('a path is drawn with the front wall at the top, and the picture grows with what leaves the room', () => {
  const picture = show();
  expect(screen.getByRole('group', { name: 'The path' })).toBeTruthy();
  expect(picture.querySelector('polyline')?.getAttribute('points')).toBe('4.000,4.000 4.000,3.000 4.000,-1.000');
  const [, top] = (picture.querySelector('svg')?.getAttribute('viewBox') ?? '').split(' ').map(Number);
  expect(top).toBeCloseTo(-1.6, 9);
});

test('prints are turned to their facing, and one outside the walls is crossed out', () => {
  const groups = [...show().querySelectorAll('g.cursor-pointer')];
  expect(groups.map((group) => group.getAttribute('transform'))).toEqual([
    'translate(4.000 3.000) rotate(90)',
    'translate(4.000 -1.000) rotate(180)',
  ]);
  expect(groups.map((group) => group.querySelector('path') !== null)).toEqual([false, true]);
});

test('students and the block they stand in are drawn where they stand', () => {
  const picture = show();
  const students = [...picture.querySelectorAll('circle[r="0.12"]')];
  expect(students.map((one) => [one.getAttribute('cx'), one.getAttribute('cy')])).toEqual([
    ['3.1', '4'],
    ['4.9', '4'],
  ]);
  const block = picture.querySelector('rect[stroke-dasharray]');
  expect(['x', 'y', 'width', 'height'].map((side) => Number(block?.getAttribute(side)))).toEqual([2.2, 3.1, 3.6, 1.8]);
});

test('a print can be chosen, and the chosen one stands out', async () => {
  const choose = vi.fn();
  const picture = show(1, choose);
  expect(picture.querySelectorAll('circle[fill="var(--straw)"]')).toHaveLength(1);
  await userEvent.click(picture.querySelectorAll('g.cursor-pointer')[1] as Element);
  expect(choose).toHaveBeenCalledExactlyOnceWith(2);
});

test('numbers stand at the places that matter, and where two would lie on one another the more important one does', () => {
  expect([...show().querySelectorAll('[data-named]')].map((one) => one.textContent)).toEqual(['12', '11']);
  cleanup();
  const near = { ...floor, fit: { ...floor.fit, spots: floor.fit.spots.map((spot) => ({ ...spot, x: 4, y: 2 })) } };
  const { container } = render(
    <FloorPicture floor={near} width={8} depth={6} named={NUMBERS} chosen={null} onChoose={vi.fn()} label="The path" />,
  );
  expect([...container.querySelectorAll('[data-named]')].map((one) => one.textContent)).toEqual(['12']);
});
