import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { MemoryRouter } from '../../../tests/pages/router';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { cell, form, meeting, student, term } from '../../../tests/pages/sample';
import '../messages';
import { Ribbon } from './Ribbon';
import { SeasonLine } from './SeasonLine';
import { StandingMap } from './StandingMap';
import { boxesOf, Timeline } from './Timeline';
import { rowsOf, Weave } from './Weave';

afterEach(cleanup);

const show = (element: ReactElement) => render(<MemoryRouter>{element}</MemoryRouter>);

describe('the ribbon', () => {
  test('draws a cell an entry, a bar a section, a notch a cut and an arc a relation', () => {
    const { container } = show(<Ribbon form={form()} arcs="all" onSelect={vi.fn()} onMoveNotch={vi.fn()} />);
    expect(screen.getAllByRole('option')).toHaveLength(6);
    expect(screen.getByText('Gate')).toBeTruthy();
    expect(screen.getAllByRole('slider').map((notch) => notch.getAttribute('data-notch'))).toEqual(['2', '4']);
    const arcs = [...container.querySelectorAll('path[d*="Q"]')];
    expect(arcs).toHaveLength(2);
    expect(arcs.map((arc) => arc.hasAttribute('stroke-dasharray'))).toEqual([false, true]); // mirrored solid, returning dashed
  });

  test('ties only what is chosen or pointed at, until all is asked for', async () => {
    const { container } = show(<Ribbon form={form()} selected={null} onSelect={vi.fn()} />);
    const arcs = () => container.querySelectorAll('path[d*="Q"]').length;
    expect(arcs()).toBe(0);
    const mirrored = form().entries.find((entry) => entry.mirrors !== null);
    await userEvent.hover(screen.getAllByRole('option')[(mirrored?.position ?? 1) - 1] as HTMLElement);
    expect(arcs()).toBe(1);
    await userEvent.unhover(screen.getAllByRole('option')[(mirrored?.position ?? 1) - 1] as HTMLElement);
    expect(arcs()).toBe(0);
    cleanup();
    const to = mirrored?.mirrors ?? 1;
    const chosen = show(<Ribbon form={form()} selected={{ from: to, to }} onSelect={vi.fn()} />);
    expect(chosen.container.querySelectorAll('path[d*="Q"]').length).toBeGreaterThan(0);
    cleanup();
    const none = show(<Ribbon form={form()} arcs="none" selected={{ from: 1, to: 6 }} onSelect={vi.fn()} />);
    expect(none.container.querySelectorAll('path[d*="Q"]')).toHaveLength(0);
  });

  test('is walked with the keyboard, and says what is chosen', async () => {
    const onSelect = vi.fn();
    show(<Ribbon form={form()} selected={{ from: 2, to: 3 }} onSelect={onSelect} />);
    const ribbon = screen.getByRole('listbox');
    expect(screen.getAllByRole('option').map((one) => one.getAttribute('aria-selected'))).toEqual([
      'false',
      'true',
      'true',
      'false',
      'false',
      'false',
    ]);
    ribbon.focus();
    await userEvent.keyboard('{ArrowRight}{ArrowRight}{End}{ArrowRight}{ArrowLeft}{Home}');
    expect(onSelect.mock.calls.map(([position]: number[]) => position)).toEqual([2, 3, 6, 6, 5, 1]);
  });

  test('a notch is keyed to another join, and left alone with Escape', async () => {
    const onMoveNotch = vi.fn();
    const onFreeNotch = vi.fn();
    show(<Ribbon form={form()} onMoveNotch={onMoveNotch} onFreeNotch={onFreeNotch} />);
    const [notch] = screen.getAllByRole('slider');
    notch?.focus();
    await userEvent.keyboard('{ArrowRight}{Escape}{Enter}');
    expect(onMoveNotch).not.toHaveBeenCalled();
    await userEvent.keyboard('{ArrowRight}');
    expect(notch?.getAttribute('aria-valuenow')).toBe('3');
    await userEvent.keyboard('{Enter}');
    expect(onMoveNotch).toHaveBeenCalledExactlyOnceWith(2, 3);
    await userEvent.keyboard('{Delete}');
    expect(onFreeNotch).toHaveBeenCalledExactlyOnceWith(2);
  });

  test('cannot be moved off its ends', async () => {
    const onMoveNotch = vi.fn();
    show(<Ribbon form={form()} onMoveNotch={onMoveNotch} />);
    const last = screen.getAllByRole('slider').at(-1);
    last?.focus();
    await userEvent.keyboard('{ArrowRight}{ArrowRight}{ArrowRight}{Enter}');
    expect(onMoveNotch).toHaveBeenCalledExactlyOnceWith(4, 5);
  });

  test('that cannot be changed is a picture, with a name', () => {
    show(<Ribbon form={form()} />);
    expect(screen.getByRole('img', { name: 'The form as a ribbon: Tide stair' })).toBeTruthy();
    expect(screen.queryByRole('slider')).toBeNull();
  });
});

describe('the weave', () => {
  test('has its meetings and closures in the order of their days', () => {
    expect(rowsOf(term()).map((row) => `${row.kind} ${row.on}`)).toEqual([
      'meeting 2026-01-13',
      'meeting 2026-01-20',
      'closed 2026-01-26',
      'meeting 2026-02-03',
    ]);
  });

  test('draws new, review and run-through as three different strokes', () => {
    const { container } = show(<Weave form={form()} course="course" meetings={term().meetings} closures={term().closures} />);
    const shapes = (stroke: string) => [...container.querySelectorAll(`[data-stroke="${stroke}"]`)];
    expect(shapes('new')).toHaveLength(2);
    expect(shapes('review')).toHaveLength(2);
    expect(shapes('run-through')).toHaveLength(3);
    // A block, a double thread on a band, a single thread: told apart without colour.
    expect(shapes('new')[0]?.querySelectorAll('line')).toHaveLength(0);
    expect(shapes('review')[0]?.querySelectorAll('line')).toHaveLength(2);
    expect(shapes('run-through')[0]?.tagName).toBe('line');
  });

  test('fills a lesson that was held, and outlines one that is planned', () => {
    const { container } = show(<Weave form={form()} course="course" meetings={term().meetings} closures={term().closures} />);
    const fills = [...container.querySelectorAll('[data-stroke="new"] rect')].map((block) => block.getAttribute('fill'));
    expect(fills).toEqual(['var(--pine)', 'var(--sheet)']);
  });

  test('a row leads to its meeting, and says in words what it draws', () => {
    show(<Weave form={form()} course="course" meetings={term().meetings} closures={term().closures} />);
    const link = screen.getByRole('link', { name: 'Tue 20 Jan: Lesson 2. 4 taught; 82 % should be there at the next meeting.' });
    expect(link.getAttribute('href')).toBe('/meetings/tonight');
    expect(screen.getByText('no class')).toBeTruthy();
  });

  test('a meeting that went by without being logged draws nothing as done', () => {
    const laid = term();
    laid.meetings = [meeting({ isPast: true, isToday: false })];
    const { container } = show(<Weave form={form()} course="course" meetings={laid.meetings} closures={laid.closures} />);
    expect(container.querySelectorAll('[data-stroke]')).toHaveLength(0);
    expect(screen.getByText('Not said')).toBeTruthy();
  });
});

describe('the season line', () => {
  test('has a tick a meeting, each a link, and marks where one is', () => {
    const { meetings, closures } = term();
    show(<SeasonLine meetings={meetings} closures={closures} current="tonight" />);
    const links = screen.getAllByRole('link');
    expect(links.map((link) => link.getAttribute('href'))).toEqual(['/meetings/first', '/meetings/tonight', '/meetings/last']);
    expect(links.map((link) => link.getAttribute('aria-current'))).toEqual([null, 'page', null]);
    expect(links[2]?.getAttribute('data-tip')).toBe('Tue 3 Feb, For the showing');
    expect(within(screen.getByRole('list')).getByText('no class')).toBeTruthy();
  });
});

describe('the timeline', () => {
  test('starts each box when the one before it ends, and leaves empty ones out', () => {
    const boxes = boxesOf(
      meeting({ boxes: { settle: 2, warm_up: 11, focus: 0, review: 15, new: 25, run_through: 4, close: 3 } }),
    );
    expect(boxes.map((box) => `${box.at} ${box.name} ${String(box.minutes)}`)).toEqual([
      '19:00 settle 2',
      '19:02 warm_up 11',
      '19:13 review 15',
      '19:28 new 25',
      '19:53 run_through 4',
      '19:57 close 3',
    ]);
  });

  test('is heard as words', () => {
    show(<Timeline meeting={meeting()} />);
    expect(
      screen.getByRole('img', {
        name: 'The meeting to the minute: Settle 2, Warm-up 11, Focus 6, Review 15, New 19, Run-through 4, Close 3',
      }),
    ).toBeTruthy();
  });
});

describe('the standing map', () => {
  const students = [
    student('Ada', {
      frontier: 2,
      cells: [cell(1), cell(2), cell(3, { support: 'Cued', recall: 0.65, sureness: 'fading', holds: false })],
    }),
    student('Bo', { cells: [cell(1, { support: null, isAssumed: true })] }),
  ];

  test('has a row a student and a column an entry, each cell heard as words', () => {
    show(<StandingMap entries={form().entries} students={students} caption="Map" />);
    const [, ada, bo] = screen.getAllByRole('row');
    const said = (row: HTMLElement | undefined) =>
      within(row as HTMLElement)
        .getAllByRole('img')
        .map((one) => one.getAttribute('aria-label'));
    expect(said(ada).slice(0, 4)).toEqual([
      'Movement 1: Alone, should still be there',
      'Movement 2: Alone, should still be there',
      'Movement 3: Cued, fading',
      'Movement 4: no record',
    ]);
    expect(said(bo)[0]).toBe('Movement 1: should be there, not seen');
    expect(screen.getAllByRole('columnheader')).toHaveLength(7);
  });

  test('flags the frontier of who has one', () => {
    const { container } = show(<StandingMap entries={form().entries} students={students} caption="Map" />);
    const flags = [...container.querySelectorAll('[data-frontier]')];
    expect(flags.map((flag) => flag.getAttribute('data-frontier'))).toEqual(['2']);
    expect(flags[0]?.closest('tr')?.textContent).toContain('Ada');
  });
});
