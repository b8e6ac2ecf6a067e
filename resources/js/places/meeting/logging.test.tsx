import 'fake-indexeddb/auto';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from '../../../../tests/pages/router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { form, page } from '../../../../tests/pages/sample';
import { onTheWire } from '../../../../tests/pages/server';
import type { MeetingPage } from '../../api/client';
import { closeOutbox, flush, letGo, openOutbox, waiting } from '../../api/outbox';
import { queryClient } from '../../api/queryClient';
import { Toasts } from '../../kit/toasts';
import '../../messages';
import { useOutboxNews } from '../useOutboxNews';
import { MeetingPlace } from './MeetingPlace';

let shown: MeetingPage;
/** The clock stands still, and is moved on by so many milliseconds, so that a second press is no double click. */
let now = 0;
let posted: { url: string; body: unknown }[] = [];
vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  api: {
    GET: (url: string) =>
      Promise.resolve({
        data: onTheWire(url.endsWith('{meeting}') ? shown : url.endsWith('/home') ? { practices: [], questions: [] } : form()),
        response: new Response(null, { status: 200 }),
      }),
  },
}));

beforeEach(async () => {
  posted = [];
  now = 0;
  const stopped = performance.now();
  vi.spyOn(performance, 'now').mockImplementation(() => stopped + now);
  queryClient.clear();
  vi.stubGlobal('fetch', async (request: Request) => {
    const body = JSON.parse(await request.text()) as { id?: string };
    posted.push({ url: new URL(request.url).pathname, body });
    shown = page({ logId: body.id ?? null }); // a withdrawal has no id of its own
    return new Response(null, { status: 204 });
  });
  await openOutbox('ina');
  shown = page();
});
afterEach(async () => {
  cleanup();
  await flush();
  closeOutbox();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

/** The class as it stands in the application, where what arrives is told to every page. */
function Place() {
  useOutboxNews();
  return <MeetingPlace />;
}

function open() {
  const router = createMemoryRouter([{ path: '/meetings/:meeting', Component: Place }], {
    initialEntries: ['/meetings/tonight'],
  });
  render(
    <QueryClientProvider client={queryClient}>
      <Toasts>
        <RouterProvider router={router} />
      </Toasts>
    </QueryClientProvider>,
  );
}

test('a class is logged once, however quickly the button is pressed again, and can be taken back', async () => {
  open();
  const button = await screen.findByRole('button', { name: 'Log as planned' });
  fireEvent.click(button);
  fireEvent.click(button);
  const back = await screen.findByRole('button', { name: 'Take the log back' });
  await waitFor(() => {
    expect(posted.map((one) => one.url)).toEqual(['/api/meetings/tonight/log']);
  });
  const { id } = posted[0]?.body as { id: string };
  now = 800;
  fireEvent.click(back);
  fireEvent.click(back);
  await screen.findByRole('button', { name: 'Log as planned' });
  await waitFor(() => {
    expect(posted.slice(1).map((one) => (one.body as { withdrawals: { of: string }[] }).withdrawals.map(({ of }) => of))).toEqual(
      [[id]],
    );
  });
});

test('without a network the log waits on the device and counts on the page; taken back it never was', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
  open();
  fireEvent.click(await screen.findByRole('button', { name: 'Log as planned' }));
  now = 800;
  const back = await screen.findByRole('button', { name: 'Take the log back' });
  await flush();
  expect(waiting().map((one) => one.command.kind)).toEqual(['log']);
  fireEvent.click(back);
  expect(await screen.findByRole('button', { name: 'Log as planned' })).toBeTruthy();
  expect(waiting().map((one) => [one.command.kind, one.needs.length])).toEqual([
    ['log', 0],
    ['withdrawals', 1],
  ]);
  await Promise.all(waiting().map((one) => letGo(one.id)));
});

test('once a log has arrived the term counts as being planned, until the server says otherwise', async () => {
  open();
  const plans: boolean[] = [];
  const stop = queryClient.getQueryCache().subscribe(() => {
    const known = queryClient.getQueryData<MeetingPage>(['meeting', 'tonight']);
    if (known?.logId != null) plans.push(known.term.isBeingPlanned);
  });
  fireEvent.click(await screen.findByRole('button', { name: 'Log as planned' }));
  await waitFor(() => {
    expect(plans.length).toBeGreaterThan(0);
  });
  stop();
  expect(plans[0]).toBe(true);
});
