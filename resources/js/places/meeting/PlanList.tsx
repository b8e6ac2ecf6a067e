import { useTranslation } from 'react-i18next';
import type { Form, Meeting, Passage } from '../../api/client';
import { entryCall } from '../../kit/entryName';
import { number, recall } from '../../kit/format';
import { Warnings } from '../../kit/page';
import { type BoxName, boxesOf } from '../../pictures/Timeline';
import { sentence } from '../../messages/say';

/** The numbers a teacher says for a passage, and its first and last title. */
export function usePassageWords(form: Form): { numbers: (passage: Passage) => string; titles: (passage: Passage) => string } {
  const { t } = useTranslation();
  const at = (position: number) => form.entries[position - 1];
  const spoken = (position: number) => entryCall(at(position));
  return {
    numbers: (passage) => (passage.from === passage.to ? spoken(passage.from) : `${spoken(passage.from)}–${spoken(passage.to)}`),
    titles: (passage) => {
      const [first, last] = [at(passage.from)?.title ?? '', at(passage.to)?.title ?? ''];
      return passage.from === passage.to ? first : t('plan.runFrom', { from: first, to: last });
    },
  };
}

/** Tonight's boxes, each with the minute it starts and what is done in it. */
export function PlanList({ meeting, form, isLarge = false }: { meeting: Meeting; form: Form; isLarge?: boolean }) {
  const { t } = useTranslation();
  const words = usePassageWords(form);
  const content: Record<BoxName, () => React.ReactNode> = {
    settle: () => <p className="text-soft">{t('plan.settle')}</p>,
    warm_up: () => <p className="text-soft">{t('plan.warm')}</p>,
    focus: () => <p className="text-soft">{t('plan.focus')}</p>,
    close: () => <p className="text-soft">{t('plan.close')}</p>,
    new: () =>
      meeting.lesson ? (
        <>
          <p>
            <strong>{words.numbers(meeting.lesson)}</strong> {words.titles(meeting.lesson)}
          </p>
          {meeting.recap ? (
            <p className="text-soft">
              {t('plan.recap', { passage: `${words.numbers(meeting.recap)} ${words.titles(meeting.recap)}` })}
            </p>
          ) : null}
        </>
      ) : (
        <p className="text-soft">{t('plan.nothingNew')}</p>
      ),
    review: () =>
      meeting.review.length === 0 ? (
        <p className="text-soft">{t('plan.noReview')}</p>
      ) : (
        <ul className="m-0 flex list-none flex-col gap-1 p-0" title={t('plan.why')}>
          {meeting.review.map((item) => (
            <li key={item.from}>
              <strong>{words.numbers(item)}</strong> {words.titles(item)}
              <span className="text-soft">
                {' '}
                · {t('plan.passes', { count: item.passes })}, {number(item.minutes, 1)} min ·{' '}
                {item.meanRecall === null ? t('plan.meanRecallNone') : t('plan.meanRecall', { recall: recall(item.meanRecall) })}
              </span>
            </li>
          ))}
        </ul>
      ),
    run_through: () =>
      meeting.runThrough ? (
        <p>
          <strong>{words.numbers(meeting.runThrough)}</strong> {words.titles(meeting.runThrough)}
        </p>
      ) : null,
  };
  return (
    <>
      <ol className={`m-0 list-none p-0 ${isLarge ? 'text-lg' : ''}`}>
        {boxesOf(meeting).map((box) => (
          <li
            key={box.name}
            className="grid grid-cols-[3.6rem_1fr_4.2rem] items-baseline gap-x-3 border-b border-line py-2 sm:grid-cols-[3.6rem_7.5rem_1fr_4.2rem]"
          >
            <span className="col-start-1 row-start-1 text-soft">{box.at}</span>
            <h2 className="col-start-2 row-start-1 text-[1.05em]">{t(`boxes.${box.name}`)}</h2>
            <div className="col-span-2 col-start-2 row-start-2 min-w-0 sm:col-span-1 sm:col-start-3 sm:row-start-1">
              {content[box.name]()}
            </div>
            <span className="col-start-3 row-start-1 text-right font-medium sm:col-start-4">
              {t('plan.minutes', { count: box.minutes })}
            </span>
          </li>
        ))}
      </ol>
      <Warnings title={t('terms.warnings')} lines={meeting.notes.map(sentence)} />
      <aside aria-label={t('plan.careTitle')} className="my-4 border-l-4 border-river px-4 py-1 text-sm text-soft">
        <strong className="text-ink">{t('plan.careTitle')}.</strong> {t('plan.care')}
      </aside>
    </>
  );
}
