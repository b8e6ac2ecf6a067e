import { useTranslation } from '../../messages';
import type { Principle } from '../../api/client';
import { Why } from '../../kit/Why';
import type { ShownFocus } from './focus';

/** What a principle says, what to look for, and what often goes wrong. */
export function PrincipleText({ principle }: { principle: Principle }) {
  const { t } = useTranslation();
  return (
    <>
      {principle.says === null ? null : <p>{principle.says}</p>}
      {principle.look.length === 0 ? null : (
        <p>
          <span className="text-soft">{t('focus.look')}:</span> {principle.look.join('; ')}
        </p>
      )}
      {principle.errors.map((error) => (
        <p key={error.wrong} className="text-soft">
          {t('focus.error', { wrong: error.wrong, right: error.right })}
        </p>
      ))}
    </>
  );
}

/** What a meeting works on beside the sequence, with its why. */
export function FocusPart({ focus, words }: { focus: ShownFocus[]; words: string | null }) {
  const { t } = useTranslation();
  if (focus.length === 0) return words === null ? <p className="text-soft">{t('plan.focus')}</p> : <p>{words}</p>;
  return (
    <>
      {focus.map((one) => (
        <div key={one.id}>
          <p>
            <strong>{one.title}</strong>
            {one.isNew ? <span className="text-soft"> · {t('focus.isNew')}</span> : null}{' '}
            {one.why === null ? null : (
              <Why about={t('focus.why', { title: one.title })}>
                <p>{one.why}</p>
              </Why>
            )}
          </p>
          {one.principle === null ? null : (
            <div className="text-[0.95rem]">
              <PrincipleText principle={one.principle} />
            </div>
          )}
        </div>
      ))}
      {words === null ? null : <p>{words}</p>}
    </>
  );
}
