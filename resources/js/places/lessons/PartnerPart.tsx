import { useTranslation } from '../../messages';
import type { Form } from '../../api/client';
import { entryName } from '../../kit/entryName';
import { Notice } from '../../kit/Notice';
import { useBodyWords } from '../care/useBodyWords';
import type { Partner } from './lesson';

/** A drill for two, with the safety rule in sight at every step. */
export function PartnerPart({ partner, form }: { partner: Partner; form: Form }) {
  const { t } = useTranslation();
  const { considerations } = useBodyWords();
  const entry = form.entries.find((one) => one.key === partner.entry);
  const spares = partner.not_for.filter((one) => one !== 'first_time').map((one) => considerations[one] ?? one);
  return (
    <section className="mb-4 break-inside-avoid" aria-label={t('lessons.partner.title')}>
      <h2 className="border-b border-line text-lg">{t('lessons.partner.title')}</h2>
      <Notice tone="decision" className="my-2">
        {t('lessons.partner.safety')}
      </Notice>
      <p>{t('lessons.partner.consent')}</p>
      {entry ? <p>{t('lessons.partner.from', { entry: entryName(entry) })}</p> : null}
      {partner.contact ? <p>{t('lessons.partner.contact', { contact: partner.contact })}</p> : null}
      <p className="mt-1">{t('lessons.partner.steps')}</p>
      <ol className="m-0 list-decimal pl-5">
        {partner.steps.map((step, nth) => (
          <li key={step.id}>
            {step.title}
            {step.text ? `: ${step.text}` : ''}
            {partner.limit !== undefined && nth === partner.steps.length - 1
              ? ` (${t('lessons.partner.limit', { seconds: partner.limit })})`
              : ''}
          </li>
        ))}
      </ol>
      <p className="mt-1 text-sm">
        {t('lessons.partner.notFor')} {t('lessons.partner.notForLine', { what: spares.join(', ') })}. {t('lessons.partner.pairs')}
      </p>
    </section>
  );
}
