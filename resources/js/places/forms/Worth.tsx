import type { Form } from '../../api/client';
import { number } from '../../kit/format';
import { Why } from '../../kit/Why';
import { useTranslation } from '../../messages';

/** How much a form is, as a teacher says it; the numbers behind it answer why. */
export function Worth({ form }: { form: Form }) {
  const { t } = useTranslation();
  return (
    <>
      {t('forms.worth', { count: form.worth })}{' '}
      <Why about={t('forms.worthAbout')}>
        <p>{t('forms.whyWorth', { load: number(form.totalLoad, 1), target: number(form.target, 1) })}</p>
      </Why>
    </>
  );
}
