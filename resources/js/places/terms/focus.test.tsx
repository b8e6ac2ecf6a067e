import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { course, groupPrinciples, meeting, term } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { Meeting, Term } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { FocusPlace } from './FocusPlace';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

const evening = (id: string, on: string, change: Partial<Meeting> = {}): Meeting =>
  meeting({ id, on, isToday: false, isOpen: true, ...change });
const focus = (principle: string, isNew = false): Meeting['focus'][number] => ({
  principle,
  isNew,
  mean: 0.52,
  bite: 0.8,
  why: { code: 'focus.slipping', with: { percent: 52 } },
});
const laid = (change: Partial<Term> = {}): Term => ({
  ...term(),
  courses: [course()],
  principles: groupPrinciples(),
  meetings: [
    evening('past', '2026-01-13', { isPast: true, isOpen: false, focus: [focus('row-p1', true)] }),
    evening('one', '2026-01-20', { focus: [focus('row-p1')] }),
    evening('two', '2026-01-27', { focus: [focus('row-p2', true)], pins: { principles: ['row-p2'] } }),
    evening('none', '2026-02-03', { focus: [] }),
    evening('off', '2026-02-10', { state: 'cancelled', focus: [focus('row-p1')] }),
  ],
  ...change,
});

beforeEach(() => {
  queryClient.clear();
  server.reset({
    'GET /api/terms/{term}': laid(),
    'POST /api/terms/{term}/changes/preview': { moved: [], cost: 0, meetings: laid().meetings, forecasts: [] },
  });
});
afterEach(cleanup);
const open = () => showAt('/terms/term/focus', [{ path: '/terms/:term/focus', Component: FocusPlace }]);
const rowOf = (id: string) => document.querySelector(`tr[data-meeting="${id}"]`);

test('each class has its focus with a why, what was cancelled is not there, and each principle says how often', async () => {
  open();
  await screen.findByRole('region', { name: 'A term of principles' });
  expect(rowOf('one')?.textContent).toContain('Root');
  expect(rowOf('two')?.textContent).toContain('Quiet · new');
  expect(rowOf('off')).toBeNull();
  // Twice Root and once Quiet, the cancelled one not among them.
  const foot = [...document.querySelectorAll('tfoot td')].map((one) => one.textContent);
  expect(foot.slice(1, 3)).toEqual(['2 times', 'once']);
  await userEvent.click(within(rowOf('one') as HTMLElement).getByRole('button', { name: /^Why/ }));
  expect(await screen.findByText(/down to 52 %/)).toBeTruthy();
  expect(screen.getByText(/three points/)).toBeTruthy();
});

test('only what is still to come is changed; a focus by hand for its week is proposed before it is done', async () => {
  open();
  await screen.findByRole('region', { name: 'A term of principles' });
  expect(within(rowOf('past') as HTMLElement).queryByRole('button', { name: /^Set the focus/ })).toBeNull();
  await userEvent.click(within(rowOf('one') as HTMLElement).getByRole('button', { name: /20 January/ }));
  const dialog = within(await screen.findByRole('dialog'));
  // What is not set by hand cannot be left to the plan again.
  expect(dialog.queryByRole('button', { name: /Leave it/ })).toBeNull();
  await userEvent.click(dialog.getAllByRole('combobox')[0] as HTMLElement);
  await userEvent.click(await screen.findByRole('option', { name: 'Quiet' }));
  await userEvent.click(dialog.getByRole('checkbox'));
  await userEvent.click(dialog.getByRole('button', { name: 'Look what it moves' }));
  await waitFor(() => {
    expect(
      server.got('POST', '/api/terms/{term}/changes/preview').map((one) => (one.body as { changes: unknown }).changes),
    ).toEqual([[{ what: 'principles', meeting: 'one', principles: ['row-p2'], week: true }]]);
  });
  expect(server.got('POST', '/api/terms/{term}/changes')).toEqual([]);
});

test('one set by hand is left to the plan again', async () => {
  open();
  await screen.findByRole('region', { name: 'A term of principles' });
  await userEvent.click(within(rowOf('two') as HTMLElement).getByRole('button', { name: /27 January/ }));
  await userEvent.click(within(await screen.findByRole('dialog')).getByRole('button', { name: /Leave it/ }));
  await waitFor(() => {
    expect(
      server
        .got('POST', '/api/terms/{term}/changes/preview')
        .map((one) => (one.body as { changes: { principles: unknown }[] }).changes[0]?.principles),
    ).toEqual([null]);
  });
});

test('a group without a set is led to choosing one', async () => {
  server.answers['GET /api/terms/{term}'] = laid({ principles: null });
  open();
  expect((await screen.findByRole('link', { name: /Choose/ })).getAttribute('href')).toMatch(/\/groups\/.+\/principles$/);
});
