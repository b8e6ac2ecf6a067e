import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { form } from '../../../tests/pages/sample';
import { server } from '../../../tests/pages/server';
import { type NamedForm, useForms } from './useForms';

vi.mock('./client', async (original) => ({
  ...(await original<typeof import('./client')>()),
  api: (await import('../../../tests/pages/server')).standIn,
}));

afterEach(cleanup);

const asked = () => server.got('GET', '/api/forms/{form}').length;
const among = (client: QueryClient) => ({
  wrapper: ({ children }: { children: ReactNode }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>,
});

test('a form that two answers name is fetched once, and again where one of them means another edition', async () => {
  server.reset({ 'GET /api/forms/{form}': form({ edition: 'first' }) });
  const client = new QueryClient();
  const one = renderHook(() => useForms([{ id: 'form', edition: 'first' }]), among(client));
  await waitFor(() => {
    expect(one.result.current.ready[0]?.title).toBe('Tide stair');
  });
  const two = renderHook(() => useForms([{ id: 'form', edition: 'first' }]), among(client));
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(asked()).toBe(1);
  one.unmount();
  two.unmount();
  // A colleague has changed it meanwhile, as the answer of another page says.
  server.answers['GET /api/forms/{form}'] = form({ edition: 'second', title: 'Tide stair, revised' });
  const other = renderHook(() => useForms([{ id: 'form', edition: 'second' }]), among(client));
  await waitFor(() => {
    expect(other.result.current.ready[0]?.title).toBe('Tide stair, revised');
  });
  expect(asked()).toBe(2);
});

test('an answer that is older than the form does not have it fetched over and over', async () => {
  server.reset({ 'GET /api/forms/{form}': form({ edition: 'second' }) });
  const { result, rerender } = renderHook((named: NamedForm[]) => useForms(named), {
    ...among(new QueryClient()),
    initialProps: [{ id: 'form', edition: 'first' }],
  });
  await waitFor(() => {
    expect(asked()).toBe(2);
  });
  for (let n = 0; n < 3; n++) rerender([{ id: 'form', edition: 'first' }]);
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(asked()).toBe(2);
  expect(result.current.ready[0]?.edition).toBe('second');
});
