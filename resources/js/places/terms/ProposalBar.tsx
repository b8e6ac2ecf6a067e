import { useTranslation } from '../../messages';
import { Button } from '../../kit/controls';
import { number } from '../../kit/format';
import { sentence } from '../../messages/say';
import type { Proposal } from './useProposal';

/** What a change would move, before it is made: in words, with what it costs. */
export function ProposalBar({ proposal }: { proposal: Proposal }) {
  const { t } = useTranslation();
  const { changes, preview, isLooking, isTaking, refusal, take, again, drop } = proposal;
  if (changes === null) return null;
  const cost = preview === null ? 0 : Math.round(preview.cost * 10) / 10;
  return (
    <section
      aria-label={t('terms.proposal')}
      aria-live="polite"
      className="no-print sticky top-0 z-20 mb-4 border-l-4 border-straw bg-sheet px-4 py-3"
      style={{ boxShadow: 'var(--float)' }}
    >
      {refusal ? (
        <p role="alert" className="font-medium text-persimmon">
          {refusal.message}
        </p>
      ) : isLooking || preview === null ? (
        <p className="text-soft">{t('terms.working')}</p>
      ) : (
        <>
          <h2 className="text-lg">{t('terms.wouldMove')}</h2>
          {preview.moved.length === 0 ? (
            <p className="text-soft">{t('terms.movesNothing')}</p>
          ) : (
            <ul className="m-0 max-h-40 list-disc overflow-y-auto pl-5 text-[0.95rem]">
              {preview.moved.map((one, at) => (
                <li key={at}>{sentence(one)}</li>
              ))}
            </ul>
          )}
          <p className="mt-1 text-[0.95rem]">
            {cost > 0
              ? t('terms.costs', { count: cost, number: number(cost, 1) })
              : cost < 0
                ? t('terms.gains', { count: -cost, number: number(-cost, 1) })
                : t('terms.costsNothing')}
          </p>
        </>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        {refusal?.canBeSentAgain ? (
          <Button look="primary" onClick={again} disabled={isLooking || isTaking}>
            {t('app.retry')}
          </Button>
        ) : refusal || preview === null ? null : (
          <Button look="primary" onClick={take} disabled={isTaking}>
            {t(isTaking ? 'terms.taking' : 'terms.takeOver')}
          </Button>
        )}
        <Button onClick={drop}>{t('terms.drop')}</Button>
      </div>
    </section>
  );
}
