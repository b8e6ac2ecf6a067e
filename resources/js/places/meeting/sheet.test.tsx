import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { careNeed, coursePart, cueCard, form, meeting, page, review, studentCare } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { CueCard, MeetingPage } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { SheetPlace } from './SheetPlace';

vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  api: standIn,
}));

const caution = (text: string) => ({ code: 'cue.caution_text', with: { for: 'knee', do: 'smaller', text } });
const card = (position: number, change: Partial<CueCard> = {}): CueCard =>
  cueCard(position, { left: { code: 'cue.own', with: { side: 'left', own: 'right' } }, ...change });

/** New are 5 and 6, with 3 and 4 before them; 1 is reviewed, and 4 to 6 are run through. */
const evening = (change: Partial<MeetingPage> = {}): MeetingPage =>
  page({
    meeting: meeting({
      id: 'tonight',
      pins: { focus: 'shoulders down' },
      courses: [
        coursePart({
          lessons: [{ number: 3, kind: 'new', from: 5, to: 6, part: null, parts: null }],
          recap: { from: 3, to: 4 },
          review: [review({ from: 1, to: 1 })],
          runThrough: { from: 4, to: 6 },
          taughtAfter: 6,
        }),
      ],
    }),
    awayLast: ['Ada', 'Bo'],
    newcomers: ['Cy'],
    room: 'the loft',
    ...change,
  });

beforeEach(() => {
  queryClient.clear();
  server.reset({
    'GET /api/meetings/{meeting}': evening(),
    'GET /api/forms/{form}': form(),
    'GET /api/forms/{form}/cards': [
      card(1, { cautions: [caution('no deeper than last week')], cues: ['not said here'] }),
      card(2, { cautions: [caution('not done tonight')] }),
      card(3, { cues: ['not said here'] }),
      card(4, { cautions: [caution('a wall near')], needsSupport: true }),
      card(5, { cues: ['Turn from the hips', 'pivot on the {L} heel'], checks: ['the {R} heel first'] }),
      card(6, { cautions: [caution('leave the kick out')] }),
    ],
  });
});
afterEach(cleanup);

const show = () => showAt('/meetings/tonight/sheet', [{ path: '/meetings/:meeting/sheet', Component: SheetPlace }]);

test('the sheet says who was away, who is new, the room and the focus', async () => {
  show();
  expect(await screen.findByRole('heading', { level: 1, name: /Tuesday, 20 January 2026/ })).toBeTruthy();
  expect(screen.getByText('Away last time:').parentElement?.textContent).toBe('Away last time: Ada, Bo');
  expect(screen.getByText('New since last time:').parentElement?.textContent).toBe('New since last time: Cy');
  expect(screen.getByText(/the loft/)).toBeTruthy();
  expect(screen.getAllByText('shoulders down').length).toBeGreaterThan(0);
});

test('cues are of what is new, cautions of all that is done tonight, and what is to be ready is said', async () => {
  show();
  const told = await screen.findByRole('region', { name: 'Cues and cautions: Tide stair' });
  const rows = within(told)
    .getAllByRole('listitem')
    .map((row) => row.textContent);
  expect(rows).toEqual([
    '5 Movement 5 · Turn from the hips; pivot on the left (your right) heel · the right heel first',
    expect.stringMatching(/^6 Movement 6 · .*leave the kick out/),
    expect.stringMatching(/^1 Movement 1 · .*no deeper than last week/),
    expect.stringMatching(/^4 Movement 4 · .*a wall near/),
  ]);
  expect(within(told).getByText('Have ready: a chair, or a wall that is free.')).toBeTruthy();
  expect(told.textContent).not.toContain('not said here');
  expect(told.textContent).not.toContain('not done tonight');
});

test('cautions that cannot be fetched are said to be missing, and can be asked for again', async () => {
  server.refusals = { 'GET /api/forms/{form}/cards': { status: 503, code: 'http.closed' } };
  show();
  expect(await screen.findByText(/being looked after/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
});

test('an evening of nothing but standing asks for no cards', async () => {
  server.answers['GET /api/meetings/{meeting}'] = evening({
    meeting: meeting({ id: 'tonight', courses: [coursePart({ taughtAfter: 0, recallAfter: null })] }),
    awayLast: [],
    newcomers: [],
  });
  show();
  await screen.findByRole('heading', { level: 1 });
  expect(screen.queryByText(/Away last time/)).toBeNull();
  expect(server.got('GET', '/api/forms/{form}/cards')).toEqual([]);
});

test('the teacher’s sheet says who does what otherwise and never why; the one for the wall has no names', async () => {
  server.answers['GET /api/meetings/{meeting}'] = evening({
    care: [studentCare('Dov', { asks: true, needs: [careNeed({ position: 5, do: ['support'] })] })],
  });
  const { router } = show();
  expect((await screen.findByText(/a chair or wall near for/)).textContent).toContain('5. Movement 5');
  expect(screen.getByText(/ask before anything/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: /who takes care of what/ })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'For the wall' }));
  expect(router.state.location.search).toBe('?wall=1');
  for (const name of ['Dov', 'Ada', 'Cy']) expect(screen.queryByText(new RegExp(name))).toBeNull();
  // What everybody may know stays: the general cautions, and what holds for all.
  expect(screen.getByText(/leave the kick out/)).toBeTruthy();
  expect(screen.getByText(/not medical advice/)).toBeTruthy();
});
