import { useTranslation } from '../../messages';
import { Heading } from '../../kit/page';
import { useMay } from '../../kit/useMay';

/** All that is recorded of one student as a file, for when they ask; it holds what is private, so not everybody may take it. */
export function EverythingRecorded({ student }: { student: string }) {
  const { t } = useTranslation();
  const may = useMay();
  if (!may('see-considerations')) return null;
  return (
    <section className="no-print" aria-label={t('practice.record.title')}>
      <Heading>{t('practice.record.title')}</Heading>
      <p className="text-soft">{t('practice.record.hint')}</p>
      <p className="flex flex-wrap gap-x-6">
        {(['html', 'json'] as const).map((as) => (
          <a
            key={as}
            className="inline-flex min-h-11 items-center text-pine underline underline-offset-4"
            href={`/api/students/${student}/record?as=${as}`}
            download
          >
            {t(`practice.record.${as}`)}
          </a>
        ))}
      </p>
    </section>
  );
}
