import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { cell, form, groupPrinciples, student } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { StudentPage, StudentRow } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { found, StudentsPlace } from './StudentsPlace';
import { StudentPlace } from './StudentPlace';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

const row = (id: string, name: string, groups: StudentRow['groups'] = []): StudentRow => ({
  id,
  name,
  lastSeen: null,
  groups,
  isOffList: false,
});
const tuesdays = { id: 'tue', name: 'Tuesdays' };

const page = (change: Partial<StudentPage> = {}): StudentPage => ({
  id: 'ada',
  name: 'Ada',
  on: '2026-01-20',
  groups: [{ id: 'tue', name: 'Tuesdays', joinedOn: '2026-01-01', leftOn: null, came: 6, classes: 7 }],
  forms: [
    {
      group: 'tue',
      form: form(),
      standing: student('Ada', { id: 'ada', cells: [cell(1), cell(2, { left: 'Cued', right: 'Alone' })] }),
      taught: [1, 2, 3, 4],
      fading: [{ position: 1, until: '2026-02-03', recall: 0.91 }],
      catchUp: [
        {
          from: 3,
          to: 4,
          need: 'recap',
          minutes: 4,
          lacking: [
            { position: 3, kind: 'missed', recall: null, support: null },
            { position: 4, kind: 'behind', recall: 0.55, support: 'Alone' },
          ],
        },
        { from: 2, to: 2, need: 'review', minutes: 3, lacking: [{ position: 2, kind: 'hole', recall: 0.4, support: 'Cued' }] },
        { from: 1, to: 1, need: 'later', minutes: 3, lacking: [{ position: 1, kind: 'missed', recall: 0.9, support: null }] },
      ],
      catchUpMinutes: 10,
    },
  ],
  principles: [
    {
      group: 'Tuesdays',
      principles: groupPrinciples(),
      keepings: [{ principle: 'row-p1', keeping: 'Slow', recall: 0.7, sureness: 'fading', holds: false, isAssumed: false }],
    },
  ],
  classes: [
    {
      meetingId: 'm1',
      on: '2026-01-13',
      group: 'Tuesdays',
      came: false,
      note: 'The hall was cold.',
      marks: [],
    },
    {
      meetingId: 'm0',
      on: '2026-01-06',
      group: 'Tuesdays',
      came: true,
      note: null,
      marks: [
        { what: '1 Low tide', side: 'left', isPrinciple: false, level: 'Alone' },
        { what: 'Root', side: null, isPrinciple: true, level: 'Stopped' },
      ],
    },
  ],
  isPaused: false,
  isOffList: false,
  also: [],
  sameAs: null,
  email: null,
  size: null,
  ...change,
});

beforeEach(() => {
  queryClient.clear();
  server.reset({
    'GET /api/students': [row('a', 'Angèle M.', [tuesdays]), row('b', 'Bo Stone'), row('c', 'Cy Angelo')],
    'GET /api/groups/{group}/lines': [{ studentId: 'a', frontier: 13, holds: 9, slipping: 2 }],
    'GET /api/students/{student}': page(),
    'GET /api/students/{student}/line': [
      { on: '2026-01-06', holding: 0, expected: 1.5, marks: 0 },
      { on: '2026-01-13', holding: 2, expected: 3.25, marks: 4 },
    ],
    'GET /api/students/{student}/curve': [
      {
        position: 1,
        side: null,
        points: [{ on: '2026-01-06', recall: 1 }],
        contacts: [
          { on: '2026-01-06', kind: 'taught', level: null, side: null, before: null },
          { on: '2026-01-13', kind: 'mark', level: 'Cued', side: null, before: 0.664 },
        ],
      },
    ],
  });
});
afterEach(cleanup);

describe('mail and size', () => {
  const open = async () => {
    server.answers['GET /api/session'] = { person: { id: 'me', name: 'Me', may: ['plan'] }, school: null, needsFounding: false };
    server.answers['GET /api/students/{student}'] = page({ email: 'ada@example.test', size: 'small' });
    showAt('/students/ada', [{ path: '/students/:student', Component: StudentPlace }]);
    await userEvent.click(await screen.findByRole('button', { name: 'Keep the record' }));
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Mail and size…' }));
  };
  const sent = () => server.got('PUT', '/api/students/{student}/details').map((one) => one.body);

  test('are changed together, and taken back', async () => {
    await open();
    const email = await screen.findByLabelText<HTMLInputElement>('Email');
    expect(email.value).toBe('ada@example.test');
    await userEvent.clear(email);
    await userEvent.click(screen.getByRole('radio', { name: 'Large' }));
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(sent()).toEqual([
        { email: null, size: 'large', was: { email: 'ada@example.test', size: 'small' } },
        { email: 'ada@example.test', size: 'small' },
      ]);
    });
  });

  test('somebody else who changed them meanwhile is told of, what was typed stays, and saved once more it stands', async () => {
    server.refusals = { 'PUT /api/students/{student}/details': { status: 409, code: 'http.changed' } };
    await open();
    const email = await screen.findByLabelText<HTMLInputElement>('Email');
    await userEvent.clear(email);
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/Somebody else changed this while you wrote/)).toBeTruthy();
    expect(email.value).toBe('');
    server.refusals = {};
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => {
      expect(sent().at(-1)).toEqual({ email: null, size: 'small' });
    });
  });

  test('where taking back fails, that is said', async () => {
    await open();
    await userEvent.clear(await screen.findByLabelText('Email'));
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    server.refusals = { 'PUT /api/students/{student}/details': { status: 404, code: 'http.gone' } };
    await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
    expect(await screen.findByText('There is nothing here, or it belongs to another school.')).toBeTruthy();
  });

  test('what is no address is told beside what was typed', async () => {
    server.refusals = {
      'PUT /api/students/{student}/details': { status: 422, code: 'invalid.email', with: { field: 'The email address' } },
    };
    await open();
    await userEvent.type(await screen.findByLabelText('Email'), ' oh');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/is none that mail could reach/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Email').value).toContain('oh');
  });
});

describe('everyone', () => {
  test('is found by any part of the name, with or without its marks, and by group', () => {
    const rows = [row('a', 'Angèle M.', [tuesdays]), row('b', 'Bo Stone'), row('c', 'Cy Angelo')];
    expect(found(rows, 'angel', '').map((one) => one.id)).toEqual(['a', 'c']);
    expect(found(rows, 'M angele', '').map((one) => one.id)).toEqual(['a']);
    expect(found(rows, 'angel', 'tue').map((one) => one.id)).toEqual(['a']);
    expect(found(rows, '  ', '')).toHaveLength(3);
    expect(found(rows, 'stone(', '')).toEqual([]);
  });

  test('is there by name before it is known where they stand, and a group that is chosen is asked for alone', async () => {
    server.refusals = { 'GET /api/groups/{group}/lines': { status: 503, code: 'http.closed' } };
    server.answers['GET /api/students'] = [row('a', 'Ann', [tuesdays]), row('b', 'Bob', [{ id: 'fri', name: 'Fridays' }])];
    showAt('/students?group=fri', [{ path: '/students', Component: StudentsPlace }]);
    expect((await screen.findByText('Bob')).closest('a')?.textContent).toBe('BobFridaysnot been here yet');
    expect(screen.queryByText('Ann')).toBeNull();
    await waitFor(() => {
      expect(server.got('GET', '/api/groups/{group}/lines')).toHaveLength(1);
    });
  });

  test('has a line each; what is looked for stands in the address, and nobody is said by name', async () => {
    const { router } = showAt('/students', [{ path: '/students', Component: StudentsPlace }]);
    expect(await screen.findByText('Tuesdays: secure to 13 · 9 hold · 2 slipping')).toBeTruthy();
    expect(screen.getAllByText('in no group')).toHaveLength(2);
    await userEvent.type(screen.getByRole('searchbox', { name: 'Find a student' }), 'zed');
    expect(await screen.findByText('Nobody is called “zed” here.')).toBeTruthy();
    expect(router.state.location.search).toBe('?find=zed');
  });
});

describe('a student', () => {
  const open = (path = '/students/ada') => showAt(path, [{ path: '/students/:student', Component: StudentPlace }]);

  test('shows how often they came, what is missing with what it needs, and what fades when', async () => {
    open();
    expect(await screen.findByText('Tuesdays: came to 6 of 7')).toBeTruthy();
    const items = screen.getAllByRole('listitem').map((one) => one.textContent);
    expect(
      items.some((text) =>
        /\(1 missed, 1 not sure yet\) · the next lesson starts from it · 4 min.*: never met it.*: knew it/.test(text),
      ),
    ).toBe(true);
    expect(
      items.some((text) => text.includes('(a hole) · the next class goes over it') && text.includes('what comes next')),
    ).toBe(true);
    expect(items.some((text) => text.includes('(missed) · when there is time') && text.includes('has hardly met it since'))).toBe(
      true,
    );
    expect(screen.getByText('About 10 min in all, three times through each: the shortest way back.')).toBeTruthy();
    expect(items.some((text) => /holds until about 3 Feb \(91 % today\)/.test(text))).toBe(true);
    expect(screen.getByText(/Slow, fading/)).toBeTruthy();
    expect(screen.getByText('1 Low tide (left): Alone · Root: Stopped')).toBeTruthy();
    expect(screen.getByText('From the log: The hall was cold.')).toBeTruthy();
  });

  test('the sides of an entry have a reed each where they differ', async () => {
    open();
    const sided = await screen.findByRole('button', { name: /^2\..*left side Cued, right side Alone|^2\..*Cued.*Alone/i });
    expect([...sided.querySelectorAll('[data-segments]')].map((one) => one.getAttribute('data-segments'))).toEqual(['2', '3']);
  });

  test('a reed that is touched opens its history, with every contact in words', async () => {
    open();
    const [first] = await screen.findAllByRole('button', { name: /^1\./ });
    if (first) await userEvent.click(first);
    const history = within(await screen.findByRole('region', { name: /^The history of 1\./ }));
    expect(await history.findByText(/was taught/)).toBeTruthy();
    expect(history.getByText(/marked Cued/).textContent).toContain('66 % just before');
  });

  test('the line over time is a table too, the latest class first', async () => {
    open();
    await userEvent.click(await screen.findByText('The same as a table'));
    const rows = screen.getAllByRole('row').map((one) => one.textContent);
    expect(rows.slice(-2)).toEqual(['13 Jan23.34', '6 Jan01.50']);
  });

  test('another day stands beside today, asked for by itself', async () => {
    open('/students/ada?then=2026-01-06');
    await waitFor(() => {
      expect(server.got('GET', '/api/students/{student}')).toHaveLength(2);
    });
    expect(await screen.findByText(/on 6 Jan: /)).toBeTruthy();
  });
});

const may = (...abilities: string[]) => ({
  person: { id: 'me', may: abilities },
  school: { id: 's', name: 'S', today: '2026-01-20' },
  needsFounding: false,
});
const open = () =>
  showAt('/students/ada', [
    { path: '/students/:student', Component: StudentPlace },
    { path: '/students', Component: () => <p>everyone</p> },
  ]);

describe('considerations', () => {
  const knee = {
    id: 'k',
    what: 'knee',
    side: 'left',
    since: '2025-12-01',
    until: null,
    note: 'An old fall.',
    holds: true,
    isReadable: true,
  };
  const kept = () => server.got('PUT', '/api/students/{student}/considerations/{consideration}').map((one) => one.body);
  beforeEach(() => {
    server.answers['GET /api/session'] = may('see-considerations');
    server.answers['GET /api/students/{student}/considerations'] = [
      knee,
      { ...knee, id: 'h', what: 'dizziness', side: null, until: '2026-01-02', note: null, holds: false },
      { ...knee, id: 'b', what: 'balance', side: null, since: '2026-02-01', note: null, holds: false },
    ];
  });

  test('are shown with their days, those over and those to come apart, to whoever may see them', async () => {
    open();
    const notes = within(await screen.findByRole('region', { name: 'Considerations' }));
    const rows = (await notes.findAllByRole('listitem')).map((one) => one.textContent);
    expect(rows[0]).toContain('knee, left · since 1 Dec 2025, lastingAn old fall.');
    expect(rows[1]).toContain('dizziness · since 1 Dec 2025, over');
    expect(rows[2]).toContain('balance · from 1 Feb 2026, lasting');
    expect(notes.getByText(/protects dumps and backups of the database and not a stolen server/)).toBeTruthy();
  });

  test('are not asked for by whoever may not', async () => {
    server.answers['GET /api/session'] = may('read', 'mark');
    open();
    await screen.findByText('Tuesdays: came to 6 of 7');
    expect(screen.queryByRole('region', { name: 'Considerations' })).toBeNull();
    expect(server.got('GET', '/api/students/{student}/considerations')).toEqual([]);
  });

  test('one is noted once from two clicks; refused, it says so at its field and keeps what was typed', async () => {
    server.refusals = {
      'PUT /api/students/{student}/considerations/{consideration}': {
        status: 422,
        code: 'contradiction.consideration',
        with: { from: '2026-01-20', to: '2026-01-01' },
      },
    };
    open();
    await userEvent.click(await screen.findByRole('button', { name: 'Note something' }));
    await userEvent.type(screen.getByRole('textbox', { name: 'Private note' }), 'Asks first.');
    await userEvent.click(screen.getByRole('button', { name: 'Note it' }));
    expect((await screen.findByRole('alert')).textContent).toContain('before it began');
    expect(screen.getByRole<HTMLTextAreaElement>('textbox', { name: 'Private note' }).value).toBe('Asks first.');
    server.refusals = {};
    await userEvent.dblClick(screen.getByRole('button', { name: 'Note it' }));
    await waitFor(() => {
      expect(screen.queryByRole('dialog')).toBeNull();
    });
    expect(kept()).toHaveLength(2);
    expect(kept()[1]).toEqual({ what: 'knee', side: null, since: '2026-01-20', until: null, note: 'Asks first.' });
  });

  test('one that is taken out comes back as it was', async () => {
    open();
    await userEvent.click(await screen.findByRole('button', { name: 'Take out: knee' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(kept()).toEqual([{ what: 'knee', side: 'left', since: '2025-12-01', until: null, note: 'An old fall.' }]);
    });
  });
});

describe('keeping a record', () => {
  const choose = async (name: string) => {
    await userEvent.click(await screen.findByRole('button', { name: 'Keep the record' }));
    await userEvent.click(await screen.findByRole('menuitem', { name }));
  };
  beforeEach(() => {
    server.answers['GET /api/session'] = may('plan');
    server.answers['GET /api/groups'] = [
      { id: 'tue', name: 'Tuesdays' },
      { id: 'fri', name: 'Fridays' },
    ];
  });

  test('a pause is said and taken back', async () => {
    open();
    await choose('Pause');
    await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(server.got('PUT', '/api/students/{student}/pause').map((one) => one.body)).toEqual([
        { isPaused: true },
        { isPaused: false },
      ]);
    });
  });

  test('who leaves a group joins it again with Take back, as the same person', async () => {
    open();
    await choose('Leave Tuesdays');
    await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(server.got('POST', '/api/groups/{group}/students').map((one) => one.body)).toEqual([
        { students: ['Ada'], same: { Ada: 'ada' } },
      ]);
    });
    expect(server.got('DELETE', '/api/groups/{group}/students').map((one) => one.body)).toEqual([{ students: ['ada'] }]);
  });

  test('another name is taken back too', async () => {
    open();
    await choose('Rename');
    await userEvent.type(await screen.findByRole('textbox', { name: 'Name' }), ' B.');
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('Ada B. it is.')).toBeTruthy();
    await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(server.got('PATCH', '/api/students/{student}').map((one) => one.body)).toEqual([
        { name: 'Ada B.', isOther: false },
        { name: 'Ada', isOther: true },
      ]);
    });
  });

  test('only groups they are not in can be joined', async () => {
    open();
    await choose('Join a group');
    await userEvent.click(await screen.findByRole('button', { name: 'Join a group' }));
    expect(await screen.findByText('Ada is in Fridays.')).toBeTruthy();
  });

  test('two who were at one class are asked about before they are made one', async () => {
    server.refusals = {
      'POST /api/students/{student}/joined': {
        status: 409,
        code: 'students.together',
        with: { name: 'Ada', other: 'Bo Stone', count: 2 },
      },
    };
    open();
    await choose('Is the same person as …');
    await userEvent.click(await screen.findByRole('combobox', { name: 'The other record' }));
    await userEvent.click(await screen.findByRole('option', { name: 'Bo Stone' }));
    await userEvent.click(screen.getByRole('button', { name: 'Make them one' }));
    expect(await screen.findByText(/were at the same class \(2 of them\)/)).toBeTruthy();
    server.refusals = {};
    await userEvent.click(screen.getByRole('button', { name: 'They are one person all the same' }));
    expect(await screen.findByText('Ada and Bo Stone are one now.')).toBeTruthy();
    expect(server.got('POST', '/api/students/{student}/joined').map((one) => one.body)).toEqual([
      { other: 'b', isSure: false },
      { other: 'b', isSure: true },
    ]);
  });

  test('a record that was made one says whose it is and is taken apart from there', async () => {
    server.answers['GET /api/students/{student}'] = page({ also: [{ id: 'b', name: 'Bo Stone' }] });
    open();
    expect(await screen.findByText(/On record too as Bo Stone\./)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Take apart' }));
    expect(await screen.findByText('Ada and Bo Stone are two again.')).toBeTruthy();
  });

  test('whoever has no record is gone with the list, and the page goes to everyone', async () => {
    open();
    await screen.findByRole('button', { name: 'Keep the record' });
    server.refusals = { 'GET /api/students/{student}': { status: 404, code: 'http.gone' } };
    await choose('Take off the list');
    expect(await screen.findByText('everyone')).toBeTruthy();
    expect(await screen.findByText('Ada had no record and is gone.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Take back' })).toBeNull();
  });
});

test('those off the list are listed only where they are asked for', async () => {
  server.answers['GET /api/students'] = [row('a', 'Ann'), { ...row('b', 'Bob'), isOffList: true }];
  showAt('/students', [{ path: '/students', Component: StudentsPlace }]);
  await screen.findByText('Ann');
  expect(screen.queryByText('Bob')).toBeNull();
  await userEvent.click(screen.getByRole('checkbox', { name: 'Those off the list too' }));
  expect((await screen.findByText('Bob')).closest('a')?.textContent).toContain('off the list');
});
