import { renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { useOnce } from './useOnce';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

/** A mutation that is answered when the test says so. */
function answered() {
  const sent: unknown[] = [];
  let settle = { ok: () => undefined as unknown, refused: () => undefined as unknown };
  const mutate = (variables: unknown, options: { onSuccess: () => void; onSettled: () => void }) => {
    sent.push(variables);
    settle = {
      ok: () => {
        options.onSuccess();
        options.onSettled();
      },
      refused: options.onSettled,
    };
  };
  const { result } = renderHook(() => useOnce<unknown>({ mutate }));
  return { sent, send: (what: unknown) => result.current(what), ok: () => settle.ok(), refused: () => settle.refused() };
}

test('a second press while the first is under way sends nothing', () => {
  const { sent, send } = answered();
  send({ name: 'Bo' });
  send({ name: 'Bo' });
  send({ name: 'Cy' });
  expect(sent).toEqual([{ name: 'Bo' }]);
});

test('the second half of a double click sends nothing, however quickly the first was answered', () => {
  const { sent, send, ok } = answered();
  send({ name: 'Bo' });
  ok();
  vi.advanceTimersByTime(200);
  send({ name: 'Bo' });
  expect(sent).toHaveLength(1);
  vi.advanceTimersByTime(400);
  send({ name: 'Bo' });
  expect(sent).toHaveLength(2);
});

test('something else can be sent at once, and so can what was refused', () => {
  const { sent, send, ok, refused } = answered();
  send('one');
  ok();
  send('other');
  refused();
  send('other');
  expect(sent).toEqual(['one', 'other', 'other']);
});
