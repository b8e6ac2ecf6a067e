import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter, RouterProvider } from '../../../../tests/pages/router';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { entry, finding, form, score } from '../../../../tests/pages/sample';
import { entryCall, entryName } from '../../kit/entryName';
import { Toasts } from '../../kit/toasts';
import '../../messages';
import { FormPlace } from './FormPlace';
import { NewFormPlace } from './NewFormPlace';

let asked: { url: string; body: unknown }[] = [];
let answers: Record<string, unknown> = {};
const { ask } = vi.hoisted(() => ({
  ask: { current: (url: string, body: unknown): Promise<unknown> => Promise.reject(new Error(url + String(body))) },
}));
vi.mock('../../api/client', async (original) => {
  // Which principles a form shows is not what these tests are about.
  const request = (url: string, options?: { body?: unknown }) =>
    url.endsWith('/principles') ? Promise.resolve({ data: [], response: new Response() }) : ask.current(url, options?.body);
  return {
    ...(await original<typeof import('../../api/client')>()),
    api: { GET: request, POST: request, PUT: request, DELETE: request },
  };
});

const preview = (
  findings = [finding({ says: { code: '6 entries do not say their turn.', with: {} }, position: null, severity: 'gap' })],
) => ({
  form: form(),
  inferred: [{ position: 2, to: 1, isMirror: true, key: 'e2' }],
  warnings: [{ code: 'line 7: not understood, kept as a title: "???"', with: {} }],
  lines: 9,
  audit: { ...score(1).audit, findings },
});

beforeEach(() => {
  asked = [];
  sessionStorage.clear();
  window.scrollTo = () => undefined;
  answers = {
    starters: [{ title: 'Short set', movements: 24, about: 'All of it is from memory.', text: '{"format":"gorvan.form/1"}' }],
  };
  ask.current = (url, body) => {
    asked.push({ url, body });
    const answer = answers[url.split('/').pop() ?? ''];
    const isRefused = typeof answer === 'object' && answer !== null && 'code' in answer;
    return Promise.resolve(
      isRefused
        ? { error: answer, response: new Response(null, { status: 422 }) }
        : { data: answer, response: new Response(null, { status: 200 }) },
    );
  };
});
afterEach(cleanup);

function open(address: string) {
  const router = createMemoryRouter(
    [
      { path: '/forms/new', Component: NewFormPlace },
      { path: '/forms/:form', Component: FormPlace },
      { path: '*', element: <p>elsewhere</p> },
    ],
    { initialEntries: [address] },
  );
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Toasts>
        <RouterProvider router={router} />
      </Toasts>
    </QueryClientProvider>,
  );
  return router;
}

describe('a new form', () => {
  test('begins from a starter, which says where its values come from', async () => {
    answers.preview = preview();
    open('/forms/new');
    expect(await screen.findByText('All of it is from memory.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Begin from this: Short set' }));
    expect(await screen.findByText(/This is what will be made/)).toBeTruthy();
    expect(asked.find((one) => one.url.endsWith('preview'))?.body).toEqual({ text: '{"format":"gorvan.form/1"}', title: '' });
  });

  test('is shown with its findings, what was not understood and what was supposed, before it is saved', async () => {
    answers.preview = preview();
    const router = open('/forms/new');
    await userEvent.type(screen.getByLabelText('The list, a line a movement'), 'x');
    await userEvent.click(screen.getByRole('button', { name: 'Read it' }));
    expect(await screen.findByText('6 entries do not say their turn.')).toBeTruthy();
    expect(screen.getByText(/9 lines read · 6 entries/)).toBeTruthy();
    expect(screen.getByText(/Line 7: not understood/)).toBeTruthy();
    await userEvent.click(screen.getByLabelText('Movement 2 (2) mirrors 1'));
    answers.forms = { ...form(), id: 'made' };
    await userEvent.click(screen.getByRole('button', { name: 'Save the form' }));
    await waitFor(() => {
      expect(router.state.location.pathname).toBe('/forms/made');
    });
    expect(asked.find((one) => one.url === '/api/forms' && one.body !== undefined)?.body).toEqual({
      text: 'x',
      title: '',
      declined: ['e2'],
    });
  });

  test('says that no problems were found where none were', async () => {
    answers.preview = { ...preview([]), warnings: [], inferred: [] };
    open('/forms/new');
    await userEvent.type(screen.getByLabelText('The list, a line a movement'), 'x');
    await userEvent.click(screen.getByRole('button', { name: 'Read it' }));
    expect(await screen.findByText('Every line was understood. No problems found.')).toBeTruthy();
  });

  test('lists every problem of a file with its line and keeps what was typed; one alone stands at the field', async () => {
    answers.preview = {
      code: 'Line 2: x (and 2 more problems).',
      place: '2',
      problems: [
        { code: 'Line 2: x.', with: {} },
        { code: 'Line 4: y.', with: {} },
        { code: 'Line 9: z.', with: {} },
      ],
    };
    open('/forms/new');
    const list = screen.getByLabelText<HTMLTextAreaElement>('The list, a line a movement');
    await userEvent.type(list, 'title;turn');
    await userEvent.click(screen.getByRole('button', { name: 'Read it' }));
    expect(await screen.findByText('Line 9: z.')).toBeTruthy();
    expect(list.value).toBe('title;turn');
    answers.preview = { code: 'Line 2: x.', place: '2', problems: [] };
    await userEvent.click(screen.getByRole('button', { name: 'Read it' }));
    await waitFor(() => {
      expect(screen.queryByText('Line 9: z.')).toBeNull();
    });
    expect(screen.getByRole('alert').textContent).toBe('Line 2: x.');
  });
});

describe('a form', () => {
  test('tells what the audit found, marks it on the ribbon, and leads to where it is mended', async () => {
    answers['{form}'] = form();
    answers.score = score(
      1,
      {},
      {
        audit: {
          ...score(1).audit,
          findings: [finding({ position: 3, severity: 'error' }), finding({ position: null, severity: 'gap' })],
        },
      },
    );
    open('/forms/form');
    const told = await screen.findByTestId('findings');
    expect(told.textContent).toContain('2 findings');
    expect(screen.getByRole('link', { name: 'Look and mend' }).getAttribute('href')).toBe('/forms/form/score?findings');
    expect(screen.getAllByRole('option')[2]?.querySelectorAll('path')).toHaveLength(1);
    expect(screen.getAllByRole('option')[1]?.querySelectorAll('path')).toHaveLength(0);
  });

  test('has a page for each thing one does with it', async () => {
    answers['{form}'] = form();
    answers.score = score(1);
    open('/forms/form');
    const pages = await screen.findByRole('navigation', { name: 'Pages of this form' });
    expect([...pages.querySelectorAll('a')].map((link) => link.getAttribute('href'))).toEqual(
      ['', '/cut', '/score', '/floor', '/time', '/cards', '/versions', '/files'].map((path) => `/forms/form${path}`),
    );
    expect(await screen.findByText('No problems found.')).toBeTruthy();
  });

  test('is looked at from nearer and from further', async () => {
    answers['{form}'] = form();
    answers.score = score(1);
    open('/forms/form');
    const zoom = async (name: string) => {
      await userEvent.click(await screen.findByRole('button', { name }));
    };
    const width = () => Number(screen.getByRole('listbox').closest('svg')?.getAttribute('width'));
    await screen.findByRole('listbox');
    const whole = width();
    await zoom('Closer');
    await zoom('Closer');
    expect(width()).toBeGreaterThan(whole * 3);
    await zoom('Further');
    expect(width()).toBeLessThan(whole * 2.1);
    await zoom('Closer');
    await zoom('Whole form');
    expect(width()).toBe(whole);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Further' }).disabled).toBe(true);
  });
});

test('an entry is called by its number, or by its title where it has none', () => {
  expect(entryName(entry(3))).toBe('3. Movement 3');
  expect(entryName(entry(3, { number: null }))).toBe('Movement 3');
  expect(entryCall(entry(3))).toBe('3');
  expect(entryCall(entry(3, { number: null }))).toBe('Movement 3');
  expect(entryName(undefined) + entryCall(undefined)).toBe('');
});
