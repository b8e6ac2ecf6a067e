import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { choose as pick } from '../../../../tests/pages/choose';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { form, nextTerm, term } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import { end, endCourse } from '../../../../tests/pages/termEnd';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { NewTermPlace } from '../terms/NewTermPlace';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

beforeEach(() => {
  queryClient.clear();
  sessionStorage.clear();
  const group = (id: string, name: string) => ({ id, name, termId: null, formId: 'form' });
  server.reset({
    'GET /api/session': {
      person: { id: 'me', name: 'Ina', may: ['plan'] },
      school: { today: '2026-01-20' },
      needsFounding: false,
    },
    'GET /api/groups': [group('group', 'Tuesdays'), group('other', 'Fridays')],
    'GET /api/terms/{term}': term(),
    'GET /api/terms/next': ({ after }: { after: string }) => nextTerm({ after: after || null, afterTitle: 'Winter' }),
    'GET /api/terms/{term}/end': end({
      courses: [endCourse(), endCourse({ courseId: 'd', title: 'Nine Lamps', next: null, more: [], written: 0 })],
    }),
    'GET /api/forms/{form}': form(),
    'POST /api/terms/preview': { meetings: [], warnings: [], lessons: 2 },
    'POST /api/terms/sketch': term(),
    'POST /api/terms': { id: 'new' },
  });
});
afterEach(cleanup);

const open = (at = '/terms/new?after=term') =>
  showAt(at, [
    { path: '/terms/new', element: <NewTermPlace /> },
    { path: '*', element: <p>elsewhere</p> },
  ]);
const carries = () => screen.findByRole('region', { name: 'What carries over' });
const sent = () => server.got('POST', '/api/terms').map((one) => one.body as { after?: string | null; group: string });

test('a term that follows another says what comes along, form by form, and asks for it', async () => {
  open();
  const region = within(await carries());
  expect(await region.findByText('Tide stair: 6 Movement 6 comes next; 5 of 6 movements were taught.')).toBeTruthy();
  expect(region.getByText('Nine Lamps: all of it was taught; the next term keeps and deepens it.')).toBeTruthy();
  expect(region.getByText('2 lessons with words of your own go along.')).toBeTruthy();
  await userEvent.click(screen.getByRole('button', { name: 'Lay the term' }));
  await waitFor(() => {
    expect(sent().map((one) => one.after)).toEqual(['term']);
  });
});

test('one can begin without it, and for another group nothing of the first comes along', async () => {
  open();
  expect(await screen.findByText(/It goes on where Winter leaves off/)).toBeTruthy();
  await userEvent.type(screen.getByLabelText('Name'), '!');
  await userEvent.click(within(await carries()).getByRole('button', { name: 'Begin without it' }));
  expect(screen.queryByRole('region', { name: 'What carries over' })).toBeNull();
  expect(screen.queryByText(/It goes on where/)).toBeNull();
  // What was said stays said, and typed, when the page is loaded anew.
  cleanup();
  open();
  expect((await screen.findByLabelText<HTMLInputElement>('Name')).value).toMatch(/!$/);
  expect(screen.queryByText(/It goes on where/)).toBeNull();
  cleanup();
  sessionStorage.clear();
  open();
  await carries();
  await pick(screen.getByLabelText('Group'), 'Fridays');
  expect(screen.queryByRole('region', { name: 'What carries over' })).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'Lay the term' }));
  await waitFor(() => {
    expect(sent().at(-1)).toMatchObject({ group: 'other', after: null });
  });
});

test('a term that nobody can read any more is not in the way of the next', async () => {
  server.refusals['GET /api/terms/{term}/end'] = { status: 404, code: 'http.gone' };
  open();
  expect(await screen.findByRole('button', { name: 'Lay the term' })).toBeTruthy();
  expect(screen.queryByRole('region', { name: 'What carries over' })).toBeNull();
});
