import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { server } from '../../../tests/pages/server';
import { showAt } from '../../../tests/pages/show';
import { Removing } from './Removing';

vi.mock('../api/client', async (original) => ({
  ...(await original<typeof import('../api/client')>()),
  api: (await import('../../../tests/pages/server')).standIn,
}));

const count = (code: string, of: number) => ({ code: `removal.${code}`, with: { count: of } });
const removal = (change: object) => {
  server.answers['GET /api/groups/{group}/removal'] = { goes: [], stays: [], refused: null, ...change };
};
const open = async () => {
  showAt('/groups/slip', [
    { path: '/groups/:group', Component: () => <Removing what="group" id="slip" label="Remove this group" to="/groups" /> },
    { path: '/groups', Component: () => <p>All groups</p> },
  ]);
  await userEvent.click(await screen.findByRole('button', { name: 'Remove this group' }));
  return screen.findByRole('dialog');
};
beforeEach(() => {
  server.reset({ 'DELETE /api/groups/{group}': {} });
});
afterEach(cleanup);

test('what goes with it and what stays is counted before anything is removed', async () => {
  removal({ goes: [count('students', 2)], stays: [count('students_stay', 1)] });
  await open();
  expect(await screen.findByText('2 students, who are in no other group and have nothing on record.')).toBeTruthy();
  expect(screen.getByText('1 student stays in the school, with what is on record.')).toBeTruthy();
  expect(server.got('DELETE', '/api/groups/{group}')).toHaveLength(0);
  await userEvent.click(screen.getByRole('button', { name: 'Remove' }));
  expect(await screen.findByText('All groups')).toBeTruthy();
  expect(server.got('DELETE', '/api/groups/{group}')).toHaveLength(1);
});

test('what others use is not offered to be removed, and says why', async () => {
  removal({ refused: { code: 'group.has_term', with: {} } });
  await open();
  expect(await screen.findByText('A term is laid for this group, so it stays. Take the term back first.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Remove' })).toBeNull();
});

test('what came into use while one was asked is said, and the window stays', async () => {
  removal({});
  server.refusals['DELETE /api/groups/{group}'] = { status: 409, code: 'group.has_record' };
  await open();
  expect(await screen.findByText('Nothing else goes with it.')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Remove' }));
  await waitFor(() => {
    expect(screen.getByRole('alert').textContent).toBe('This group has logged classes, so it stays.');
  });
});
