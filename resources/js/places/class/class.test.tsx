import 'fake-indexeddb/auto';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import {
  careNeed,
  cell,
  coursePart,
  cueCard,
  form,
  meeting,
  page,
  review,
  student,
  studentCare,
} from '../../../../tests/pages/sample';
import { server } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { ClassLog, ClassPage, CueCard, MeetingPage, Watch } from '../../api/client';
import { device } from '../../api/device';
import { closeOutbox, openOutbox, waiting } from '../../api/outbox';
import '../../messages';
import { LogPlace } from '../log/LogPlace';
import { MeetingPlace } from '../meeting/MeetingPlace';
import { stillToWatch } from '../meeting/Watching';
import { ClassPlace } from './ClassPlace';
import { countdown } from './ClockFace';

vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  api: (await import('../../../../tests/pages/server')).standIn,
}));

const card = (position: number, change: Partial<CueCard> = {}): CueCard =>
  cueCard(position, { cues: [`cue ${String(position)}`], ...change });
const watch = (studentId: string, why: Watch['why'] = 'unsure'): Watch => ({
  studentId,
  courseId: 'course',
  passage: { from: 1, to: 2 },
  why,
  since: why === 'never_marked' ? null : 1,
  recall: 0.6,
  away: why === 'back' ? 3 : 0,
});
const caution = {
  code: 'cue.caution',
  with: { for: { code: 'consideration.knee', with: {} }, do: { code: 'adaptation.smaller', with: {} } },
};
const tonight: ClassPage = {
  cards: [
    {
      courseId: 'course',
      cards: [card(1, { cautions: [caution] }), card(2, { cues: ['cue 2', 'step {L}'] }), card(3), card(4)],
      turned: [{ position: 2, own: null, left: cueCard(2).right, right: cueCard(2).left, turn: null, travel: [] }],
    },
  ],
  watch: [watch('ada'), watch('bo', 'never_marked')],
  shown: 1,
  stops: [{ courseId: 'course', position: 2, focus: 'level_hips', principle: null }],
  stood: [],
  partners: [],
};

/** A class that began so many minutes ago. */
function evening(minutesAgo: number, change: Partial<MeetingPage> = {}): MeetingPage {
  const now = new Date(Date.now() - 60_000 * minutesAgo);
  const startsAt = `${now.toISOString().slice(0, 19)}+00:00`;
  return page({ meeting: meeting({ id: 'tonight', on: startsAt.slice(0, 10), startsAt }), ...change });
}

beforeEach(async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
  server.reset({
    'GET /api/session': { person: { id: 'ina', name: 'Ina' }, school: {}, needsFounding: false },
    'GET /api/meetings/{meeting}': evening(0),
    'GET /api/meetings/{meeting}/class': tonight,
    'GET /api/forms/{form}': form(),
  });
  await openOutbox('ina');
});
afterEach(async () => {
  cleanup();
  closeOutbox();
  await Promise.all([device.commands.clear(), device.runs.clear(), device.leases.clear()]);
  vi.unstubAllGlobals();
});
const routes = [
  { path: '/meetings/:meeting/floor', Component: ClassPlace },
  { path: '/meetings/:meeting/log', Component: LogPlace },
  { path: '/meetings/:meeting', Component: MeetingPlace },
];
const start = async () => {
  showAt('/meetings/tonight/floor', routes);
  fireEvent.click(await screen.findByRole('button', { name: /^Start/ }));
  return screen.findByTestId('floor');
};
const key = (name: string) => fireEvent.keyDown(document.body, { key: name });

test('a countdown counts down, and up when it is over', () => {
  expect([countdown(605), countdown(59), countdown(0), countdown(-75)]).toEqual(['10:05', '0:59', '0:00', '+1:15']);
});

test('begun late it says before what that costs, and the boxes begin with what is left', async () => {
  server.answers['GET /api/meetings/{meeting}'] = evening(6);
  showAt('/meetings/tonight/floor', routes);
  expect(await screen.findByText(/Run-through falls to 0 min · Review falls to 13 min/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Start, 6 minutes late' }));
  await screen.findByTestId('floor');
  expect(screen.getByText(/Run-through falls away \(4 min\) · Review 13 of 15 min/)).toBeTruthy();
});

test('a foot switch goes through the movements pass by pass, then on to the next box, and back takes it back', async () => {
  await start();
  for (let box = 0; box < 3; box++) key('Enter');
  const box = () => screen.getByTestId('box').textContent;
  const movement = () => screen.getByTestId('movement').textContent;
  expect([box(), movement()]).toEqual(['Review', '1 Movement 1']);
  key('PageDown');
  expect(movement()).toBe('2 Movement 2');
  for (let step = 0; step < 4; step++) key('PageDown');
  expect(screen.getByText(/time 3 of 3/)).toBeTruthy();
  key('PageDown');
  expect(box()).toBe('New');
  key('PageUp');
  expect(box()).toBe('Review');
  key('ArrowUp');
  expect(movement()).toBe('1 Movement 1');
});

test('what was picked is done by itself and closed by its rest; a run-through goes in the order that was picked', async () => {
  const picked = [3, 1].map((from) => review({ from, to: from, passes: 2, isPicked: true }));
  const run = { runThrough: { from: 1, to: 3 }, run: [3, 2, 1], order: 'backwards' as const };
  const is = evening(0);
  server.answers['GET /api/meetings/{meeting}'] = {
    ...is,
    meeting: { ...is.meeting, courses: [coursePart({ review: picked, ...run })] },
  };
  await start();
  for (let box = 0; box < 3; box++) key('Enter');
  const gone = (steps: number) =>
    Array.from({ length: steps }, () => {
      const said = `${screen.getByTestId('box').textContent}: ${screen.getByTestId('movement').textContent}`;
      const isAlone = screen.queryByText(/by itself, closed by its rest/) !== null;
      key('PageDown');
      return isAlone ? `${said}, and rest` : said;
    });
  expect(gone(4)).toEqual([3, 3, 1, 1].map((at) => `Review: ${String(at)} Movement ${String(at)}, and rest`));
  key('Enter'); // nothing is new
  expect(gone(3)).toEqual([3, 2, 1].map((at) => `Run-through: ${String(at)} Movement ${String(at)}`));
});

test('M turns one movement and not the next', async () => {
  await start();
  for (let box = 0; box < 3; box++) key('Enter');
  key('PageDown');
  expect(screen.getByText('step left')).toBeTruthy();
  key('m');
  expect(screen.getByText('cue 2')).toBeTruthy();
  expect(screen.getByText('step right')).toBeTruthy();
  key('PageDown');
  expect(screen.getByText(/You mirror them/)).toBeTruthy();
});

test('cautions stand large; whom they concern shows only when it is asked', async () => {
  const note = { isHere: true, isCareful: true, isFirstTime: false, late: null, left: null, at: null };
  server.answers['GET /api/meetings/{meeting}'] = evening(0, { attendance: { bo: note } });
  await start();
  for (let box = 0; box < 3; box++) key('Enter');
  const told = screen.getByRole('button', { name: /knee/i });
  expect(told.textContent).not.toContain('Bo');
  fireEvent.click(told);
  expect(told.textContent).toContain('Careful tonight: Bo');
});

test('who does what otherwise in a movement is told with names and without the caution that would say why', async () => {
  server.answers['GET /api/meetings/{meeting}'] = evening(0, {
    care: [
      studentCare('Bo', {
        needs: [careNeed({ box: 'review', position: 1, do: ['support', 'smaller'] }), careNeed({ box: 'new', position: 4 })],
      }),
      studentCare('Cy', { needs: [careNeed({ box: 'review', position: 1, do: [], asks: true })] }),
    ],
    attendance: { cy: { isHere: false, isCareful: false, isFirstTime: false, late: null, left: null, at: null } },
  });
  await start();
  for (let box = 0; box < 3; box++) key('Enter');
  const told = screen.getByRole('button', { name: /knee/i });
  expect(told.textContent).not.toContain('Bo');
  fireEvent.click(told);
  expect(told.textContent).toBe('Bo: a chair or wall near, smaller');
  fireEvent.click(told);
  expect(told.textContent).toMatch(/knee/i);
  // Whoever is not here is not named, and what is of another movement is not told here.
  key('PageDown');
  expect(screen.queryByRole('button', { name: /concerns/ })).toBeNull();
});

test('the warm-up is read from two metres, and who does it otherwise shows only when it is asked', async () => {
  server.answers['GET /api/meetings/{meeting}'] = evening(0, {
    warmUps: { items: [{ id: 'w1', title: 'Knee circles', minutes: 1.5, note: null }], loaded: {}, isCold: false },
    care: [
      studentCare('Bo', {
        needs: [
          careNeed({ box: 'warm_up', courseId: null, position: null, warmUpId: 'w1', title: 'Knee circles', do: ['skip'] }),
        ],
      }),
    ],
  });
  await start();
  key('Enter');
  expect(screen.getByText('Knee circles')).toBeTruthy();
  expect(screen.queryByText(/Bo/)).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: /concerns/ }));
  expect(screen.getByText('Bo').parentElement?.textContent).toBe('Bo: leave out Knee circles');
});

test('a class that was begun goes on where it was after a reload, and ends with its log', async () => {
  await start();
  key('Enter');
  await waitFor(async () => {
    expect(await device.runs.count()).toBe(1);
  });
  cleanup();
  showAt('/meetings/tonight/floor', routes);
  expect((await screen.findByTestId('box')).textContent).toBe('Warm-up');
  for (let box = 0; box < 6; box++) key('Enter');
  expect(await screen.findByText('The class is over')).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Say what it held' }).getAttribute('href')).toBe('/meetings/tonight/log');
});

test.each([
  ['held', { isHeld: true }, 'This class is logged already.'],
  ['cancelled', { state: 'cancelled' as const }, 'This class is cancelled.'],
  ['without a plan', { boxes: {} }, 'This class has no plan yet'],
])('a class that is %s cannot be run, and says why', async (_, change, says) => {
  const of = evening(0);
  server.answers['GET /api/meetings/{meeting}'] = { ...of, meeting: { ...of.meeting, ...change } };
  showAt('/meetings/tonight/floor', routes);
  expect(await screen.findByText(new RegExp(says))).toBeTruthy();
  expect(screen.queryByRole('button', { name: /^Start/ })).toBeNull();
});

test('who was marked or is away is not to be looked at; the overdue beyond those shown are named', () => {
  const all = { ...tonight, watch: [watch('ada'), watch('bo'), watch('cy', 'never_marked')] };
  const names = (is: { shown: Watch[]; overdue: Watch[] }) => [
    is.shown.map((one) => one.studentId),
    is.overdue.map((one) => one.studentId),
  ];
  expect(
    names(
      stillToWatch(
        all,
        () => true,
        () => false,
      ),
    ),
  ).toEqual([['ada'], ['cy']]);
  expect(
    names(
      stillToWatch(
        { ...all, watch: [watch('cy', 'back'), ...all.watch.slice(0, 2)] },
        () => true,
        () => false,
      ),
    ),
  ).toEqual([['cy'], []]);
  expect(
    names(
      stillToWatch(
        all,
        (id) => id !== 'ada',
        (id) => id === 'bo',
      ),
    ),
  ).toEqual([['cy'], []]);
  expect(
    names(
      stillToWatch(
        null,
        () => true,
        () => false,
      ),
    ),
  ).toEqual([[], []]);
});

test('in marking: all not marked yet, a sweep that takes back, one student, and a stop check', async () => {
  showAt('/meetings/tonight?on=mark', routes);
  const level = (name: RegExp | string, what: string) =>
    within(screen.getByRole('group', { name })).getByRole('button', { name: what });
  await screen.findByRole('group', { name: 'Ada' });
  fireEvent.click(level('Ada', 'Alone'));
  fireEvent.click(level(/^All 2 not marked yet/, 'Cued'));
  expect(level('Ada', 'Alone').getAttribute('aria-pressed')).toBe('true'); // only who was not marked
  expect(level('Bo', 'Cued').getAttribute('aria-pressed')).toBe('true');
  expect(waiting().map((one) => (one.command.kind === 'marks' ? one.command.marks.length : 0))).toEqual([2, 4]);
  await userEvent.click(screen.getByRole('radio', { name: 'Sweep' }));
  const bo = screen.getByRole('button', { name: /^Bo/ });
  expect(bo.getAttribute('aria-pressed')).toBe('true');
  await userEvent.click(bo);
  expect(bo.getAttribute('aria-pressed')).toBe('false');
  await userEvent.click(screen.getByRole('radio', { name: 'By student' }));
  expect(level('4. Movement 4', 'Alone').getAttribute('aria-pressed')).toBe('true'); // Ada
  expect(screen.getByRole('group', { name: '1. Movement 1, Left' })).toBeTruthy(); // done on both sides: apart
  await userEvent.click(screen.getByRole('radio', { name: 'Stop check' }));
  expect(screen.getByRole('region', { name: 'Stop check' }).textContent).toContain('Movement 2Are the hips level?');
});

test('in another form of the evening everyone is shown as they stand there', async () => {
  const is = evening(5);
  server.answers['GET /api/meetings/{meeting}'] = {
    ...is,
    courses: [...is.courses, { formId: 'old', courseId: 'other', title: 'Old set' }],
  };
  const cells = [cell(3, { support: 'Cued' }), cell(4, { support: 'Cued' })];
  server.answers['GET /api/meetings/{meeting}/class'] = {
    ...tonight,
    stood: [
      { courseId: 'other', studentId: 'ada', cells },
      { courseId: 'another', studentId: 'bo', cells },
    ],
  };
  showAt('/meetings/tonight?on=mark', routes);
  await userEvent.click(await screen.findByRole('radio', { name: 'Old set' }));
  const stands = (who: string) =>
    within(screen.getByRole('group', { name: who }).closest<HTMLElement>('[data-student]') ?? document.body)
      .getAllByRole('img')[0]
      ?.getAttribute('aria-label');
  await waitFor(() => {
    expect(stands('Ada')).toContain('Their weakest entry here: Cued');
  });
  expect(stands('Bo')).not.toContain('Cued');
});

test('who is here: careful, late, a guest; a name that is there already is asked about', async () => {
  server.answers['GET /api/meetings/{meeting}'] = evening(12, { students: [student('Ada'), student('Bo')] });
  showAt('/meetings/tonight?on=here', routes);
  await userEvent.click(await screen.findByRole('button', { name: 'Ada: careful tonight' }));
  expect(screen.getByText('careful tonight')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'More of Bo: late, left' }));
  await userEvent.click(screen.getByRole('checkbox', { name: 'Came late' }));
  expect(screen.getAllByText('came after 12 minutes')).toBeTruthy(); // as late as it is now
  await userEvent.keyboard('{Escape}');
  await userEvent.type(screen.getByLabelText('Somebody else is here'), '  bo ');
  await userEvent.click(screen.getByRole('button', { name: 'A guest' }));
  expect(screen.getByRole('alert').textContent).toContain('is on the list already');
  await userEvent.clear(screen.getByLabelText('Somebody else is here'));
  await userEvent.type(screen.getByLabelText('Somebody else is here'), 'Una  Webb');
  await userEvent.click(screen.getByRole('button', { name: 'First time' }));
  expect(screen.getByText('Una Webb')).toBeTruthy();
  expect(screen.getByText('3 of 3 here')).toBeTruthy();
  expect(waiting().map((one) => one.command.kind)).toEqual(['attendance', 'attendance', 'guest']);
});

test('the second half of a double click ends no box that has just begun', async () => {
  await start();
  const box = () => screen.getByTestId('box').textContent;
  const first = box();
  const button = screen.getByRole('button', { name: 'Next box' });
  fireEvent.click(button, { detail: 1 });
  const second = box();
  expect(second).not.toBe(first);
  fireEvent.click(button, { detail: 2 });
  expect(box()).toBe(second);
});

describe('the page of a log', () => {
  const here = (name: string) => ({
    checked: screen.getByRole('checkbox', { name }).getAttribute('aria-checked') === 'true',
  });
  const open = async () => {
    showAt('/meetings/tonight/log', routes);
    await screen.findByRole('checkbox', { name: 'Bo' });
  };
  const away = { isHere: false, isCareful: false, isFirstTime: false, late: null, left: null, at: null };

  beforeEach(() => {
    sessionStorage.clear();
  });

  test('whoever only looked at it finds it later as it is by then', async () => {
    await open();
    expect(here('Bo').checked).toBe(true);
    cleanup();
    server.answers['GET /api/meetings/{meeting}'] = evening(0, { attendance: { bo: away } });
    await open();
    expect(here('Bo').checked).toBe(false);
  });

  test('an addition another device made is offered, though a correction was begun before', async () => {
    const log = (id: string, note: string) => ({
      format: 'gorvan.log/1',
      id,
      on: evening(0).meeting.on,
      made_at: new Date().toISOString(),
      minutes: 60,
      present: ['ada', 'bo', 'cy'],
      did: [],
      note,
    });
    server.answers['GET /api/meetings/{meeting}'] = evening(0, { logId: 'THEIRS' });
    server.answers['GET /api/meetings/{meeting}/log'] = { log: log('THEIRS', 'wet floor'), madeAt: null };
    showAt('/meetings/tonight/log?correct', routes);
    await userEvent.type(await screen.findByRole('textbox', { name: /note/i }), ' begun');
    cleanup();
    await device.commands.put({
      id: 'MINE',
      person: 'ina',
      key: 'MINE',
      revision: 0,
      order: 1,
      needs: [],
      command: { kind: 'log', meeting: 'tonight', log: log('MINE', 'the rake was lost') as unknown as ClassLog },
      refusal: { status: 409, code: 'log.logged', message: 'It is logged already.' },
    });
    await openOutbox('ina');
    showAt('/meetings/tonight/log?add=MINE', routes);
    expect((await screen.findByRole<HTMLTextAreaElement>('textbox', { name: /note/i })).value).toBe(
      'wet floor\nthe rake was lost',
    );
  });

  test('what was said stays over a reload, and who was here is still as the evening says', async () => {
    await open();
    await userEvent.type(screen.getByRole('textbox', { name: /note/i }), 'wet floor');
    await userEvent.clear(screen.getByRole('spinbutton', { name: 'Minutes in all' }));
    cleanup();
    server.answers['GET /api/meetings/{meeting}'] = evening(0, { attendance: { bo: away } });
    await open();
    expect(screen.getByRole<HTMLTextAreaElement>('textbox', { name: /note/i }).value).toBe('wet floor');
    expect(screen.getByRole<HTMLInputElement>('spinbutton', { name: 'Minutes in all' }).value).toBe('');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Keep the log' }).disabled).toBe(true);
    expect(here('Bo').checked).toBe(false);
    await userEvent.click(screen.getByRole('checkbox', { name: 'Ada' }));
    expect([here('Ada').checked, here('Bo').checked]).toEqual([false, false]);
  });
});
