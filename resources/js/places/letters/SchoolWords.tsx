import { useMutation } from '@tanstack/react-query';
import { useWatch } from 'react-hook-form';
import { t, useTranslation } from '../../messages';
import { api, ask, type Form as FormData, type TermEnd } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { dropDraft } from '../../kit/draft';
import { Form } from '../../kit/Form';
import { FormArea, FormTick } from '../../kit/formFields';
import { list } from '../../kit/format';
import { z } from '../../kit/schema';
import { useTell } from '../../kit/toasts';
import { useFields } from '../../kit/useFields';
import { useOnce } from '../../kit/useOnce';
import { useSeen } from '../../kit/useSeen';
import { FILLED, letterText, type Sentence, SENTENCES, unknownIn } from './letterText';
import { sentencesOf, useLetterWords } from './useLetterWords';

const sentence = (of: Sentence) =>
  z
    .string()
    .max(1000)
    .superRefine((text, context) => {
      const name = unknownIn(of, text);
      if (name !== null) context.addIssue({ code: 'custom', message: t('letters.words.unknown', { name }) });
    });
const letterWords = z.object({
  words: z.object(Object.fromEntries(SENTENCES.map((one) => [one, sentence(one)])) as Record<Sentence, z.ZodString>),
  numbers: z.boolean(),
});
type Typed = z.output<typeof letterWords>;

const DRAFT = 'letterWords';

/** The sentences a school writes its letters in, with a letter beside them as they are typed. */
export function SchoolWords({ end, forms }: { end: TermEnd; forms: Record<string, FormData> }) {
  const { t } = useTranslation();
  const tell = useTell();
  const usual = useLetterWords(end, forms);
  const words = end.words.words as Partial<Record<Sentence, string>>;
  const { control, send, refusal, refuse } = useFields(
    letterWords,
    {
      words: Object.fromEntries(SENTENCES.map((one) => [one, words[one] ?? ''])) as Typed['words'],
      numbers: end.words.hasNumbers,
    },
    { draft: DRAFT, isCheckedAtOnce: true },
  );
  const typed = useWatch({ control }) as Typed;
  const seen = useSeen({ words: end.words.words, numbers: end.words.hasNumbers });
  const save = useMutation({
    mutationFn: (body: Typed) =>
      ask(
        api.PUT('/api/school/letter-words', {
          body: {
            numbers: body.numbers,
            words: Object.fromEntries(Object.entries(body.words).filter(([, words]) => words.trim() !== '')),
            ...seen.was,
          },
        }),
      ),
    onSuccess: async () => {
      dropDraft(DRAFT);
      await readAgain('letters');
      tell(t('letters.words.kept'));
    },
    onError: (error) => {
      seen.isTold(error);
      refuse(error);
    },
  });
  const once = useOnce(save);
  const sentences = sentencesOf(typed.words, t);
  const sample = end.students[0];
  return (
    <Form className="grid gap-x-10 gap-y-6 lg:grid-cols-2" onSend={send(once)}>
      <div className="flex flex-col gap-3">
        <p className="text-soft">{t('letters.words.hint')}</p>
        {SENTENCES.map((one) => (
          <FormArea
            key={one}
            control={control}
            name={`words.${one}`}
            label={t(`letters.words.of.${one}`)}
            hint={t('letters.words.can', { names: list(FILLED[one].map((name) => `{${name}}`)) })}
            rows={2}
            maxLength={1000}
            placeholder={t(`letters.words.usual.${one}`)}
          />
        ))}
        <FormTick control={control} name="numbers">
          {t('letters.words.numbers')}
        </FormTick>
        <RefusalLine refusal={refusal} />
        <div>
          <Button type="submit" look="primary" disabled={save.isPending}>
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
    </Form>
  );
}
