import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { choose as pick } from '../../../../tests/pages/choose';
import { afterEach, describe, expect, test, vi } from 'vitest';
import { finding, score } from '../../../../tests/pages/sample';
import '../../messages';
import { Depth } from './Depth';
import type { Row } from './edits';
import { Findings } from './Findings';
import { FormHead } from './FormHead';

afterEach(cleanup);

describe('findings', () => {
  const { audit } = score(1);

  test('a mend is one action, and one goes to where a finding is', async () => {
    const [edit, go] = [vi.fn(), vi.fn()];
    const edits = [{ op: 'set', id: 'e2', fields: { one_sided: true } }];
    render(
      <Findings
        audit={{ ...audit, findings: [finding({ mend: { says: { code: 'one-sided', with: {} }, edits } })] }}
        onGo={go}
        onEdit={edit}
      />,
    );
    await userEvent.click(screen.getByRole('button', { name: 'one-sided' }));
    expect(edit).toHaveBeenCalledExactlyOnceWith(edits, 'Mended: one-sided.');
    await userEvent.click(screen.getByRole('button', { name: 'Go to row 2' }));
    expect(go).toHaveBeenCalledExactlyOnceWith(2);
    expect(screen.getByRole('img', { name: 'unusual' })).toBeTruthy();
  });

  test('one is accepted with a reason, which is needed, and can be left open', async () => {
    const edit = vi.fn();
    render(<Findings audit={{ ...audit, findings: [finding()] }} onGo={vi.fn()} onEdit={edit} />);
    await userEvent.click(screen.getByRole('button', { name: 'Accept…' }));
    const reason = screen.getByLabelText<HTMLInputElement>('Why it stays as it is');
    expect(reason.value).toBe('one-sided by tradition');
    await userEvent.clear(reason);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Accept it' }).disabled).toBe(true);
    await userEvent.type(reason, 'our way');
    await userEvent.click(screen.getByRole('button', { name: 'Accept it' }));
    expect(edit.mock.calls[0]?.[0]).toEqual([{ op: 'accept', code: 'sides', grounds: 'abc', reason: 'our way' }]);
    await userEvent.click(screen.getByRole('button', { name: 'Leave it open' }));
    expect(screen.getByRole('button', { name: 'Accept…' })).toBeTruthy();
  });

  test('what is accepted is shown with its reason and can be opened again', async () => {
    const edit = vi.fn();
    render(<Findings audit={{ ...audit, accepted: [finding({ reason: 'our way' })] }} onGo={vi.fn()} onEdit={edit} />);
    expect(screen.getByText('No problems found.')).toBeTruthy();
    await userEvent.click(screen.getByText('1 accepted'));
    expect(screen.getByText('“our way”')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Open it again' }));
    expect(edit.mock.calls[0]?.[0]).toEqual([{ op: 'accept', code: 'sides', grounds: 'abc', reason: null }]);
  });
});

describe('the depth of an entry', () => {
  const rows = score(1).rows;
  const show = (entry: Record<string, unknown>, cells: Record<string, string> = {}, refused = new Map()) => {
    const edit = vi.fn();
    const row = { ...(rows[2] as Row), entry: { id: 'e3', ...entry }, cells: { ...(rows[2] as Row).cells, ...cells } };
    render(<Depth row={row} position={3} refused={refused} rows={rows} onEdit={edit} onTyping={vi.fn()} />);
    return edit;
  };

  test('opens at what the entry says, and keeps the rest shut', () => {
    show({ phases: [{ title: 'Gather', breath: 'in', weight: [5, 10] }] });
    expect(screen.getByLabelText<HTMLInputElement>('Phases 1, Left %').value).toBe('5-10');
    expect(screen.queryByLabelText('Stance at its end')).toBeNull();
  });

  test('a field is saved when it is left, a choice as it is made', async () => {
    const edit = show({ cues: ['x'] }, { cues: 'x' });
    await userEvent.type(screen.getByLabelText(/^Cues/), '{Enter}to the {{L}');
    await userEvent.tab();
    expect(edit).toHaveBeenLastCalledWith([{ op: 'set', id: 'e3', cells: { cues: 'x\nto the {L}' } }]);
    await userEvent.click(screen.getByText('Steps and weight'));
    await pick(screen.getByLabelText('First step'), 'left');
    expect(edit).toHaveBeenLastCalledWith([{ op: 'set', id: 'e3', cells: { first_step: 'left' } }]);
  });

  test('a phase that was added and says nothing is no phase, and one that says something is saved as one leaves', async () => {
    const edit = show({ phases: [{ breath: 'in' }] });
    const add = screen.getAllByRole('button', { name: 'Add' })[1];
    await userEvent.click(add as HTMLElement);
    await userEvent.click(screen.getByLabelText('Phases 2, Cue'));
    await userEvent.tab();
    expect(edit).not.toHaveBeenCalled();
    await pick(screen.getByLabelText('Phases 2, Breath'), 'out');
    cleanup();
    expect(edit).toHaveBeenLastCalledWith([{ op: 'set', id: 'e3', fields: { phases: [{ breath: 'in' }, { breath: 'out' }] } }]);
  });

  test('only earlier entries can be returned to or mirrored', async () => {
    const edit = show({});
    await userEvent.click(screen.getByText('Relations'));
    const mirrors = screen.getByLabelText('Mirrors');
    await userEvent.click(mirrors);
    expect(screen.getAllByRole('option').map((option) => option.textContent)).toEqual([
      'not said',
      expect.stringMatching(/^1 ·/),
      expect.stringMatching(/^2 ·/),
    ]);
    await userEvent.click(screen.getByRole('option', { name: /^2 ·/ }));
    expect(edit).toHaveBeenLastCalledWith([{ op: 'set', id: 'e3', cells: { mirrors: 'e2' } }]);
  });

  test('what it asks of the body is ticked, beside the words of care', async () => {
    const edit = show({ strains: ['fold'] });
    await userEvent.click(screen.getByLabelText('deep bend'));
    expect(edit).toHaveBeenLastCalledWith([{ op: 'set', id: 'e3', fields: { strains: ['fold', 'deep_bend'] } }]);
    await userEvent.click(screen.getByLabelText('fold'));
    expect(edit).toHaveBeenLastCalledWith([{ op: 'set', id: 'e3', fields: { strains: null } }]);
    expect(screen.getByText(/not medical advice/)).toBeTruthy();
  });

  test('a refused field keeps what was typed, with the reason', async () => {
    show({}, {}, new Map([['e3.turn', { typed: 'half', message: 'Turn: no number.' }]]));
    await userEvent.click(screen.getByText('Steps and weight'));
    expect(screen.getByDisplayValue('half').getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByText('Turn: no number.')).toBeTruthy();
  });
});

test('what is said of the form as a whole is saved as what it is: a number, a text, or nothing', async () => {
  const edit = vi.fn();
  render(<FormHead score={score(1)} onEdit={edit} onTyping={vi.fn()} />);
  const announced = screen.getByLabelText('Movements announced');
  await userEvent.clear(announced);
  await userEvent.tab();
  expect(edit).toHaveBeenLastCalledWith([{ op: 'form', fields: { announced: null } }]);
  await userEvent.type(screen.getByLabelText('Seconds a breath'), '5,5');
  await userEvent.tab();
  expect(edit).toHaveBeenLastCalledWith([{ op: 'form', fields: { breath_seconds: 5.5 } }]);
  await userEvent.type(screen.getByLabelText('Time of a showing over a class'), 'fast');
  await userEvent.tab();
  expect(edit).toHaveBeenLastCalledWith([{ op: 'form', fields: { showing_pace: 'fast' } }]);
});
