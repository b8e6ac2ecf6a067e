import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import type { Mail, Reliability, WarmUp, WarmUpList } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import '../../messages';
import { MailboxPlace } from './MailboxPlace';
import { ReliabilityPlace } from './ReliabilityPlace';
import { WarmUpsPlace } from './WarmUpsPlace';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

const warm = (id: string, change: Partial<WarmUp> = {}): WarmUp => ({
  id,
  title: id.toUpperCase(),
  kind: 'general',
  joints: [],
  minutes: 2,
  note: null,
  cautions: [],
  ...change,
});
const list = (...items: WarmUp[]): WarmUpList => ({ version: 3, isOwn: true, items, most: 60 });
const may = (...abilities: string[]) => ({
  person: { id: 'me', name: 'Me', may: abilities },
  school: { id: 's', name: 'Reed School', today: '2026-01-20' },
  needsFounding: false,
});
const sent = () =>
  server.got('PUT', '/api/school/warm-ups').map((one) => one.body as { version: number; list: { items: WarmUp[] } });

beforeEach(() => {
  queryClient.clear();
  server.reset({
    'GET /api/session': may('edit-forms', 'run-school'),
    'GET /api/school/warm-ups': list(
      warm('a', { cautions: [{ for: 'knee', do: 'skip', text: 'Stand.' }], joints: ['knee'], note: 'Softly.' }),
      warm('x', { kind: 'closing' }),
      warm('b'),
    ),
    'PUT /api/school/warm-ups': list(),
  });
});
afterEach(cleanup);

describe('the warm-ups', () => {
  const open = () => showAt('/school', [{ path: '/school', Component: WarmUpsPlace }]);

  test('stand by kind, with what they reach and who does them otherwise', async () => {
    open();
    const general = within(await screen.findByRole('region', { name: 'General' }));
    expect(general.getAllByRole('listitem')[0]?.textContent).toContain('A · 2 min · reaches kneesSoftly.knee: left out (Stand.)');
    expect(within(screen.getByRole('region', { name: 'Closings' })).getByText('X')).toBeTruthy();
    expect(screen.getByText(/not medical advice/)).toBeTruthy();
  });

  test('one goes past the next of its own kind, and the whole list is sent with the version it was made from', async () => {
    open();
    await userEvent.click(await screen.findByRole('button', { name: 'Down: A' }));
    await waitFor(() => {
      expect(sent()).toHaveLength(1);
    });
    expect(sent()[0]?.version).toBe(3);
    expect(sent()[0]?.list.items.map((one) => one.id)).toEqual(['x', 'b', 'a']);
    // What is empty is left out, as in the file.
    expect(sent()[0]?.list.items[0]).toEqual({ id: 'x', title: 'X', kind: 'closing', minutes: 2 });
  });

  test('one that is taken out comes back with Take back', async () => {
    server.answers['PUT /api/school/warm-ups'] = { ...list(warm('x', { kind: 'closing' }), warm('b')), version: 4 };
    open();
    await userEvent.click(await screen.findByRole('button', { name: 'Take out: A' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(sent()).toHaveLength(2);
    });
    expect([sent()[1]?.version, sent()[1]?.list.items.map((one) => one.id)]).toEqual([4, ['a', 'x', 'b']]);
  });

  test('a new one needs a name and minutes; what was typed stays when somebody else was faster', async () => {
    server.refusals = { 'PUT /api/school/warm-ups': { status: 409, code: 'warm_ups.changed' } };
    open();
    await userEvent.click(await screen.findByRole('button', { name: 'Add a warm-up' }));
    const form = within(screen.getByRole('form', { name: 'New warm-up' }));
    await userEvent.clear(form.getByRole('textbox', { name: 'Minutes' }));
    await userEvent.type(form.getByRole('textbox', { name: 'Minutes' }), '99');
    await userEvent.click(form.getByRole('button', { name: 'Save' }));
    expect(form.getAllByRole('alert').map((one) => one.textContent)).toEqual(['Write something here.', 'At most 60.']);
    expect(sent()).toEqual([]);
    await userEvent.type(form.getByRole('textbox', { name: 'Name' }), ' Elbows ');
    await userEvent.clear(form.getByRole('textbox', { name: 'Minutes' }));
    await userEvent.type(form.getByRole('textbox', { name: 'Minutes' }), '1,5');
    await userEvent.click(form.getByRole('checkbox', { name: 'elbows' }));
    await userEvent.click(form.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/Somebody else has changed the warm-ups meanwhile/)).toBeTruthy();
    expect(sent()[0]?.list.items[3]).toMatchObject({ title: 'Elbows', minutes: 1.5, joints: ['elbow'] });
    expect(form.getByRole<HTMLInputElement>('textbox', { name: 'Name' }).value).toBe(' Elbows ');
  });

  test('whoever may not change forms reads the list only', async () => {
    server.answers['GET /api/session'] = may('read');
    open();
    await screen.findByText('A');
    expect(screen.queryByRole('button', { name: /Take out|Add a warm-up/ })).toBeNull();
  });
});

describe('is the forecast true?', () => {
  const told = (change: Partial<Reliability> = {}): Reliability => ({
    tests: 240,
    tenths: [
      { tenth: 7, tests: 40, predicted: 0.74, observed: 0.7 },
      { tenth: 8, tests: 200, predicted: 0.801, observed: 0.742 },
    ],
    logLoss: 0.51,
    brier: 0.17,
    predicted: 0.79,
    observed: 0.735,
    ...change,
  });
  const none = told({ tests: 0, tenths: [], logLoss: null, brier: null, predicted: null, observed: null });
  const page = (change = {}) => ({
    school: told(),
    groups: [
      { id: 'a', name: 'Tuesdays', of: told() },
      { id: 'b', name: 'Fridays', of: none },
    ],
    adopted: null,
    change: { factor: 0.71, after: told({ logLoss: 0.49, brier: 0.16 }), holdsBefore: 90, holdsAfter: 71 },
    enough: 200,
    isBeingMeasured: false,
    ...change,
  });
  const open = () => showAt('/school/forecast', [{ path: '/school/forecast', Component: ReliabilityPlace }]);

  beforeEach(() => {
    server.answers['GET /api/school/forecast'] = page();
  });

  test('is said in words, as a table, and group by group', async () => {
    open();
    expect(await screen.findByText('When Gorvan said 80 %, 74 % could.')).toBeTruthy();
    expect(
      screen.getByText(/Over 240 looks it said 79 % on the whole, and 74 % could\. It promises too much by 5 points\./),
    ).toBeTruthy();
    expect(screen.getAllByRole('row').map((one) => one.textContent)).toEqual([
      'It saidlookssaidcould',
      '70 to 80 %4074 %70 %',
      '80 to 90 %20080 %74 %',
    ]);
    expect(screen.getByText('Tuesdays: it said 79 %, 74 % could · 240 looks · Brier score 0.17 · log loss 0.51')).toBeTruthy();
    expect(screen.getByText('Fridays: nothing to measure yet')).toBeTruthy();
  });

  test('a verdict within two points is right, and few looks are a hint', async () => {
    server.answers['GET /api/school/forecast'] = page({
      school: told({ tests: 12, predicted: 0.7, observed: 0.71 }),
      change: null,
    });
    open();
    expect(await screen.findByText(/right to within 2 points\. That is few: take it as a hint\./)).toBeTruthy();
    expect(screen.getByText('From 200 looks on Gorvan can offer one. So far: 12.')).toBeTruthy();
  });

  test('the factor is offered with what it would change, adopted once, and taken back', async () => {
    open();
    expect(await screen.findByText('Movements that hold today, over everyone: 90 now, 71 with it.')).toBeTruthy();
    expect(screen.getByText(/things last 0\.71 times as long as Gorvan thought/)).toBeTruthy();
    await userEvent.dblClick(screen.getByRole('button', { name: 'Reckon with 0.71 times as long' }));
    await userEvent.click(await screen.findByRole('button', { name: 'Take back' }));
    await waitFor(() => {
      expect(server.got('PUT', '/api/school/forecast/factor').map((one) => one.body)).toEqual([
        { factor: 0.71 },
        { factor: null },
      ]);
    });
  });

  test('only an owner is offered to adopt it, and one that is adopted says so', async () => {
    server.answers['GET /api/session'] = may('read', 'plan');
    server.answers['GET /api/school/forecast'] = page({ adopted: 1.2 });
    open();
    expect(await screen.findByText('Things are taken to last 1.2 times as long as Gorvan first thought.')).toBeTruthy();
    expect(await screen.findByText('An owner of the school can adopt it.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Read/ })).toBeNull();
  });

  test('what is being worked out anew says so, over what was known before or over nothing', async () => {
    server.answers['GET /api/school/forecast'] = page({ isBeingMeasured: true });
    open();
    expect(await screen.findByText(/^Being worked out anew/)).toBeTruthy();
    expect(screen.getByText('When Gorvan said 80 %, 74 % could.')).toBeTruthy();
    cleanup();
    queryClient.clear();
    server.answers['GET /api/school/forecast'] = page({ isBeingMeasured: true, school: null, groups: [], change: null });
    open();
    expect(await screen.findByText(/^Being worked out anew/)).toBeTruthy();
  });

  test('before anything was marked it says what to do', async () => {
    server.answers['GET /api/school/forecast'] = page({ school: none });
    open();
    expect(await screen.findByText('Nothing to measure yet')).toBeTruthy();
  });
});

describe('the mailbox', () => {
  const open = () => showAt('/school/mailbox', [{ path: '/school/mailbox', Component: MailboxPlace }]);
  const mail = (id: string, change: Partial<Mail> = {}): Mail => ({
    id,
    address: `${id}@example.test`,
    studentId: id,
    student: id.toUpperCase(),
    subject: 'Your practice at home',
    body: 'Dear Ada,\n\nhttp://x/mine/home#s.t\n\nSee <b>you</b>.',
    sentAt: '2026-01-20T20:30:00+01:00',
    ...change,
  });

  test('lists what was sent, and opens a mail with its link to follow and nothing of it run', async () => {
    server.answers['GET /api/mails'] = {
      isStandIn: true,
      mails: [mail('ada'), mail('bo', { student: null, studentId: null })],
      isMore: true,
    };
    open();
    expect((await screen.findByTestId('mails')).textContent).toContain('20 Jan, 20:30');
    expect(screen.getByText(/nothing leaves this installation/)).toBeTruthy();
    expect(screen.getByText('Older mail is not shown.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Read: Your practice at home, ADA' }));
    const text = await screen.findByTestId('mail');
    expect(text.textContent).toContain('See <b>you</b>.');
    expect(within(text).getByRole('link').getAttribute('href')).toBe('http://x/mine/home#s.t');
  });

  test('says what comes here while nothing has, and that mail leaves where a server is set', async () => {
    server.answers['GET /api/mails'] = { isStandIn: true, mails: [mail('ada', { subject: null, body: null })], isMore: false };
    open();
    expect(await screen.findByText('This cannot be read here any more.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Read/ }).disabled).toBe(true);
    cleanup();
    server.answers['GET /api/mails'] = { isStandIn: false, mails: [], isMore: false };
    open();
    expect(await screen.findByText('No mail yet')).toBeTruthy();
    expect(screen.getByText(/Mail leaves this installation/)).toBeTruthy();
  });
});
