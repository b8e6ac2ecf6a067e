import { useTranslation } from 'react-i18next';
import type { Passage, Review } from '../../api/client';
import { number } from '../../kit/format';
import { Why } from '../../kit/Why';

interface Props {
  item: Review;
  words: { numbers: (passage: Passage) => string };
  names?: Record<string, string>;
}

/** Why a passage is reviewed: what it would be without, and with, for whom, and what else the minutes would have bought. */
export function WhyReview({ item, words, names = {} }: Props) {
  const { t } = useTranslation();
  const percent = (share: number | null) => Math.round(100 * (share ?? 0));
  return (
    <Why about={t('terms.whyReview', { passage: words.numbers(item) })}>
      {item.isFirstNext ? <p>{t('terms.whyFirstNext')}</p> : null}
      {item.isPinned ? <p>{t('terms.whyPinned')}</p> : null}
      {item.with !== null ? <p>{t('terms.whyRecall', { without: percent(item.without), with: percent(item.with) })}</p> : null}
      {item.most !== null && names[item.most] !== undefined ? <p>{t('terms.whyMost', { name: names[item.most] })}</p> : null}
      {item.weight !== null && item.weight > 1 ? (
        <p>
          {t('terms.whyWeight', {
            weight: number(item.weight, 1),
            reason: t(item.weight >= 2 ? 'terms.whyShowing' : 'terms.whyRecap'),
          })}
        </p>
      ) : null}
      {item.instead ? (
        <p>
          {t('terms.whyInstead', {
            passage: words.numbers(item.instead),
            value: number(item.instead.value, 2),
            own: number(item.value ?? 0, 2),
            minutes: number(item.instead.minutes, 1),
          })}
        </p>
      ) : null}
    </Why>
  );
}
