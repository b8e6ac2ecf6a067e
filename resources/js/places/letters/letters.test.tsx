import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { form } from '../../../../tests/pages/sample';
import { endCourse as course, end, endResult as result, endStudent as student, span } from '../../../../tests/pages/termEnd';
import { server, standIn } from '../../../../tests/pages/server';
import { showAt } from '../../../../tests/pages/show';
import { queryClient } from '../../api/queryClient';
import { t } from '../../messages';
import { type LetterWords, letterText, type Sentence, SENTENCES, unknownIn } from './letterText';
import { LettersPlace } from './LettersPlace';

vi.mock('../../api/client', async (original) => ({ ...(await original<typeof import('../../api/client')>()), api: standIn }));

const letter = (text: string, change = {}) => ({ id: 'l', studentId: 'ada', text, version: 1, sentAt: null, ...change });

const words = (change: Partial<LetterWords> = {}): LetterWords => ({
  sentences: Object.fromEntries(SENTENCES.map((one) => [one, t(`letters.words.usual.${one}`)])) as Record<Sentence, string>,
  hasNumbers: false,
  teacher: 'Ina',
  passages: (_, passages) => passages.map(({ from, to }) => `${String(from)}-${String(to)}`).join(' + '),
  title: (_, at) => `title ${String(at)}`,
  list: (titles) => titles.join(' & '),
  ...change,
});

describe('the text of a letter', () => {
  test('says what holds, what nearly holds, what is open and missed, what to keep and what comes next, and then the principles', () => {
    const text = letterText(student('Ada', { keeps: ['Root', 'Breath'], carry: 'Waist loose' }), end(), words());
    expect(text.split('\n\n')).toEqual([
      'Dear Ada,',
      'In Tide stair this holds: 1-2. Nearly there: 3-3. To go on with: 4-4. You have still to be shown 5-5; we will catch up. To keep what you have, practise title 2 first. Next we learn 6-6.',
      'You keep this in whatever you do: Root & Breath. Carry this with you: Waist loose.',
      'Thank you for practising with us.',
      'Ina, Reed School',
    ]);
  });

  test('leaves out what there is nothing to say of, and a form of which nothing was taught', () => {
    const bare = result({ holding: 0, holds: [], nearly: [], open: [span(1)], missed: [], keep: [] });
    const text = letterText(
      student('Bo', { forms: [bare, result({ courseId: 'd', taught: 0, holds: [], missed: [] })] }),
      end({ courses: [course({ next: null }), course({ courseId: 'd', title: 'Not begun' })] }),
      words(),
    );
    expect(text).toContain('In Tide stair nothing holds from memory yet; that comes with practice. To go on with: 1-1.');
    for (const left of ['Nearly', 'not met', 'To keep', 'Next', 'Not begun', 'Carry']) expect(text).not.toContain(left);
  });

  test('gives numbers only where they are wanted, and how often somebody came once, however many forms there are', () => {
    const two = student('Ada', { forms: [result(), result({ courseId: 'd', holding: 1, taught: 3 })] });
    const of = end({ courses: [course(), course({ courseId: 'd', title: 'Nine Lamps' })] });
    expect(letterText(two, of, words())).not.toMatch(/\d of \d/);
    const text = letterText(two, of, words({ hasNumbers: true }));
    expect(text).toContain('2 of 5 movements hold');
    expect(text).toContain('1 of 3 movements hold');
    expect(text.match(/You came to 3 of 4 classes\./g)).toHaveLength(1);
  });

  test('a name that looks like something to fill in, or like a pattern, stays a name', () => {
    const text = letterText(student('{form} $& O’Hara'), end(), words());
    expect(text.startsWith('Dear {form} $& O’Hara,')).toBe(true);
  });

  test('a sentence that asks for what it cannot have is told', () => {
    expect(unknownIn('greeting', 'Dear {name}, {passages}')).toBe('{passages}');
    expect(unknownIn('holds', '{form}: {passages}, {count} of {of}')).toBeNull();
    for (const one of SENTENCES) expect(unknownIn(one, t(`letters.words.usual.${one}`))).toBeNull();
  });
});

describe('the place', () => {
  beforeEach(() => {
    queryClient.clear();
    sessionStorage.clear();
    server.reset({
      'GET /api/session': { person: { id: 'me', name: 'Ina', may: ['plan'] }, school: null, needsFounding: false },
      'GET /api/terms/{term}/end': end(),
      'GET /api/forms/{form}': form(),
    });
  });
  afterEach(cleanup);
  const show = (at = '/terms/t/letters') =>
    showAt(at, [{ path: '/terms/:term/letters', element: <LettersPlace /> }], queryClient);
  const sent = () => server.got('PUT', '/api/terms/{term}/letters').map((one) => one.body as Record<string, unknown>);
  const field = (name = 'Ada') => screen.findByLabelText<HTMLTextAreaElement>(`Letter to ${name}`);

  test('a letter is proposed from the record in words of passages, changed, and kept once however often it is pressed', async () => {
    show();
    const text = await field();
    expect(text.value).toContain('In Tide stair this holds: 1–2 (Movement 1 to Movement 2). Nearly there: 3 Movement 3.');
    fireEvent.change(text, { target: { value: 'Dear Ada, well done' } });
    const keep = screen.getByRole('button', { name: 'Keep it' });
    fireEvent.click(keep);
    fireEvent.click(keep);
    await waitFor(() => {
      expect(sent()).toHaveLength(1);
    });
    expect(sent()[0]).toMatchObject({ student: 'ada', text: 'Dear Ada, well done', version: 0 });
    expect(sent()[0]?.id).toMatch(/^[0-9a-f-]{36}$/);
  });

  test('what is typed stays when one looks elsewhere, reloads, or another letter is opened', async () => {
    show();
    fireEvent.change(await field(), { target: { value: 'Half a sen' } });
    await userEvent.click(screen.getByRole('button', { name: /^Bo/ }));
    expect((await field('Bo')).value).toContain('Dear Bo');
    expect(screen.getByRole('button', { name: /^Ada/ }).textContent).toContain('typed, not kept');
    cleanup();
    show();
    expect((await field()).value).toBe('Half a sen');
  });

  test('what is typed is said beside the name at once, and is not kept with those that are not written', async () => {
    show();
    fireEvent.change(await field(), { target: { value: 'Half a sen' } });
    expect(screen.getByRole('button', { name: /^Ada/ }).textContent).toContain('typed, not kept');
    await userEvent.click(screen.getByRole('button', { name: 'Keep the one that is not written' }));
    await waitFor(() => {
      expect(sent().map((one) => one.student)).toEqual(['bo']);
    });
    expect((await field()).value).toBe('Half a sen');
    await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => {
      expect(screen.getByRole('button', { name: /^Ada/ }).textContent).not.toContain('typed');
    });
  });

  test('what a server did not take keeps what was typed and says why', async () => {
    server.refusals['PUT /api/terms/{term}/letters'] = { status: 422, code: 'letter.student' };
    show();
    fireEvent.change(await field(), { target: { value: 'Dear Ada' } });
    await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(await screen.findByText(/is not in the group and was in none of its classes/)).toBeTruthy();
    expect((await field()).value).toBe('Dear Ada');
  });

  test('what somebody else kept meanwhile stands beside what is typed, and either can be taken', async () => {
    server.answers['GET /api/terms/{term}/end'] = end({ students: [student('Ada', { letter: letter('First') })] });
    show();
    fireEvent.change(await field(), { target: { value: 'Mine' } });
    server.answers['GET /api/terms/{term}/end'] = end({
      students: [student('Ada', { letter: letter('Theirs', { version: 2 }) })],
    });
    server.refusals['PUT /api/terms/{term}/letters'] = { status: 409, code: 'letter.changed' };
    await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    expect(await screen.findByText('Somebody else has written this letter meanwhile. It says now:')).toBeTruthy();
    expect(screen.getAllByText('Theirs').length).toBeGreaterThan(0);
    expect((await field()).value).toBe('Mine');
    await userEvent.click(screen.getByRole('button', { name: 'Keep mine instead' }));
    server.refusals = {};
    await userEvent.click(screen.getByRole('button', { name: 'Keep it' }));
    await waitFor(() => {
      expect(sent().at(-1)).toMatchObject({ id: 'l', text: 'Mine', version: 2 });
    });
  });

  test('theirs is taken where one likes it better', async () => {
    sessionStorage.setItem('gorvan.draft.letter.t.ada', JSON.stringify({ text: 'Mine', version: 1 }));
    server.answers['GET /api/terms/{term}/end'] = end({
      students: [student('Ada', { letter: letter('Theirs', { version: 2 }) })],
    });
    show();
    await userEvent.click(await screen.findByRole('button', { name: 'Take theirs' }));
    expect((await field()).value).toBe('Theirs');
  });

  test('all that are not written are kept at once, each with an id of its own', async () => {
    show();
    const all = await screen.findByRole('button', { name: 'Keep all 2 that are not written' });
    fireEvent.click(all);
    fireEvent.click(all);
    await waitFor(() => {
      expect(sent().map((one) => one.student)).toEqual(['ada', 'bo']);
    });
    expect(new Set(sent().map((one) => one.id)).size).toBe(2);
    expect(sent()[1]?.text).toContain('Dear Bo');
  });

  test('only kept letters of those with an address go by mail, and what did not go is said', async () => {
    server.answers['GET /api/terms/{term}/end'] = end({
      students: [
        student('Ada', { letter: letter('A') }),
        student('Bo', { hasAddress: false, letter: letter('B', { id: 'm' }) }),
        student('Cy'),
      ],
    });
    server.answers['POST /api/terms/{term}/letters/sending'] = [letter('A')];
    show();
    await userEvent.click(await screen.findByRole('button', { name: 'Mail the one that is kept' }));
    expect(server.got('POST', '/api/terms/{term}/letters/sending')[0]?.body).toEqual({ letters: ['l'] });
    expect(await screen.findByText('1 letter did not go; it is still here.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: /^Bo/ }));
    expect(screen.getByRole('link', { name: 'say one on their page' }).getAttribute('href')).toBe('/students/bo');
  });

  test('the group has a page that names nobody, and what carries over stands beside it', async () => {
    show('/terms/t/letters?part=group');
    const text = await screen.findByRole<HTMLTextAreaElement>('textbox', { name: 'The page of the group' });
    expect(text.value).toBe(
      'Tuesdays, Winter\n\nWe met 4 times.\n\nIn Tide stair this holds for at least half of us: 1 Movement 1. It still wants time: 2–5 (Movement 2 to Movement 5). Next comes 6 Movement 6.\n\nAt least half of us keep this in whatever we do: Root. We carry this on: Waist loose.',
    );
    const carries = within(screen.getByRole('region', { name: 'What carries over' }));
    expect(carries.getByText('Tide stair: 6 Movement 6 comes next; 5 of 6 movements were taught.')).toBeTruthy();
    expect(carries.getByText('2 lessons with words of your own go along.')).toBeTruthy();
    expect(carries.getByRole('link', { name: 'Lay the next term' }).getAttribute('href')).toBe('/terms/new?after=t');
  });

  test('the school’s own words show in a letter as they are typed, and a wrong one is told and not kept', async () => {
    show('/terms/t/letters?part=words');
    const greeting = await screen.findByLabelText('Greeting');
    fireEvent.change(greeting, { target: { value: 'Hello {name}!' } });
    expect(screen.getByTestId('sample').textContent.startsWith('Hello Ada!')).toBe(true);
    fireEvent.change(greeting, { target: { value: 'Hello {nom}!' } });
    expect(await screen.findByText('{nom} is not something this sentence can use.')).toBeTruthy();
    await userEvent.click(screen.getByRole('button', { name: 'Keep these words' }));
    expect(server.got('PUT', '/api/school/letter-words')).toEqual([]);
    fireEvent.change(greeting, { target: { value: 'Hello {name}!' } });
    await userEvent.click(screen.getByRole('checkbox', { name: 'Letters give numbers too' }));
    await userEvent.click(screen.getByRole('button', { name: 'Keep these words' }));
    expect(server.got('PUT', '/api/school/letter-words')[0]?.body).toMatchObject({
      numbers: true,
      words: { greeting: 'Hello {name}!' },
      was: { numbers: false },
    });
  });

  test('what is printed is what is kept', async () => {
    server.answers['GET /api/terms/{term}/end'] = end({
      students: [student('Ada', { letter: letter('Kept words') }), student('Bo')],
    });
    const { container } = show();
    await field();
    expect([...container.querySelectorAll('.letter')].map((one) => one.textContent)).toEqual(['Kept words']);
  });
});
