import { useTranslation } from '../../messages';
import type { WarmUps } from '../../api/client';
import { number } from '../../kit/format';
import { Why } from '../../kit/Why';
import { useBodyWords } from './useBodyWords';

interface Props {
  warmUps: WarmUps;
  /** Of the box. */
  minutes: number;
  hasNotes: boolean;
}

/** What warms up tonight, with how it is done and why it was chosen. */
export function WarmUpPart({ warmUps, minutes, hasNotes }: Props) {
  const { t } = useTranslation();
  const { joints } = useBodyWords();
  if (warmUps.items.length === 0) return <p className="text-soft">{t('warmUps.none')}</p>;
  const loaded = Object.entries(warmUps.loaded).sort(([, a], [, b]) => b - a);
  const spare = minutes - warmUps.items.reduce((sum, one) => sum + one.minutes, 0);
  const length = (of: number) => t('warmUps.minutes', { minutes: number(of, 2) });
  const why = (
    <Why about={t('warmUps.why')}>
      <p>
        {loaded.length === 0
          ? t('warmUps.noWeights')
          : t('warmUps.weights', {
              joints: loaded.map(([joint, weight]) => t('warmUps.joint', { joint: joints[joint], weight })).join(', '),
            })}
      </p>
      <p className="mt-1">{t('warmUps.rule')}</p>
      {warmUps.isCold ? <p className="mt-1">{t('warmUps.coldSaid')}</p> : null}
    </Why>
  );
  return (
    <>
      {hasNotes ? (
        <ul className="m-0 list-none p-0">
          {warmUps.items.map((one, at) => (
            <li key={one.id}>
              {one.title} <span className="text-soft">{length(one.minutes)}</span> {at === 0 ? why : null}
              {one.note === null ? null : <span className="block text-[0.95rem] text-soft">{one.note}</span>}
            </li>
          ))}
        </ul>
      ) : (
        <p>
          {warmUps.items.map((one, at) => (
            <span key={one.id}>
              {at === 0 ? '' : ' · '}
              {one.title} <span className="text-soft">{length(one.minutes)}</span>
            </span>
          ))}{' '}
          {why}
        </p>
      )}
      {spare >= 1 ? <p className="text-[0.95rem] text-soft">{t('warmUps.left', { minutes: number(spare, 2) })}</p> : null}
    </>
  );
}
