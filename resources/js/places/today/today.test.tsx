import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import { MemoryRouter } from '../../../../tests/pages/router';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { form, meeting, noWarmUps, term } from '../../../../tests/pages/sample';
import type { Today, TonightPage } from '../../api/client';
import '../../messages';
import { TodayPlace } from './TodayPlace';

let today: Today;
let asked: { url: string; query: unknown }[] = [];
vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  api: {
    GET: (url: string, options?: { params?: { query?: unknown } }) => {
      asked.push({ url, query: options?.params?.query });
      const data = url.endsWith('/today') ? today : url.endsWith('/home') ? { practices: [], questions: [] } : form();
      return Promise.resolve({ data, response: new Response(null, { status: 200 }) });
    },
  },
}));

const tonight = (readiness: TonightPage['readiness']): TonightPage => ({
  term: term().term,
  meeting: meeting({ id: 'tonight' }),
  formId: 'form',
  courseId: 'course',
  taught: [1, 2],
  readiness,
  season: term().meetings,
  closures: [],
  courses: [{ courseId: 'course', formId: 'form', title: 'Tide stair', edition: 'first' }],
  principles: null,
  warmUps: noWarmUps,
  care: [],
});
beforeEach(() => {
  asked = [];
  today = {
    today: '2026-01-20',
    meetings: [],
    unsaid: [],
    next: null,
    nextTerm: null,
    hasForms: true,
    hasGroups: true,
    hasTerms: true,
    isDemoOver: false,
    coming: [],
  };
});
afterEach(cleanup);
const open = () =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <TodayPlace />
      </MemoryRouter>
    </QueryClientProvider>,
  );

describe('without a network on a later day', () => {
  test('what this device keeps of that day and the days after it can be opened, and nothing else is offered', async () => {
    const of = (meetingId: string, on: string) => ({
      meetingId,
      groupName: 'Dawn',
      on,
      startsAt: `${on}T07:30:00Z`,
      courses: [],
    });
    today.coming = [of('mon', '2026-01-19'), of('wed', '2026-01-21'), of('fri', '2026-01-23')];
    vi.spyOn(Date, 'now').mockReturnValue(Date.parse('2026-01-20T12:00:00'));
    open();
    await screen.findByRole('heading', { level: 1 });
    expect(screen.queryByText('Kept on this device:')).toBeNull();
    cleanup();
    vi.spyOn(Date, 'now').mockReturnValue(Date.parse('2026-01-21T12:00:00'));
    open();
    await screen.findByText('Kept on this device:');
    const links = screen.getAllByRole('link').filter((one) => one.getAttribute('href')?.startsWith('/meetings/'));
    expect(links.map((one) => one.textContent)).toEqual(['Dawn, Wed 21 Jan, 07:30', 'Dawn, Fri 23 Jan, 07:30']);
    vi.restoreAllMocks();
  });
});

describe('tonight', () => {
  test('is shown with the cut of its course, asked for by itself', async () => {
    today.meetings = [tonight({ ready: 20, look: 0, notYet: 0, of: 20 })];
    open();
    expect(await screen.findByText('Movement 3', { exact: false, selector: 'p' })).toBeTruthy();
    expect(asked.find((one) => one.url.endsWith('/{form}'))?.query).toEqual({ course: 'course' });
    expect(screen.getByText('All 20 are ready for this lesson')).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'See who, and why' })).toBeNull();
  });

  test.each([
    [{ ready: 15, look: 0, notYet: 5, of: 20 }, '5 of 20 are not yet ready for this lesson'],
    [{ ready: 0, look: 20, notYet: 0, of: 20 }, '20 to look at first'],
    [{ ready: 12, look: 7, notYet: 1, of: 20 }, '1 of 20 is not yet ready for this lesson · 7 to look at first'],
  ])('tells not yet from look first: %j', async (readiness, says) => {
    today.meetings = [tonight(readiness)];
    open();
    expect((await screen.findByRole('link', { name: 'See who, and why' })).closest('p')?.textContent).toBe(
      `${says} See who, and why`,
    );
  });

  test('of a group nobody is in is not said to be ready', async () => {
    today.meetings = [tonight({ ready: 0, look: 0, notYet: 0, of: 0 })];
    open();
    expect(await screen.findByText('No one is in this group yet')).toBeTruthy();
  });
});

test('a plan that is being made again is shown as the old one, and asked for again', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true });
  const before = tonight({ ready: 20, look: 0, notYet: 0, of: 20 });
  today.meetings = [{ ...before, term: { ...before.term, isBeingPlanned: true } }];
  open();
  expect(await screen.findByText(/the plan as it was/)).toBeTruthy();
  today = { ...today, meetings: [before] };
  await vi.advanceTimersByTimeAsync(2500);
  await waitFor(() => {
    expect(screen.queryByText(/the plan as it was/)).toBeNull();
  });
  const times = asked.filter((one) => one.url.endsWith('/today')).length;
  await vi.advanceTimersByTimeAsync(9000);
  expect(asked.filter((one) => one.url.endsWith('/today'))).toHaveLength(times);
  vi.useRealTimers();
});

test('classes that went by without a word are asked about, each with its group and day', async () => {
  today.unsaid = [{ meetingId: 'm1', groupName: 'Tuesdays', on: '2026-01-13' }];
  open();
  const link = await screen.findByRole('link', { name: 'Tuesdays, Tue 13 Jan' });
  expect(link.getAttribute('href')).toBe('/meetings/m1?on=here');
});
