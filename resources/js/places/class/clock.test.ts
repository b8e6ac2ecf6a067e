import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { meeting } from '../../../../tests/pages/sample';
import type { BoxName } from '../../pictures/Timeline';
import { clockOf, costs, givesLast, startedLate, stretched } from './clock';
import { after, back, lateness, left, minutesOf, next, now, type Run, start, stretch, trimmed } from './run';

interface Case {
  says: string;
  minutes: Record<string, number>;
  steps: [string, number | string, number?][];
  seconds: Record<string, number>;
  over: number;
  costs: [string, number, number][];
}
const cases = JSON.parse(readFileSync('core/tests/Term/clock.json', 'utf8')) as Case[];

test.each(cases.map((one) => [one.says, one] as const))('the clock of the page does what core’s does: %s', (_, one) => {
  const clock = one.steps.reduce(
    (so, [what, of, by]) => (what === 'late' ? startedLate(so, Number(of)) : stretched(so, of as BoxName, by ?? 0)),
    clockOf(one.minutes),
  );
  expect(clock).toEqual({ seconds: one.seconds, over: one.over });
  expect(costs(clock, clockOf(one.minutes)).map(({ box, from, to }) => [box, from, to])).toEqual(one.costs);
});

describe('a class that runs', () => {
  const evening = meeting(); // settle 2, warm-up 11, focus 6, review 15, new 19, run-through 4, close 3; from 19:00
  const at = (minutes: number, seconds = 0) => Date.parse(evening.startsAt) + 60_000 * minutes + 1000 * seconds;
  const sum = (run: Run) => Object.values(run.clock.seconds).reduce((a, b) => a + b, 0);

  test('starts in time, goes from box to box, and says what each took', () => {
    let run = start(evening, at(0), lateness(evening, at(0)));
    expect([run.box, run.late, left(run, at(1))]).toEqual(['settle', 0, 60]);
    run = next(run, at(2));
    run = next(run, at(10)); // three minutes early: the focus has them
    expect([run.box, run.clock.seconds.focus, sum(run)]).toEqual(['focus', 9 * 60, 3600]);
    expect([minutesOf(run, 'settle'), minutesOf(run, 'warm_up'), minutesOf(run, 'new')]).toEqual([2, 8, 0]);
  });

  test('begun late it ends when it was to end', () => {
    const run = start(evening, at(6), lateness(evening, at(6)));
    expect([run.late, sum(run), run.clock.seconds.run_through, run.clock.seconds.review]).toEqual([360, 3240, 0, 780]);
    expect(lateness(evening, at(0, 20))).toBe(0);
    expect(lateness(evening, at(-5))).toBe(0);
    expect(after(run)).toBe('warm_up');
  });

  test('a box over its time takes from the others while nobody touches anything, and is taken back as a whole', () => {
    let run = start(evening, at(0), 0);
    run = next(run, at(2));
    expect(left(run, at(15))).toBe(-120);
    expect(now(run, at(15)).seconds).toMatchObject({ warm_up: 780, run_through: 120 });
    const on = next(run, at(15));
    expect([on.box, on.clock.seconds.run_through, sum(on), minutesOf(on, 'warm_up')]).toEqual(['focus', 120, 3600, 13]);
    expect(back(on)).toEqual(run);
  });

  test('more time is given twice, and the close gives only when nothing else can', () => {
    let run = start(evening, at(0), 0);
    for (const minute of [2, 13, 19, 34]) run = next(run, at(minute));
    expect(run.box).toBe('new');
    run = stretch(stretch(run, 180, at(40)), 120, at(41));
    expect(run.clock.seconds).toMatchObject({ new: 24 * 60, run_through: 0, close: 120 });
    expect(costs(run.clock, run.planned).map(({ box, to }) => [box, to, givesLast(box)])).toEqual([
      ['run_through', 0, false],
      ['close', 120, true],
    ]);
    run = next(run, at(58));
    expect(run.box).toBe('close'); // the run-through has no time left
    run = next(run, at(61));
    expect([run.endedAt, minutesOf(run, 'close'), run.clock.over]).toEqual([at(61), 3, 60]);
    expect(next(run, at(62))).toBe(run);
  });

  test('what can be taken back is bounded', () => {
    let run = start(evening, at(0), 0);
    for (let more = 0; more < 40; more++) run = trimmed(stretch(run, 1, at(0)));
    let depth = 0;
    for (let one: Run | null = run; one !== null; one = one.before) depth++;
    expect(depth).toBeLessThan(16);
  });
});
