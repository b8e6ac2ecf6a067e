import { useMutation } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import { FileField } from '../../kit/FileField';
import { api, ask } from '../../api/client';
import { readAgain } from '../../api/touched';
import { DownloadLink, RefusalLine } from '../../kit/controls';
import { useMay } from '../../kit/useMay';
import { useTell } from '../../kit/toasts';
import { useAsOne } from '../../kit/useAsOne';
import { useProblem } from '../../kit/useProblem';

/** Lessons out and in as a file. */
export function LessonsFile({ form }: { form: string }) {
  const { t } = useTranslation();
  const tell = useTell();
  const may = useMay();
  const [refusal, setProblem] = useProblem();
  const { asOne, made } = useAsOne();
  const read = useMutation({
    mutationFn: async (file: File) => {
      const body = { text: await file.text() };
      return ask(api.POST('/api/forms/{form}/lessons-file', { params: { path: { form }, header: asOne(body) }, body }));
    },
    onSuccess: async ({ count }) => {
      made();
      setProblem(null);
      await readAgain('lesson');
      tell(t('lessons.file.done', { count }));
    },
    onError: setProblem,
  });
  return (
    <section className="mt-4" aria-label={t('lessons.file.title')}>
      <h3 className="text-lg">{t('lessons.file.title')}</h3>
      <p className="flex flex-wrap gap-x-4">
        <DownloadLink look="quiet" to={`/api/forms/${form}/lessons-file?as=json`}>
          {t('lessons.file.json')}
        </DownloadLink>
        <DownloadLink look="quiet" to={`/api/forms/${form}/lessons-file?as=csv`}>
          {t('lessons.file.csv')}
        </DownloadLink>
      </p>
      {may('edit-forms') ? (
        <FileField
          label={t('lessons.file.read')}
          hint={t('lessons.file.hint')}
          accept=".json,application/json"
          disabled={read.isPending}
          onFile={(file) => {
            read.mutate(file);
          }}
        />
      ) : null}
      <RefusalLine refusal={refusal} />
    </section>
  );
}
