import 'fake-indexeddb/auto';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { form, page, student } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { Mark, PartnerDrill } from '../../api/client';
import { closeOutbox, flush, openOutbox } from '../../api/outbox';
import '../../messages';
import { OnPartner } from './OnPartner';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

const drill = (change: Partial<PartnerDrill> = {}): PartnerDrill => ({
  lesson: 'lesson',
  courseId: 'course',
  position: 3,
  isTonight: true,
  contact: 'wrist on wrist',
  steps: [
    { id: 'touch', title: 'a hand’s weight', text: null, limit: null },
    { id: 'push', title: 'steady', text: 'from any side', limit: 3 },
  ],
  aside: ['cy'],
  ...change,
});
const [ada, bo, cy] = ['Ada', 'Bo', 'Cy'].map((name) => student(name, { id: name.toLowerCase() }));
const people = [ada, bo, cy].filter((one) => one !== undefined);
let marked: Mark[];
let posted: { marks: Record<string, unknown>[] }[];

beforeEach(async () => {
  sessionStorage.clear();
  marked = [];
  posted = [];
  server.reset({
    'GET /api/meetings/{meeting}/pairs': {
      pairs: [
        [
          { id: 'ada', name: 'Ada', frontier: 4 },
          { id: 'bo', name: 'Bo', frontier: 3 },
        ],
      ],
      aside: ['Cy'],
    },
  });
  vi.stubGlobal('fetch', async (request: Request) => {
    posted.push(JSON.parse(await request.text()) as { marks: Record<string, unknown>[] });
    return new Response('[]', { status: 200 });
  });
  await openOutbox('ina');
});
afterEach(async () => {
  cleanup();
  await flush();
  closeOutbox();
  vi.unstubAllGlobals();
});

const open = (drills = [drill()]) =>
  showAt('/', [
    {
      path: '/',
      element: <OnPartner page={page({ marks: marked })} unsent={new Set()} students={people} form={form()} drills={drills} />,
    },
  ]);

test('the safety rule and consent stand first, and a limit stands at the last step only', async () => {
  open();
  expect(screen.getByText('Hands up, tap out: stop at once.')).toBeTruthy();
  expect(screen.getByText(/Ask both whether they want to/)).toBeTruthy();
  expect(screen.getByText('from 3. Movement 3 (tonight)')).toBeTruthy();
  expect(screen.queryByText(/at most/)).toBeNull();
  await userEvent.click(screen.getByRole('radio', { name: '2. steady' }));
  expect(screen.getByText('at most 3 s')).toBeTruthy();
  expect(screen.getByText('from any side')).toBeTruthy();
});

test('pairs are proposed, whoever stands aside is named without a why, and cannot be marked', async () => {
  open();
  expect((await screen.findByTestId('pairs')).textContent).toBe('Pair 1 Ada · Bo');
  expect(screen.getByText('Beside it: Cy')).toBeTruthy();
  expect(screen.queryByText('Cy', { selector: 'span' })).toBeNull();
});

test('whoever would rather not is taken out of the pairs and of the list, and comes back', async () => {
  open();
  await userEvent.click(await screen.findByRole('button', { name: 'Somebody would rather not' }));
  await userEvent.click(screen.getByRole('checkbox', { name: 'Bo' }));
  await waitFor(() => {
    const asked = server.got('GET', '/api/meetings/{meeting}/pairs');
    expect(asked).toHaveLength(2);
  });
  expect(screen.getByRole('button', { name: '1 would rather not' })).toBeTruthy();
  expect(document.querySelector('[data-student="bo"]')).toBeNull();
  await userEvent.click(screen.getByRole('checkbox', { name: 'Bo' }));
  expect(document.querySelector('[data-student="bo"]')).not.toBeNull();
});

test('a tap marks one step of one student, and nothing else', async () => {
  open();
  const row = within(document.querySelector('[data-student="ada"]') as HTMLElement);
  fireEvent.click(row.getByRole('button', { name: /Alone/ }));
  await waitFor(() => {
    expect(posted).toHaveLength(1);
  });
  expect(posted[0]?.marks).toHaveLength(1);
  expect(posted[0]?.marks[0]).toMatchObject({
    student: 'ada',
    step: 'touch',
    entry: null,
    principle: null,
    side: null,
    support: 'Alone',
  });
  expect(await screen.findByText('Ada: Alone on a hand’s weight')).toBeTruthy();
});

test('all that are not marked are marked at once, and those who are keep what they have', async () => {
  marked = [
    {
      id: '1',
      studentId: 'ada',
      entryId: null,
      principleId: null,
      stepId: 'touch',
      side: null,
      support: 'Cued',
      at: '2026-01-20T19:10:00+01:00',
    },
  ];
  open();
  expect(screen.getByText('The one not marked yet:')).toBeTruthy();
  fireEvent.click(screen.getAllByRole('button', { name: /Following/ })[0] as HTMLElement);
  await waitFor(() => {
    expect(posted[0]?.marks.map((one) => one.student)).toEqual(['bo']);
  });
  // The next step is another subject: nobody is marked on it.
  await userEvent.click(screen.getByRole('radio', { name: '2. steady' }));
  expect(screen.getByText('All 2 not marked yet:')).toBeTruthy();
});

test('of several drills the one that is chosen begins at its first step', async () => {
  open([
    drill(),
    drill({
      lesson: 'other',
      isTonight: false,
      position: 5,
      steps: [{ id: 'lean', title: 'lean', text: null, limit: 2 }],
      aside: [],
    }),
  ]);
  await userEvent.click(screen.getByRole('radio', { name: '2. steady' }));
  expect(screen.getByRole('combobox', { name: 'Drill' })).toBeTruthy();
  expect(screen.getByText('from any side')).toBeTruthy();
});
