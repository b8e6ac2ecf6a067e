import { useTranslation } from '../messages';
import type { Entry, Form, Student } from '../api/client';
import { reedOf } from './reed';
import { ReedGlyph } from './ReedGlyph';
import { Ruler, RULER } from './Ruler';
import { frameOf, stripOf } from './strip';
import { useReedWords } from './useReedWords';
import { usePaperFit, useWidth } from './useWidth';

/** A reed needs so many pixels; where a form has more entries than fit, the map is scrolled. */
const REED = 12;

interface Props {
  entries: Entry[];
  sections?: Form['sections'];
  students: Student[];
  caption: string;
  /** The same students on another day, drawn above where they stand. */
  before?: Student[] | undefined;
}

/** Students down, entries across, on the scale of ribbon and weave: the reed in each cell, a flag after the frontier. */
export function StandingMap({ entries, sections = [], students, caption, before }: Props) {
  const { t } = useTranslation();
  const words = useReedWords();
  const [ref, available] = useWidth<HTMLDivElement>();
  const frame = frameOf(available);
  const strip = stripOf(entries, Math.max(frame.inner - 4, 220), 'load', REED);
  const width = frame.left + strip.width + frame.right;
  const fit = usePaperFit(width);
  const widthOf = (index: number) => strip.x(index + 2) - strip.x(index + 1);
  return (
    // The scrolling region takes the focus, so that the keyboard can scroll it.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div ref={ref} className="w-full relative overflow-x-auto" role="region" aria-label={caption} tabIndex={0}>
      <table className="table-fixed border-collapse text-sm" style={{ width, ...fit }}>
        <caption className="sr-only">{caption}</caption>
        <colgroup>
          <col style={{ width: frame.left }} />
          {entries.map((entry, index) => (
            <col key={entry.position} style={{ width: widthOf(index) }} />
          ))}
          {frame.right === 0 ? null : <col style={{ width: frame.right }} />}
        </colgroup>
        <thead>
          <tr aria-hidden="true">
            <td className="sticky left-0 z-10 bg-paper" />
            <td colSpan={entries.length} className="p-0">
              <svg width={strip.width} height={RULER} className="block font-sans">
                <Ruler entries={entries} sections={sections} strip={strip} />
              </svg>
            </td>
          </tr>
          <tr className="sr-only">
            <th scope="col">{t('groups.student')}</th>
            {entries.map((entry) => (
              <th key={entry.position} scope="col">
                {entry.title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {students.map((student) => {
            const cells = new Map(student.cells.map((cell) => [cell.position, cell]));
            const was = before?.find((one) => one.id === student.id);
            const earlier = new Map(was?.cells.map((cell) => [cell.position, cell]) ?? []);
            return (
              <tr key={student.id} className="border-t border-line">
                <th
                  scope="row"
                  className="sticky left-0 z-10 overflow-hidden bg-paper py-1 pr-2 text-left text-base font-normal text-ellipsis"
                >
                  {student.name}
                </th>
                {entries.map((entry) => {
                  const cell = cells.get(entry.position);
                  const label = t('groups.cell', { title: entry.title, reed: words(cell) });
                  return (
                    <td key={entry.position} className="relative p-0 text-center align-bottom" data-tip={label}>
                      <span className="inline-flex flex-col items-center pt-1">
                        {before === undefined ? null : (
                          <span className="opacity-60">
                            <ReedGlyph
                              reed={reedOf(earlier.get(entry.position))}
                              size={20}
                              label={t('principles.was', { standing: words(earlier.get(entry.position)) })}
                            />
                          </span>
                        )}
                        <ReedGlyph reed={reedOf(cell)} size={30} label={label} />
                      </span>
                      {student.frontier === entry.position ? (
                        <svg
                          className="absolute top-0.5 -right-1.5"
                          width="12"
                          height="34"
                          aria-hidden="true"
                          data-frontier={entry.position}
                        >
                          <path d="M2 33V1l9 4-9 4" fill="var(--ink)" stroke="var(--ink)" strokeWidth="1.3" />
                        </svg>
                      ) : null}
                    </td>
                  );
                })}
                {frame.right === 0 ? null : (
                  <td className="pr-1 text-right align-middle text-[13px] text-soft">
                    {student.frontier === null
                      ? '–'
                      : t('groups.frontier', {
                          number: entries.find((one) => one.position === student.frontier)?.number ?? student.frontier,
                        })}
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
