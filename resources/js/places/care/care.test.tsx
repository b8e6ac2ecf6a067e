import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { careNeed, form, studentCare } from '../../../../tests/pages/sample';
import { server, standIn } from '../../../../tests/pages/server';
import type { Attendance, WarmUps } from '../../api/client';
import '../../messages';
import { BoxCare } from './BoxCare';
import { everywhereOf, together } from './care';
import { CareHead } from './CareHead';
import { ColdRoom } from './ColdRoom';
import { WarmUpPart } from './WarmUpPart';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

const show = (what: ReactNode) =>
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>{what}</QueryClientProvider>,
  );
const may = (...abilities: string[]) => ({ person: { id: 'me', may: abilities }, school: null, needsFounding: false });
const noted = (change: Partial<Attendance> = {}): Attendance => ({
  isHere: true,
  isCareful: false,
  isFirstTime: false,
  late: null,
  left: null,
  at: null,
  ...change,
});

beforeEach(() => {
  server.reset({
    'GET /api/session': may('see-considerations'),
    'GET /api/meetings/{meeting}/care': [
      {
        studentId: 'ada',
        name: 'Ada',
        considerations: ['knee'],
        reasons: [
          { box: 'new', position: 2, title: 'Wade', do: 'smaller', for: 'knee', strains: [], variant: null, text: 'Heel turns.' },
          {
            box: 'run_through',
            position: 2,
            title: 'Wade',
            do: 'smaller',
            for: 'knee',
            strains: [],
            variant: null,
            text: 'Heel turns.',
          },
          { box: 'new', position: 3, title: 'Bow', do: null, for: 'knee', strains: ['deep_bend'], variant: null, text: null },
          { box: 'new', position: 4, title: 'Roll', do: 'skip', for: 'knee', strains: [], variant: 'The hang', text: null },
        ],
      },
    ],
  });
});
afterEach(cleanup);

describe('who does what otherwise', () => {
  test('stands under the strictest of what is done, and what strains without a caution comes last', () => {
    const needs = [
      careNeed({ title: 'a', do: ['smaller'] }),
      careNeed({ title: 'b', do: ['skip', 'smaller'] }),
      careNeed({ title: 'c', do: [], asks: true }),
      careNeed({ title: 'd', do: ['support'], asks: true }),
    ];
    expect(together(needs).map((one) => [one.do, one.needs.map((need) => need.title)])).toEqual([
      ['skip', ['b']],
      ['support', ['d']],
      ['smaller', ['a']],
      [null, ['c', 'd']],
    ]);
  });

  test('is told in words by box, with the numbers a teacher says, and nothing of other boxes', () => {
    const ada = studentCare('Ada', {
      needs: [
        careNeed({ box: 'new', position: 2, do: ['support'] }),
        careNeed({ box: 'new', position: 3, do: [], asks: true }),
        careNeed({ box: 'new', position: 4, do: [], variants: [{ title: 'The hang', do: 'skip' }], title: 'Roll' }),
        careNeed({ box: 'review', position: 1, do: ['skip'] }),
      ],
    });
    show(<BoxCare care={[ada, studentCare('Bo')]} box="new" forms={{ course: form() }} />);
    const rows = screen.getAllByRole('listitem').map((one) => one.textContent);
    expect(rows).toEqual([
      'Ada: a chair or wall near for 2. Movement 2; ask first: it strains, and nothing says what to do: 3. Movement 3; in Roll, the way “The hang”: left out',
    ]);
  });

  test('a warm-up is called by its title', () => {
    show(
      <BoxCare
        care={[
          studentCare('Ada', {
            needs: [
              careNeed({ box: 'warm_up', courseId: null, position: null, warmUpId: 'w1', title: 'Knee circles', do: ['skip'] }),
            ],
          }),
        ]}
        box="warm_up"
        forms={{}}
      />,
    );
    expect(screen.getByRole('listitem').textContent).toBe('Ada: leave out Knee circles');
  });
});

describe('for all of tonight', () => {
  test('what this device noted is later than what the server knew', () => {
    const careful = studentCare('Ada', { everywhere: ['support', 'smaller'] });
    expect(everywhereOf(careful)).toBe('careful');
    expect(everywhereOf(careful, noted())).toBeNull();
    expect(everywhereOf(undefined, noted({ isCareful: true }))).toBe('careful');
    expect(everywhereOf(studentCare('Ada', { everywhere: ['smaller'] }), noted())).toBe('first');
    expect(everywhereOf(undefined, noted({ isFirstTime: true }))).toBe('first');
    expect(everywhereOf(undefined, noted())).toBeNull();
  });

  test('says who is careful and who is asked; the reasons are asked for when they are opened', async () => {
    show(
      <CareHead
        meeting="m"
        care={[studentCare('Ada', { studentId: 'ada', asks: true }), studentCare('Bo', { everywhere: ['smaller'] })]}
      />,
    );
    expect(screen.getByText('Ada').parentElement?.textContent).toBe('Ada: ask before anything');
    expect(screen.getByText('Bo').parentElement?.textContent).toBe('Bo: first time: smaller in everything');
    expect(server.got('GET', '/api/meetings/{meeting}/care')).toEqual([]);
    await userEvent.click(await screen.findByRole('button', { name: 'Why: who takes care of what tonight' }));
    expect(await screen.findByText('Ada spares: knee')).toBeTruthy();
    // What stands in two boxes is said once.
    expect(screen.getAllByText('Wade: knee – smaller. Heel turns.')).toHaveLength(1);
    expect(screen.getByText(/^Bow: a deep bend asks of the knee, and no caution says what to do/)).toBeTruthy();
    expect(screen.getByText('Roll, the way “The hang”: knee – left out')).toBeTruthy();
    expect(screen.getByText(/no device keeps it/)).toBeTruthy();
  });

  test('whoever may not know the reasons is not offered them', async () => {
    server.answers['GET /api/session'] = may('read', 'mark');
    show(<CareHead meeting="m" care={[studentCare('Ada', { asks: true })]} />);
    await waitFor(() => {
      expect(server.got('GET', '/api/session')).toHaveLength(1);
    });
    expect(screen.queryByRole('button', { name: /^Why/ })).toBeNull();
  });

  test('where nobody is careful in everything it says that the boxes say more, and nothing where nothing is', () => {
    const { rerender } = show(<CareHead meeting="m" care={[studentCare('Ada', { needs: [careNeed()] })]} />);
    expect(screen.getByText('One person does something otherwise; it stands in its box.')).toBeTruthy();
    rerender(
      <QueryClientProvider client={new QueryClient()}>
        <CareHead meeting="m" care={[studentCare('Ada')]} />
      </QueryClientProvider>,
    );
    expect(screen.queryByText('Who takes care')).toBeNull();
  });
});

describe('the warm-up', () => {
  const warmUps: WarmUps = {
    items: [
      { id: 'w1', title: 'Shake', minutes: 2, note: 'Heels down.' },
      { id: 'w2', title: 'Knees', minutes: 1.5, note: null },
    ],
    loaded: { knee: 3, neck: 1 },
    isCold: false,
  };

  test('says what is done, why, and what time is to spare', async () => {
    show(<WarmUpPart warmUps={warmUps} minutes={6} hasNotes />);
    expect(screen.getAllByRole('listitem').map((one) => one.textContent)).toEqual([
      'Shake 2 min Why?Heels down.',
      'Knees 1.5 min ',
    ]);
    expect(screen.getByText('2.5 min to spare: take your time, or go on for longer.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Why: what to warm up with' }));
    expect(await screen.findByText(/Tonight loads: knees 3, neck 1\./)).toBeTruthy();
  });

  test('the room is marked cold for the group, where it may be', async () => {
    show(
      <>
        <WarmUpPart warmUps={warmUps} minutes={3.5} hasNotes={false} />
        <ColdRoom group="tue" isCold={false} />
      </>,
    );
    expect(screen.queryByText(/to spare/)).toBeNull();
    await userEvent.click(screen.getByRole('checkbox', { name: 'The room is cold' }));
    expect(server.got('PUT', '/api/groups/{group}/room').map((one) => one.body)).toEqual([{ isCold: true }]);
  });
});
