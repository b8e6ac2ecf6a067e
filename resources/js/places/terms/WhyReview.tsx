import { useTranslation } from '../../messages';
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
    <Why about={t('whyReview.about', { passage: words.numbers(item) })}>
      {item.isFirstNext ? <p>{t('whyReview.firstNext')}</p> : null}
      {item.isPicked ? <p>{t('whyReview.picked')}</p> : null}
      {item.isPinned ? <p>{t('whyReview.pinned')}</p> : null}
      {item.with !== null ? <p>{t('whyReview.recall', { without: percent(item.without), with: percent(item.with) })}</p> : null}
      {item.most !== null && names[item.most] !== undefined ? <p>{t('whyReview.most', { name: names[item.most] })}</p> : null}
      {item.weight !== null && item.weight > 1 ? (
        <p>
          {t('whyReview.weight', {
            weight: number(item.weight, 1),
            reason: t(item.weight >= 2 ? 'whyReview.showing' : 'whyReview.recap'),
          })}
        </p>
      ) : null}
      {item.instead ? (
        <p>
          {t('whyReview.instead', {
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
