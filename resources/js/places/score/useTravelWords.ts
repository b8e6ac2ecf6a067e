import { useTranslation } from '../../messages';
import { number } from '../../kit/format';

/** Steps forward and to the right, in words. */
export function useTravelWords(): (forward: number, right: number) => string {
  const { t } = useTranslation();
  return (forward, right) => {
    const parts = [
      Math.abs(forward) < 0.05
        ? null
        : t(forward > 0 ? 'score.stepsForward' : 'score.stepsBack', { count: Number(number(Math.abs(forward), 1)) }),
      Math.abs(right) < 0.05
        ? null
        : t(right > 0 ? 'score.stepsRight' : 'score.stepsLeft', { count: Number(number(Math.abs(right), 1)) }),
    ].filter((part) => part !== null);
    return parts.length === 0 ? t('score.atStart') : parts.join(', ');
  };
}
