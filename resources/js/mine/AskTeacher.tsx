import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../messages';
import type { HomeNotes } from '../api/client';
import { Button, RefusalLine, TextArea } from '../kit/controls';
import { dropDraft, keepDraft, readDraft } from '../kit/draft';
import { Form } from '../kit/Form';
import { useProblem } from '../kit/useProblem';
import { note } from './sending';

const DRAFT = 'mine.question';

/** A question to the teacher, and what was answered. */
export function AskTeacher({ questions }: { questions: HomeNotes['questions'] }) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const [text, setText] = useState(() => readDraft<string>(DRAFT) ?? '');
  const [isAsked, setAsked] = useState(false);
  const [isBusy, setBusy] = useState(false);
  const [refusal, setProblem] = useProblem();
  async function send() {
    setBusy(true);
    try {
      await note('question', crypto.randomUUID(), { text: text.trim(), at: new Date().toISOString() });
      dropDraft(DRAFT);
      setText('');
      setAsked(true);
      setProblem(null);
    } catch (error) {
      setProblem(error);
    }
    setBusy(false);
    void client.invalidateQueries({ queryKey: ['mine'] });
  }
  return (
    <section className="mt-6 border-t border-line pt-3">
      <h2 className="text-xl">{t('mine.ask')}</h2>
      <Form
        className="mt-1 flex flex-col gap-2"
        onSend={() => {
          if (!isBusy && text.trim() !== '') void send();
        }}
      >
        <TextArea
          label={t('mine.askLabel')}
          rows={2}
          maxLength={2000}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setAsked(false);
            keepDraft(DRAFT, event.target.value);
          }}
        />
        <Button type="submit" className="self-start" disabled={isBusy || text.trim() === ''}>
          {t('mine.askSend')}
        </Button>
        <RefusalLine refusal={refusal} className="" />
        {isAsked ? <p role="status">{t('mine.asked')}</p> : null}
      </Form>
      <ul className="m-0 mt-2 list-none p-0">
        {questions.map((one) => (
          <li key={one.id} className="border-b border-line py-2">
            <p className="whitespace-pre-line">{one.text}</p>
            <p className="whitespace-pre-line text-soft">
              {one.answer === null ? t('mine.noAnswer') : `${t('mine.answer')} ${one.answer}`}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
