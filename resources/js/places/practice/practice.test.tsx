import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { HomeNotes, HomeWeek, StudentSheet } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { FromHome } from './FromHome';
import { PracticePlace } from './PracticePlace';
import { StudentAtHome } from './StudentAtHome';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

type Entry = StudentSheet['passages'][number]['entries'][number];
const entry = (position: number, change: Partial<Entry> = {}): Entry => ({
  position,
  number: position,
  title: `Movement ${String(position)}`,
  side: null,
  weaker: null,
  cues: [],
  do: [],
  notIn: [],
  asks: false,
  ...change,
});
const sheet = (name: string, entries: Entry[] = [entry(3), entry(4)]): StudentSheet => ({
  studentId: name.toLowerCase(),
  name,
  days: ['2026-01-21', '2026-01-24'],
  minutes: 4.25,
  passages: [
    {
      courseId: 'c',
      form: 'Reed set',
      from: 3,
      to: 4,
      minutes: 4.25,
      recallWith: 0.744,
      recallWithout: 0.581,
      leadsOn: true,
      entries,
    },
  ],
});
const week = (change: Partial<HomeWeek> = {}): HomeWeek => ({
  on: '2026-01-20',
  next: '2026-01-27',
  minutes: 10,
  days: 4,
  focus: [{ title: 'Waist loose', says: 'The waist turns by itself.', look: ['the navel turns first'] }],
  sheets: [sheet('Ada'), sheet('Bo')],
  together: null,
  ...change,
});
const notes = (change: Partial<HomeNotes> = {}): HomeNotes => ({ practices: [], questions: [], ...change });
const question = { id: 'q', studentId: 'ada', name: 'Ada', text: 'Which foot?', at: '2026-01-21T09:00:00+01:00', answer: null };
const practised = (id: string, name: string) => ({
  id,
  studentId: name.toLowerCase(),
  name,
  on: '2026-01-21',
  minutes: 8,
  fromMemory: true,
  entries: 4,
});

beforeEach(() => {
  queryClient.clear();
  sessionStorage.clear();
  server.reset({
    'GET /api/session': { person: { id: 'me', name: 'Me', may: ['plan', 'mark'] }, school: null, needsFounding: false },
    'GET /api/groups': [{ id: 'g', name: 'Tuesdays', termId: null }],
    'GET /api/groups/{group}/practice': week(),
    'GET /api/groups/{group}/home': notes(),
    'PUT /api/groups/{group}/practice': week(),
  });
});
afterEach(cleanup);

const open = () =>
  showAt('/groups/g/practice', [
    { path: '/groups/:group/practice', Component: PracticePlace },
    { path: '*', element: <p>elsewhere</p> },
  ]);

describe('the sheets of a group', () => {
  test('say what, on which days and why, and what each does otherwise', async () => {
    server.answers['GET /api/groups/{group}/practice'] = week({
      sheets: [
        sheet('Ada', [
          entry(3, { weaker: 'left', cues: ['turn to the {L}'] }),
          entry(4, { do: ['support', 'smaller'], notIn: ['Low'], asks: true }),
        ]),
      ],
    });
    open();
    const ada = within(await screen.findByRole('article', { name: 'Ada' }));
    expect(ada.getByText('On Wed 21 Jan, Sat 24 Jan, about 4 min a day. Each passage twice through, slowly.')).toBeTruthy();
    expect(ada.getAllByRole('listitem').map((one) => one.textContent)).toEqual([
      '3 Movement 3 – the left side more · turn to the left',
      '4 Movement 4 – a chair or wall near; smaller; not the way “Low”; ask your teacher first',
    ]);
    expect(ada.getByText(/Look for: the navel turns first/)).toBeTruthy();
    await userEvent.click(ada.getByRole('button', { name: 'Why: practise 3–4' }));
    expect(
      await screen.findByText(
        'Without practice 58 % of it would be there on Tue 27 Jan, with it 74 %. It leads into the next lesson.',
      ),
    ).toBeTruthy();
  });

  test('are chosen anew for other minutes and days; what cannot be is said and not sent', async () => {
    open();
    const minutes = await screen.findByLabelText('Minutes a day');
    await userEvent.clear(minutes);
    await userEvent.type(minutes, '0');
    await userEvent.click(screen.getByRole('button', { name: 'Choose anew' }));
    expect(screen.getByRole('alert').textContent).toBe('At least 1.');
    await userEvent.clear(minutes);
    await userEvent.type(minutes, '7,5');
    await userEvent.click(screen.getByRole('button', { name: 'Choose anew' }));
    await waitFor(() => {
      expect(server.got('PUT', '/api/groups/{group}/practice').map((one) => one.body)).toMatchObject([{ minutes: 7.5, days: 4 }]);
    });
  });

  test('can be one for all, with what is particular to each under it', async () => {
    server.answers['GET /api/groups/{group}/practice'] = week({
      together: {
        days: ['2026-01-21'],
        minutes: 4,
        passages: sheet('x').passages,
        particulars: [
          {
            studentId: 'ada',
            name: 'Ada',
            entries: [
              { courseId: 'c', entry: entry(3, { do: ['support'], weaker: 'right' }), isMet: true, isLeftOut: false },
              { courseId: 'c', entry: entry(4, { do: ['skip'] }), isMet: true, isLeftOut: true },
            ],
          },
          {
            studentId: 'bo',
            name: 'Bo',
            entries: [3, 4].map((at) => ({ courseId: 'c', entry: entry(at), isMet: false, isLeftOut: false })),
          },
        ],
      },
    });
    open();
    await userEvent.click(await screen.findByRole('radio', { name: 'One for all' }));
    const all = within(await screen.findByRole('article', { name: 'One for all' }));
    expect(all.getByText('Ada').closest('li')?.textContent).toBe(
      'Ada: 3: the right side more, a chair or wall near; 4: left out',
    );
    expect(all.getByText('Bo').closest('li')?.textContent).toBe('Bo: 3, 4: not yet met, left out');
  });

  test('of a group that had no class say so, and offer no sheet', async () => {
    server.refusals['GET /api/groups/{group}/practice'] = { status: 422, code: 'home.no_class' };
    open();
    expect(await screen.findByText('Nothing to practise yet')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Print' })).toBeNull();
  });

  test('links are made for those who are ticked, once, and shown once', async () => {
    server.answers['POST /api/groups/{group}/links'] = [
      {
        studentId: 'bo',
        name: 'Bo',
        address: 'http://x/mine/home#s.t',
        mailedTo: null,
        isUnsent: false,
        expiresAt: '2026-05-20T10:00:00+02:00',
      },
    ];
    open();
    await userEvent.click(await screen.findByRole('button', { name: 'Links for their phones' }));
    await userEvent.click(screen.getByRole('checkbox', { name: 'Ada' }));
    await userEvent.dblClick(screen.getByRole('button', { name: 'Make links' }));
    expect((await screen.findByTestId('links')).textContent).toContain('http://x/mine/home#s.t');
    expect(server.got('POST', '/api/groups/{group}/links').map((one) => one.body)).toEqual([{ students: ['bo'], byMail: true }]);
  });

  test('what went by mail is said with its address, what did not go is shown to be given by hand', async () => {
    const made = { address: null, mailedTo: null, isUnsent: false, expiresAt: '2026-05-20T10:00:00+02:00' };
    server.answers['POST /api/groups/{group}/links'] = [
      { ...made, studentId: 'ada', name: 'Ada', mailedTo: 'ada@example.test' },
      { ...made, studentId: 'bo', name: 'Bo', address: 'http://x/mine/home#b.o', isUnsent: true },
    ];
    open();
    await userEvent.click(await screen.findByRole('button', { name: 'Links for their phones' }));
    await userEvent.click(screen.getByRole('button', { name: 'Make links' }));
    const [ada, bo] = within(await screen.findByTestId('links')).getAllByRole('listitem');
    expect(ada?.textContent).toContain('sent to ada@example.test');
    expect(ada?.querySelector('button')).toBeNull();
    expect(bo?.textContent).toContain('The mail did not go. Give the link by hand:http://x/mine/home#b.o');
  });
});

describe('what came back', () => {
  test('names who noted practice by time, and says that it makes nobody ready', async () => {
    server.answers['GET /api/groups/{group}/home'] = notes({ practices: [practised('1', 'Ada'), practised('2', 'Bo')] });
    open();
    expect((await screen.findAllByText(/8 minutes · from memory/)).length).toBe(2);
    expect(screen.getByText(/makes nobody ready by itself/)).toBeTruthy();
  });

  test('a question is answered once, and the answer can be taken back', async () => {
    server.answers['GET /api/groups/{group}/home'] = notes({ questions: [question] });
    open();
    await userEvent.type(await screen.findByLabelText('Answer to Ada'), 'The left. ');
    await userEvent.dblClick(screen.getByRole('button', { name: 'Answer it' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(server.got('PUT', '/api/student-questions/{studentQuestion}/answer').map((one) => one.body)).toEqual([
        { answer: 'The left.' },
        { answer: null },
      ]);
    });
  });

  test('an answer that was typed waits when the page is left', async () => {
    server.answers['GET /api/groups/{group}/home'] = notes({ questions: [question] });
    open();
    await userEvent.type(await screen.findByLabelText('Answer to Ada'), 'The l');
    cleanup();
    open();
    expect((await screen.findByLabelText<HTMLTextAreaElement>('Answer to Ada')).value).toBe('The l');
  });

  test('is one line on tonight, and no line where nothing came', async () => {
    server.answers['GET /api/groups/{group}/home'] = notes({
      practices: [practised('1', 'Ada'), practised('2', 'Ada')],
      questions: [question],
    });
    showAt('/', [{ path: '/', element: <FromHome group="g" /> }]);
    expect((await screen.findByText(/1 student noted practice at home · 1 question waits for an answer/)).textContent).toContain(
      'What came back',
    );
    cleanup();
    server.answers['GET /api/groups/{group}/home'] = notes();
    const { container } = showAt('/', [{ path: '/', element: <FromHome group="g" /> }]);
    await waitFor(() => {
      expect(server.got('GET', '/api/groups/{group}/home').length).toBe(2);
    });
    expect(container.querySelector('p')).toBeNull();
  });
});

describe('a student at home', () => {
  const show = () => showAt('/', [{ path: '/', element: <StudentAtHome student="ada" hasAddress={false} /> }]);

  test('says on how many devices the link was opened, and that it cannot tell two people apart', async () => {
    server.answers['GET /api/students/{student}/home'] = {
      link: { madeAt: '2026-01-20T10:00:00+01:00', expiresAt: '2026-05-20T10:00:00+02:00', devices: 2, lastAt: null },
      notes: notes(),
    };
    show();
    expect(await screen.findByText(/opened on 2 devices\. A link cannot tell two people apart/)).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'End the link' }));
    expect(await screen.findByText('The link opens nothing any more.')).toBeTruthy();
    expect(server.got('DELETE', '/api/students/{student}/link').length).toBe(1);
  });

  test('a link that is made is shown to be copied', async () => {
    server.answers['GET /api/students/{student}/home'] = { link: null, notes: notes() };
    server.answers['POST /api/students/{student}/link'] = {
      studentId: 'ada',
      name: 'Ada',
      address: 'http://x/mine/home#s.t',
      expiresAt: '2026-05-20T10:00:00+02:00',
    };
    show();
    await userEvent.click(await screen.findByRole('button', { name: 'Make a link' }));
    expect((await screen.findByTestId('links')).textContent).toContain('http://x/mine/home#s.t');
  });
});
