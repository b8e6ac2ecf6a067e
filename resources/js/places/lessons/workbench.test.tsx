import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { form } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { Cut, Workbench } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { WorkbenchPlace } from './WorkbenchPlace';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

const joins = (pinned: number[] = []) =>
  [1, 2, 3, 4, 5].map((after) => ({ after, rest: 0.2, pin: pinned.includes(after) ? ('always' as const) : null }));
const cut = (ends: number[], change: Partial<Cut> = {}): Cut => ({
  target: 2,
  lambda: 0.5,
  objective: 1.25,
  lightest: 2,
  heaviest: 5,
  poorStops: 1,
  dearer: 0,
  lessons: ends.map((to, at) => ({ number: at + 1, from: (ends[at - 1] ?? 0) + 1, to, load: 2.5, recap: null })),
  joins: joins(),
  ...change,
});
const bench = (change: Partial<Workbench> = {}): Workbench => ({
  size: { load: null, count: null, minutes: null, minutesPerLoad: null, movements: null, lambda: null },
  minutesPerLoad: 8,
  pace: null,
  kept: cut([2, 4, 6]),
  tried: cut([2, 4, 6]),
  free: cut([2, 4, 6]),
  ...change,
});

beforeEach(() => {
  queryClient.clear();
  server.reset({
    'GET /api/forms/{form}': form(),
    'GET /api/forms/{form}/workbench': bench(),
    'GET /api/forms/{form}/prices': {
      best: 1.25,
      prices: [
        { after: 1, price: 0.31, free: 2 },
        { after: 2, price: 0, free: 2 },
        { after: 3, price: null, free: 4 },
        { after: 4, price: 0, free: 4 },
        { after: 5, price: 0.04, free: 4 },
      ],
    },
  });
});
afterEach(cleanup);

const open = (course = '') =>
  showAt(`/forms/f/cut${course}`, [
    { path: '/forms/:form/cut', Component: WorkbenchPlace },
    { path: '*', element: <p>elsewhere</p> },
  ]);
const price = () => screen.getByTestId('price').textContent;

describe('a notch in the hand', () => {
  test('says what it costs where it is, and where near it costs nothing', async () => {
    open();
    const notch = (await screen.findAllByRole('slider'))[0] as HTMLElement;
    notch.focus();
    await userEvent.keyboard('{ArrowLeft}');
    await waitFor(() => {
      expect(price()).toBe('A cut after 1 Movement 1 costs 0.31; one entry later, after 2 Movement 2, it costs nothing.');
    });
    await userEvent.keyboard('{ArrowRight}{ArrowRight}');
    expect(price()).toBe('There can be no cut after 3 Movement 3: a lesson would be too large, or it is barred.');
    await userEvent.keyboard('{ArrowRight}');
    expect(price()).toBe('A cut after 4 Movement 4 costs nothing.');
    await userEvent.keyboard('{Escape}');
    expect(price()).toContain('Take up a notch');
    expect(server.sent.every((one) => one.method === 'GET')).toBe(true);
  });

  test('stays where it is put down, as a pin of the form', async () => {
    open();
    const notch = (await screen.findAllByRole('slider'))[0] as HTMLElement;
    notch.focus();
    await userEvent.keyboard('{ArrowLeft}{Enter}');
    await waitFor(() => {
      expect(server.got('PUT', '/api/forms/{form}/joins').map((one) => one.body)).toEqual([
        {
          joins: [
            { after: 1, pin: 'always' },
            { after: 2, pin: null, isCut: false },
          ],
        },
      ]);
    });
  });

  test('of a course is a pin of the course, and leaves the form alone', async () => {
    open('?course=c');
    const notch = (await screen.findAllByRole('slider'))[1] as HTMLElement;
    notch.focus();
    await userEvent.keyboard('{ArrowRight}{Enter}');
    await waitFor(() => {
      expect(server.got('PATCH', '/api/courses/{course}').map((one) => one.body)).toEqual([
        { joins: [{ after: 5, pin: 'always' }] },
      ]);
    });
    expect(server.sent.some((one) => one.method === 'PUT')).toBe(false);
  });
});

describe('the size of the lessons', () => {
  test('is tried as it is typed, shown beside what is, and kept when told', async () => {
    open();
    await screen.findByText('About 16 minutes of new work a lesson.');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep these lessons' }).disabled).toBe(true);
    server.answers['GET /api/forms/{form}/workbench'] = bench({ tried: cut([3, 6]) });
    await userEvent.click(screen.getByRole('radio', { name: 'Number' }));
    await userEvent.type(screen.getByLabelText('Number of lessons'), '2');
    const lessons = await waitFor(() => {
      const row = screen.getByRole('row', { name: /^Lessons/ });
      expect(
        within(row)
          .getAllByRole('cell')
          .map((cell) => cell.textContent),
      ).toEqual(['3', '2', '3']);
      return screen.getByRole('row', { name: /^1 / });
    });
    expect(
      within(lessons)
        .getAllByRole('cell')
        .map((cell) => cell.dataset.other),
    ).toEqual([undefined, 'true', undefined]);
    await userEvent.click(screen.getByRole('button', { name: 'Keep these lessons' }));
    await waitFor(() => {
      expect(server.got('PUT', '/api/forms/{form}/cutting').map((one) => one.body)).toEqual([{ count: 2, lambda: 0.5 }]);
    });
  });

  test('can be said in movements an evening; how fast a course goes is said in words', async () => {
    server.answers['GET /api/forms/{form}/workbench'] = bench({
      pace: { code: 'pace.is_usual', with: { pace: { code: 'pace.movements_between', with: { from: 2, to: 3 } }, minutes: 6 } },
    });
    server.answers['PATCH /api/courses/{course}'] = {
      id: 'change',
      at: '',
      cause: { code: 'cause.changed', with: {} },
      moved: [],
    };
    open('?course=c');
    expect(
      await screen.findByText(
        '2 to 3 movements an evening; a simple movement takes 6 minutes, as is usual for this way of teaching.',
      ),
    ).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'Movements' }));
    await userEvent.type(screen.getByLabelText('Movements an evening'), '2.5');
    const keep = screen.getByRole<HTMLButtonElement>('button', { name: 'Keep these lessons' });
    await waitFor(() => {
      expect(keep.disabled).toBe(false);
    });
    await userEvent.click(keep);
    await waitFor(() => {
      expect(server.got('PATCH', '/api/courses/{course}').map((one) => one.body)).toEqual([
        { size: { movements: 2.5, lambda: 0.5 } },
      ]);
    });
  });

  test('that cannot be is refused beside the field, and what was typed stays', async () => {
    open();
    await userEvent.click(await screen.findByRole('radio', { name: 'Minutes' }));
    server.refusals['GET /api/forms/{form}/workbench'] = {
      status: 422,
      code: 'cut.size.minutes',
      with: { is: 900, least: 1, most: 180 },
    };
    await userEvent.type(screen.getByLabelText('Minutes of new work in a lesson'), '900');
    expect((await screen.findByRole('alert')).textContent).toBe(
      'The minutes of new work in a lesson must be between 1 and 180, not 900.',
    );
    expect(screen.getByLabelText<HTMLInputElement>('Minutes of new work in a lesson').value).toBe('900');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep these lessons' }).disabled).toBe(true);
  });
});

test('every pin of the hand goes at once, and can come back', async () => {
  server.answers['GET /api/forms/{form}/workbench'] = bench({
    kept: cut([1, 4, 6], { joins: joins([1]) }),
    tried: cut([1, 4, 6], { joins: joins([1]) }),
  });
  open();
  expect(await screen.findByText('always cut after 1 Movement 1')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Best again' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
  await waitFor(() => {
    expect(server.got('PUT', '/api/forms/{form}/joins').map((one) => one.body)).toEqual([
      {
        joins: [
          { after: 1, pin: null, isCut: false },
          { after: 2, pin: null, isCut: true },
          { after: 4, pin: null, isCut: true },
        ],
      },
      {
        joins: [
          { after: 1, pin: 'always', isCut: true },
          { after: 2, pin: null, isCut: false },
          { after: 4, pin: null, isCut: true },
        ],
      },
    ]);
  });
});
