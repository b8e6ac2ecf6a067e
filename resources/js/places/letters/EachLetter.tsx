import { useMutation } from '@tanstack/react-query';
import type { Say } from '../../messages';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { type Form, Problem, type TermEnd, type TermEndStudent } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Button } from '../../kit/controls';
import { day } from '../../kit/format';
import { readDraft } from '../../kit/draft';
import { Select } from '../../kit/Select';
import { LineButton } from '../../kit/touch';
import { useTell } from '../../kit/toasts';
import { useAddressed } from '../../kit/useAddressed';
import { useOnce } from '../../kit/useOnce';
import { type LetterWords, letterText } from './letterText';
import { LetterEditor } from './LetterEditor';
import { useLetterWords } from './useLetterWords';
import { draftOf, mailLetters, putLetter } from './useLetter';

/** A letter to each student: written from the record, changed by hand, kept, mailed and printed. */
export function EachLetter({ end, forms }: { end: TermEnd; forms: Record<string, Form> }) {
  const { t } = useTranslation();
  const words = useLetterWords(end, forms);
  const [address, setAddress] = useAddressed();
  const chosen = end.students.find((one) => one.id === address.get('to')) ?? end.students[0];
  // Whose letter is typed and not kept, in this tab.
  const [typed, setTyped] = useState(
    () => new Set(end.students.map((one) => one.id).filter((id) => readDraft(draftOf(end.term.id, id)) !== null)),
  );
  if (chosen === undefined) return null;
  const kept = end.students.filter((one) => one.letter !== null);
  return (
    <>
      <AllOfThem end={end} words={words} typed={typed} />
      <div className="no-print grid gap-x-8 gap-y-4 lg:grid-cols-[17rem_1fr]">
        <div className="lg:hidden">
          <Select
            label={t('letters.who')}
            value={chosen.id}
            onValue={(to) => {
              setAddress({ to });
            }}
            of={end.students.map((one) => ({ value: one.id, text: `${one.name} (${stateOf(t, one, typed)})` }))}
          />
        </div>
        <ul
          className="m-0 hidden max-h-[65vh] list-none content-start overflow-y-auto border-t border-line p-0 lg:grid"
          aria-label={t('letters.who')}
        >
          {end.students.map((one) => (
            <li key={one.id} className="border-b border-line">
              <LineButton
                isOpen={one.id === chosen.id}
                onClick={() => {
                  setAddress({ to: one.id });
                }}
              >
                <span>{one.name}</span>
                <span className="text-sm text-soft group-aria-[current=true]:text-ink">{stateOf(t, one, typed)}</span>
              </LineButton>
            </li>
          ))}
        </ul>
        <LetterEditor
          key={chosen.id}
          end={end}
          student={chosen}
          proposed={letterText(chosen, end, words)}
          onTyped={(isTyped) => {
            setTyped((was) => new Set(isTyped ? [...was, chosen.id] : [...was].filter((id) => id !== chosen.id)));
          }}
        />
      </div>
      <div className="letters hidden print:block">
        {kept.length === 0 ? <p>{t('letters.nothingToPrint')}</p> : null}
        {kept.map((one) => (
          <article key={one.id} className="letter whitespace-pre-wrap">
            {one.letter?.text}
          </article>
        ))}
      </div>
    </>
  );
}

/** How far a letter is. */
function stateOf(t: Say, { id, letter }: TermEndStudent, typed: Set<string>): string {
  if (typed.has(id)) return t('letters.state.typed');
  if (letter === null) return t('letters.state.none');
  return letter.sentAt === null ? t('letters.state.kept') : t('letters.state.sent', { date: day(letter.sentAt.slice(0, 10)) });
}

/** What is done with all of them at once. */
function AllOfThem({ end, words, typed }: { end: TermEnd; words: LetterWords; typed: Set<string> }) {
  const { t } = useTranslation();
  const tell = useTell();
  const [nth, setNth] = useState(0);
  const open = end.students.filter((one) => one.letter === null && !typed.has(one.id));
  const ready = end.students.flatMap((one) =>
    one.letter !== null && one.letter.sentAt === null && one.hasAddress && !typed.has(one.id) ? [one.letter.id] : [],
  );
  const problem = (error: unknown) => {
    tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
    void readAgain('letters');
  };
  const writeAll = useMutation({
    mutationFn: async (students: TermEndStudent[]) => {
      for (const [at, one] of students.entries()) {
        setNth(at + 1);
        await putLetter(end.term.id, crypto.randomUUID(), one.id, { text: letterText(one, end, words), version: 0 });
      }
    },
    onSuccess: async (_, students) => {
      await readAgain('letters');
      tell(t('letters.wrote', { count: students.length }));
    },
    onError: problem,
  });
  const sendAll = useMutation({
    mutationFn: (letters: string[]) => mailLetters(end.term.id, letters),
    onSuccess: async (answer) => {
      await readAgain('letters');
      const lost = answer.filter((one) => one.sentAt === null).length;
      tell(t('letters.sentMany', { count: answer.length - lost }));
      if (lost > 0) tell(t('letters.notSent', { count: lost }), { isProblem: true });
    },
    onError: problem,
  });
  const write = useOnce(writeAll);
  const send = useOnce(sendAll);
  return (
    <div className="no-print mb-4 flex flex-wrap items-center gap-3">
      {open.length === 0 ? null : (
        <Button
          disabled={writeAll.isPending}
          onClick={() => {
            write(open);
          }}
        >
          {writeAll.isPending
            ? t('letters.writing', { nth, count: writeAll.variables.length })
            : t('letters.writeAll', { count: open.length })}
        </Button>
      )}
      {ready.length === 0 ? null : (
        <Button
          disabled={sendAll.isPending}
          onClick={() => {
            send(ready);
          }}
        >
          {sendAll.isPending ? t('letters.sending') : t('letters.sendAll', { count: ready.length })}
        </Button>
      )}
      <span className="text-sm text-soft">{t('letters.toPrint')}</span>
    </div>
  );
}
