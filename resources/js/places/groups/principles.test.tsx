import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { groupPrinciples } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { GroupKeepings } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { GroupPrinciplesPlace } from './GroupPrinciplesPlace';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

const kept = (change: Partial<GroupKeepings> = {}): GroupKeepings => ({
  on: '2026-01-20',
  principles: groupPrinciples(),
  names: [{ id: 'ada', name: 'Ada' }],
  students: [
    {
      student: 'ada',
      keepings: [{ principle: 'row-p1', keeping: 'Slow', recall: 0.7, sureness: 'fading', holds: false, isAssumed: false }],
    },
  ],
  means: [
    { principle: 'row-p1', mean: 0.52, met: 1, slips: true },
    { principle: 'row-p2', mean: 0.4, met: 1, slips: true },
  ],
  ...change,
});
beforeEach(() => {
  queryClient.clear();
  server.reset({
    'GET /api/groups/{group}': { group: { id: 'tue', name: 'Tuesdays', termId: null }, students: [] },
    'GET /api/groups/{group}/principles': kept(),
    'GET /api/principle-sets': [
      { id: 'set', title: 'Our keepings' },
      { id: 'five', title: 'Five' },
    ],
    'PUT /api/groups/{group}/principles': {},
  });
});
afterEach(cleanup);
const open = () => showAt('/groups/tue/principles', [{ path: '/groups/:group/principles', Component: GroupPrinciplesPlace }]);
const sent = () => server.got('PUT', '/api/groups/{group}/principles').map((one) => one.body);

test('what slips is named, the most slipped first', async () => {
  open();
  const line = await screen.findByText(/Quiet/, { selector: 'p' });
  expect(line.textContent).toMatch(/Quiet \(40 %\), Root \(52 %\)/);
});

test('another set is chosen, and taken back', async () => {
  open();
  await userEvent.click(await screen.findByRole('combobox', { name: /set/i }));
  await userEvent.click(await screen.findByRole('option', { name: 'Five' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
  await waitFor(() => {
    expect(sent()).toEqual([
      { set: 'five', focuses: 1 },
      { set: 'set', focuses: 1 },
    ]);
  });
});

test('a group without a set says so, and where no set is there yet it leads to them', async () => {
  server.answers['GET /api/groups/{group}/principles'] = kept({ principles: null, means: [], students: [] });
  server.answers['GET /api/principle-sets'] = [];
  open();
  expect((await screen.findByRole('link', { name: 'Go to Principles' })).getAttribute('href')).toBe('/principles');
  expect(screen.queryByRole('combobox')).toBeNull();
});
