import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from '../../../../tests/pages/router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { form } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import '../../messages';
import { PodsPanel } from './PodsPanel';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

const pod = (from: number, to: number, ...names: string[]) => ({
  students: names.map((name) => ({ id: name, name, frontier: to })),
  from,
  to,
});
beforeEach(() => {
  server.reset({
    'GET /api/meetings/{meeting}/pods': {
      courseId: 'course',
      pods: [pod(0, 0, 'Ada'), pod(0, 2, 'Bo'), pod(3, 5, 'Cy', 'Dov')],
      needs: [
        {
          id: 'ada',
          name: 'Ada',
          catchUp: [
            {
              from: 3,
              to: 3,
              need: 'recap',
              minutes: 3,
              lacking: [{ position: 3, kind: 'missed', recall: null, support: null }],
            },
          ],
          minutes: 3,
        },
      ],
    },
  });
});
afterEach(cleanup);

test('pods are worked out when they are opened, each with how far it is secure, and who lacks something with its why', async () => {
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <MemoryRouter>
        <PodsPanel meeting="m" form={form()} />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  expect(server.got('GET', '/api/meetings/{meeting}/pods')).toEqual([]);
  await userEvent.click(screen.getByText('Pods for tonight, and what to catch up'));
  const pods = (await screen.findAllByRole('region')).map((one) => one.textContent);
  expect(pods).toEqual([
    'Pod 1 · not secure in any yetAda',
    'Pod 2 · from not secure yet to 2Bo',
    'Pod 3 · secure to 3–5Cy, Dov',
  ]);
  const lacks = within(screen.getByRole('list'));
  expect(lacks.getByRole('link', { name: 'Ada' }).getAttribute('href')).toBe('/students/ada');
  expect(screen.getByRole('list').textContent).toContain('· 3 min');
  await userEvent.click(lacks.getByRole('button', { name: 'Why: Ada' }));
  expect(await screen.findByText(/the next lesson starts from it; never met it/)).toBeTruthy();
  await userEvent.click(screen.getByRole('radio', { name: '3 pods' }));
  await waitFor(() => {
    expect(server.got('GET', '/api/meetings/{meeting}/pods').length).toBeGreaterThan(1);
  });
});
