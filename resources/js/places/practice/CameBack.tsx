import { useMutation } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { Link } from '../../kit/router';
import { api, ask, type HomeNotes } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Button, RefusalLine } from '../../kit/controls';
import { dropDraft } from '../../kit/draft';
import { Form } from '../../kit/Form';
import { FormArea } from '../../kit/formFields';
import { day } from '../../kit/format';
import { written, z } from '../../kit/schema';
import { useFields } from '../../kit/useFields';
import { useMay } from '../../kit/useMay';
import { useTell } from '../../kit/toasts';
import { useOnce } from '../../kit/useOnce';

type Question = HomeNotes['questions'][number];

/** Who practised and who asked, by time and never by how much. */
export function CameBack({ notes, hasNames = true }: { notes: HomeNotes; hasNames?: boolean }) {
  const { t } = useTranslation();
  if (notes.practices.length + notes.questions.length === 0) return <p className="text-soft">{t('practice.back.none')}</p>;
  return (
    <>
      {notes.questions.map((one) => (
        <Asked key={one.id} question={one} />
      ))}
      <ul className="m-0 list-none p-0">
        {notes.practices.map((one) => (
          <li key={one.id} className="border-b border-line py-1.5">
            {hasNames ? (
              <Link className="underline underline-offset-4" to={`/students/${one.studentId}`}>
                {one.name}
              </Link>
            ) : null}
            {hasNames ? ', ' : ''}
            {day(one.on, 'weekday')}
            <span className="text-soft">
              {[
                one.minutes === null ? null : t('practice.back.minutes', { count: one.minutes }),
                one.fromMemory === null ? null : t(one.fromMemory ? 'practice.back.memory' : 'practice.back.sheet'),
              ]
                .filter((part) => part !== null)
                .map((part) => ` · ${part}`)
                .join('')}
            </span>
          </li>
        ))}
      </ul>
      {notes.practices.length > 0 ? <p className="mt-1 text-sm text-soft">{t('practice.back.weigh')}</p> : null}
    </>
  );
}

const answered = z.object({ text: written(2000) });

/** A question, and the way to answer it. */
function Asked({ question }: { question: Question }) {
  const { t } = useTranslation();
  const tell = useTell();
  const may = useMay();
  const name = `answer.${question.id}`;
  const { control, send, refusal, refuse } = useFields(answered, { text: '' }, { draft: name });
  const answer = useMutation({
    mutationFn: (said: string | null) =>
      ask(
        api.PUT('/api/student-questions/{studentQuestion}/answer', {
          params: { path: { studentQuestion: question.id } },
          body: { answer: said },
        }),
      ),
    onSuccess: async (_, said) => {
      dropDraft(name);
      await readAgain('home');
      if (said !== null)
        tell(t('practice.back.answered', { name: question.name }), {
          takeBack: () => {
            answer.mutate(null);
          },
        });
    },
    onError: refuse,
  });
  const once = useOnce(answer);
  return (
    <div className="mb-3 border-l-4 border-straw bg-straw-soft px-4 py-2">
      <p>
        <span className="font-medium">{t('practice.back.asks', { name: question.name })}</span>{' '}
        <span className="whitespace-pre-line">{question.text}</span>
      </p>
      {question.answer !== null ? (
        <p className="whitespace-pre-line">{question.answer}</p>
      ) : may('mark') ? (
        <Form
          className="no-print mt-2 flex flex-wrap items-end gap-2"
          onSend={send(({ text }) => {
            once(text);
          })}
        >
          <div className="min-w-64 grow">
            <FormArea
              control={control}
              name="text"
              label={t('practice.back.answerTo', { name: question.name })}
              rows={1}
              maxLength={2000}
            />
          </div>
          <Button type="submit" disabled={answer.isPending}>
            {t(answer.isPending ? 'practice.back.sending' : 'practice.back.send')}
          </Button>
          <RefusalLine refusal={refusal} className="w-full" />
        </Form>
      ) : null}
    </div>
  );
}
