import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { server, standIn } from '../../../../tests/pages/server';
import { sessionQuery } from '../../api/queries';
import '../../messages';
import { EntryPlace } from './EntryPlace';
import { SignInAgain } from './SignInAgain';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

const was = { id: 'me', name: 'Ina', email: 'ina@reeds.example', may: [] } as never;
let client: QueryClient;
const show = (what: React.ReactNode) => {
  client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(<QueryClientProvider client={client}>{what}</QueryClientProvider>);
};
const alerts = () => screen.queryAllByRole('alert').map((one) => one.textContent);
const sent = (url: string) => server.got('POST', url).map((one) => one.body);

beforeEach(() => {
  server.reset({
    'POST /api/session': { person: was, school: null },
    'POST /api/founding': { person: was, school: null },
  });
});
afterEach(cleanup);

describe('signing in', () => {
  test('asks for what is missing before it asks the server', async () => {
    show(<EntryPlace needsFounding={false} />);
    await userEvent.type(screen.getByLabelText('Email'), 'ina@reeds.example');
    await userEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    expect(await screen.findByText('Write something here.')).toBeTruthy();
    expect(document.activeElement).toBe(screen.getByLabelText('Password'));
    expect(sent('/api/session')).toEqual([]);
  });

  test('goes in once, however often it is pressed', async () => {
    show(<EntryPlace needsFounding={false} />);
    await userEvent.type(screen.getByLabelText('Email'), ' ina@reeds.example');
    await userEvent.type(screen.getByLabelText('Password'), ' two words ');
    await userEvent.dblClick(screen.getByRole('button', { name: 'Sign in' }));
    await waitFor(() => {
      expect(client.getQueryData(sessionQuery.queryKey)).toMatchObject({ person: { id: 'me' } });
    });
    // What stands around a password is part of it.
    expect(sent('/api/session')).toEqual([{ email: 'ina@reeds.example', password: ' two words ' }]);
  });

  test('what is refused is said, and what was typed stays', async () => {
    server.refusals['POST /api/session'] = { status: 422, code: 'sign_in.wrong' };
    show(<EntryPlace needsFounding={false} />);
    await userEvent.type(screen.getByLabelText('Email'), 'ina@reeds.example');
    await userEvent.type(screen.getByLabelText('Password'), 'wrong{Enter}');
    await waitFor(() => {
      expect(alerts()).toHaveLength(1);
    });
    expect(screen.getByLabelText<HTMLInputElement>('Password').value).toBe('wrong');
    await userEvent.type(screen.getByLabelText('Password'), '!');
    expect(alerts()).toEqual([]);
  });
});

test('founding says the school, its zone and who founds it', async () => {
  show(<EntryPlace needsFounding />);
  await userEvent.click(screen.getByRole('button', { name: 'Found the school' }));
  expect(await screen.findAllByText('Write something here.')).toHaveLength(4);
  await userEvent.type(screen.getByLabelText('Name of the school'), ' Reed Bank ');
  await userEvent.type(screen.getByLabelText('Your name'), 'Ina');
  await userEvent.type(screen.getByLabelText('Email'), 'ina@reeds.example');
  await userEvent.type(screen.getByLabelText('Password'), 'lantern-by-the-water');
  await userEvent.click(screen.getByRole('button', { name: 'Found the school' }));
  await waitFor(() => {
    expect(sent('/api/founding')).toEqual([
      {
        school: 'Reed Bank',
        timezone: Intl.DateTimeFormat().resolvedOptions().timeZone,
        locale: navigator.language,
        name: 'Ina',
        email: 'ina@reeds.example',
        password: 'lantern-by-the-water',
      },
    ]);
  });
  expect(sent('/api/session')).toEqual([]);
});

test('whoever was there signs in again over the page with a password alone', async () => {
  const left = vi.fn();
  show(<SignInAgain was={was} onLeave={left} />);
  expect(screen.getByLabelText<HTMLInputElement>('Email').value).toBe('ina@reeds.example');
  await userEvent.type(screen.getByLabelText('Password'), 'lantern{Enter}');
  await waitFor(() => {
    expect(client.getQueryData(sessionQuery.queryKey)).toMatchObject({ person: { id: 'me' } });
  });
  expect(sent('/api/session')).toEqual([{ email: 'ina@reeds.example', password: 'lantern' }]);
  expect(left).not.toHaveBeenCalled();
});
