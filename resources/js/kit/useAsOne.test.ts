import { cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { useAsOne } from './useAsOne';

beforeEach(() => {
  vi.useFakeTimers();
  sessionStorage.clear();
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

const opened = (draft?: string) => renderHook(() => useAsOne(draft)).result.current;
const id = (one: ReturnType<typeof useAsOne>, said: unknown) => one.asOne(said)['Idempotency-Key'];

test('the same press twice is one making, and something else is another', () => {
  const page = opened();
  const first = id(page, { name: 'Bo' });
  expect(id(page, { name: 'Bo' })).toBe(first);
  expect(id(page, { name: 'Bo ' })).not.toBe(first);
  expect(first).toMatch(/^[0-9a-f]{8}-/);
});

test('a page that is reloaded while it was under way sends it as the same', () => {
  const first = id(opened('group'), { name: 'Bo' });
  cleanup();
  expect(id(opened('group'), { name: 'Bo' })).toBe(first);
  expect(id(opened('term'), { name: 'Bo' })).not.toBe(first);
});

test('what was made and is said again later is meant anew, but not within a double click', () => {
  const page = opened('group');
  const first = id(page, 'Bo');
  page.made();
  expect(id(page, 'Bo')).toBe(first);
  page.made();
  vi.advanceTimersByTime(3000);
  expect(id(page, 'Bo')).not.toBe(first);
  page.made();
  cleanup();
  expect(id(opened('group'), 'Bo')).not.toBe(first);
});
