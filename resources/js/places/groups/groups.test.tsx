import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { choose as pick } from '../../../../tests/pages/choose';
import { createMemoryRouter, RouterProvider } from '../../../../tests/pages/router';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { cell, form, student } from '../../../../tests/pages/sample';
import { onTheWire } from '../../../../tests/pages/server';
import type { Group } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import { Toasts } from '../../kit/toasts';
import '../../messages';
import { GroupPeoplePlace, GroupPlace } from './GroupPlace';
import { GroupsPlace } from './GroupsPlace';

let asked: { method: string; url: string; body: unknown }[] = [];
/** What the server answers by method and end of address, one after the other; the last one stays. */
let answers: Record<string, { status?: number; body: unknown }[]> = {};
const { ask } = vi.hoisted(() => ({
  ask: {
    current: (method: string, url: string, body: unknown): Promise<unknown> =>
      Promise.reject(new Error(method + url + String(body))),
  },
}));
vi.mock('../../api/client', async (original) => {
  const by = (method: string) => (url: string, options?: { body?: unknown }) => ask.current(method, url, options?.body);
  return {
    ...(await original<typeof import('../../api/client')>()),
    api: { GET: by('GET'), POST: by('POST'), PATCH: by('PATCH'), DELETE: by('DELETE') },
  };
});

const group = (change: Partial<Group> = {}): Group => ({
  group: {
    id: 'group',
    name: 'Tuesdays',
    room: null,
    formId: 'form',
    formTitle: 'Tide stair',
    students: 3,
    termId: 'term',
    hasFeed: false,
  },
  on: '2026-01-20',
  form: form(),
  course: null,
  taught: [1, 2],
  principles: null,
  lessons: [
    { number: 1, hasTaken: true, share: 0.67 },
    { number: 2, hasTaken: false, share: 0 },
  ],
  nextRecap: { from: 1, to: 2 },
  nextLesson: 2,
  lessonsLeft: 4,
  students: [
    student('Ada', { cells: [cell(1), cell(2)] }),
    student('Bo', { ready: 'look' }),
    student('Cy', { ready: 'not_yet' }),
  ],
  ...change,
});

beforeEach(() => {
  asked = [];
  sessionStorage.clear();
  queryClient.clear();
  answers = {
    'GET {group}': [{ body: group() }],
    'GET {form}': [{ body: form() }],
    'GET groups': [{ body: [group().group, { ...group().group, id: 'other', name: 'Mornings' }] }],
  };
  answers['GET forms'] = [{ body: [{ id: 'form', title: 'Tide stair' }] }];
  ask.current = (method, url, body) => {
    asked.push({ method, url, body });
    const queue = answers[`${method} ${url.split('/').pop() ?? ''}`] ?? [{ body: null }];
    const { status = 200, body: answer } = (queue.length > 1 ? queue.shift() : queue[0]) ?? { body: null };
    const response = new Response(null, { status });
    return Promise.resolve(status >= 400 ? { error: answer, response } : { data: onTheWire(answer), response });
  };
});
afterEach(cleanup);

function open(address: string) {
  const router = createMemoryRouter(
    [
      { path: '/groups/:group/people', Component: GroupPeoplePlace },
      { path: '/groups/:group', Component: GroupPlace },
      { path: '/groups', Component: GroupsPlace },
      { path: '*', element: <p>elsewhere</p> },
    ],
    { initialEntries: [address] },
  );
  render(
    <QueryClientProvider client={queryClient}>
      <Toasts>
        <RouterProvider router={router} />
      </Toasts>
    </QueryClientProvider>,
  );
  return router;
}
const last = (method: string, end: string) => asked.filter((one) => one.method === method && one.url.endsWith(end)).pop()?.body;
const known = {
  code: 'students.known',
  with: { names: ['Ada'], count: 1 },
  place: 'students',
  known: [{ name: 'Ada', students: [{ id: 's9', name: 'Ada', groups: ['Mornings'] }] }],
};

describe('readiness', () => {
  test('of who is ready nothing is said that sounds as if they were not; and of lessons that are left it is said that they are', async () => {
    answers['GET {group}'] = [
      {
        body: group({
          nextLesson: null,
          lessonsLeft: 12,
          students: [student('Ada', { ready: 'ready', holding: 0, behind: [2, 3, 4], missed: [4] })],
        }),
      },
    ];
    open('/groups/group');
    expect(await screen.findByText('No lesson is planned for the classes to come; 12 are left.')).toBeTruthy();
    expect(screen.getByText('not sure yet of 2–3 · missed 4')).toBeTruthy();
    expect(screen.queryByText(/behind/)).toBeNull();
  });

  test('has three answers, and says why of those who are not simply ready', async () => {
    const why = [
      { position: 1, reason: 'following' as const, support: 'Following' as const, recall: 0.4 },
      { position: 2, reason: 'never_met' as const, support: null, recall: null },
    ];
    answers['GET {group}'] = [
      {
        body: group({
          students: [
            student('Ada'),
            student('Bo', { ready: 'look', why: [{ position: 2, reason: 'not_seen', support: null, recall: 0.66 }] }),
            student('Cy', { ready: 'not_yet', why }),
          ],
        }),
      },
    ];
    open('/groups/group');
    expect(await screen.findByText('1 ready · 1 to look at first · 1 not yet')).toBeTruthy();
    expect(screen.getAllByRole('heading', { level: 2 }).map((one) => one.textContent)).toEqual([
      '›Not yet ready for lesson 2 · 1 of 3',
      '›Look first before lesson 2 · 1 of 3',
      '›Ready for lesson 2 · 1 of 3',
      'The standing map',
    ]);
    // One row a student, with the reason in it.
    const rows = within(screen.getByRole('region', { name: 'Where everyone stands' })).getAllByRole('listitem');
    expect(rows.map((one) => one.querySelector('strong')?.textContent)).toEqual(['Cy', 'Bo', 'Ada']);
    expect(rows[0]?.textContent).toContain('1 still done by following, 40 % sure · 2 never met');
    expect(rows[1]?.textContent).toContain('2 taught, not seen yet, 66 % sure');
    expect(rows[2]?.textContent).toContain('nothing is missing');
  });

  test('before anything is taught everyone is listed all the same', async () => {
    answers['GET {group}'] = [
      {
        body: group({ taught: [], nextRecap: null, students: [student('Ada', { ready: null }), student('Bo', { ready: null })] }),
      },
    ];
    open('/groups/group');
    expect(await screen.findByText(/Nothing is taught yet/)).toBeTruthy();
    const rows = within(screen.getByRole('region', { name: 'Where everyone stands' })).getAllByRole('listitem');
    expect(rows.map((one) => one.querySelector('strong')?.textContent)).toEqual(['Ada', 'Bo']);
  });
});

test('a group cannot be made before its form is known', async () => {
  const answer = ask.current;
  ask.current = (method, url, body) => (url.endsWith('/forms') ? new Promise(() => undefined) : answer(method, url, body));
  open('/groups?new');
  expect(await screen.findByRole('button', { name: 'Make the group' })).toHaveProperty('disabled', true);
});

test('a group is made once, however quickly the button is pressed again', async () => {
  answers['POST groups'] = [{ status: 201, body: group().group }];
  open('/groups?new');
  await userEvent.type(await screen.findByLabelText('Name of the group'), 'New');
  const make = screen.getByRole('button', { name: 'Make the group' });
  await waitFor(() => {
    expect(make).toHaveProperty('disabled', false);
  });
  fireEvent.click(make);
  fireEvent.click(make);
  await screen.findByText('The group is made.');
  expect(asked.filter((one) => one.method === 'POST')).toHaveLength(1);
});

describe('who is in a group', () => {
  const choose = async (name: string, what: string) => {
    await userEvent.click(await screen.findByRole('button', { name: `Change: ${name}` }));
    await userEvent.click(await screen.findByRole('menuitem', { name: what }));
  };

  test('one is renamed; a name somebody has is asked about first', async () => {
    answers['PATCH {student}'] = [{ status: 409, body: known }, { body: null }];
    open('/groups/group/people');
    await choose('Bo', 'Rename');
    const dialog = await screen.findByRole('dialog');
    const name = within(dialog).getByLabelText('Name');
    await userEvent.clear(name);
    await userEvent.type(name, 'Ada');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Rename' }));
    expect(await within(dialog).findByText(/Ada is a name that is there already/)).toBeTruthy();
    await userEvent.click(within(dialog).getByRole('button', { name: 'Rename all the same: they are two people' }));
    expect(await screen.findByText('Bo is now Ada.')).toBeTruthy();
    expect(asked.filter((one) => one.method === 'PATCH').map((one) => one.body)).toEqual([
      { name: 'Ada', isOther: false },
      { name: 'Ada', isOther: true },
    ]);
    await userEvent.click(screen.getByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(last('PATCH', '{student}')).toEqual({ name: 'Bo', isOther: true });
    });
  });

  test('one is moved to another group, and back', async () => {
    open('/groups/group/people');
    await choose('Bo', 'Move to another group');
    const dialog = await screen.findByRole('dialog');
    await waitFor(() => {
      expect(within(dialog).getByRole('combobox', { name: 'To the group' }).textContent).toBe('Mornings');
    });
    await userEvent.click(within(dialog).getByRole('button', { name: 'Move to another group' }));
    expect(await screen.findByText('Bo is now in Mornings.')).toBeTruthy();
    expect(last('POST', '/move')).toEqual({ student: 'bo', to: 'other' });
    await userEvent.click(screen.getByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(last('POST', '/move')).toEqual({ student: 'bo', to: 'group' });
    });
  });

  test('one is taken off the list, and put back as the same person', async () => {
    open('/groups/group/people');
    await choose('Bo', 'Take off the list');
    expect(await screen.findByText('Bo is off the list. The record stays.')).toBeTruthy();
    expect(last('DELETE', '/students')).toEqual({ students: ['bo'] });
    await userEvent.click(screen.getByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(last('POST', '/students')).toEqual({ students: ['Bo'], same: { Bo: 'bo' } });
    });
  });

  test('a name that is there already is asked about when it is added, and what was typed stays', async () => {
    answers['POST students'] = [{ status: 409, body: known }, { body: { group: group().group, added: ['s9'] } }];
    open('/groups/group');
    await userEvent.click(await screen.findByRole('button', { name: 'Add students' }));
    const names = screen.getByLabelText<HTMLTextAreaElement>('Students, a name a line');
    await userEvent.type(names, 'Ada\nDee');
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    expect((await screen.findByRole('radio', { name: 'Ada, in Mornings' })).getAttribute('aria-checked')).toBe('true');
    expect(names.value).toBe('Ada\nDee');
    await userEvent.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() => {
      expect(last('POST', '/students')).toEqual({ students: ['Ada', 'Dee'], same: { Ada: 's9' }, others: [] });
    });
  });

  test('another person of that name is said when a group is made', async () => {
    answers['POST groups'] = [
      { status: 409, body: known },
      { status: 201, body: group().group },
    ];
    open('/groups?new');
    await userEvent.type(await screen.findByLabelText('Name of the group'), 'New');
    await userEvent.type(screen.getByLabelText('Students, a name a line'), 'Ada');
    await userEvent.click(screen.getByRole('button', { name: 'Make the group' }));
    await userEvent.click(await screen.findByLabelText('Another person of this name'));
    await userEvent.click(screen.getByRole('button', { name: 'Make the group' }));
    await waitFor(() => {
      expect(last('POST', '/api/groups')).toMatchObject({ students: ['Ada'], same: {}, others: ['Ada'] });
    });
  });
});

test('what the group was taught before is said up to an entry, once however often it is sent', async () => {
  answers['POST before'] = [{ status: 422, body: { code: 'before.future', with: {}, place: 'on' } }, { body: null }];
  open('/groups/group');
  await userEvent.click(await screen.findByRole('button', { name: 'Already taught up to…' }));
  const dialog = await screen.findByRole('dialog');
  await pick(within(dialog).getByLabelText('The last entry taught'), /^4\./);
  await userEvent.click(within(dialog).getByRole('button', { name: 'Keep it' }));
  expect(await within(dialog).findByText(/Choose an earlier day/)).toBeTruthy();
  await userEvent.click(within(dialog).getByRole('button', { name: 'Keep it' }));
  expect(await screen.findByText(/Kept: taught up to Movement 4/)).toBeTruthy();
  const said = asked
    .filter((one) => one.url.endsWith('/before'))
    .map((one) => one.body as { id: string; to: number; on: string | null });
  expect(said.map(({ to, on }) => [to, on])).toEqual([
    [4, null],
    [4, null],
  ]);
  expect(new Set(said.map(({ id }) => id)).size).toBe(1);
  await userEvent.click(screen.getByRole('button', { name: 'Take back' }));
  await waitFor(() => {
    expect(last('POST', '/withdrawals')).toMatchObject({ withdrawals: [{ of: said[0]?.id }] });
  });
});
