import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { tip } from './tip';
import { Tips } from './Tips';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

const wait = (milliseconds: number) => {
  act(() => {
    vi.advanceTimersByTime(milliseconds);
  });
};
const press = vi.fn();
const open = () => {
  press.mockReset();
  render(
    <>
      <button type="button" onClick={press} {...tip('does it in order')}>
        Alone
      </button>
      <Tips />
    </>,
  );
  return screen.getByRole('button', { name: 'Alone' });
};
/** The browser of the unit tests knows no pointers: what an event says of its pointer is put on it. */
const point = (target: Element, kind: string, says: object) => {
  fireEvent(target, Object.assign(new Event(kind, { bubbles: true, cancelable: true }), says));
};
const finger = { pointerType: 'touch', clientX: 5, clientY: 5 };
const shown = () => screen.queryByRole('tooltip')?.textContent ?? null;

test('a pointer that rests is told, one that only passes is not, and it goes with the pointer', () => {
  const button = open();
  point(button, 'pointerover', { pointerType: 'mouse' });
  wait(100);
  expect(shown()).toBeNull();
  wait(400);
  expect(shown()).toBe('does it in order');
  point(document.body, 'pointerover', { pointerType: 'mouse' });
  expect(shown()).toBeNull();
  expect(button.getAttribute('aria-description')).toBe('does it in order');
});

test('a finger that is held reads it and presses nothing; one that only touches presses', () => {
  const button = open();
  point(button, 'pointerdown', finger);
  wait(600);
  expect(shown()).toBe('does it in order');
  point(button, 'pointerup', finger);
  fireEvent.click(button);
  expect(press).not.toHaveBeenCalled();
  wait(5_000);
  expect(shown()).toBeNull();
  point(button, 'pointerdown', finger);
  wait(100);
  point(button, 'pointerup', finger);
  fireEvent.click(button);
  expect(press).toHaveBeenCalledTimes(1);
  expect(shown()).toBeNull();
});

test('a finger that scrolls holds nothing', () => {
  const button = open();
  point(button, 'pointerdown', finger);
  point(button, 'pointermove', { ...finger, clientY: 60 });
  wait(600);
  expect(shown()).toBeNull();
});
