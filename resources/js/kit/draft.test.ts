import { afterEach, expect, test, vi } from 'vitest';
import { dropDraft, dropDrafts, keepDraft, readDraft } from './draft';

afterEach(() => {
  vi.restoreAllMocks();
  dropDrafts();
  sessionStorage.clear();
});

/** A browser that keeps no more than so many characters of one thing. */
function keepsAtMost(most: number) {
  const set = Storage.prototype.setItem;
  vi.spyOn(Storage.prototype, 'setItem').mockImplementation(function (this: Storage, key, value) {
    if (value.length > most) throw new DOMException('full', 'QuotaExceededError');
    set.call(this, key, value);
  });
}

test('a draft larger than the browser keeps stays with the page, and the one before it does not come back', () => {
  keepsAtMost(50);
  keepDraft('form', { text: 'short' });
  const long = { text: 'x'.repeat(100) };
  keepDraft('form', long);
  expect(readDraft('form')).toEqual(long);
  expect(sessionStorage.getItem('gorvan.draft.form')).toBeNull();
  keepDraft('form', { text: 'short again' });
  expect(readDraft('form')).toEqual({ text: 'short again' });
  expect(sessionStorage.getItem('gorvan.draft.form')).toContain('short again');
});

test('what is dropped is gone, wherever it was kept, and so is everything when somebody else comes', () => {
  keepsAtMost(50);
  keepDraft('a', 'x'.repeat(100));
  keepDraft('b', 'y'.repeat(100));
  keepDraft('c', 'z');
  dropDraft('a');
  expect([readDraft('a'), readDraft('b'), readDraft('c')]).toEqual([null, 'y'.repeat(100), 'z']);
  dropDrafts();
  expect([readDraft('b'), readDraft('c')]).toEqual([null, null]);
});
