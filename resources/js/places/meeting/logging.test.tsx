import 'fake-indexeddb/auto';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { form, page } from '../../../../tests/pages/sample';
import type { MeetingPage } from '../../api/client';
import { openOutbox } from '../../api/outbox';
import { queryClient } from '../../api/queries';
import { Toasts } from '../../kit/toasts';
import '../../messages';
import { MeetingPlace } from './MeetingPlace';

let shown: MeetingPage;
let posted: { url: string; body: unknown }[] = [];
const { gate } = vi.hoisted(() => ({ gate: { open: () => undefined as unknown, wait: Promise.resolve() } }));
vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  api: {
    GET: (url: string) =>
      Promise.resolve({ data: url.endsWith('{meeting}') ? shown : form(), response: new Response(null, { status: 200 }) }),
    POST: async (url: string, options: { body: unknown }) => {
      posted.push({ url, body: options.body });
      await gate.wait;
      return { data: null, response: new Response(null, { status: 200 }) };
    },
  },
}));

beforeEach(() => {
  posted = [];
  queryClient.clear();
  openOutbox('ina');
  shown = page();
  gate.wait = new Promise((resolve) => {
    gate.open = () => {
      resolve();
    };
  });
});
afterEach(cleanup);

function open() {
  const router = createMemoryRouter([{ path: '/meetings/:meeting', Component: MeetingPlace }], {
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
  await waitFor(() => {
    expect(posted).toHaveLength(1);
  });
  const { id } = posted[0]?.body as { id: string };
  shown = page({ logId: id });
  gate.open();
  const back = await screen.findByRole('button', { name: 'Take the log back' });
  fireEvent.click(back);
  fireEvent.click(back);
  await waitFor(() => {
    expect(posted.slice(1).map((one) => (one.body as { withdrawals: { of: string }[] }).withdrawals.map(({ of }) => of))).toEqual(
      [[id]],
    );
  });
});
