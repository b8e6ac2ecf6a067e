import 'fake-indexeddb/auto';
import { QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { MemoryRouter } from '../../../tests/pages/router';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { entry, form, meeting, noWarmUps, page } from '../../../tests/pages/sample';
import type { MeetingPage } from '../api/client';
import { closeOutbox, flush, openOutbox, outbox, post, waiting } from '../api/outbox';
import { device } from '../api/device';
import { meetingQuery } from '../api/queries';
import { useShownMeeting } from '../api/useOutbox';
import { Toasts } from '../kit/toasts';
import '../messages';
import { EntryLoad } from './forms/EntryLoad';
import { Attendance } from './meeting/Attendance';
import { Marking } from './meeting/Marking';
import { momentOf } from './meeting/moment';
import { PlanList } from './meeting/PlanList';
import { stateIn } from './meeting/stateIn';
import { usePresence } from './meeting/usePresence';
import { namesIn } from './groups/names';
import { useOutboxNews } from './useOutboxNews';

const sent: {
  url: string;
  body: { marks?: { id: string; entry: string; student: string; side: string | null; support: string }[] } & Record<
    string,
    unknown
  >;
}[] = [];

beforeEach(async () => {
  sent.length = 0;
  vi.stubGlobal('fetch', async (request: Request) => {
    sent.push({ url: new URL(request.url).pathname, body: JSON.parse(await request.text()) as (typeof sent)[number]['body'] });
    return new Response('[]', { status: 200 });
  });
  await openOutbox('ina');
});
afterEach(async () => {
  cleanup();
  await flush(); // nothing of one test is still on its way in the next
  closeOutbox();
  await device.commands.clear();
  vi.unstubAllGlobals();
});

const show = (element: ReactElement) =>
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Toasts>
        <MemoryRouter>{element}</MemoryRouter>
      </Toasts>
    </QueryClientProvider>,
  );

function Class({ data, tab }: { data: MeetingPage; tab: 'mark' | 'here' }) {
  const known = useQuery({ ...meetingQuery('tonight'), initialData: data, staleTime: Infinity }).data;
  const { shown } = useShownMeeting(known);
  const presence = usePresence(shown);
  useOutboxNews();
  return tab === 'mark' ? (
    <Marking page={known} forms={{ course: form() }} tonight={null} />
  ) : (
    <Attendance page={shown} presence={presence} />
  );
}

describe('marking', () => {
  const level = (name: string, support: string) =>
    within(screen.getByRole('group', { name })).getByRole('button', { name: support });

  test('a row is one stop for Tab, and the arrows go along it and from row to row', async () => {
    show(<Class data={page()} tab="mark" />);
    const stops = [...document.querySelectorAll<HTMLElement>('[data-student] button')].filter((one) => one.tabIndex === 0);
    expect(stops).toHaveLength(document.querySelectorAll('[data-student]').length);
    stops[0]?.focus();
    await userEvent.keyboard('{ArrowRight}{ArrowRight}{ArrowLeft}');
    const ada = within(screen.getByRole('group', { name: 'Ada' })).getAllByRole('button');
    expect(document.activeElement).toBe(ada[1]);
    await userEvent.keyboard('{ArrowDown}');
    expect(document.activeElement?.closest('[data-student]')).not.toBe(ada[1]?.closest('[data-student]'));
    // Whoever is marked is come to where the mark is.
    await userEvent.keyboard('3');
    const marked = document.activeElement?.closest('[data-student]')?.querySelectorAll('button') ?? [];
    expect([...marked].filter((one) => one.tabIndex === 0)).toEqual([marked[2]]);
  });

  test('one tap is one request with one id for each entry of the passage', async () => {
    show(<Class data={page()} tab="mark" />);
    await userEvent.click(level('Ada', 'Alone'));
    await waitFor(() => {
      expect(sent).toHaveLength(1);
    });
    const marks = sent[0]?.body.marks ?? [];
    expect(sent[0]?.url).toBe('/api/meetings/tonight/marks');
    expect(marks.map((mark) => [mark.entry, mark.student, mark.support, mark.side])).toEqual([
      ['row-3', 'ada', 'Alone', null],
      ['row-4', 'ada', 'Alone', null],
    ]);
    expect(new Set(marks.map((mark) => mark.id)).size).toBe(2);
    expect(level('Ada', 'Alone').getAttribute('aria-pressed')).toBe('true');
    expect(level('Bo', 'Alone').getAttribute('aria-pressed')).toBe('false');
  });

  test('a touch that comes before the last one is drawn knows of it', async () => {
    show(<Class data={page()} tab="mark" />);
    act(() => {
      level('Ada', 'Alone').click();
      within(screen.getByRole('group', { name: /not marked yet/ }))
        .getByRole('button', { name: 'Cued' })
        .click();
    });
    await waitFor(() => {
      expect(level('Bo', 'Cued').getAttribute('aria-pressed')).toBe('true');
    });
    expect(level('Ada', 'Alone').getAttribute('aria-pressed')).toBe('true');
    act(() => {
      level('Bo', 'Leading').click();
      fireEvent.keyDown(level('Bo', 'Leading'), { key: '0' });
    });
    await waitFor(() => {
      expect(level('Bo', 'Cued').getAttribute('aria-pressed')).toBe('true');
    });
  });

  test('another passage and a side can be chosen', async () => {
    show(<Class data={page()} tab="mark" />);
    await userEvent.click(screen.getByRole('button', { name: /choose another passage/ }));
    await userEvent.click(screen.getByRole('radio', { name: /Lead-in/ }));
    await userEvent.click(screen.getByRole('radio', { name: 'Right' }));
    await userEvent.click(level('Bo', 'Cued'));
    await waitFor(() => {
      expect(sent[0]?.body.marks?.map((mark) => [mark.entry, mark.side])).toEqual([
        ['row-1', 'right'],
        ['row-2', 'right'],
      ]);
    });
  });

  test('keys mark, move and take back', async () => {
    show(<Class data={page()} tab="mark" />);
    level('Ada', 'Following').focus();
    await userEvent.keyboard('4{ArrowDown}2');
    expect(level('Ada', 'Flowing').getAttribute('aria-pressed')).toBe('true');
    expect(level('Bo', 'Cued').getAttribute('aria-pressed')).toBe('true');
    await userEvent.keyboard('z');
    expect(level('Bo', 'Cued').getAttribute('aria-pressed')).toBe('false');
    await waitFor(() => {
      expect(sent.map((one) => one.url)).toEqual([
        '/api/meetings/tonight/marks',
        '/api/meetings/tonight/marks',
        '/api/withdrawals',
      ]);
    });
    const withdrawn = (sent[2]?.body.withdrawals as { of: string }[]).map((one) => one.of);
    expect(withdrawn).toEqual(sent[1]?.body.marks?.map((mark) => mark.id));
  });

  test('the last of two taps on one student counts', async () => {
    show(<Class data={page()} tab="mark" />);
    await userEvent.click(level('Ada', 'Cued'));
    await userEvent.click(level('Ada', 'Alone'));
    expect(level('Ada', 'Cued').getAttribute('aria-pressed')).toBe('false');
    expect(level('Ada', 'Alone').getAttribute('aria-pressed')).toBe('true');
  });

  test('what was taken back while the network is away stays away when the page is opened again', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
    show(<Class data={page()} tab="mark" />);
    level('Ada', 'Alone').focus();
    await userEvent.keyboard('3');
    await userEvent.click(level('Bo', 'Alone'));
    level('Ada', 'Alone').focus();
    await userEvent.keyboard('z');
    await waitFor(() => {
      expect(waiting()).toHaveLength(3);
    });
    cleanup();
    show(<Class data={page()} tab="mark" />);
    await waitFor(() => {
      expect(level('Bo', 'Alone').getAttribute('aria-pressed')).toBe('true');
    });
    expect(level('Ada', 'Alone').getAttribute('aria-pressed')).toBe('false');
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('[]', { status: 200 })));
    await flush();
    expect(outbox().kept).toEqual([]);
  });

  test('marks the server has are shown, and who is away is not listed', () => {
    const marks = ['row-3', 'row-4'].map((entryId, at) => ({
      id: String(at),
      studentId: 'ada',
      principleId: null,
      stepId: null,
      entryId,
      side: null,
      support: 'Leading' as const,
      at: '2026-01-20T18:30:00+00:00',
    }));
    show(
      <Class
        data={page({
          marks,
          attendance: { bo: { isHere: false, isCareful: false, isFirstTime: false, late: null, left: null, at: null } },
        })}
        tab="mark"
      />,
    );
    expect(level('Ada', 'Leading').getAttribute('aria-pressed')).toBe('true');
    expect(screen.queryByRole('group', { name: 'Bo' })).toBeNull();
  });

  test('with nothing taught there is nothing to mark, and it says so', () => {
    const none = meeting({ id: 'tonight', lesson: null, recap: null, review: [] });
    show(<Class data={page({ meeting: none, taught: [] })} tab="mark" />);
    expect(screen.getByText(/Nothing is taught yet/)).toBeTruthy();
  });
});

describe('what was kept on the device', () => {
  function Elsewhere() {
    useOutboxNews();
    return <p>Another page</p>;
  }

  test('is said where one is, when it is refused after its page was left', async () => {
    show(<Elsewhere />);
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('{"code":"Ada left the school."}', { status: 422 })));
    await post({ kind: 'marks', meeting: 'tonight', marks: [] });
    expect(await screen.findByText('Not saved: Ada left the school.')).toBeTruthy();
  });

  test('is taken off the marking page when it is refused', async () => {
    show(<Class data={page()} tab="mark" />);
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('{"code":"No."}', { status: 422 })));
    const button = within(screen.getByRole('group', { name: 'Ada' })).getByRole('button', { name: 'Alone' });
    await userEvent.click(button);
    await waitFor(() => {
      expect(button.getAttribute('aria-pressed')).toBe('false');
    });
  });
});

describe('attendance', () => {
  test('everyone is here until said otherwise, and a change is sent at once', async () => {
    show(<Class data={page()} tab="here" />);
    expect(screen.getByText('3 of 3 here')).toBeTruthy();
    await userEvent.click(screen.getByRole('switch', { name: /Bo/ }));
    expect(screen.getByText('2 of 3 here')).toBeTruthy();
    await waitFor(() => {
      expect(sent).toMatchObject([{ url: '/api/meetings/tonight/attendance', body: { attendance: { bo: { isHere: false } } } }]);
    });
  });

  test('is locked once the class is logged', () => {
    show(<Class data={page({ meeting: meeting({ id: 'tonight', isHeld: true }) })} tab="here" />);
    for (const one of screen.getAllByRole('switch')) expect(one.hasAttribute('disabled')).toBe(true);
  });

  test('a group without students says what to do', () => {
    show(<Class data={page({ students: [] })} tab="here" />);
    expect(screen.getByRole('link', { name: 'Add students' }).getAttribute('href')).toBe('/groups/group');
  });
});

describe('the plan', () => {
  test('says what is done in each box, with its reason, and always the care', () => {
    show(
      <PlanList
        warmUps={noWarmUps}
        meeting={meeting({ notes: [{ code: 'No minute is left for review.', with: {} }] })}
        form={form()}
      />,
    );
    expect(screen.getAllByRole('heading', { level: 2 }).map((one) => one.textContent)).toEqual([
      'Settle',
      'Warm-up',
      'Focus',
      'Review',
      'New',
      'Run-through',
      'Close',
    ]);
    expect(screen.getByText(/3 times through, 2.7 min · most still have it \(66 %\)/)).toBeTruthy();
    expect(screen.getByText(/Lead in from 1–2/)).toBeTruthy();
    expect(screen.getByText('No minute is left for review.')).toBeTruthy();
    expect(screen.getByText(/not medical advice/)).toBeTruthy();
  });

  test('a passage is said by its published numbers, and by title where there is none', () => {
    const opened = form({
      entries: [entry(1, { kind: 'opening', number: null, title: 'Opening' }), entry(2, { number: 1 }), entry(3, { number: 2 })],
    });
    show(
      <PlanList
        warmUps={noWarmUps}
        meeting={meeting({ lesson: { from: 1, to: 3 }, recap: null, review: [], runThrough: { from: 3, to: 3 } })}
        form={opened}
      />,
    );
    expect(screen.getByText('Opening–2')).toBeTruthy();
    expect(screen.getByText('2', { selector: 'strong' })).toBeTruthy();
  });

  test('a mark noted on a later day is dated to the end of its meeting', () => {
    expect(momentOf(meeting({ isPast: true }))).toBe('2026-01-20T19:00:00.000Z');
    expect(Math.abs(Date.parse(momentOf(meeting())) - Date.now())).toBeLessThan(5000);
  });

  test('the ribbon of a meeting shows what is known before it and what is new at it', () => {
    const state = stateIn(meeting(), [1, 2]);
    expect([1, 2, 3, 4, 5].map(state)).toEqual(['known', 'known', 'now', 'now', 'plain']);
  });
});

describe('a form', () => {
  test.each([
    [entry(2), '1 movement, + 0.2 join = 1.2'],
    [entry(1, { join: 0, load: 1 }), '1 movement = 1'],
    [entry(2, { mirrors: 1, newness: 0.5, load: 0.7 }), '1 movement, × 0.5 mirrored, + 0.2 join = 0.7'],
    [entry(2, { returns: 1, newness: 0.15, load: 0.35 }), '1 movement, × 0.15 returning, + 0.2 join = 0.35'],
    [
      entry(2, {
        parts: [
          { reason: 'base', amount: 1 },
          { reason: 'big_turn', amount: 0.5 },
          { reason: 'one_leg', amount: 0.75 },
        ],
        load: 2.45,
      }),
      '1 movement + 0.5 half turn + 0.75 one leg, + 0.2 join = 2.45',
    ],
    [entry(2, { kind: 'connector', parts: [{ reason: 'base', amount: 0.5 }], load: 0.7 }), '0.5 connector, + 0.2 join = 0.7'],
    [entry(2, { parts: [{ reason: 'stated', amount: 3 }], load: 3.2 }), '3 stated, + 0.2 join = 3.2'],
  ])('tells a load as its parts (%#)', (one, parts) => {
    const all = form();
    show(
      <EntryLoad
        form={{ ...all, entries: all.entries.map((other) => (other.position === one.position ? one : other)) }}
        position={one.position}
        onPin={vi.fn()}
      />,
    );
    expect(screen.getByTestId('load-parts').textContent).toBe(parts);
  });

  test('a join can be pinned, barred, and let go again', async () => {
    const onPin = vi.fn();
    const pinned = form();
    pinned.joins = pinned.joins.map((join) => (join.after === 3 ? { ...join, pin: 'always' } : join));
    show(<EntryLoad form={pinned} position={3} onPin={onPin} />);
    expect(screen.queryByRole('button', { name: 'Always cut here' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: 'Never cut here' }));
    await userEvent.click(screen.getByRole('button', { name: 'Let Gorvan decide here' }));
    expect(onPin.mock.calls).toEqual([
      [3, 'never'],
      [3, null],
    ]);
  });

  test('the last entry has no join after it', () => {
    show(<EntryLoad form={form()} position={6} onPin={vi.fn()} />);
    expect(screen.queryByRole('button')).toBeNull();
  });
});

test('names are taken a line each, without blanks', () => {
  expect(namesIn(' Ada \n\n Bo\r\nCy D. ')).toEqual(['Ada', 'Bo', 'Cy D.']);
});
