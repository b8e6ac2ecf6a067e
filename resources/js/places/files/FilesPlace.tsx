import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useTranslation } from '../../messages';
import { FileField } from '../../kit/FileField';
import { useNavigate, useParams } from '../../kit/router';
import { api, ask, type Form, type ImportPreview } from '../../api/client';
import { formQuery, scoreQuery } from '../../api/queries';
import { readAgain } from '../../api/touched';
import { keys } from '../../api/keys';
import { Button, RefusalLine, TextArea } from '../../kit/controls';
import { Segmented } from '../../kit/Segmented';
import { dropDraft, keepDraft, readDraft } from '../../kit/draft';
import { Asked, Heading, Warnings } from '../../kit/page';
import { useTell } from '../../kit/toasts';
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
          <Out form={data} />
          <In key={data.id} form={data} />
        </FormPages>
      )}
    </Asked>
  );
}

function Out({ form }: { form: Form }) {
  const { t } = useTranslation();
  const query = useQuery({
    queryKey: keys.losses(form.id),
    queryFn: () => ask(api.GET('/api/forms/{form}/losses', { params: { path: { form: form.id } } })),
  });
  return (
    <section>
      <Heading>{t('files.outTitle')}</Heading>
      <ul className="m-0 grid list-none gap-6 p-0 md:grid-cols-3">
        {(['json', 'csv', 'list'] as const).map((as) => {
          const losses = as === 'json' ? [] : (query.data?.[as] ?? []);
          return (
            <li key={as}>
              <a
                href={`/api/forms/${form.id}/file?as=${as}`}
                download
                className="inline-flex min-h-11 items-center rounded border border-line bg-sheet px-4 font-medium no-underline hover:border-pine2"
              >
                {t(`files.${as}`)}
              </a>
              <div className="mt-2 text-sm text-soft">
                {as === 'json' ? (
                  <p>{t('files.jsonHint')}</p>
                ) : losses.length === 0 ? (
                  <p>{query.isPending ? t('app.loading') : t('files.carriesAll')}</p>
                ) : (
                  <p>
                    <strong className="font-medium text-ink">{t('files.cannot')}</strong> {losses.map(say).join('; ')}.
                  </p>
                )}
              </div>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function In({ form }: { form: Form }) {
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
  const look = useMutation({
    mutationFn: (given: { declined: string[]; ids?: Ids }) =>
      ask(api.POST('/api/forms/{form}/import/preview', { params, body: { text, ...given } })),
    onSuccess: setPreview,
    onError: setProblem,
  });
  const apply = useMutation({
    mutationFn: (base: number) =>
      ask(api.POST('/api/forms/{form}/import', { params, body: { base, text, declined, ...(ids ? { ids } : {}) } })),
    onSuccess: async (made, base) => {
      dropDraft(draft);
      client.setQueryData(scoreQuery(form.id).queryKey, made.score);
      client.setQueryData(formQuery(form.id).queryKey, made.form);
      await readAgain('score');
      await navigate(`/forms/${form.id}/score?findings`);
      tell(t('files.applied'), {
        takeBack: () => {
          void ask(api.POST('/api/forms/{form}/restore', { params, body: { base: made.score.version, number: base } })).then(
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
      <Heading aside={t('files.inHint')}>{t('files.inTitle')}</Heading>
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
        <form
          className="max-w-4xl"
          onSubmit={(event) => {
            event.preventDefault();
            setProblem(null);
            setDeclined([]);
            setIds(undefined);
            look.mutate({ declined: [] });
          }}
        >
          <div className="mb-3">
            <FileField
              label={t('files.choose')}
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
        </form>
      )}
    </section>
  );
}
