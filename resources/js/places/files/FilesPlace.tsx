import { Export } from '../../api/enums';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useEffect, useState } from 'react';
import { useTranslation } from '../../messages';
import { FileField } from '../../kit/FileField';
import { useNavigate, useParams } from '../../kit/router';
import { api, ask, type Form as FormData, type ImportPreview } from '../../api/client';
import { formQuery, scoreQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { keys } from '../../api/keys';
import { Button, DownloadLink, RefusalLine, TextArea } from '../../kit/controls';
import { Form } from '../../kit/Form';
import { Fold } from '../../kit/Fold';
import { Segmented } from '../../kit/Segmented';
import { dropDraft, keepDraft, readDraft } from '../../kit/draft';
import { Asked, Heading, Warnings } from '../../kit/page';
import { useTell } from '../../kit/toasts';
import { asNew, useAsOne } from '../../kit/useAsOne';
import { useProblem } from '../../kit/useProblem';
import { FormPages } from '../forms/FormPages';
import { MOST_BYTES } from '../forms/NewFormPlace';
import { Problems } from '../forms/Problems';
import { Supposed } from '../forms/Supposed';
import { DifferenceList } from './DifferenceList';
import { say, sentence } from '../../messages/say';

/** Whether entries with one id are the same, where that is not sure. */
type Ids = 'same' | 'other';

/** A form as a file: written out in each format, and read again over the form. */
export function FilesPlace() {
  const { form = '' } = useParams();
  const query = useQuery(formQuery(form));
  return (
    <Asked query={query}>
      {(data) => (
        <FormPages id={data.id} title={data.title}>
          <Files key={data.id} form={data} />
        </FormPages>
      )}
    </Asked>
  );
}

function Files({ form }: { form: FormData }) {
  // What was typed before and not read yet is open again.
  const [isReading, setReading] = useState(() => (readDraft<string>(`import.${form.id}`) ?? '') !== '');
  return (
    <>
      <Out
        form={form}
        onRead={() => {
          setReading(true);
        }}
      />
      {isReading ? <In form={form} /> : null}
    </>
  );
}

/** What a form can be written out as; the last column reads one over it. */
function Out({ form, onRead }: { form: FormData; onRead: () => void }) {
  const { t } = useTranslation();
  const query = useQuery({
    queryKey: keys.losses(form.id),
    queryFn: () => ask(api.GET('/api/forms/{form}/losses', { params: { path: { form: form.id } } })),
  });
  return (
    <ul className="m-0 grid list-none gap-x-8 gap-y-6 p-0 sm:grid-cols-2 xl:grid-cols-4">
      {Export.map((as) => {
        const losses = as === 'json' ? [] : (query.data?.[as] ?? []);
        return (
          <Way
            key={as}
            says={t(`files.${as}Hint`)}
            action={<DownloadLink to={`/api/forms/${form.id}/file?as=${as}`}>{t(`files.${as}`)}</DownloadLink>}
          >
            {as === 'json' ? null : query.isPending ? (
              <p className="mt-2 text-sm text-soft">{t('app.loading')}</p>
            ) : losses.length === 0 ? (
              <p className="mt-2 text-sm text-soft">{t('files.carriesAll')}</p>
            ) : (
              <Fold title={t('files.cannot', { count: losses.length })}>
                <ul className="m-0 list-disc pl-5 text-sm text-soft">
                  {losses.map((one) => (
                    <li key={say(one)}>{say(one)}</li>
                  ))}
                </ul>
              </Fold>
            )}
          </Way>
        );
      })}
      <Way says={t('files.inHint')} action={<Button onClick={onRead}>{t('files.inTitle')}</Button>} />
    </ul>
  );
}

/** One thing that can be done with the form as a file, and what that means. */
function Way({ action, says, children }: { action: ReactNode; says: string; children?: ReactNode }) {
  return (
    <li className="min-w-0">
      {action}
      <p className="mt-2 text-sm text-soft">{says}</p>
      {children}
    </li>
  );
}

function In({ form }: { form: FormData }) {
  const { t } = useTranslation();
  const client = useQueryClient();
  const navigate = useNavigate();
  const tell = useTell();
  const draft = `import.${form.id}`;
  const [text, setText] = useState(() => readDraft<string>(draft) ?? '');
  const [declined, setDeclined] = useState<string[]>([]);
  const [ids, setIds] = useState<Ids>();
  const [preview, setPreview] = useState<ImportPreview>(); // the last one stays in sight while it is asked again
  const [isTooLarge, setTooLarge] = useState(false);
  const [refusal, setProblem] = useProblem();
  useEffect(() => {
    keepDraft(draft, text);
  }, [draft, text]);
  const params = { path: { form: form.id } };
  const { asOne, made: imported } = useAsOne(draft);
  const look = useMutation({
    mutationFn: (given: { declined: string[]; ids?: Ids }) =>
      ask(api.POST('/api/forms/{form}/import/preview', { params, body: { text, ...given } })),
    onSuccess: setPreview,
    onError: setProblem,
  });
  const apply = useMutation({
    mutationFn: (base: number) => {
      const body = { base, text, declined, ...(ids ? { ids } : {}) };
      return ask(api.POST('/api/forms/{form}/import', { params: { ...params, header: asOne(body) }, body }));
    },
    onSuccess: async (made, base) => {
      dropDraft(draft);
      imported();
      client.setQueryData(scoreQuery(form.id).queryKey, made.score);
      client.setQueryData(formQuery(form.id).queryKey, made.form);
      await readAgain('score');
      await navigate(`/forms/${form.id}/score?findings`);
      tell(t('files.applied'), {
        takeBack: () => {
          const body = { base: made.score.version, number: base };
          void ask(api.POST('/api/forms/{form}/restore', { params: { ...params, header: asNew() }, body })).then(
            async (back) => {
              client.setQueryData(formQuery(form.id).queryKey, back.form);
              await client.resetQueries({ queryKey: scoreQuery(form.id).queryKey });
              await readAgain('score');
              await navigate(`/forms/${form.id}/files`);
              keepDraft(draft, text);
            },
            (error: unknown) => {
              tell(error instanceof Error ? error.message : t('app.unreachable'), { isProblem: true });
            },
          );
        },
      });
    },
    onError: setProblem,
  });
  async function choose(file: File) {
    setProblem(null);
    setPreview(undefined);
    if (file.size > MOST_BYTES) {
      setTooLarge(true);
      return;
    }
    setTooLarge(false);
    setText(await file.text());
  }
  const isSame =
    preview !== undefined &&
    (['added', 'gone', 'moved', 'changed', 'form'] as const).every((key) => preview.difference[key].length === 0);
  return (
    <section>
      <Heading>{t('files.inTitle')}</Heading>
      {preview ? (
        <div className="max-w-4xl">
          <p className="text-soft">{t('files.rows', { count: preview.lines })}</p>
          <Warnings title={t('forms.warnings')} lines={preview.warnings.map(sentence)} />
          {preview.doubtful ? (
            <div className="my-4">
              <p className="m-0 mb-2 max-w-prose">
                {t('files.doubtful')} <strong className="font-medium">{t('files.doubtfulAsk')}</strong>
              </p>
              <Segmented<Ids | 'unsaid'>
                label={t('files.doubtfulAsk')}
                value={ids ?? 'unsaid'}
                onValue={(said) => {
                  if (said === 'unsaid') return;
                  setIds(said);
                  setDeclined([]);
                  look.mutate({ declined: [], ids: said });
                }}
                of={[
                  { value: 'same', text: t('files.idsSame') },
                  { value: 'other', text: t('files.idsOther') },
                ]}
              />
            </div>
          ) : null}
          {isSame ? <p className="my-3">{t('files.same')}</p> : <DifferenceList difference={preview.difference} />}
          {preview.inferred.length > 0 ? (
            <Supposed
              form={preview.form}
              inferred={preview.inferred}
              declined={declined}
              onDecline={(next) => {
                setDeclined(next);
                look.mutate({ declined: next, ...(ids ? { ids } : {}) });
              }}
            />
          ) : null}
          <RefusalLine refusal={refusal} />
          <div className="mt-4 flex flex-wrap gap-2">
            <Button
              onClick={() => {
                setProblem(null);
                setPreview(undefined);
              }}
            >
              {t('files.back')}
            </Button>
            {isSame ? null : (
              <Button
                look="primary"
                disabled={apply.isPending || look.isPending || (preview.doubtful && ids === undefined)}
                onClick={() => {
                  apply.mutate(preview.version);
                }}
              >
                {t(apply.isPending ? 'files.applying' : 'files.apply')}
              </Button>
            )}
          </div>
        </div>
      ) : (
        <Form
          className="max-w-4xl"
          onSend={() => {
            setProblem(null);
            setDeclined([]);
            setIds(undefined);
            look.mutate({ declined: [] });
          }}
        >
          <div className="mb-3">
            <FileField
              label={t('files.chooseFile')}
              accept=".txt,.json,.csv,text/plain,text/csv,application/json"
              onFile={(file) => void choose(file)}
            />
          </div>
          <TextArea
            label={t('files.label')}
            hint={t('forms.fileHint')}
            error={isTooLarge ? t('forms.fileTooLarge') : refusal?.message}
            rows={10}
            spellCheck={false}
            value={text}
            onChange={(event) => {
              setText(event.target.value);
            }}
          />
          <Problems problems={refusal?.problems ?? []} />
          <Button look="primary" type="submit" className="mt-2" disabled={look.isPending || text.trim() === ''}>
            {t(look.isPending ? 'forms.reading' : 'files.read')}
          </Button>
        </Form>
      )}
    </section>
  );
}
