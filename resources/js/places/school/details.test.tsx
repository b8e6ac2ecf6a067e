import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { choose } from '../../../../tests/pages/choose';
import { server } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import { queryClient } from '../../api/queryClient';
import { DetailsPlace } from './DetailsPlace';

vi.mock('../../api/client', async (original) => ({
  ...(await original<typeof import('../../api/client')>()),
  api: (await import('../../../../tests/pages/server')).standIn,
}));

const school = { id: 's', name: 'Reed School', timezone: 'Europe/London', today: '2026-01-20', isDemo: false, locale: 'en-GB' };
const open = (may: string[]) => {
  server.reset({
    'GET /api/session': { person: { id: 'me', name: 'Me', may }, school, needsFounding: false },
    'PUT /api/school': {},
  });
  showAt('/school/details', [{ path: '/school/details', Component: DetailsPlace }], queryClient);
};
const sent = () => server.got('PUT', '/api/school').map((one) => one.body);
beforeEach(() => {
  queryClient.clear();
});
afterEach(cleanup);

test('the owner says how the school writes, and takes it back', async () => {
  open(['run-school']);
  await choose(await screen.findByLabelText('How days and times are written'), /United States/);
  await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
  await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
  await waitFor(() => {
    expect(sent()).toEqual([
      { name: 'Reed School', locale: 'en-US' },
      { name: 'Reed School', locale: 'en-GB' },
    ]);
  });
});

test('a school without a name is not sent, and says what is missing at its field', async () => {
  open(['run-school']);
  await userEvent.clear(await screen.findByLabelText('Name of the school'));
  expect(await screen.findByText('Write something here.')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
  expect(sent()).toEqual([]);
});

test('whoever does not run the school reads it', async () => {
  open(['read']);
  expect(await screen.findByText('Reed School', { selector: 'dd' })).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Keep it' })).toBeNull();
});
