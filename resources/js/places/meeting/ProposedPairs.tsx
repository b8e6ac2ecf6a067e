import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import type { PartnerDrill, Student } from '../../api/client';
import { pairsQuery } from './queries';
import { Button } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { Asked } from '../../kit/page';
import { Why } from '../../kit/Why';

interface Props {
  meeting: string;
  drill: PartnerDrill;
  /** Those who could take part. */
  students: Student[];
  /** Ids of those of them who would rather not. */
  without: string[];
  onWithout: (without: string[]) => void;
}

/** Who works with whom, among those who are here and want to; whoever would rather not is taken out, and asked no more. */
export function ProposedPairs({ meeting, drill, students, without, onWithout }: Props) {
  const { t } = useTranslation();
  const [isAsking, setAsking] = useState(false);
  const query = useQuery({ ...pairsQuery(meeting, drill.lesson, without), placeholderData: keepPreviousData });
  return (
    <section aria-label={t('lessons.partner.proposed')} className="my-3">
      <h2 className="text-lg">
        {t('lessons.partner.proposed')}{' '}
        <Why about={t('lessons.partner.proposed')}>
          <p>{t('lessons.partner.whyPairs')}</p>
          <p>{t('lessons.partner.sizes')}</p>
        </Why>
      </h2>
      <Asked query={query}>
        {({ pairs, aside }) => (
          <>
            {pairs.length === 0 ? <p className="text-soft">{t('lessons.partner.everyoneAside')}</p> : null}
            <ul className="m-0 grid list-none gap-x-8 p-0 sm:grid-cols-2 lg:grid-cols-3" data-testid="pairs">
              {pairs.map((pair, at) => (
                <li key={pair.map((one) => one.id).join()} className="border-b border-line py-1 text-lg">
                  <span className="text-sm text-soft">
                    {pair.length === 3 ? t('lessons.partner.three') : t('lessons.partner.pair', { nth: at + 1 })}
                  </span>{' '}
                  {pair.map((one) => one.name).join(' · ')}
                  {pair.length === 1 ? ` (${t('lessons.partner.alone')})` : ''}
                </li>
              ))}
            </ul>
            {aside.length === 0 ? null : (
              <p className="mt-2">
                {t('lessons.partner.aside', { names: aside.join(', ') })}
                <span className="block text-soft">{t('lessons.partner.asideHint')}</span>
              </p>
            )}
          </>
        )}
      </Asked>
      <Button
        look="quiet"
        aria-expanded={isAsking}
        onClick={() => {
          setAsking(!isAsking);
        }}
      >
        {t('lessons.partner.rather', { count: without.length })}
      </Button>
      {isAsking ? (
        <fieldset className="m-0 mt-1 border-0 p-0">
          <legend className="p-0">{t('lessons.partner.ask')}</legend>
          <div className="grid grid-cols-2 sm:grid-cols-4">
            {students.map((student) => (
              <Tick
                key={student.id}
                checked={!without.includes(student.id)}
                onTick={(is) => {
                  onWithout(is ? without.filter((other) => other !== student.id) : [...without, student.id]);
                }}
              >
                {student.name}
              </Tick>
            ))}
          </div>
        </fieldset>
      ) : null}
    </section>
  );
}
