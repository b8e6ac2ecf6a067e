import { useTranslation } from '../messages';
import type { Cell, Form } from '../api/client';
import { entryName } from '../kit/entryName';
import { isSupport, reedOf } from './reed';
import { ReedGlyph } from './ReedGlyph';
import { useReedWords } from './useReedWords';

interface Props {
  form: Form;
  cells: Cell[];
  /** Standings of an earlier day, drawn above. */
  before?: Cell[] | undefined;
  chosen: number | null;
  onChoose: (position: number) => void;
  label: string;
}

/** A form as one student stands in it: a reed an entry, two where the sides differ, under the names of its sections. */
export function ReedRibbon({ form, cells, before, chosen, onChoose, label }: Props) {
  const { t } = useTranslation();
  const words = useReedWords();
  const now = new Map(cells.map((cell) => [cell.position, cell]));
  const was = new Map(before?.map((cell) => [cell.position, cell]) ?? []);
  const entries = form.entries.filter((entry) => entry.kind !== 'extra');
  return (
    // The scrolling region takes the focus, so that the keyboard can scroll it.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className="relative w-full overflow-x-auto pb-1" role="region" aria-label={label} tabIndex={0}>
      <ol className="m-0 flex list-none p-0 print:flex-wrap">
        {entries.map((entry) => {
          const cell = now.get(entry.position);
          const section = form.sections.find((one) => one.first === entry.position);
          return (
            <li key={entry.position} className="relative shrink-0 pt-5">
              {section === undefined ? null : (
                <span className="absolute top-0 left-0 border-t-2 border-ink pr-3 text-xs whitespace-nowrap">
                  {section.title}
                </span>
              )}
              <button
                type="button"
                aria-pressed={chosen === entry.position}
                aria-label={t('students.cell', { entry: entryName(entry), reed: words(cell) })}
                data-tip={entryName(entry)}
                onClick={() => {
                  onChoose(entry.position);
                }}
                className="flex min-h-16 min-w-8 flex-col items-center justify-end border-b-4 border-transparent px-0.5 aria-pressed:border-pine aria-pressed:bg-straw-soft"
              >
                {before === undefined ? null : (
                  <span className="opacity-60">
                    <Reeds cell={was.get(entry.position)} size={22} />
                  </span>
                )}
                <Reeds cell={cell} size={32} />
                <span aria-hidden="true" className="text-xs text-soft">
                  {entry.number ?? '·'}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </div>
  );
}

/** The reed of an entry; of sides that were seen apart, one each. */
function Reeds({ cell, size }: { cell: Cell | undefined; size: number }) {
  if (cell === undefined || (cell.left === null && cell.right === null)) return <ReedGlyph reed={reedOf(cell)} size={size} />;
  const side = (support: string | null) =>
    reedOf({ ...cell, support: support !== null && isSupport(support) ? support : null, isAssumed: false });
  return (
    <span className="flex">
      <ReedGlyph reed={side(cell.left)} size={size * 0.8} />
      <ReedGlyph reed={side(cell.right)} size={size * 0.8} />
    </span>
  );
}
