import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { form } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { LessonPage } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { lineWithoutArrow } from './lessonFields';
import { LessonPlace } from './LessonPlace';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

type EntryWords = LessonPage['entries'][number];
const words = (position: number, change: Partial<EntryWords> = {}): EntryWords => ({
  position,
  key: `e${String(position)}`,
  cues: [],
  keyWords: [],
  firstWords: [],
  checks: [],
  errors: [],
  cautions: [],
  variants: [],
  drills: [],
  strains: [],
  difference: null,
  ...change,
});
const lesson = (change: Partial<LessonPage> = {}): LessonPage => ({
  number: 2,
  version: 0,
  lesson: { id: 'l', kind: 'new', entries: ['e3', 'e4'] },
  load: 2,
  seconds: 24,
  recap: { from: 1, to: 2 },
  runThrough: { from: 1, to: 4 },
  entries: [words(3), words(4)],
  gone: [],
  was: [],
  knownBefore: [],
  drills: [],
  steps: [
    { mode: 'watch', cues: 'all', text: null },
    { mode: 'together', cues: 'key_words', text: null },
    { mode: 'alone', cues: 'none', text: null },
  ],
  views: ['facing'],
  changes: [],
  ...change,
});
const PUT = '/api/forms/{form}/lessons';

beforeEach(() => {
  queryClient.clear();
  sessionStorage.clear();
  server.reset({
    'GET /api/session': { person: { id: 'me', name: 'Me', may: ['edit-forms'] }, school: null, needsFounding: false },
    'GET /api/forms/{form}': form(),
    'GET /api/forms/{form}/lessons/{number}': lesson(),
    [`PUT ${PUT}`]: lesson({ version: 1 }),
    'GET /api/forms/{form}/courses': [{ id: 'c', group: 'Tuesdays', term: 'Winter' }],
  });
});
afterEach(cleanup);

const open = (page: LessonPage = lesson()) => {
  server.answers['GET /api/forms/{form}/lessons/{number}'] = page;
  return showAt('/forms/form/lessons/2', [
    { path: '/forms/:form/lessons/:number', Component: LessonPlace },
    { path: '*', element: <p>elsewhere</p> },
  ]);
};
const part = async (title: string) =>
  (await screen.findByRole('heading', { level: 2, name: title })).closest('section') as HTMLElement;

describe('a lesson', () => {
  test('says what is different about a mirrored entry, and of one that returns that its join is the new thing', async () => {
    open(
      lesson({
        entries: [
          words(3, {
            difference: {
              like: 2,
              isMirrored: true,
              differs: [{ code: 'bite.told', with: { text: 'the {L} hand is already up' } }],
              isJoinNew: false,
              before: 2,
              beforeThere: 1,
            },
          }),
          words(4, { difference: { like: 1, isMirrored: false, differs: [], isJoinNew: true, before: 3, beforeThere: null } }),
        ],
      }),
    );
    const items = within(await part('What is different')).getAllByRole('listitem');
    expect(items.map((item) => item.textContent)).toEqual([
      '3. Movement 3: as 2. Movement 2 on the other side, but the left hand is already up.',
      '4. Movement 4: as 1. Movement 1; nothing that is written down differs. The join into it is the new thing: here it comes after 3. Movement 3, there the form begins with it.',
    ]);
  });

  test('shows what is left of the cues at each step that has fewer', async () => {
    open(lesson({ entries: [words(3, { cues: ['turn to the {L}'], keyWords: ['turn {L}'], firstWords: ['turn'] })] }));
    const says = within(await part('What you say'));
    expect(says.getAllByRole('definition').map((one) => one.textContent)).toEqual(['turn to the left', 'turn left']);
  });

  test('names what strains and has no caution, and stays with the care that is shown everywhere', async () => {
    open(
      lesson({
        entries: [
          words(3, { strains: ['one_leg'] }),
          words(4, { strains: ['fold'], cautions: [{ for: 'knee', do: 'support', text: null }] }),
        ],
      }),
    );
    const care = within(await part('Who takes care'));
    expect(care.getAllByRole('listitem').map((one) => one.textContent)).toEqual([
      '3. Movement 3: a one-legged stance, and no caution: ask first.',
      '4. Movement 4, knee: with a chair or wall near',
    ]);
    expect(screen.getByText(/not medical advice/)).toBeTruthy();
  });

  test('with a partner shows the safety rule, and the limit at the last step alone', async () => {
    open(
      lesson({
        lesson: {
          id: 'l',
          kind: 'partner',
          entries: ['e3'],
          partner: {
            entry: 'e3',
            contact: 'forearms',
            limit: 3,
            not_for: ['first_time', 'neck'],
            steps: [
              { id: 'a', title: 'a hand’s weight' },
              { id: 'b', title: 'a steady push' },
            ],
          },
        },
      }),
    );
    const pair = within(await screen.findByRole('region', { name: 'With a partner' }));
    expect(pair.getByText('Hands up, tap out: stop at once.')).toBeTruthy();
    expect(pair.getAllByRole('listitem').map((one) => one.textContent)).toEqual([
      'a hand’s weight',
      'a steady push (3 s, at the last step only)',
    ]);
    expect(pair.getByText(/first-timers, whoever is careful tonight, and whoever spares one of these: neck/)).toBeTruthy();
  });

  test('tells what of the form changed since it was written, until somebody says that they looked', async () => {
    open(
      lesson({
        version: 3,
        changes: [
          {
            key: 'e3',
            position: 3,
            title: 'Movement 3',
            fields: [{ field: { code: 'field.breaths', with: {} }, before: '2', after: '3' }],
          },
        ],
      }),
    );
    expect(await screen.findByText('Movement 3: breaths was 2, is 3')).toBeTruthy();
    await userEvent.click(await screen.findByRole('button', { name: 'I have looked it over' }));
    await waitFor(() => {
      expect(screen.queryByText('Movement 3: breaths was 2, is 3')).toBeNull();
    });
    expect(server.got('PUT', PUT).map((one) => one.body)).toEqual([
      { course: null, version: 3, lesson: { id: 'l', kind: 'new', entries: ['e3', 'e4'] } },
    ]);
  });
});

describe('writing into a lesson', () => {
  const write = async () => {
    await userEvent.click(await screen.findByRole('button', { name: 'Write into it' }));
  };

  test('sends what was added and nothing that is empty; a double click sends it once', async () => {
    open();
    await write();
    await userEvent.type(screen.getByLabelText('Note'), 'slowly ');
    await userEvent.type(screen.getByLabelText('Move on when you see (a line each)'), 'level\n\n  upright ');
    await userEvent.type(screen.getByLabelText('What often goes wrong (a line each: wrong => right)'), 'leaning => upright');
    await userEvent.dblClick(screen.getByRole('button', { name: 'Keep what I wrote' }));
    await screen.findByText('Kept. The form itself is as it was.');
    expect(server.got('PUT', PUT).map((one) => JSON.parse(JSON.stringify(one.body)) as unknown)).toEqual([
      {
        course: null,
        version: 0,
        lesson: {
          id: 'l',
          kind: 'new',
          entries: ['e3', 'e4'],
          note: 'slowly',
          checks: ['level', 'upright'],
          errors: [{ wrong: 'leaning', right: 'upright' }],
        },
      },
    ]);
    expect(sessionStorage.length).toBe(0);
  });

  test('keeps what is typed when the page is left or the server refuses', async () => {
    server.refusals[`PUT ${PUT}`] = { status: 409, code: 'lesson.changed' };
    open();
    await write();
    await userEvent.type(screen.getByLabelText('Note'), 'mine');
    await userEvent.click(screen.getByRole('button', { name: 'Keep what I wrote' }));
    expect((await screen.findByRole('alert')).textContent).toContain('Somebody changed this lesson');
    cleanup();
    queryClient.clear();
    open();
    await write();
    expect(screen.getByLabelText<HTMLTextAreaElement>('Note').value).toBe('mine');
    expect(screen.getByText('This is what you typed here and did not keep.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Leave what I typed' }));
    expect(sessionStorage.length).toBe(0);
  });

  test('says on which line nothing parts what goes wrong from what is right, and sends nothing', async () => {
    open();
    await write();
    await userEvent.type(screen.getByLabelText(/What often goes wrong/), 'a => b\nleaning');
    await userEvent.click(screen.getByRole('button', { name: 'Keep what I wrote' }));
    expect(screen.getByRole('alert').textContent).toBe('Line 2 has no “=>” between what goes wrong and what is right.');
    expect(server.got('PUT', PUT)).toEqual([]);
    expect([lineWithoutArrow(''), lineWithoutArrow('a =>'), lineWithoutArrow('=> b'), lineWithoutArrow('a=>b')]).toEqual([
      null,
      1,
      1,
      null,
    ]);
  });

  test('a drill that a file lets come after several things keeps the others when the first is changed', async () => {
    const drills = [
      { id: 'a', title: 'Shift', parent: 'e3' },
      { id: 'b', title: 'Step', parent: 'e4', after: ['a', 'e1', 'e2'] },
    ];
    open(lesson({ version: 1, lesson: { id: 'l', kind: 'new', entries: ['e3', 'e4'], drills } }));
    await write();
    await userEvent.click(screen.getAllByRole('combobox', { name: 'Must come after' })[1] as HTMLElement);
    await userEvent.click(await screen.findByRole('option', { name: '2. Movement 2' }));
    await userEvent.click(screen.getByRole('button', { name: 'Keep what I wrote' }));
    await waitFor(() => {
      const sent = server.got('PUT', PUT)[0]?.body as { lesson: { drills: { after?: string[] }[] } };
      expect(sent.lesson.drills[1]?.after).toEqual(['e2', 'e1']);
    });
  });

  test('is not offered to whoever may not', async () => {
    server.answers['GET /api/session'] = { person: { id: 'me', name: 'Me', may: ['read'] }, school: null, needsFounding: false };
    open();
    await part('Lead-in');
    expect(screen.queryByRole('button', { name: 'Write into it' })).toBeNull();
  });
});
