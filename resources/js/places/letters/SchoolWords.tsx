import { useMutation } from '@tanstack/react-query';
import { type FormEvent, useState } from 'react';
import { useTranslation } from '../../messages';
import { api, ask, type Form, type TermEnd } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine, TextArea } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { dropDraft, keepDraft, readDraft } from '../../kit/draft';
import { list } from '../../kit/format';
import { useTell } from '../../kit/toasts';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { FILLED, letterText, type Sentence, SENTENCES, unknownIn } from './letterText';
import { sentencesOf, useLetterWords } from './useLetterWords';

interface Typed {
  words: Partial<Record<Sentence, string>>;
  numbers: boolean;
}

const DRAFT = 'letterWords';

/** The sentences a school writes its letters in, with a letter beside them as they are typed. */
export function SchoolWords({ end, forms }: { end: TermEnd; forms: Record<string, Form> }) {
  const { t } = useTranslation();
  const tell = useTell();
  const usual = useLetterWords(end, forms);
  const [typed, setTyped] = useState<Typed>(
    () => readDraft<Typed>(DRAFT) ?? { words: end.words.words as Typed['words'], numbers: end.words.hasNumbers },
  );
  const [refusal, setProblem] = useProblem();
  const type = (part: Partial<Typed>) => {
    const next = { ...typed, ...part };
    keepDraft(DRAFT, next);
    setProblem(null);
    setTyped(next);
  };
  const save = useMutation({
    mutationFn: (body: Typed) =>
      ask(
        api.PUT('/api/school/letter-words', {
          body: {
            numbers: body.numbers,
            words: Object.fromEntries(Object.entries(body.words).filter(([, words]) => words.trim() !== '')),
          },
        }),
      ),
    onSuccess: async () => {
      dropDraft(DRAFT);
      await readAgain('letters');
      tell(t('letters.words.kept'));
    },
    onError: setProblem,
  });
  const send = useOnce(save);
  const sentences = sentencesOf(typed.words, t);
  const wrong = SENTENCES.find((one) => unknownIn(one, typed.words[one] ?? '') !== null);
  const sample = end.students[0];
  return (
    <form
      className="grid gap-x-10 gap-y-6 lg:grid-cols-2"
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        if (wrong === undefined) send(typed);
      }}
    >
      <div className="flex flex-col gap-3">
        <p className="text-soft">{t('letters.words.hint')}</p>
        {SENTENCES.map((one) => {
          const unknown = unknownIn(one, typed.words[one] ?? '');
          return (
            <TextArea
              key={one}
              label={t(`letters.words.of.${one}`)}
              hint={t('letters.words.can', { names: list(FILLED[one].map((name) => `{${name}}`)) })}
              error={unknown === null ? undefined : t('letters.words.unknown', { name: unknown })}
              rows={2}
              maxLength={1000}
              placeholder={t(`letters.words.usual.${one}`)}
              value={typed.words[one] ?? ''}
              onChange={(event) => {
                type({ words: { ...typed.words, [one]: event.target.value } });
              }}
            />
          );
        })}
        <Tick
          checked={typed.numbers}
          onTick={(numbers) => {
            type({ numbers });
          }}
        >
          {t('letters.words.numbers')}
        </Tick>
        <RefusalLine refusal={refusal} />
        <div>
          <Button type="submit" look="primary" disabled={save.isPending || wrong !== undefined}>
            {t(save.isPending ? 'letters.keeping' : 'letters.words.keep')}
          </Button>
        </div>
      </div>
      {sample === undefined ? null : (
        <section
          aria-label={t('letters.text', { name: sample.name })}
          className="self-start border-l-4 border-line bg-sheet p-4 lg:sticky lg:top-4"
        >
          <h2 className="text-lg">{t('letters.text', { name: sample.name })}</h2>
          <div className="mt-2 whitespace-pre-wrap" data-testid="sample">
            {letterText(sample, end, { ...usual, sentences, hasNumbers: typed.numbers })}
          </div>
        </section>
      )}
    </form>
  );
}
