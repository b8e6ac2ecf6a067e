import { useQuery } from '@tanstack/react-query';
import { useTranslation } from '../../messages';
import type { Entry } from '../../api/client';
import { recallCurveQuery } from './queries';
import { entryName } from '../../kit/entryName';
import { day } from '../../kit/format';
import { Asked } from '../../kit/page';
import { useWanted, wantedPart } from '../../kit/wanted';
import { isSupport } from '../../pictures/reed';

// Charts are heavy: they come when one is looked at.
const recallLine = wantedPart(async () => (await import('../../pictures/RecallLine')).RecallLine);

/** The history of one movement: its recall day by day, and every contact on it, drawn and in words. */
export function History({ student, entry }: { student: string; entry: Entry }) {
  const { t } = useTranslation();
  const query = useQuery(recallCurveQuery(student, entry.id));
  const RecallLine = useWanted(recallLine, true);
  return (
    <section className="my-3 border-l-4 border-pine bg-sheet p-4" aria-label={t('students.curve', { entry: entryName(entry) })}>
      <h3 className="text-lg">{t('students.curve', { entry: entryName(entry) })}</h3>
      <p className="text-sm text-soft">{t('students.curveHint')}</p>
      <Asked query={query}>
        {(curves) => (
          <>
            {curves.every((one) => one.contacts.length === 0) ? <p>{t('students.curveNone')}</p> : null}
            {curves
              .filter((one) => one.contacts.length > 0)
              .map((curve) => (
                <div key={curve.side ?? ''}>
                  {curve.side === null ? null : (
                    <h4 className="mt-2">{t('students.curveSide', { side: t(`side.${curve.side}`) })}</h4>
                  )}
                  <div className="min-h-52">{RecallLine === null ? null : <RecallLine curve={curve} />}</div>
                  <ul className="m-0 grid list-none gap-x-8 p-0 text-sm sm:grid-cols-2">
                    {curve.contacts.map((one) => (
                      <li key={one.on}>
                        <span className="tabular-nums">{day(one.on)}</span>: {t(`students.kinds.${one.kind}`)}
                        {one.level === null ? '' : ` ${isSupport(one.level) ? t(`support.${one.level}`) : one.level}`}
                        <span className="text-soft">
                          {' '}
                          (
                          {one.before === null
                            ? t('students.first')
                            : t('students.before', { percent: Math.round(100 * one.before) })}
                          )
                        </span>
                      </li>
                    ))}
                  </ul>
                </div>
              ))}
          </>
        )}
      </Asked>
    </section>
  );
}
