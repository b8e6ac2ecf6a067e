import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { api, ask, type Form, type LessonPage } from '../../api/client';
import { lessonQuery } from '../../api/queries';
import { Button, RefusalLine } from '../../kit/controls';
import { Notice } from '../../kit/Notice';
import { useMay } from '../../kit/useMay';
import { useOnce } from '../../kit/useOnce';
import { useProblem } from '../../kit/useProblem';
import { say } from '../../messages/say';
import { usePassageWords } from '../meeting/PlanList';

interface Props {
  form: Form;
  page: LessonPage;
  course: string | null;
  which: string;
}

const words = (value: string | { code: string; with: Record<string, unknown> }) =>
  typeof value === 'string' ? value : say(value);

/** What of a written lesson is no longer as it was when it was written: other entries, or entries that the form has changed. */
export function ChangedSince({ form, page, course, which }: Props) {
  const { t } = useTranslation();
  const passage = usePassageWords(form);
  const may = useMay();
  const client = useQueryClient();
  const [refusal, setProblem] = useProblem();
  const look = useMutation({
    mutationFn: () =>
      ask(
        api.PUT('/api/forms/{form}/lessons', {
          params: { path: { form: form.id } },
          body: { course, version: page.version, lesson: page.lesson },
        }),
      ),
    onSuccess: (kept) => {
      client.setQueryData(lessonQuery(form.id, which, course).queryKey, kept);
    },
    onError: setProblem,
  });
  const send = useOnce(look);
  const [wasFrom, wasTo] = [page.was[0], page.was.at(-1)];
  const [from, to] = [page.entries[0]?.position, page.entries.at(-1)?.position];
  const isMoved = wasFrom !== undefined && wasTo !== undefined && from !== undefined && to !== undefined;
  if (!isMoved && page.gone.length === 0 && page.changes.length === 0) return null;
  return (
    <Notice tone="attention" label={t('lessons.page.changed')} className="no-print mb-4">
      {isMoved ? (
        <p>{t('lessons.page.was', { was: passage.numbers({ from: wasFrom, to: wasTo }), is: passage.numbers({ from, to }) })}</p>
      ) : null}
      {page.gone.length > 0 ? <p>{t('lessons.page.gone', { count: page.gone.length })}</p> : null}
      {page.changes.length > 0 ? (
        <>
          <p>{t('lessons.page.changed')}:</p>
          <ul className="m-0 list-disc pl-5">
            {page.changes.map((one) => (
              <li key={one.key}>
                {t('lessons.page.changedLine', {
                  title: one.title,
                  what:
                    one.fields.length === 0
                      ? t('lessons.page.changedMoved')
                      : one.fields
                          .map((field) =>
                            t('lessons.page.changedField', {
                              field: say(field.field),
                              before: words(field.before),
                              after: words(field.after),
                            }),
                          )
                          .join('; '),
                })}
              </li>
            ))}
          </ul>
        </>
      ) : null}
      {may('edit-forms') ? (
        <Button
          className="mt-2"
          disabled={look.isPending}
          onClick={() => {
            send(undefined);
          }}
        >
          {t('lessons.page.lookedOver')}
        </Button>
      ) : null}
      <RefusalLine refusal={refusal} />
    </Notice>
  );
}
