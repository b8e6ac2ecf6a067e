import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, expect, test } from 'vitest';
import '../messages';
import { Select } from './Select';

afterEach(cleanup);

let given: string[] = [];
function Asked({ start = '' }: { start?: string }) {
  const [value, setValue] = useState(start);
  return (
    <Select
      label="Lessons in a row"
      error={value === '6' ? 'At most 5.' : undefined}
      value={value}
      onValue={(next) => {
        given.push(next);
        setValue(next);
      }}
      of={[
        { value: '', text: 'as the approach has it' },
        { value: '2', text: 'two' },
        { value: '3', text: 'three' },
        { value: '6', text: 'six' },
      ]}
    />
  );
}

test('shows what is chosen, also where that is nothing in particular, and gives what is chosen instead', async () => {
  given = [];
  render(<Asked />);
  const box = screen.getByRole('combobox', { name: 'Lessons in a row' });
  expect(box.textContent).toBe('as the approach has it');
  await userEvent.click(box);
  await userEvent.click(screen.getByRole('option', { name: 'three' }));
  expect(box.textContent).toBe('three');
  await userEvent.click(box);
  await userEvent.click(screen.getByRole('option', { name: 'as the approach has it' }));
  expect(given).toEqual(['3', '']);
});

test('by keyboard: it opens, is walked, goes to what one types, and Escape changes nothing', async () => {
  given = [];
  render(<Asked start="2" />);
  screen.getByRole('combobox').focus();
  await userEvent.keyboard('{Enter}');
  expect(screen.getByRole('option', { name: 'two' }).getAttribute('aria-selected')).toBe('true');
  await userEvent.keyboard('{ArrowDown}{Enter}');
  expect(given).toEqual(['3']);
  await userEvent.keyboard('{Enter}{ArrowDown}{Escape}');
  expect(screen.queryByRole('listbox')).toBeNull();
  expect(given).toEqual(['3']);
  await userEvent.keyboard('s');
  expect(given).toEqual(['3', '6']);
});

test('what is wrong with a choice is told with it', () => {
  render(<Asked start="6" />);
  const box = screen.getByRole('combobox', { name: 'Lessons in a row' });
  expect(box.getAttribute('aria-invalid')).toBe('true');
  expect(document.getElementById(box.getAttribute('aria-describedby') ?? '')?.textContent).toBe('At most 5.');
});
