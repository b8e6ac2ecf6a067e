import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { choose as pick } from '../../../../tests/pages/choose';
import { createMemoryRouter, RouterProvider } from '../../../../tests/pages/router';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { form, edited } from '../../../../tests/pages/sample';
import { Toasts } from '../../kit/toasts';
import '../../messages';
import { FilesPlace } from '../files/FilesPlace';
import { VersionsPlace } from '../files/VersionsPlace';
import { CardsPlace } from './CardsPlace';
import { FloorPlace } from './FloorPlace';
import { TimePlace } from './TimePlace';

type Asked = { method: string; url: string; query: Record<string, unknown>; body: unknown };
let asked: Asked[] = [];
/** What the server answers, by the end of the address; a number is a refusal with that status. */
let answers: Record<string, unknown> = {};

const { ask } = vi.hoisted(() => ({
  ask: {
    current: (method: string, url: string, options: unknown): Promise<unknown> =>
      Promise.reject(new Error(method + url + String(options))),
  },
}));
vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  api: {
    GET: (url: string, options: unknown) => ask.current('GET', url, options),
    POST: (url: string, options: unknown) => ask.current('POST', url, options),
  },
}));

beforeEach(() => {
  asked = [];
  sessionStorage.clear();
  answers = { '{form}': form() };
  ask.current = (method, url, options) => {
    const { params, body } = options as { params?: { query?: Record<string, unknown> }; body?: unknown };
    asked.push({ method, url, query: params?.query ?? {}, body });
    const answer = answers[url.split('/').pop() ?? ''];
    const isRefused = typeof answer === 'object' && answer !== null && 'code' in answer;
    const response = new Response(null, { status: isRefused ? 422 : 200 });
    return Promise.resolve(isRefused ? { error: answer, response } : { data: answer, response });
  };
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

function open(page: string) {
  const at = { cards: CardsPlace, floor: FloorPlace, time: TimePlace, files: FilesPlace, versions: VersionsPlace };
  const router = createMemoryRouter(
    [
      ...Object.entries(at).map(([path, Component]) => ({ path: `/forms/:form/${path}`, Component })),
      { path: '*', element: <p>elsewhere</p> },
    ],
    { initialEntries: [`/forms/form/${page}`] },
  );
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <Toasts>
        <RouterProvider router={router} />
      </Toasts>
    </QueryClientProvider>,
  );
  return router;
}
const last = (end: string) => asked.filter((one) => one.url.endsWith(end)).pop();

describe('cue cards', () => {
  const card = { position: 1, number: 1, title: 'Heron', alias: '鹭', repetition: '3', side: 'left', own: 'right', left: { code: 'left (your right)', with: {} }, right: { code: 'right (your left)', with: {} }, cues: ['to the {L}'], breaths: ['in', 'out'], turn: null, travel: [], checks: ['heel first'], cautions: [{ code: 'cue.caution', with: { for: { code: 'consideration.knee', with: {} }, do: { code: 'adaptation.smaller', with: {} } } }] }; // prettier-ignore

  test('are those of the first lesson, facing the class, until another passage or view is chosen', async () => {
    answers.cards = [card, { ...card, position: 2, title: 'Otter', cues: [], side: null, own: null }];
    const router = open('cards');
    expect(await screen.findByText('to the left (your right)')).toBeTruthy();
    expect(last('/cards')?.query).toEqual({ from: 1, to: 2, view: 'facing' });
    expect(screen.getByText(/^left \(yours: right\) · 3/)).toBeTruthy();
    expect(screen.getAllByText(/Knee: smaller/)).toHaveLength(2);
    expect(screen.getByText('No cue is written yet.')).toBeTruthy();
    await userEvent.click(screen.getByRole('radio', { name: 'From behind' }));
    await pick(screen.getByLabelText('Passage'), 'Lesson 2: 3–4');
    await waitFor(() => {
      expect(last('/cards')?.query).toEqual({ from: 3, to: 4, view: 'behind' });
    });
    // The address says it too, so that it can be sent to somebody.
    expect(router.state.location.search).toBe('?view=behind&from=3&to=4');
    await pick(screen.getByLabelText('From'), /^6\./);
    await waitFor(() => {
      expect(last('/cards')?.query).toMatchObject({ from: 6, to: 6 });
    });
  });

  test('the paper is told to the printer while the page is open', async () => {
    answers.cards = [card];
    open('cards');
    await screen.findByRole('heading', { name: /Heron/ });
    const size = () => [...document.head.querySelectorAll('style')].map((style) => style.textContent).join();
    expect(size()).toContain('size: A4');
    await pick(screen.getByLabelText('Paper'), 'Letter');
    expect(size()).toContain('size: letter');
    expect(size()).not.toContain('size: A4');
  });
});

describe('the floor', () => {
  const floor = {
    footings: [{ x: 0, y: 0, facing: 0 }, ...[1, 2, 3, 4, 5, 6].map((y) => ({ x: 0, y, facing: 90 }))],
    unknown: [2],
    joins: [1],
    turned: 90,
    fit: {
      fits: false,
      facing: 0,
      ranks: 2,
      files: 3,
      start: [4, 2],
      needs: [6.2, 9.04],
      out: [5, 6],
      spots: [0, 1, 2, 3, 4, 5, 6].map((n) => ({ x: 4, y: 2 + 0.6 * n, facing: 90 })),
      stands: [{ x: 4, y: 2, facing: 0 }],
      block: [5.4, 3.6],
      students: 2,
    },
  };

  test('says where the room runs out, where to stand, where the closing lands, and what changes without turns', async () => {
    answers.floor = floor;
    open('floor');
    expect((await screen.findByTestId('fits')).textContent).toBe(
      'The room runs out at 5. Movement 5. The whole form needs 6.2 × 9 m. 2 students would fit.',
    );
    expect(
      screen.getByText(/in 2 ranks of 3; middle of the class 4 m from the left wall and 2 m from the back, facing the front/),
    ).toBeTruthy();
    expect(screen.getByText('The closing lands 6 forward of the opening, turned by 90°.')).toBeTruthy();
    expect(screen.getByText(/1 entry does not say its turn and travel/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Fill them in on the score' }).getAttribute('href')).toBe('/forms/form/score?row=2');
    expect(screen.getByRole('button', { name: '1. Movement 1' })).toBeTruthy();
  });

  test('asks again for another room, mirrored or faced to the front, and keeps what cannot be beside its field', async () => {
    answers.floor = { ...floor, fit: { ...floor.fit, fits: true, out: [] } };
    const router = open('floor');
    expect((await screen.findByTestId('fits')).textContent).toContain('It fits');
    await userEvent.click(screen.getByLabelText('Mirrored, as you see it facing them'));
    await userEvent.click(screen.getByLabelText('All stay faced to the front'));
    await userEvent.clear(screen.getByLabelText('Students'));
    await userEvent.type(screen.getByLabelText('Students'), '20');
    await waitFor(() => {
      expect(last('/floor')?.query).toEqual({ width: 10, depth: 8, students: 20, step: 0.6, mirrored: 1, front: 1 });
    });
    expect(router.state.location.search).toContain('students=20');
    answers.floor = { code: 'The width must be between 1 and 200 metres.', place: '', problems: [] };
    await userEvent.clear(screen.getByLabelText('Room width, m'));
    await userEvent.type(screen.getByLabelText('Room width, m'), '999');
    expect(await screen.findByText('The width must be between 1 and 200 metres.', { selector: '[id$=hint] *' })).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>('Room width, m').value).toBe('999');
  });
});

describe('time', () => {
  const stretch = { title: 'Gate', from: 1, to: 4, seconds: { class: 90, half: 180, showing: 72 }, assumed: 2, untilTold: 1 };
  const beats = [
    { position: 1, breath: 'in', seconds: 2, cue: 'lift left', time: 1 },
    { position: 1, breath: 'out', seconds: 3, cue: null, time: 1 },
    { position: 2, breath: 'free', seconds: null, cue: null, time: 1 },
  ];

  test('is told by section at three paces, with what was assumed', async () => {
    answers.times = {
      whole: { ...stretch, title: 'Tide stair' },
      stretches: [stretch, { ...stretch, title: null, from: 5 }],
      breathSeconds: 6,
      isBreathAssumed: true,
      showingPace: 0.8,
    };
    answers.beats = beats;
    open('time');
    const rows = await screen.findAllByRole('row');
    expect(rows.map((row) => row.textContent)).toEqual([
      'SectionClass paceHalf paceShowing pace',
      'Gate1 min 30 s3 min1 min 12 s',
      'Between sections1 min 30 s3 min1 min 12 s',
      'Whole form1 min 30 s3 min1 min 12 s',
    ]);
    expect(screen.getByText(/6 s a breath, assumed · 2 entries with 2 breaths assumed · 1 lasts until told/)).toBeTruthy();
  });

  test('the pacer walks breath by breath, waits where it is told to, and makes no sound unless asked', async () => {
    answers.times = { whole: stretch, stretches: [], breathSeconds: 6, isBreathAssumed: false, showingPace: 0.8 };
    answers.beats = beats;
    const sounds = vi.fn();
    vi.stubGlobal('AudioContext', sounds);
    let frame: FrameRequestCallback = () => undefined;
    vi.stubGlobal('requestAnimationFrame', (next: FrameRequestCallback) => {
      frame = next;
      return 1;
    });
    vi.stubGlobal('cancelAnimationFrame', () => undefined);
    let now = 0;
    const clock = vi.spyOn(performance, 'now').mockImplementation(() => now);
    open('time');
    const breath = () => screen.getByTestId('breath').textContent;
    const pass = (seconds: number) => {
      now += seconds * 1000;
      act(() => {
        frame(now);
      });
    };
    expect(await screen.findByText('lift left')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Start' }));
    pass(1);
    expect(breath()).toBe('in1 s');
    pass(1.5);
    expect(breath()).toBe('out3 s');
    pass(60);
    expect(breath()).toBe('your own breathuntil told');
    await userEvent.click(screen.getByRole('button', { name: 'Go on' }));
    expect(breath()).toContain('Closed.');
    expect(sounds).not.toHaveBeenCalled();
    clock.mockRestore();
    vi.unstubAllGlobals();
  });
});

describe('versions', () => {
  const versions = [
    { number: 3, by: 'Bea', at: '2026-01-20T19:05:00+01:00', what: [{ code: '"Heron": turn – → 90.', with: {} }] },
    { number: 2, by: null, at: '2026-01-19T19:05:00+01:00', what: [{ code: 'version.made', with: { count: 6 } }] },
  ];
  const difference = { added: [{ key: 'x', position: 3, title: 'Kneel', fields: [] }], gone: [], moved: [], changed: [{ key: 'a', position: 1, title: 'Heron', fields: [{ field: { code: 'field.turn', with: {} }, before: '–', after: '90' }] }], form: [], kept: 5 }; // prettier-ignore

  test('say who, when and what, and are compared with the form as it is', async () => {
    answers.versions = versions;
    answers.difference = difference;
    open('versions');
    expect(await screen.findByText('Bea, 20 Jan 19:05')).toBeTruthy();
    expect(screen.getByText('"Heron": turn – → 90.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Compare: Version 2' }));
    const dialog = await screen.findByRole('dialog');
    expect(await within(dialog).findByText('Kneel')).toBeTruthy();
    expect(within(dialog).getByText(/turn:/).textContent).toBe('turn: – → 90');
    expect(within(dialog).getByText(/5 entries stay/)).toBeTruthy();
    expect(last('/difference')?.query).toEqual({ from: 2, to: 3 });
  });

  test('one is restored after what that changes was shown; a refusal is told there', async () => {
    answers.versions = versions;
    answers.difference = difference;
    answers.restore = { code: 'Bea changed this form since you opened it.', place: 'form', problems: [] };
    open('versions');
    await userEvent.click(await screen.findByRole('button', { name: 'Restore: Version 2' }));
    const dialog = await screen.findByRole('dialog');
    await userEvent.click(within(dialog).getByRole('button', { name: 'Restore' }));
    expect((await within(dialog).findByRole('alert')).textContent).toContain('Bea changed this form');
    answers.restore = edited(4);
    await userEvent.click(within(dialog).getByRole('button', { name: 'Restore' }));
    expect(await screen.findByText('Version 2 is restored.')).toBeTruthy();
    expect(last('/restore')?.body).toEqual({ base: 3, number: 2 });
  });
});

describe('files', () => {
  const none = { added: [], gone: [], moved: [], changed: [], form: [], kept: 6 };

  test('say beforehand what they cannot carry', async () => {
    answers.losses = {
      csv: [
        { code: 'phases of 9 entries', with: {} },
        { code: 'family of the form', with: {} },
      ],
      list: [],
    };
    open('files');
    await userEvent.click(await screen.findByRole('button', { name: /It leaves out 2 things/ }));
    expect(screen.getAllByRole('listitem').map((one) => one.textContent)).toEqual(
      expect.arrayContaining(['phases of 9 entries', 'family of the form']),
    );
    expect(screen.getByText('It carries all that this form says.')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Save as a table (CSV)' }).getAttribute('href')).toBe('/api/forms/form/file?as=csv');
  });

  test('what is wrong with one is listed line by line, and what was pasted stays', async () => {
    answers.losses = { csv: [], list: [] };
    answers.preview = {
      code: 'Line 2: x (and one more problem).',
      place: '2',
      problems: [
        { code: 'Line 2: x.', with: {} },
        { code: 'Line 4: y.', with: {} },
      ],
    };
    open('files');
    await userEvent.click(await screen.findByRole('button', { name: 'Read a file over it' }));
    const text = await screen.findByLabelText<HTMLTextAreaElement>('The file, or its text');
    await userEvent.type(text, 'title');
    await userEvent.click(screen.getByRole('button', { name: 'Show what would change' }));
    expect(await screen.findByText('Line 4: y.')).toBeTruthy();
    expect(text.value).toBe('title');
  });

  test('one is read over the form only when that changes something, on the version that was shown', async () => {
    answers.losses = { csv: [], list: [] };
    answers.preview = { version: 7, form: form(), difference: none, inferred: [], warnings: [], lines: 6 };
    const router = open('files');
    await userEvent.click(await screen.findByRole('button', { name: 'Read a file over it' }));
    await userEvent.type(await screen.findByLabelText('The file, or its text'), 'x');
    await userEvent.click(screen.getByRole('button', { name: 'Show what would change' }));
    expect(await screen.findByText('The file says what the form says. There is nothing to change.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Change the form' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Change the text' }));
    answers.preview = { version: 7, form: form(), difference: { ...none, gone: [{ key: 'a', position: 1, title: 'Heron', fields: [] }] }, inferred: [{ position: 2, to: 1, isMirror: true, key: 'e2' }], warnings: [{ code: 'line 3: not understood', with: {} }], lines: 5 }; // prettier-ignore
    await userEvent.click(screen.getByRole('button', { name: 'Show what would change' }));
    expect(await screen.findByText(/What is gone keeps its marks/)).toBeTruthy();
    expect(screen.getByText('Line 3: not understood.')).toBeTruthy();
    await userEvent.click(screen.getByLabelText(/Movement 2 \(2\) mirrors 1/));
    await waitFor(() => {
      expect(last('/preview')?.body).toEqual({ text: 'x', declined: ['e2'] });
    });
    answers.import = edited(8);
    await userEvent.click(await screen.findByRole('button', { name: 'Change the form' }));
    await waitFor(() => {
      expect(router.state.location.pathname).toBe('/forms/form/score');
    });
    expect(last('/import')?.body).toEqual({ base: 7, text: 'x', declined: ['e2'] });
  });

  test('one that may be of another form is read over this one only once somebody says whose it is', async () => {
    answers.losses = { csv: [], list: [] };
    const difference = { ...none, gone: [{ key: 'a', position: 1, title: 'Heron', fields: [] }] };
    answers.preview = { version: 7, form: form(), difference, inferred: [], warnings: [], lines: 5, doubtful: true };
    open('files');
    await userEvent.click(await screen.findByRole('button', { name: 'Read a file over it' }));
    await userEvent.type(await screen.findByLabelText('The file, or its text'), 'x');
    await userEvent.click(screen.getByRole('button', { name: 'Show what would change' }));
    expect(await screen.findByText('Is this file of this form?')).toBeTruthy();
    const change = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Change the form' });
    expect(change().disabled).toBe(true);
    answers.import = edited(8);
    await userEvent.click(screen.getByRole('radio', { name: 'No, compare by titles' }));
    // What was shown stays in sight while it is compared again.
    expect(screen.getByText(/What is gone keeps its marks/)).toBeTruthy();
    await waitFor(() => {
      expect(change().disabled).toBe(false);
    });
    expect(last('/preview')?.body).toEqual({ text: 'x', declined: [], ids: 'other' });
    await userEvent.click(change());
    await waitFor(() => {
      expect(last('/import')?.body).toEqual({ base: 7, text: 'x', declined: [], ids: 'other' });
    });
  });
});
