import { useTranslation } from '../../messages';

/** What a weight of good places to stop is called. */
export function useHowMuch(): (lambda: number) => string {
  const { t } = useTranslation();
  return (lambda) =>
    t(
      `lessons.lambdaNow.${lambda < 0.05 ? 'none' : lambda < 0.45 ? 'little' : lambda < 0.55 ? 'usual' : lambda < 1.25 ? 'more' : 'much'}`,
    );
}
