import { cleanup, render, renderHook, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from '../../../../tests/pages/router';
import { afterEach, describe, expect, test } from 'vitest';
import { coursePart, entry, form, meeting, noWarmUps, review } from '../../../../tests/pages/sample';
import type { Meeting } from '../../api/client';
import '../../messages';
import { PlanList, usePassageWords } from './PlanList';

afterEach(cleanup);

const named = () =>
  form({
    entries: [
      entry(1, { kind: 'opening', number: null, title: 'Preparation' }),
      entry(2, { number: 1, title: 'Part the reeds', side: 'left' }),
      entry(3, { number: 2, title: 'Part the reeds', side: 'right' }),
      entry(4, { number: 3, title: 'Weigh the net' }),
      entry(5, { number: 4, title: 'Weigh the net' }),
      entry(6, { kind: 'closing', number: null, title: 'Closing' }),
    ],
  });

describe('what a passage is called, read aloud', () => {
  test.each([
    [1, 1, 'Preparation'],
    [2, 2, '1 Part the reeds'],
    [2, 4, '1–3 from Part the reeds to Weigh the net'],
    [2, 3, '1–2 Part the reeds, left to right'],
    [4, 5, '3–4 Weigh the net'],
    [1, 3, 'Preparation–2 from Preparation to Part the reeds'],
    [1, 6, 'Preparation–Closing'],
  ])('%i to %i is "%s"', (from, to, says) => {
    const words = renderHook(() => usePassageWords(named())).result.current;
    expect(words.whole({ from, to })).toBe(says);
  });
});

const part = (lessons: Meeting['courses'][number]['lessons']): Meeting['courses'] => [
  coursePart({ lessons, review: [review()] }),
];
const rounds = [
  { kind: 'new' as const, rate: 5, minutes: 12 },
  { kind: 'detail' as const, rate: 4, minutes: 10 },
];
const cut = () => form({ lessons: form().lessons.map((lesson) => ({ ...lesson, rounds })) });
const whyOf = async (box: string, shown: Meeting) => {
  render(
    <MemoryRouter>
      <PlanList warmUps={noWarmUps} meeting={shown} form={cut()} />
    </MemoryRouter>,
  );
  await userEvent.click(screen.getByRole('button', { name: new RegExp(`^Why: .*${box}`, 'i') }));
  return (await screen.findByRole('dialog')).textContent;
};

describe('why a box has its minutes', () => {
  test('a share of the meeting, as core has it', async () => {
    expect(await whyOf('Warm-up', meeting())).toContain('18 % of 60 minutes');
  });

  test('what the teacher fixed comes before any share', async () => {
    const fixed = meeting({ pins: { boxes: { warm_up: 11 } } });
    expect(await whyOf('Warm-up', fixed)).not.toContain('%');
  });

  test('the load of its lesson at the minutes of its round: new, or again in detail', async () => {
    const fresh = meeting({ courses: part([{ number: 2, kind: 'new', from: 3, to: 4, part: null, parts: null }]) });
    expect(await whyOf('New', fresh)).toBe(
      'Lesson 2 is 2.4 of new work, where a simple new movement counts 1; at 5 minutes each that is 12 minutes.',
    );
    cleanup();
    const detail = meeting({ courses: part([{ number: 2, kind: 'detail', from: 3, to: 4, part: null, parts: null }]) });
    expect(await whyOf('New', detail)).toBe(
      'Lesson 2 is 2.4 of new work, where a simple new movement counts 1; at 4 minutes each that is 10 minutes.',
    );
  });

  test('where nothing is new it says so', async () => {
    expect(await whyOf('New', meeting({ courses: part([]) }))).not.toContain('of new work');
    const row = screen.getByRole('heading', { name: 'New' }).closest('li') as HTMLElement;
    expect(within(row).getByText(/Nothing new/i)).toBeTruthy();
  });
});
