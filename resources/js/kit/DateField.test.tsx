import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, expect, test } from 'vitest';
import '../messages';
import { DateField, TimeField } from './DateField';

afterEach(cleanup);

let given: string[] = [];
function Asked({ start = '2026-12-10', min }: { start?: string; min?: string }) {
  const [value, setValue] = useState(start);
  return (
    <DateField
      label="To"
      value={value}
      onValue={(next) => {
        given.push(next);
        setValue(next);
      }}
      {...(min === undefined ? {} : { min })}
    />
  );
}

test('a day is shown as the school writes it, typed as a person writes it, and kept as typed until one leaves', async () => {
  given = [];
  render(<Asked />);
  const field = screen.getByLabelText<HTMLInputElement>('To');
  expect(field.value).toBe('10 Dec 2026');
  await userEvent.clear(field);
  await userEvent.type(field, '31.1.2027');
  expect(field.value).toBe('31.1.2027');
  expect(given.at(-1)).toBe('2027-01-31');
  await userEvent.tab();
  expect(field.value).toBe('31 Jan 2027');
});

test('what is no day says how to write one, keeps what was typed, and gives nothing away', async () => {
  given = [];
  render(<Asked />);
  const field = screen.getByLabelText<HTMLInputElement>('To');
  await userEvent.clear(field);
  await userEvent.type(field, '31 Feb 2027');
  await userEvent.tab();
  expect(screen.getByRole('alert').textContent).toBe('Write a day like 10 Dec 2026.');
  expect(field.value).toBe('31 Feb 2027');
  expect(given).toEqual(['']); // emptied, and nothing since
});

test('a day is chosen from its month, by keyboard too; days out of range cannot be', async () => {
  given = [];
  render(<Asked min="2026-12-09" />);
  await userEvent.click(screen.getByRole('button', { name: 'Choose from the month' }));
  expect(await screen.findByText('December 2026')).toBeTruthy();
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Tuesday, 8 December 2026' }).disabled).toBe(true);
  screen.getByRole('button', { name: 'Thursday, 10 December 2026' }).focus();
  await userEvent.keyboard('{ArrowDown}');
  await screen.findByRole('button', { name: 'Thursday, 17 December 2026' });
  await new Promise((done) => requestAnimationFrame(done));
  await userEvent.keyboard('{Enter}');
  expect(given).toEqual(['2026-12-17']);
});

test('a time is read on the clock of 24 hours', async () => {
  const times: string[] = [];
  function Clock() {
    const [value, setValue] = useState('19:00');
    return (
      <TimeField
        label="At"
        value={value}
        onValue={(next) => {
          times.push(next);
          setValue(next);
        }}
      />
    );
  }
  render(<Clock />);
  const field = screen.getByLabelText('At');
  await userEvent.clear(field);
  await userEvent.type(field, '7:30 pm');
  expect(times.at(-1)).toBe('19:30');
  await userEvent.clear(field);
  await userEvent.type(field, 'later');
  expect(screen.getByRole('alert').textContent).toBe('Write a time like 19:00.');
});
