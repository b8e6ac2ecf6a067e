import { useTranslation } from '../messages';
import { share } from '../kit/format';
import type { GroupKeepings } from '../api/client';
import { strokeOf } from './keeping';
import { KeepingGlyph } from './KeepingGlyph';
import { useKeepingWords } from './useKeepingWords';

interface Props {
  data: GroupKeepings;
  /** What stood on an earlier day, drawn above what stands now. */
  before?: GroupKeepings | undefined;
  caption: string;
}

/** Students down, principles across, by family: a level stroke in each cell, and at the foot what the group keeps on average. */
export function KeepingMap({ data, before, caption }: Props) {
  const { t } = useTranslation();
  const words = useKeepingWords();
  const principles = data.principles?.principles ?? [];
  const families = principles.reduce<{ name: string; count: number }[]>((all, one) => {
    const last = all[all.length - 1];
    const name = one.family ?? '';
    return last?.name === name ? [...all.slice(0, -1), { name, count: last.count + 1 }] : [...all, { name, count: 1 }];
  }, []);
  const cellsOf = (of: GroupKeepings | undefined, student: string) =>
    new Map(of?.students.find((one) => one.student === student)?.keepings.map((cell) => [cell.principle, cell]) ?? []);
  const meanOf = (of: GroupKeepings | undefined, principle: string) => of?.means.find((one) => one.principle === principle);
  return (
    // The scrolling region takes the focus, so that the keyboard can scroll it.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className="wide relative w-full overflow-x-auto" role="region" aria-label={caption} tabIndex={0}>
      <table className="border-collapse text-sm">
        <caption className="sr-only">{caption}</caption>
        <thead>
          {families.some((one) => one.name !== '') ? (
            <tr>
              <td />
              {families.map((one, at) => (
                <th
                  key={`${one.name}${String(at)}`}
                  scope="colgroup"
                  colSpan={one.count}
                  className="border-b-2 border-ink px-1 text-left font-serif font-semibold"
                >
                  {one.name}
                </th>
              ))}
            </tr>
          ) : null}
          <tr>
            <th scope="col" className="sticky left-0 z-10 min-w-28 bg-paper text-left align-bottom font-medium">
              {t('groups.student')}
            </th>
            {principles.map((one) => (
              <th
                key={one.id}
                scope="col"
                className="w-22 min-w-22 px-1 py-1 text-left align-bottom text-xs font-normal text-soft"
              >
                {one.title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {data.names.map((student) => {
            const [now, was] = [cellsOf(data, student.id), cellsOf(before, student.id)];
            return (
              <tr key={student.id} className="border-t border-line">
                <th scope="row" className="sticky left-0 z-10 bg-paper py-1.5 pr-3 text-left font-normal whitespace-nowrap">
                  {student.name}
                </th>
                {principles.map((one) => {
                  const label = `${one.title}: ${words(now.get(one.id))}`;
                  const earlier = before === undefined ? null : t('principles.was', { standing: words(was.get(one.id)) });
                  return (
                    <td key={one.id} className="px-1" data-tip={earlier === null ? label : `${label} (${earlier})`}>
                      {earlier === null ? null : (
                        <span className="block opacity-60">
                          <KeepingGlyph stroke={strokeOf(was.get(one.id))} label={earlier} />
                        </span>
                      )}
                      <KeepingGlyph stroke={strokeOf(now.get(one.id))} size={18} label={label} />
                    </td>
                  );
                })}
              </tr>
            );
          })}
        </tbody>
        <tfoot>
          <tr className="border-t-2 border-ink">
            <th scope="row" className="sticky left-0 z-10 bg-paper py-1.5 pr-3 text-left font-medium">
              {t('principles.onAverage')}
            </th>
            {principles.map((one) => {
              const mean = meanOf(data, one.id);
              return (
                <td key={one.id} className={`px-1 tabular-nums ${mean?.slips ? 'font-semibold text-persimmon' : ''}`}>
                  {share(mean === undefined || mean.met === 0 ? null : mean.mean)}
                </td>
              );
            })}
          </tr>
        </tfoot>
      </table>
    </div>
  );
}
