import { useTranslation } from '../../messages';
import type { Cut, Form, Workbench } from '../../api/client';
import { number, inMinutes } from '../../kit/format';
import { Why } from '../../kit/Why';
import { usePassageWords } from '../meeting/PlanList';
import { wholeMinutes } from './lesson';

const CUTS = ['kept', 'tried', 'free'] as const;

interface Props {
  form: Form;
  bench: Workbench;
  /** Minutes that a load takes. */
  minutes: (load: number) => number;
}

/** The lessons as they are, as tried, and without a hand in them: what each comes to, and lesson by lesson. */
export function SideBySide({ form, bench, minutes }: Props) {
  const { t } = useTranslation();
  const words = usePassageWords(form);
  const titles = { kept: t('lessons.asKept'), tried: t('lessons.asTried'), free: t('lessons.asFree') };
  const against = ({ dearer }: Cut): string =>
    dearer === null
      ? t('lessons.nothing')
      : dearer < 0.005
        ? t('lessons.asGood')
        : t('lessons.dearer', { percent: number(100 * dearer, 0) });
  const rows: [string, (cut: Cut) => string][] = [
    [t('lessons.lessons'), (cut) => String(cut.lessons.length)],
    [
      t('lessons.range'),
      (cut) => t('lessons.rangeMinutes', { from: wholeMinutes(minutes(cut.lightest)), to: wholeMinutes(minutes(cut.heaviest)) }),
    ],
    [t('lessons.stops'), (cut) => (cut.poorStops === 0 ? t('lessons.stopsNone') : String(cut.poorStops))],
    [t('lessons.against'), against],
  ];
  const why = t('lessons.against');
  const most = Math.max(...CUTS.map((cut) => bench[cut].lessons.length));
  return (
    <div className="wide relative overflow-x-auto">
      <table className="w-full border-collapse text-[0.95rem]">
        <thead>
          <tr className="text-left text-sm text-soft">
            <th scope="col" className="py-1 pr-4 font-normal">
              {t('lessons.row')}
            </th>
            {CUTS.map((cut) => (
              <th key={cut} scope="col" className="pr-4 font-normal">
                {titles[cut]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([title, say]) => (
            <tr key={title} className="border-t border-line">
              <th scope="row" className="py-1.5 pr-4 text-left font-medium">
                {title}
                {title === why ? (
                  <>
                    {' '}
                    <Why about={title}>
                      <p>{t('lessons.price.why', { lambda: number(bench.tried.lambda) })}</p>
                      <p>
                        {t('lessons.costs', {
                          kept: number(bench.kept.objective, 3),
                          tried: number(bench.tried.objective, 3),
                          free: number(bench.free.objective, 3),
                        })}
                      </p>
                    </Why>
                  </>
                ) : null}
              </th>
              {CUTS.map((cut) => (
                <td key={cut} className="pr-4 tabular-nums">
                  {say(bench[cut])}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
        <tbody className="border-t-2 border-ink">
          {Array.from({ length: most }, (_, at) => (
            <tr key={at} className="border-t border-line">
              <th scope="row" className="py-1.5 pr-4 text-left font-medium">
                {at + 1}
              </th>
              {CUTS.map((cut) => {
                const lesson = bench[cut].lessons[at];
                const kept = bench.kept.lessons[at];
                const isOther = cut !== 'kept' && (lesson?.from !== kept?.from || lesson?.to !== kept?.to);
                return (
                  <td key={cut} className="pr-4" data-other={isOther || undefined}>
                    {lesson === undefined ? (
                      <span className="text-soft">{t('lessons.nothing')}</span>
                    ) : (
                      <>
                        <span className={isOther ? 'border-b-2 border-straw font-medium' : ''}>{words.numbers(lesson)}</span>{' '}
                        <span className="text-sm text-soft">{inMinutes(wholeMinutes(minutes(lesson.load)))}</span>
                      </>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
