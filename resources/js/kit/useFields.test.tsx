import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import '../messages';
import { Problem } from '../api/client';
import { Button, RefusalLine } from './controls';
import { readDraft } from './draft';
import { Form } from './Form';
import { FormText } from './formFields';
import { decimal, whole, written, z } from './schema';
import { type Fields, useFields } from './useFields';

const schema = z.object({ name: written(5), minutes: decimal(0.5, 60), rows: z.array(z.object({ days: whole(1, 14) })) });
type Typed = z.input<typeof schema>;
let fields: Fields<Typed, z.output<typeof schema>>;
const sent = vi.fn();

function Sample({ draft, over, typed }: { draft?: string; over?: Partial<Typed>; typed?: (name: unknown) => void }) {
  fields = useFields(
    schema,
    { name: 'Ada', minutes: '7.5', rows: [{ days: '4' }] },
    { ...(draft ? { draft } : {}), ...(over ? { over } : {}), ...(typed ? { onTyped: typed } : {}) },
  );
  return (
    <Form onSend={fields.send(sent)}>
      <FormText control={fields.control} name="name" label="Name" />
      <FormText control={fields.control} name="minutes" label="Minutes" />
      <FormText control={fields.control} name="rows.0.days" label="Days" />
      <RefusalLine refusal={fields.refusal} />
      <Button type="submit">Send</Button>
    </Form>
  );
}
const send = () => userEvent.click(screen.getByRole('button', { name: 'Send' }));
const alerts = () => screen.queryAllByRole('alert').map((one) => one.textContent);
const field = (name: string) => screen.getByLabelText<HTMLInputElement>(name);
const refused = (place: string, list: Record<string, string[]> = {}) => {
  act(() => {
    fields.refuse(new Problem('No.', 422, place, list));
  });
};

beforeEach(() => {
  sessionStorage.clear();
  sent.mockClear();
});
afterEach(cleanup);

test('what is right is read and sent, with a comma as with a point', async () => {
  render(<Sample />);
  await userEvent.clear(field('Minutes'));
  await userEvent.type(field('Minutes'), ' 2,25 ');
  await send();
  await waitFor(() => {
    expect(sent.mock.calls[0]?.[0]).toEqual({ name: 'Ada', minutes: 2.25, rows: [{ days: 4 }] });
  });
});

test.each([
  ['Name', '   ', 'Write something here.'],
  ['Name', 'Adelheid', 'At most 5 letters.'],
  ['Minutes', 'many', 'Write a number.'],
  ['Minutes', '0.25', 'At least 0.5.'],
  ['Minutes', '61', 'At most 60.'],
  ['Days', '2.5', 'Write a whole number.'],
  ['Days', '15', 'At most 14.'],
])('%s "%s" is said beside its field, gone to and not sent', async (label, text, says) => {
  render(<Sample />);
  await userEvent.clear(field(label));
  await userEvent.type(field(label), text);
  await send();
  await waitFor(() => {
    expect(alerts()).toEqual([says]);
  });
  expect(sent).not.toHaveBeenCalled();
  expect([field(label).value, document.activeElement]).toEqual([text, field(label)]);
  expect(field(label).getAttribute('aria-invalid')).toBe('true');
});

test('what the server finds wrong stands beside its field until that says something else', async () => {
  render(<Sample />);
  await send();
  refused('name');
  expect([alerts(), field('Name').getAttribute('aria-invalid')]).toEqual([['No.'], 'true']);
  await userEvent.type(field('Name'), 'x');
  await waitFor(() => {
    expect(alerts()).toEqual([]);
  });
  refused('', { 'rows.0.days': ['Too many days.'] });
  expect([alerts(), field('Days').getAttribute('aria-invalid')]).toEqual([['Too many days.'], 'true']);
});

test.each([
  ['', {}],
  ['elsewhere', {}],
  // About all rows at once: no single field could say it.
  ['rows', {}],
  ['rows.7.days', {}],
  ['', { 'students.3': ['Too long.'] }],
  ['', { name: ['Taken.'], 'students.3': ['Too long.'] }],
])('what is about none of its fields is said beside what was asked (%s %j)', async (place, list) => {
  render(<Sample />);
  refused(place, list);
  expect(alerts()).toContain('No.');
  await userEvent.type(field('Days'), '1');
  await waitFor(() => {
    expect(alerts()).not.toContain('No.');
  });
});

test('what is typed outlives the page it was typed on, and what is asked for now goes before it', async () => {
  const typed = vi.fn();
  render(<Sample draft="sample" typed={typed} />);
  await userEvent.clear(field('Name'));
  await userEvent.type(field('Name'), 'Bo');
  expect(typed.mock.calls.every(([name]) => name === 'name')).toBe(true);
  expect(readDraft('sample')).toEqual({ name: 'Bo', minutes: '7.5', rows: [{ days: '4' }] });
  cleanup();
  render(<Sample draft="sample" over={{ minutes: '9' }} />);
  expect([field('Name').value, field('Minutes').value]).toEqual(['Bo', '9']);
  cleanup();
  render(<Sample />);
  expect(field('Name').value).toBe('Ada');
});
