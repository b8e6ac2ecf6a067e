import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { choose as pick } from '../../../../tests/pages/choose';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { course, coursePart, form, meeting, nextTerm, term } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { Term } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { NewTermPlace } from './NewTermPlace';
import { TermPlace } from './TermPlace';
import { WallPlace } from './WallPlace';

vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  api: standIn,
}));

const evening = (id: string, on: string, number: number | null, change: Parameters<typeof meeting>[0] = {}) =>
  meeting({
    id,
    on,
    isToday: false,
    courses: [
      coursePart({
        recap: { from: 1, to: 2 },
        lessons: number === null ? [] : [{ number, kind: 'new', from: 3, to: 4, part: null, parts: null }],
      }),
    ],
    ...change,
  });
const laid = (change: Partial<Term> = {}): Term => ({
  ...term(),
  courses: [course()],
  meetings: [evening('one', '2026-01-20', 2), evening('two', '2026-01-27', null)],
  ...change,
});

beforeEach(() => {
  queryClient.clear();
  sessionStorage.clear();
  localStorage.clear();
  server.reset({
    'GET /api/terms/{term}': laid(),
    'GET /api/forms': [
      { id: 'form', title: 'Tide stair' },
      { id: 'lamps', title: 'Old lamps' },
    ],
    'GET /api/forms/{form}': (at: { form: string }) => (at.form === 'lamps' ? form({ id: 'lamps', title: 'Old lamps' }) : form()),
    'PATCH /api/courses/{course}': {},
    'POST /api/terms/{term}/courses': {},
    'GET /api/terms/next': ({ group }: { group: string }) => nextTerm({ group: group || 'group' }),
    'POST /api/terms/sketch': laid(),
    'POST /api/terms/{term}/changes/preview': { moved: [], cost: 0, meetings: laid().meetings, forecasts: [] },
  });
});
afterEach(cleanup);

const show = () => showAt('/terms/term', [{ path: '/terms/:term', Component: TermPlace }]);
const put = async (inside: HTMLElement, label: string, value: string) => {
  const field = within(inside).getByLabelText(label);
  await userEvent.clear(field);
  if (value !== '') await userEvent.type(field, value);
};
const opened = async (name: string) => {
  show();
  await userEvent.click(await screen.findByRole('button', { name }));
  return screen.findByRole('dialog');
};
/** Opens a list, as one does, and chooses from it. */
const choose = async (inside: HTMLElement, label: string, text: string | RegExp) => {
  await userEvent.click(within(inside).getByRole('combobox', { name: label }));
  await userEvent.click(await screen.findByRole('option', { name: text }));
};
const preview = () => server.got('POST', '/api/terms/{term}/changes/preview').map((one) => one.body);

test('a meeting beside the pattern is proposed with an id of its own, so that two are two', async () => {
  for (const day of ['29 Jan 2026', '30 Jan 2026']) {
    const dialog = await opened('Add a meeting');
    await put(dialog, 'On', day);
    await put(dialog, 'At', '18:30');
    await put(dialog, 'Minutes', '90');
    await put(dialog, 'Room', 'the loft');
    await userEvent.click(within(dialog).getByRole('button', { name: 'See what it moves' }));
    await waitFor(() => {
      expect(screen.queryByRole('dialog')).toBeNull();
    });
    cleanup();
  }
  const [first, second] = preview() as { changes: Record<string, unknown>[] }[];
  expect(first?.changes).toEqual([
    { what: 'add', id: expect.any(String) as string, on: '2026-01-29', at: '18:30', minutes: 90, room: 'the loft', reason: '' },
  ]);
  expect(second?.changes[0]?.on).toBe('2026-01-30');
  expect(second?.changes[0]?.id).not.toBe(first?.changes[0]?.id);
});

test.each([
  ['Minutes', '5', 'At least 10.'],
  ['Minutes', '481', 'At most 480.'],
  ['Minutes', '60.5', 'Write a whole number.'],
  ['On', '', 'Write a day like 10 Dec 2026.'],
])('%s of "%s" is not sent: the field says "%s" and keeps what was typed', async (label, value, says) => {
  const dialog = await opened('Add a meeting');
  await put(dialog, label, value);
  await userEvent.click(within(dialog).getByRole('button', { name: 'See what it moves' }));
  expect((await within(dialog).findByRole('alert')).textContent).toBe(says);
  expect(within(dialog).getByLabelText<HTMLInputElement>(label).value).toBe(value);
  expect(preview()).toEqual([]);
});

test('a day that nobody can read is gone to and not sent, though the one before it could be read', async () => {
  const dialog = await opened('Add a meeting');
  const day = within(dialog).getByLabelText<HTMLInputElement>('On');
  await userEvent.type(day, 'x'); // "20 Jan 2026x"
  await userEvent.click(within(dialog).getByRole('button', { name: 'See what it moves' }));
  expect(document.activeElement).toBe(day);
  expect(within(dialog).getByRole('alert').textContent).toBe('Write a day like 10 Dec 2026.');
  await userEvent.type(day, '{Backspace}');
  await put(dialog, 'At', '7 pm or so');
  await userEvent.click(within(dialog).getByRole('button', { name: 'See what it moves' }));
  expect(within(dialog).getByRole('alert').textContent).toBe('Write a time like 19:00.');
  expect(preview()).toEqual([]);
});

test('days are closed from the first evening that is open', async () => {
  const dialog = await opened('Close some days');
  expect(within(dialog).getByLabelText<HTMLInputElement>('Closed from').value).toBe('20 Jan 2026');
  await put(dialog, 'to', '28 Jan 2026');
  await put(dialog, 'Reason', 'half-term');
  await userEvent.click(within(dialog).getByRole('button', { name: 'See what it moves' }));
  await waitFor(() => {
    expect(preview()).toEqual([{ changes: [{ what: 'close', from: '2026-01-20', to: '2026-01-28', reason: 'half-term' }] }]);
  });
});

test('a box is made longer by hand, and not by what is no number of minutes', async () => {
  show();
  await userEvent.click(await screen.findByText('As a table'));
  await userEvent.click(screen.getByRole('button', { name: 'Change Tue 20 Jan' }));
  const dialog = await screen.findByRole('dialog');
  await choose(dialog, 'Part', 'Close');
  const form = within(dialog).getByRole('combobox', { name: 'Part' }).closest('form') as HTMLElement;
  expect(within(form).getByLabelText<HTMLInputElement>('Minutes').value).toBe('3'); // what the plan gives it
  await put(form, 'Minutes', '500');
  const go = within(form).getByRole('button', { name: 'See what it moves' });
  await userEvent.click(go);
  expect((await within(form).findByRole('alert')).textContent).toBe('At most 480.');
  await put(form, 'Minutes', '9');
  await userEvent.click(go);
  await waitFor(() => {
    expect(preview()).toEqual([{ changes: [{ what: 'box', meeting: 'one', box: 'close', minutes: 9 }] }]);
  });
});

test('a course is changed: only what was touched goes, a showing can be set and taken away, once for two presses', async () => {
  const dialog = await opened('Change the course');
  expect(within(dialog).queryByLabelText('Share of the minutes, in per cent')).toBeNull(); // the only one has all of it
  await choose(dialog, 'Lessons in a row, at most', '2');
  await put(dialog, 'Showing on', '10 Feb 2026');
  await choose(dialog, 'up to', /^4\./);
  await userEvent.dblClick(within(dialog).getByRole('button', { name: 'Save and plan again' }));
  await waitFor(() => {
    expect(screen.queryByRole('dialog')).toBeNull();
  });
  expect(server.got('PATCH', '/api/courses/{course}').map((one) => one.body)).toEqual([
    { rhythm: 2, showing: { on: '2026-02-10', to: 4 } },
  ]);
});

test('a showing that is emptied is taken away, and one that cannot be read is not', async () => {
  server.answers['GET /api/terms/{term}'] = laid({ courses: [course({ showingOn: '2026-02-10', showingTo: 4, rhythm: 0 })] });
  const dialog = await opened('Change the course');
  expect(within(dialog).getByLabelText<HTMLInputElement>('Showing on').value).toBe('10 Feb 2026');
  await put(dialog, 'Showing on', 'some Friday');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Save and plan again' }));
  expect(within(dialog).getByRole('alert').textContent).toBe('Write a day like 10 Dec 2026.');
  expect(server.got('PATCH', '/api/courses/{course}')).toEqual([]);
  await put(dialog, 'Showing on', '');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Save and plan again' }));
  await waitFor(() => {
    expect(server.got('PATCH', '/api/courses/{course}').map((one) => one.body)).toEqual([{ rhythm: 0, showing: null }]);
  });
});

test('a share is a whole per cent from 10 to 90, and a course that is refused keeps what was typed', async () => {
  server.answers['GET /api/terms/{term}'] = laid({
    courses: [course({ share: 0.7 }), course({ id: 'other', share: 0.3, form: form({ id: 'second', title: 'Second' }) })],
  });
  server.refusals = { 'PATCH /api/courses/{course}': { status: 422, code: 'plan.as_kept', with: { text: 'Too much of it' } } };
  const dialog = await opened('Change the course');
  const share = within(dialog).getByLabelText<HTMLInputElement>('Share of the minutes, in per cent');
  expect(share.value).toBe('70');
  await put(dialog, 'Share of the minutes, in per cent', '95');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Save and plan again' }));
  expect((await within(dialog).findByRole('alert')).textContent).toBe('At most 90.');
  await put(dialog, 'Share of the minutes, in per cent', '60');
  await userEvent.click(within(dialog).getByRole('button', { name: 'Save and plan again' }));
  expect(await within(dialog).findByText('Too much of it.')).toBeTruthy();
  expect(share.value).toBe('60');
  expect(server.got('PATCH', '/api/courses/{course}').map((one) => one.body)).toEqual([
    { share: 0.6, rhythm: null, showing: null },
  ]);
});

test('a course is added of a form that is not in the term yet, to its end unless one says how far', async () => {
  const dialog = await opened('Add a course');
  await userEvent.click(await within(dialog).findByRole('combobox', { name: 'Form' }));
  expect(screen.getAllByRole('option').map((one) => one.textContent)).toEqual(['Old lamps']);
  await userEvent.keyboard('{Escape}');
  await userEvent.dblClick(within(dialog).getByRole('button', { name: 'Add a course' }));
  await waitFor(() => {
    expect(screen.queryByRole('dialog')).toBeNull();
  });
  expect(server.got('POST', '/api/terms/{term}/courses').map((one) => one.body)).toEqual([
    { form: 'lamps', approach: 'piece', share: 0.3 },
  ]);
  cleanup();
  const again = await opened('Add a course');
  await within(again).findByRole('combobox', { name: 'Form' });
  await waitFor(() => {
    expect(server.got('GET', '/api/forms/{form}').length).toBeGreaterThan(0);
  });
  await choose(again, 'Aim at, up to', /^4\./);
  await userEvent.click(within(again).getByRole('button', { name: 'Add a course' }));
  await waitFor(() => {
    expect(server.got('POST', '/api/terms/{term}/courses')[1]?.body).toEqual({
      form: 'lamps',
      approach: 'piece',
      share: 0.3,
      to: 4,
    });
  });
});

test('where every form is in the term already, it says what to do', async () => {
  server.answers['GET /api/forms'] = [{ id: 'form', title: 'Tide stair' }];
  const dialog = await opened('Add a course');
  expect(await within(dialog).findByText(/Every form of the school is in this term already/)).toBeTruthy();
  expect(within(dialog).queryByRole('button', { name: 'Add a course' })).toBeNull();
});

test('the season line and the weave hold lessons that can be taken up, and only where a meeting is still open', async () => {
  server.answers['GET /api/terms/{term}'] = laid({
    meetings: [
      evening('past', '2026-01-13', 1, { isHeld: true, isPast: true, isOpen: false }),
      evening('one', '2026-01-20', 2),
      evening('off', '2026-01-24', 3, { state: 'cancelled' }),
      evening('two', '2026-01-27', null),
    ],
  });
  const { container } = show();
  await screen.findByRole('heading', { name: 'The weave' });
  const line = screen.getByRole('navigation', { name: 'The term’s meetings' });
  expect([...line.querySelectorAll('[data-tick-lesson]')].map((one) => one.getAttribute('aria-label'))).toEqual([
    'Lesson 2, Tue 20 Jan. Press Space to take it up.',
  ]);
  expect([...line.querySelectorAll('[data-spot]')].map((one) => one.getAttribute('data-spot'))).toEqual([
    '2026-01-20',
    '2026-01-27',
  ]);
  expect([...container.querySelectorAll('[data-lesson][role="button"]')]).toHaveLength(1);
  cleanup();
  server.answers['GET /api/terms/{term}'] = laid({ isOver: true });
  const over = show().container;
  await screen.findByRole('heading', { name: 'The weave' });
  expect(over.querySelectorAll('[data-tick-lesson], [data-lesson][role="button"]')).toHaveLength(0);
});

test('what was changed can be read later, with its cause, and taken back where it can be', async () => {
  server.answers['GET /api/terms/{term}/changes'] = [
    {
      id: 'second',
      at: '2026-01-20T10:00:00+00:00',
      cause: { code: 'cause.changed', with: {} },
      by: 'Otti',
      moved: [
        {
          code: 'replan.lesson',
          with: { what: { code: 'replan.lesson_new', with: { number: 2 } }, from: '2026-01-20', to: '2026-01-27' },
        },
      ],
      canBeTakenBack: true,
    },
    {
      id: 'first',
      at: '2026-01-19T10:00:00+00:00',
      cause: { code: 'cause.changed', with: {} },
      by: null,
      moved: [],
      canBeTakenBack: false,
    },
  ];
  show();
  await userEvent.click(await screen.findByText('What was changed'));
  expect(await screen.findByText('Tue 20 Jan, Otti ·', { exact: false })).toBeTruthy();
  expect(screen.getByText('Lesson 2 moves from Tue 20 Jan to Tue 27 Jan.')).toBeTruthy();
  const buttons = screen.getAllByRole('button', { name: 'Take it back' });
  expect(buttons).toHaveLength(1);
  await userEvent.dblClick(buttons[0] as HTMLElement);
  await waitFor(() => {
    expect(server.got('POST', '/api/plan-changes/{change}/take-back')).toHaveLength(1);
  });
});

test('the term for the wall says each evening in words, closures and cancelled ones too', async () => {
  server.answers['GET /api/terms/{term}'] = laid({
    room: 'the loft',
    meetings: [
      evening('one', '2026-01-20', 2),
      evening('off', '2026-01-24', null, { state: 'cancelled', reason: 'snow' }),
      evening('two', '2026-01-27', null),
    ],
  });
  showAt('/terms/term/wall', [{ path: '/terms/:term/wall', Component: WallPlace }]);
  const table = await screen.findByRole('table');
  const rows = within(table)
    .getAllByRole('row')
    .map((row) => row.textContent);
  expect(rows).toHaveLength(4);
  expect(rows[1]).toContain('20 Jan');
  expect(rows[1]).toMatch(/3.4/);
  expect(rows[2]).toContain('snow');
  expect(screen.getByText('Tide stair · the loft')).toBeTruthy();
});

test('a term is laid from what is typed, and what is refused stays on the page', async () => {
  server.answers = {
    ...server.answers,
    'GET /api/groups': [{ id: 'group', name: 'Evening', termId: null, formId: 'form', students: 3 }],
    'GET /api/today': { today: '2026-01-13', meetings: [] },
    'POST /api/terms/preview': { meetings: [{ on: '2026-01-13', startsAt: '2026-01-13T19:00:00Z', minutes: 75 }], warnings: [] },
  };
  server.refusals = { 'POST /api/terms': { status: 422, code: 'plan.as_kept', with: { text: 'No meeting at all' } } };
  showAt('/terms/new', [{ path: '/terms/new', Component: NewTermPlace }]);
  const name = await screen.findByLabelText<HTMLInputElement>('Name');
  await userEvent.clear(name);
  await userEvent.type(name, 'Winter');
  await userEvent.click(screen.getByRole('button', { name: 'Lay the term' }));
  expect(await screen.findByText('No meeting at all.')).toBeTruthy();
  expect(name.value).toBe('Winter');
  expect(server.got('POST', '/api/terms')).toHaveLength(1);
  // A day that cannot be read stops it before it is sent.
  const last = screen.getByLabelText<HTMLInputElement>('Last day');
  await userEvent.type(last, '?');
  await userEvent.click(screen.getByRole('button', { name: 'Lay the term' }));
  expect(server.got('POST', '/api/terms')).toHaveLength(1);
  expect(document.activeElement).toBe(last);
});

test('a term begins as the server says: of the group whose turn it is, or after the term that is named', async () => {
  const asks = vi.fn();
  server.answers = {
    ...server.answers,
    'GET /api/groups': ['dawn', 'dusk'].map((id) => ({ id, name: id, termId: null, formId: 'form', students: 3 })),
    'GET /api/terms/next': (asked: object) => {
      asks(asked);
      return nextTerm({
        group: 'dusk',
        after: 'c',
        afterTitle: 'Winter 2026',
        from: '2026-02-04',
        to: '2026-04-01',
        pattern: [
          { weekday: 'Mon', at: '18:30', minutes: 60 },
          { weekday: 'Fri', at: '07:00', minutes: 45 },
        ],
        approach: 'outline',
      });
    },
    'POST /api/terms/preview': { meetings: [], warnings: [] },
  };
  showAt('/terms/new', [{ path: '/terms/new', Component: NewTermPlace }]);
  expect((await screen.findByRole('combobox', { name: 'Group' })).textContent).toContain('dusk');
  expect(screen.getByText(/It goes on where Winter 2026 leaves off/)).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>('First day').value).toBe('4 Feb 2026');
  expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Winter 2026');
  expect(screen.getAllByLabelText<HTMLInputElement>('Minutes').map((one) => one.value)).toEqual(['60', '45']);
  expect(server.got('POST', '/api/terms/preview').at(-1)?.body).toMatchObject({ group: 'dusk', after: 'c', approach: 'outline' });
  cleanup();
  showAt('/terms/new?after=c', [{ path: '/terms/new', Component: NewTermPlace }]);
  await screen.findByRole('combobox', { name: 'Group' });
  expect(asks.mock.calls).toEqual([[{ group: '', after: '' }], [{ group: '', after: 'c' }]]);
});

test('minutes can be cleared and typed anew; while they cannot be read nothing is asked, and nothing laid', async () => {
  server.answers = {
    ...server.answers,
    'GET /api/groups': [{ id: 'group', name: 'Evening', termId: null, formId: 'form', students: 3 }],
    'POST /api/terms/preview': { meetings: [], warnings: [] },
  };
  showAt('/terms/new', [{ path: '/terms/new', Component: NewTermPlace }]);
  const minutes = await screen.findByLabelText<HTMLInputElement>('Minutes');
  await userEvent.clear(minutes);
  expect(minutes.value).toBe('');
  expect(await screen.findByText('Write something here.')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Lay the term' }));
  await userEvent.type(minutes, '600');
  expect(await screen.findByText('At most 480.')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Lay the term' }));
  expect(server.got('POST', '/api/terms')).toHaveLength(0);
  await userEvent.clear(minutes);
  await userEvent.type(minutes, '90');
  await userEvent.click(screen.getByRole('button', { name: 'Lay the term' }));
  await waitFor(() => {
    expect(server.got('POST', '/api/terms').map((one) => one.body)).toMatchObject([{ pattern: [{ minutes: 90 }] }]);
  });
  const asked = server
    .got('POST', '/api/terms/preview')
    .map((one) => (one.body as { pattern: { minutes: number }[] }).pattern[0]);
  expect(asked.filter((row) => row !== undefined && (row.minutes < 10 || row.minutes > 480))).toEqual([]);
});

test('what a term would come to is sketched before it is laid, and nothing in it leads anywhere', async () => {
  server.answers = {
    ...server.answers,
    'GET /api/groups': [{ id: 'group', name: 'Evening', termId: null, formId: 'form', students: 3 }],
    'POST /api/terms/preview': { meetings: [], warnings: [] },
  };
  showAt('/terms/new', [{ path: '/terms/new', Component: NewTermPlace }]);
  expect(await screen.findByText(/Comes to movement 4 of 6/)).toBeTruthy();
  const weave = screen.getByRole('group', { name: 'The weave' });
  expect(within(weave).getByRole('img', { name: /Tue 20 Jan: Lesson 2/ })).toBeTruthy();
  expect(within(weave).queryByRole('link')).toBeNull();
  expect(server.got('POST', '/api/terms')).toHaveLength(0);
});

test('a form with lessons of its own is taken as it is, unless one wants it cut to the class', async () => {
  server.answers = {
    ...server.answers,
    'GET /api/groups': [{ id: 'group', name: 'Evening', termId: null, formId: 'form', students: 3 }],
    'POST /api/terms/preview': { meetings: [], warnings: [], lessons: 22, lessonsTaken: 22, lessonsCut: 19 },
  };
  showAt('/terms/new', [{ path: '/terms/new', Component: NewTermPlace }]);
  await pick(await screen.findByLabelText('Lessons'), 'Cut to this class (19)');
  await waitFor(() => {
    expect(server.got('POST', '/api/terms/preview').at(-1)?.body).toMatchObject({ takesLessons: false });
  });
  await pick(screen.getByLabelText('Lessons'), "The form's own, as they are (22 left)");
  await userEvent.click(screen.getByRole('button', { name: 'Lay the term' }));
  await waitFor(() => {
    expect(server.got('POST', '/api/terms').map((one) => one.body)).toMatchObject([{ takesLessons: true }]);
  });
});

test('a draft of a term is its group’s: another group begins anew, and one’s own comes back', async () => {
  const group = (id: string, name: string) => ({ id, name, termId: null, formId: 'form', students: 3 });
  server.answers = {
    ...server.answers,
    'GET /api/groups': [group('dawn', 'Dawn'), group('dusk', 'Dusk')],
    'POST /api/terms/preview': { meetings: [], warnings: [] },
  };
  const open = async (group: string) => {
    cleanup();
    showAt(`/terms/new${group}`, [{ path: '/terms/new', Component: NewTermPlace }]);
    return screen.findByLabelText<HTMLInputElement>('Name');
  };
  const name = await open('?group=dawn');
  await userEvent.clear(name);
  await userEvent.type(name, 'Early spring');
  expect((await open('?group=dusk')).value).not.toBe('Early spring');
  expect((await open('?group=dawn')).value).toBe('Early spring');
  // Whoever comes with no group in mind goes on where they were; what is typed goes along to the group it is given to.
  expect((await open('')).value).toBe('Early spring');
  await pick(screen.getByLabelText('Group'), 'Dusk');
  expect(screen.getByLabelText<HTMLInputElement>('Name').value).toBe('Early spring');
  expect((await open('?group=dawn')).value).not.toBe('Early spring');
  expect((await open('?group=dusk')).value).toBe('Early spring');
});
