import { useTranslation } from '../../messages';
import { DownloadLink } from '../../kit/controls';
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
          <DownloadLink key={as} look="quiet" to={`/api/students/${student}/record?as=${as}`}>
            {t(`practice.record.${as}`)}
          </DownloadLink>
        ))}
      </p>
    </section>
  );
}
