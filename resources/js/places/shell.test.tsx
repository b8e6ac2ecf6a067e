import 'fake-indexeddb/auto';
import { QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { type ReactNode, useState } from 'react';
import { memoryLocation } from 'wouter/memory-location';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { server, standIn } from '../../../tests/pages/server';
import { formsQuery } from '../api/queries';
import { queryClient } from '../api/queryClient';
import { Page } from '../kit/page';
import { Link, Route, Router, Switch } from '../kit/router';
import { useShortcut } from '../kit/shortcuts';
import { useTell, Toasts } from '../kit/toasts';
import { Boundary } from './Boundary';
import { PlaceNotLoaded } from './opening';
import { Shell } from './Shell';

vi.mock('../api/client', async (original) => ({ ...(await original<object>()), api: standIn }));

const ina = { id: 'ina', name: 'Ina', email: 'ina@reeds.example', role: 'owner', may: [] };
const school = { id: 's', name: 'Reed School', timezone: 'Europe/London', today: '2026-01-20', isDemo: false, locale: 'en-GB' };
const inside = { needsFounding: false, person: ina, school };
const outside = { needsFounding: false, person: null, school: null };

function Typed() {
  const [typed, setTyped] = useState('');
  const forms = useQuery(formsQuery);
  const tell = useTell();
  return (
    <Page title="Here">
      <input
        aria-label="Words"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
        }}
      />
      <p>{forms.isSuccess ? 'forms are here' : 'no forms'}</p>
      <button
        type="button"
        onClick={() => {
          tell('Told.');
        }}
      >
        Tell
      </button>
      <Link href="/there">To there</Link>
      <Link href="/broken">To what is broken</Link>
    </Page>
  );
}
function There() {
  const [done, setDone] = useState(0);
  useShortcut('zoomIn', () => {
    setDone(done + 1);
  });
  return <Page title="There">{`zoomed ${String(done)}`}</Page>;
}
let isBroken: Error | null = null;
function Fragile() {
  if (isBroken !== null) throw isBroken;
  return <Page title="Whole again">fine</Page>;
}

function open(path = '/here', place?: ReactNode) {
  const location = memoryLocation({ path, record: true });
  render(
    <QueryClientProvider client={queryClient}>
      <Toasts>
        <Router hook={location.hook}>
          <Shell>
            <Switch>
              <Route path="/here">
                <Typed />
              </Route>
              <Route path="/there">
                <There />
              </Route>
              <Route path="/broken">
                <Boundary>
                  <Fragile />
                </Boundary>
              </Route>
              <Route>{place ?? <Page title="Elsewhere">elsewhere</Page>}</Route>
            </Switch>
          </Shell>
        </Router>
      </Toasts>
    </QueryClientProvider>,
  );
  return location;
}

beforeEach(() => {
  isBroken = null;
  queryClient.clear();
  server.reset({ 'GET /api/session': inside, 'GET /api/forms': [] });
  window.scrollTo = () => undefined;
  vi.spyOn(console, 'error').mockImplementation(() => undefined); // React says what was caught
});
afterEach(() => {
  cleanup();
  document.body.style.pointerEvents = ''; // a window that was open when its test ended
  vi.restoreAllMocks();
});

describe('a session that ends while a page is open', () => {
  // What stands over a page takes the pointer a moment after it is drawn, which no person is quick enough for.
  const user = userEvent.setup({ pointerEventsCheck: 0 });
  const end = async () => {
    await screen.findByText('forms are here');
    await user.type(screen.getByLabelText('Words'), 'half a sentence');
    // The library that types tells of a change as the field is left, which must not be in the middle of what is drawn.
    await user.tab();
    server.answers['GET /api/session'] = outside;
    server.refusals['GET /api/forms'] = { status: 401, code: 'http.signed_out' };
    await act(() => queryClient.invalidateQueries({ queryKey: ['forms'] }));
    return screen.findByRole('dialog', { name: 'You are signed out' });
  };

  test('asks to sign in over the page, and goes on where one was', async () => {
    open();
    await end();
    expect(screen.getByLabelText<HTMLInputElement>('Email').value).toBe('ina@reeds.example');
    server.answers['POST /api/session'] = inside;
    server.answers['GET /api/session'] = inside;
    delete server.refusals['GET /api/forms'];
    await user.type(screen.getByLabelText('Password'), 'reeds at dusk');
    await user.tab();
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    await waitFor(() => {
      expect(screen.queryByRole('dialog')).toBeNull();
    });
    await user.type(screen.getByLabelText('Words'), ' more');
    expect(screen.getByLabelText<HTMLInputElement>('Words').value).toBe('half a sentence more');
    expect(server.got('POST', '/api/session').map((one) => one.body)).toEqual([
      { email: 'ina@reeds.example', password: 'reeds at dusk' },
    ]);
  });

  test('a wrong password is refused in the window, and the page stays', async () => {
    open();
    await end();
    server.refusals['POST /api/session'] = { status: 422, code: 'plan.as_kept', with: { text: 'Not that' } };
    await user.type(screen.getByLabelText('Password'), 'wrong');
    await user.tab();
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    expect((await screen.findByRole('alert')).textContent).toBe('Not that.');
    expect(screen.getByLabelText<HTMLInputElement>('Words').value).toBe('half a sentence');
  });

  test('whoever would rather leave comes to the entry', async () => {
    open();
    await end();
    fireEvent.click(screen.getByRole('button', { name: 'Leave this page instead' }));
    expect(await screen.findByRole('heading', { name: 'Sign in' })).toBeTruthy();
    expect(screen.queryByLabelText('Words')).toBeNull();
  });

  test('on the floor nothing is put over the class', async () => {
    open('/meetings/tonight/floor', <main>The class runs</main>);
    await screen.findByText('The class runs');
    server.answers['GET /api/session'] = outside;
    await act(() => queryClient.invalidateQueries({ queryKey: ['session'] }));
    await waitFor(() => {
      expect(server.got('GET', '/api/session').length).toBeGreaterThan(1);
    });
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(screen.getByText('The class runs')).toBeTruthy();
  });
});

describe('a place that fails', () => {
  test('leaves the rail, says what to do and nothing of the program, and can be tried again', async () => {
    isBroken = new TypeError('undefined is not a function at Secret.tsx:12');
    open('/broken');
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('This page could not be shown');
    expect(document.body.textContent).not.toContain('Secret.tsx');
    expect(screen.getAllByRole('link', { name: 'Forms' })).not.toHaveLength(0);
    isBroken = null;
    await userEvent.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText('fine')).toBeTruthy();
  });

  test('and was not on this device, says that', async () => {
    isBroken = new PlaceNotLoaded();
    open('/broken');
    expect((await screen.findByRole('alert')).textContent).toContain('not on this device yet');
  });
});

test('the focus goes to the heading of the page that is gone to, so that it is read out', async () => {
  open();
  await screen.findByText('forms are here');
  expect(document.activeElement).toBe(document.body); // the first page takes nothing
  await userEvent.click(screen.getByRole('link', { name: 'To there' }));
  await waitFor(() => {
    expect(document.activeElement).toBe(screen.getByRole('heading', { name: 'There' }));
  });
});

describe('keys', () => {
  test('? lists them, those of what is open first; in a field it is only a sign', async () => {
    open('/there');
    await screen.findByText('zoomed 0');
    await userEvent.keyboard('?');
    const dialog = await screen.findByRole('dialog', { name: 'Keys' });
    const titles = [...dialog.querySelectorAll('h3')].map((one) => one.textContent);
    expect(titles.indexOf('In the score')).toBeLessThan(titles.indexOf('On the floor'));
    await userEvent.keyboard('{Escape}');
    await waitFor(() => {
      expect(screen.queryByRole('dialog')).toBeNull();
    });
    cleanup();
    open();
    await userEvent.type(await screen.findByLabelText('Words'), 'why?/');
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  test('/ finds a student and goes there, and does what a key would do here', async () => {
    server.answers['GET /api/find'] = {
      students: [{ id: 'ada', name: 'Ada', groups: ['Tuesdays'] }],
      movements: [{ formId: 'f', form: 'Reed set', position: 3, number: 3, title: 'Adder' }],
      forms: [],
      groups: [],
      meetings: [],
    };
    const location = open('/there');
    await screen.findByText('zoomed 0');
    await userEvent.keyboard('/');
    const field = await screen.findByRole('combobox');
    await userEvent.type(field, 'zoom');
    await userEvent.click(await screen.findByRole('option', { name: /zoom the ribbon in/ }));
    expect(await screen.findByText('zoomed 1')).toBeTruthy();
    await userEvent.keyboard('/');
    await userEvent.type(await screen.findByRole('combobox'), 'ad');
    await userEvent.click(await screen.findByRole('option', { name: /Ada/ }));
    await waitFor(() => {
      expect(location.history.at(-1)).toBe('/students/ada');
    });
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  test('/ asks for the classes of a day that is written as one says it', async () => {
    server.answers['GET /api/find'] = {
      students: [],
      movements: [],
      forms: [],
      groups: [],
      meetings: [{ id: 'm', on: '2026-02-03', group: 'Tuesdays' }],
    };
    open('/there');
    await screen.findByText('zoomed 0');
    await userEvent.keyboard('/');
    await userEvent.type(await screen.findByRole('combobox'), '3 Feb');
    expect(await screen.findByRole('option', { name: 'Tuesdays, 3 Feb 2026' })).toBeTruthy();
    expect(server.got('GET', '/api/find').at(-1)?.query).toMatchObject({ find: '3 Feb', on: '2026-02-03' });
  });
});

test('a toast is told although its window is loaded only then', async () => {
  open();
  await userEvent.click(await screen.findByRole('button', { name: 'Tell' }));
  expect(await screen.findByText('Told.')).toBeTruthy();
});

test('whoever signs out in one tab is out of the others', async () => {
  open();
  await screen.findByText('forms are here');
  const other = new BroadcastChannel('gorvan.session');
  server.answers['GET /api/session'] = outside;
  other.postMessage(outside);
  expect(await screen.findByRole('heading', { name: 'Sign in' })).toBeTruthy();
  expect(screen.queryByLabelText('Words')).toBeNull();
  other.close();
});
