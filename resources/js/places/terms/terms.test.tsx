import { choose as pick } from '../../../../tests/pages/choose';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { course, coursePart, form, meeting, review, term } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { Term } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { ComparePlace } from './ComparePlace';
import { TermPlace } from './TermPlace';

vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  api: standIn,
}));

const planned = (id: string, on: string, number: number | null) =>
  meeting({
    id,
    on,
    isToday: false,
    courses: [
      coursePart({
        lessons: number === null ? [] : [{ number, kind: 'new', from: 2 * number - 1, to: 2 * number, part: null, parts: null }],
        review: [review({ most: 'ada', instead: { from: 3, to: 4, value: 0.2, minutes: 2 } })],
        why: { code: number === null ? 'plan.why.nothing_new' : 'plan.why.first', with: { number: number ?? 0 } },
      }),
    ],
  });
const laid = (): Term => ({
  ...term(),
  courses: [course()],
  meetings: [planned('one', '2026-01-20', 2), planned('two', '2026-01-27', 3), planned('three', '2026-02-03', null)],
  names: { ada: 'Ada' },
});

beforeEach(() => {
  queryClient.clear();
  server.reset({
    'GET /api/terms/{term}': laid(),
    'GET /api/terms/{term}/questions': [],
    'GET /api/terms/{term}/changes': [],
    'POST /api/terms/{term}/changes/preview': {
      moved: [
        {
          code: 'replan.lesson',
          with: { what: { code: 'replan.lesson_new', with: { number: 2 } }, from: '2026-01-20', to: '2026-01-27' },
        },
      ],
      cost: 1.44,
      meetings: [planned('one', '2026-01-20', null), planned('two', '2026-01-27', 2), planned('three', '2026-02-03', 3)],
      forecasts: [],
    },
    'POST /api/terms/{term}/changes': {
      id: 'change',
      at: '2026-01-20T10:00:00Z',
      cause: { code: 'cause.changed', with: {} },
      by: 'T',
      moved: [],
      canBeTakenBack: true,
    },
    'POST /api/terms/{term}/questions': {
      id: 'q',
      kind: 'places',
      question: {},
      state: 'waiting',
      progress: 0,
      isOld: false,
      answer: null,
    },
  });
});
afterEach(cleanup);

const show = (path = '/terms/term') =>
  showAt(path, [
    { path: '/terms/:term', Component: TermPlace },
    { path: '/terms/:term/compare', Component: ComparePlace },
  ]);
const of = server.got;

test('what the term comes to is said in words, with the numbers behind Why', async () => {
  show();
  expect(await screen.findByText(/Comes to movement 4 of 6; at the end 3 of the 4 that were taught hold/)).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Why: The end of the plan' }));
  expect(await screen.findByText(/Weakest then: Movement 3 71 %/)).toBeTruthy();
  expect(screen.getByText(/Left for the next term: lessons 3/)).toBeTruthy();
  const far = screen.getByRole('link', { name: 'Mara' }).parentElement;
  expect(far?.textContent).toBe('Far from it by then: Mara (6 movements behind), Tom (1 movement behind)');
});

test('an evening that finished one lesson and gave the next says both, and draws each as far as it came', async () => {
  const held = planned('one', '2026-01-20', null);
  const lessons = [
    { number: 1, kind: 'new' as const, from: 2, to: 2, part: 2, parts: 2 },
    { number: 2, kind: 'new' as const, from: 3, to: 5, part: null, parts: null },
  ];
  server.answers['GET /api/terms/{term}'] = {
    ...laid(),
    meetings: [
      {
        ...held,
        isHeld: true,
        isOpen: false,
        lesson: { from: 2, to: 4 },
        lessonNumbers: [1, 2],
        courses: [coursePart({ lessons })],
      },
      planned('two', '2026-01-27', 3),
    ],
  };
  const { container } = show();
  await userEvent.click(await screen.findByText('As a table'));
  const row = screen.getByRole('row', { name: /^Tue 20 Jan/ });
  expect(within(row).getByText('Lessons 1, 2')).toBeTruthy();
  expect(within(row).getByText('2, 3–4')).toBeTruthy();
  expect(container.textContent).toContain('Lessons 1, 2');
});

test('an evening on which more was taught than was planned says the lessons it came to, and never that nothing was new', async () => {
  const held = { ...planned('one', '2026-01-20', 1), isHeld: true, isOpen: false };
  server.answers['GET /api/terms/{term}'] = {
    ...laid(),
    meetings: [
      { ...held, lesson: { from: 1, to: 5 }, lessonNumbers: [1, 2, 3] },
      { ...held, id: 'two', on: '2026-01-27', lesson: { from: 6, to: 6 }, lessonNumbers: [] },
      { ...held, id: 'three', on: '2026-02-03', kind: 'consolidation', lesson: null, lessonNumbers: [] },
    ],
  };
  const { container } = show();
  await userEvent.click(await screen.findByText('As a table'));
  const cells = (name: RegExp) =>
    within(screen.getByRole('row', { name }))
      .getAllByRole('cell')
      .slice(0, 2)
      .map((cell) => cell.textContent);
  expect(cells(/^Tue 20 Jan/)).toEqual(['Lessons 1, 2, 3', '1–5']);
  expect(cells(/^Tue 27 Jan/)).toEqual(['Something new', '6']);
  expect(cells(/^Tue 3 Feb/)).toEqual(['Nothing new', '–']);
  expect(container.querySelectorAll('[data-stroke="ghost"]')).toHaveLength(0);
});

test('an order is picked for the run-through of an evening, and left to the plan again', async () => {
  show();
  await userEvent.click(await screen.findByText('As a table'));
  await userEvent.click(screen.getByRole('button', { name: 'Change Tue 20 Jan' }));
  await pick(await screen.findByLabelText('Run through what is known'), 'backwards, movement by movement');
  await waitFor(() => {
    expect(of('POST', '/api/terms/{term}/changes/preview').map((one) => one.body)).toEqual([
      { changes: [{ what: 'run_order', meeting: 'one', course: 'course', order: 'backwards' }] },
    ]);
  });
});

test('movements that need not lie together are picked for an evening, one by one', async () => {
  show();
  await userEvent.click(await screen.findByText('As a table'));
  // On the first evening movements 1 and 2 are known, 3 and 4 are what it brings.
  await userEvent.click(screen.getByRole('button', { name: 'Change Tue 20 Jan' }));
  await userEvent.click(await screen.findByRole('button', { name: /^One by one: movements/ }));
  expect(screen.queryByRole('button', { name: '3. Movement 3' })).toBeNull();
  await userEvent.keyboard('{Escape}');
  await userEvent.click(screen.getByRole('button', { name: 'Change Tue 27 Jan' }));
  await userEvent.click(await screen.findByRole('button', { name: /^One by one: movements/ }));
  const button = screen.getByRole<HTMLButtonElement>('button', { name: 'Review these one by one' });
  expect(button.disabled).toBe(true);
  for (const name of ['3. Movement 3', '1. Movement 1']) {
    screen.getByRole('button', { name }).focus();
    await userEvent.keyboard(' ');
  }
  await userEvent.click(button);
  await waitFor(() => {
    expect(of('POST', '/api/terms/{term}/changes/preview').map((one) => one.body)).toEqual([
      { changes: [{ what: 'review_picked', meeting: 'two', course: 'course', entries: ['e1', 'e3'] }] },
    ]);
  });
});

test('a change is looked at before it is made: words, cost, ghosts; taken over once, though pressed twice', async () => {
  const { container } = show();
  await userEvent.click(await screen.findByText('As a table'));
  await userEvent.click(screen.getByRole('button', { name: 'Change Tue 20 Jan' }));
  await userEvent.click(await screen.findByRole('checkbox', { name: 'Nothing new on this evening' }));
  const bar = await screen.findByRole('region', { name: 'A change that is not made yet' });
  expect(await within(bar).findByText('Lesson 2 moves from Tue 20 Jan to Tue 27 Jan.')).toBeTruthy();
  expect(within(bar).getByText('It costs 1.4 movements at the end.')).toBeTruthy();
  expect(of('POST', '/api/terms/{term}/changes')).toHaveLength(0);
  expect(container.querySelectorAll('[data-stroke="ghost"]').length).toBeGreaterThan(0);
  const take = within(bar).getByRole('button', { name: 'Take it over' });
  await userEvent.dblClick(take);
  await waitFor(() => {
    expect(screen.queryByRole('region', { name: 'A change that is not made yet' })).toBeNull();
  });
  expect(of('POST', '/api/terms/{term}/changes')).toHaveLength(1);
  expect(of('POST', '/api/terms/{term}/changes')[0]?.body).toEqual({
    version: 3,
    changes: [{ what: 'nothing_new', meeting: 'one', is: true }],
  });
  await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
  await waitFor(() => {
    expect(of('POST', '/api/plan-changes/{change}/take-back')).toHaveLength(1);
  });
});

test('a change that is refused says why and can be dropped', async () => {
  server.refusals = {
    'POST /api/terms/{term}/changes/preview': {
      status: 422,
      code: 'plan.as_kept',
      with: { text: 'There is another meeting then' },
    },
  };
  show();
  await userEvent.click(await screen.findByText('As a table'));
  await userEvent.click(screen.getByRole('button', { name: 'Change Tue 20 Jan' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Cancel this evening' }));
  expect((await screen.findByRole('alert')).textContent).toBe('There is another meeting then.');
  expect(screen.queryByRole('button', { name: 'Take it over' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Drop it' }));
  expect(screen.queryByRole('alert')).toBeNull();
});

test.each([
  [503, 'http.closed'],
  [401, 'http.signed_out'],
])('what was not refused for what it is (%i) stays, and is sent again by one press', async (status, code) => {
  server.refusals = { 'POST /api/terms/{term}/changes/preview': { status, code } };
  show();
  await userEvent.click(await screen.findByText('As a table'));
  await userEvent.click(screen.getByRole('button', { name: 'Change Tue 20 Jan' }));
  await userEvent.click(await screen.findByRole('checkbox', { name: 'Nothing new on this evening' }));
  const bar = await screen.findByRole('region', { name: 'A change that is not made yet' });
  expect(await within(bar).findByRole('alert')).toBeTruthy();
  server.refusals = { 'POST /api/terms/{term}/changes': { status, code } };
  await userEvent.click(within(bar).getByRole('button', { name: 'Try again' }));
  await userEvent.click(await within(bar).findByRole('button', { name: 'Take it over' }));
  expect(await within(bar).findByRole('alert')).toBeTruthy();
  server.refusals = {};
  await userEvent.click(within(bar).getByRole('button', { name: 'Try again' }));
  await waitFor(() => {
    expect(screen.queryByRole('region', { name: 'A change that is not made yet' })).toBeNull();
  });
  expect(of('POST', '/api/terms/{term}/changes').map((one) => one.body)).toEqual(
    Array.from({ length: 2 }, () => ({ version: 3, changes: [{ what: 'nothing_new', meeting: 'one', is: true }] })),
  );
});

test('an evening is moved, made longer and given a focus in one go; what was not touched is not sent', async () => {
  show();
  await userEvent.click(await screen.findByText('As a table'));
  await userEvent.click(screen.getByRole('button', { name: 'Change Tue 27 Jan' }));
  const dialog = await screen.findByRole('dialog');
  const put = async (label: string, value: string) => {
    const field = within(dialog).getByLabelText(label);
    await userEvent.clear(field);
    await userEvent.type(field, value);
  };
  await put('To', '2026-01-31');
  await put('Focus, in your words', 'shoulders');
  await put('Reason', 'hall taken');
  await userEvent.click(within(dialog).getAllByRole('button', { name: 'See what it moves' })[0] as HTMLElement);
  await waitFor(() => {
    expect(of('POST', '/api/terms/{term}/changes/preview')[0]?.body).toEqual({
      changes: [
        { what: 'move', meeting: 'two', to: '2026-01-31', at: '19:00', reason: 'hall taken' },
        { what: 'focus', meeting: 'two', words: 'shoulders' },
      ],
    });
  });
});

test('a review answers why: without it, with it, for whom, and what else the minutes would have bought', async () => {
  show();
  await userEvent.click(await screen.findByText('As a table'));
  await userEvent.click(screen.getByRole('button', { name: 'Change Tue 20 Jan' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Why: the review of 1–2' }));
  expect(await screen.findByText('Without it 52 % of it would be there at the next meeting, with it 71 %.')).toBeTruthy();
  expect(screen.getByText('It gains most for Ada.')).toBeTruthy();
  expect(screen.getByText(/The best that was left out, 3–4, would have been worth 0.2 against 0.4/)).toBeTruthy();
});

test('a question is asked once, says how far it is, and its answer is taken over', async () => {
  show();
  await userEvent.click(await screen.findByRole('button', { name: 'How many more minutes?' }));
  expect(of('POST', '/api/terms/{term}/questions')).toHaveLength(1);
  server.answers['GET /api/terms/{term}/questions'] = [
    {
      id: 'q',
      kind: 'minutes',
      question: { course: 'course' },
      state: 'done',
      progress: 100,
      isOld: false,
      answer: { minutes: 15 },
    },
    { id: 'r', kind: 'furthest', question: { course: 'course' }, state: 'running', progress: 40, isOld: false, answer: null },
    {
      id: 's',
      kind: 'costs',
      question: {},
      state: 'done',
      progress: 100,
      isOld: false,
      answer: {
        costs: [{ code: 'plan.cost_held', with: { on: '2026-02-03', why: { code: 'plan.why.look_back', with: {} }, more: 2.1 } }],
      },
    },
  ];
  cleanup();
  show();
  expect(await screen.findByText('15 more minutes a meeting would reach the target and hold it.')).toBeTruthy();
  expect(screen.getByText('Working it out: 40 %')).toBeTruthy();
  const cost = screen.getByText(/With a lesson on that evening alone, 2.1 movements more/);
  // Under the weave: what comes later than the plan does not move it under the hand.
  const weave = screen.getByRole('group', { name: 'The weave' });
  expect(weave.compareDocumentPosition(cost) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Take it over' }));
  await waitFor(() => {
    expect(of('POST', '/api/plan-questions/{question}/take-over')).toHaveLength(1);
  });
});

test('several courses are woven one at a time, and a term that is over is not changed', async () => {
  server.answers['GET /api/terms/{term}'] = {
    ...laid(),
    courses: [course({ share: 0.7 }), course({ id: 'other', share: 0.3, form: form({ id: 'second', title: 'Old lamps' }) })],
  };
  server.answers['GET /api/forms/{form}'] = (at: { form: string }) =>
    form(at.form === 'second' ? { id: 'second', title: 'Old lamps' } : {});
  show();
  await userEvent.click(await screen.findByRole('radio', { name: 'Old lamps · 30 %' }));
  expect(screen.getByRole('radio', { name: 'Old lamps · 30 %' }).getAttribute('aria-checked')).toBe('true');
  cleanup();
  server.answers['GET /api/terms/{term}'] = { ...laid(), isOver: true };
  show();
  await screen.findByText(/Comes to movement/);
  expect(screen.queryByRole('button', { name: 'Add a meeting' })).toBeNull();
  expect(screen.queryByRole('button', { name: 'How many more minutes?' })).toBeNull();
});

test('more minutes than can be asked for are not cut down in silence: the field says so, and nothing is asked', async () => {
  show('/terms/term/compare');
  const minutes = (await screen.findAllByLabelText<HTMLInputElement>('Minutes more a meeting'))[1] as HTMLInputElement;
  await userEvent.clear(minutes);
  await userEvent.type(minutes, '200');
  await userEvent.click(screen.getByRole('button', { name: 'Work them out' }));
  expect((await screen.findByRole('alert')).textContent).toBe('At most 60.');
  expect(minutes.value).toBe('200');
  expect(of('POST', '/api/terms/{term}/questions')).toEqual([]);
  await userEvent.clear(minutes);
  await userEvent.type(minutes, '15');
  await userEvent.click(screen.getAllByRole('button', { name: 'Remove' })[2] as HTMLElement);
  await userEvent.click(screen.getByRole('button', { name: 'Work them out' }));
  await waitFor(() => {
    expect(of('POST', '/api/terms/{term}/questions').map((one) => one.body)).toEqual([
      {
        kind: 'compare',
        course: 'course',
        plans: [
          { approach: 'piece', minutes: 0, extra: 0 },
          { approach: 'outline', minutes: 15, extra: 0 },
        ],
      },
    ]);
  });
});

test('three plans stand side by side with their figures, and one is made the plan', async () => {
  const plan = (expected: number) => ({
    meetings: [
      {
        id: 'one',
        on: '2026-01-20',
        minutes: 60,
        kind: 'lesson',
        courses: [
          {
            course: 'course',
            lessons: [{ entries: ['e1', 'e2'], kind: 'new', number: 1 }],
            recap: [],
            review: [['e3']],
            runThrough: [],
          },
        ],
      },
    ],
    forecasts: [
      {
        course: 'course',
        reach: 4,
        holds: 3,
        expected,
        weakest: [{ at: 2, recall: 0.61 }],
        low: [1],
        showing: { mean: 0.83, least: 0.61 },
      },
    ],
    expected,
    boxes: [{ kind: 'review', minutes: 40 }],
  });
  server.answers['GET /api/terms/{term}/questions'] = [
    {
      id: 'q',
      kind: 'compare',
      question: { course: 'course' },
      state: 'done',
      progress: 100,
      isOld: false,
      answer: { plans: [plan(3.1), plan(4.2)] },
    },
  ];
  show('/terms/term/compare');
  const second = await screen.findByRole('region', { name: 'Plan 2' });
  expect(second.textContent).toContain('4 / 6');
  expect(second.textContent).toContain('4.2');
  expect(second.textContent).toContain('83 % / 61 %');
  await userEvent.click(within(second).getByRole('button', { name: 'Make this the plan' }));
  await waitFor(() => {
    expect(of('POST', '/api/plan-questions/{question}/take-over')[0]?.body).toEqual({ plan: 1 });
  });
});
