import { onlineManager, QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import { afterEach, expect, test } from 'vitest';
import '../messages';
import { Problem, Unreachable } from '../api/client';
import { AsOf } from './AsOf';
import { moment } from './format';

afterEach(() => {
  cleanup();
  onlineManager.setOnline(true);
});

const EARLIER = Date.now() - 40 * 60_000;

/** A page that shows an answer from earlier, and asks for it again. */
function Page({ ask }: { ask: () => Promise<string> }) {
  const { data } = useQuery({ queryKey: ['groups'], queryFn: ask, retry: false });
  return (
    <>
      <AsOf />
      <p>{data}</p>
    </>
  );
}
const open = (ask: () => Promise<string>) => {
  const client = new QueryClient();
  client.setQueryData(['groups'], 'Tuesdays', { updatedAt: EARLIER });
  client.setQueryData(['session'], 'Ina', { updatedAt: 0 });
  render(
    <QueryClientProvider client={client}>
      <Page ask={ask} />
    </QueryClientProvider>,
  );
};

test('what is shown though the server cannot be asked says from when it is, and what has to wait', async () => {
  open(() => Promise.reject(new Unreachable()));
  await waitFor(() => {
    expect(screen.getByRole('status').textContent).toContain(`from ${moment(EARLIER)}. What you mark`);
  });
  expect(screen.getByText('Tuesdays')).toBeTruthy();
});

test('as long as the server answers nothing is said; without a network it is, and no longer once it is back', async () => {
  open(() => Promise.resolve('Tuesdays, now'));
  await screen.findByText('Tuesdays, now');
  expect(screen.queryByRole('status')).toBeNull();
  act(() => {
    onlineManager.setOnline(false);
  });
  expect(await screen.findByRole('status')).toBeTruthy();
  act(() => {
    onlineManager.setOnline(true);
  });
  await waitFor(() => {
    expect(screen.queryByRole('status')).toBeNull();
  });
});

test('what is gone from the server is not said to be out of reach', async () => {
  open(() => Promise.reject(new Problem('gone', 404, '')));
  await waitFor(() => {
    expect(screen.getByRole('status').textContent).toBe(
      `This is no longer on the server. What stands here is from ${moment(EARLIER)}.`,
    );
  });
});
