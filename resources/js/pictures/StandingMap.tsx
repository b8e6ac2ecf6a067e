import { useTranslation } from '../messages';
import type { Entry, Student } from '../api/client';
import { reedOf } from './reed';
import { ReedGlyph } from './ReedGlyph';
import { useReedWords } from './useReedWords';

interface Props {
  entries: Entry[];
  students: Student[];
  caption: string;
  /** The same students on another day, drawn above where they stand. */
  before?: Student[] | undefined;
}

/** Students down, entries across: the reed in each cell, a flag after the frontier. */
export function StandingMap({ entries, students, caption, before }: Props) {
  const { t } = useTranslation();
  const words = useReedWords();
  return (
    // The scrolling region takes the focus, so that the keyboard can scroll it.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className="w-full relative overflow-x-auto" role="region" aria-label={caption} tabIndex={0}>
      <table className="border-collapse text-sm">
        <caption className="sr-only">{caption}</caption>
        <thead>
          <tr>
            <th scope="col" className="sticky left-0 z-10 min-w-28 bg-paper text-left font-medium">
              {t('groups.student')}
            </th>
            {entries.map((entry) => (
              <th
                key={entry.position}
                scope="col"
                className="min-w-[26px] px-0 pb-1 text-center text-xs font-normal text-soft"
                title={entry.title}
              >
                <span aria-hidden="true">{entry.number ?? '·'}</span>
                <span className="sr-only">{entry.title}</span>
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
                <th scope="row" className="sticky left-0 z-10 bg-paper py-1 pr-3 text-left font-normal whitespace-nowrap">
                  {student.name}
                </th>
                {entries.map((entry) => {
                  const cell = cells.get(entry.position);
                  const label = t('groups.cell', { title: entry.title, reed: words(cell) });
                  return (
                    <td key={entry.position} className="relative p-0 text-center align-bottom" title={label}>
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
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
