import { memo, type ReactNode } from 'react';
import { useTranslation } from '../../messages';
import type { Student } from '../../api/client';
import type { Ladder } from './ladders';
import { LevelButtons } from './LevelButtons';
import { rowKeys } from './rowKeys';

interface Props<L extends string, C> {
  students: Student[];
  ladder: Ladder<L>;
  /** What is marked, as a text: while it stays, so does what a touch does. */
  about: string;
  /** How somebody stands in it; undefined where nothing is known. */
  cellOf: (student: Student) => C | undefined;
  draw: (cell: C | undefined) => ReactNode;
  marks: {
    isMarked: (student: Student) => boolean;
    levelOf: (student: Student) => string | null;
    isUnsent: (student: Student) => boolean;
    mark: (student: Student, level: L) => void;
    markRest: (level: L) => void;
    takeBack: (student: Student) => void;
  };
}

/** One tap a student; or one for everyone who is not marked yet, and then the exceptions. */
export function LevelRows<L extends string, C>({ students, ladder, about, cellOf, draw, marks }: Props<L, C>) {
  const { t } = useTranslation();
  const open = students.filter((student) => !marks.isMarked(student)).length;
  const onKey = rowKeys({ students, levels: ladder.levels, mark: marks.mark, takeBack: marks.takeBack });
  const row = (
    name: string,
    cell: unknown,
    glyph: ReactNode,
    level: string | null,
    isUnsent: boolean,
    onLevel: (level: L) => void,
  ) => (
    <Row
      name={name}
      cell={cell}
      glyph={glyph}
      level={level}
      isUnsent={isUnsent}
      about={about}
      buttons={<LevelButtons ladder={ladder} label={name} level={level} isUnsent={isUnsent} onLevel={onLevel} />}
    />
  );
  return (
    <>
      {students.length > 1
        ? row(open === 0 ? t('meeting.allMarked') : t('meeting.restOf', { count: open }), null, null, null, false, marks.markRest)
        : null}
      {/* The keys bubble up from the buttons inside; the list itself is not operated. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <ul className="m-0 list-none border-t border-line p-0" onKeyDown={onKey}>
        {students.map((student) => {
          const cell = cellOf(student);
          return (
            <li key={student.id} data-student={student.id} className="row-of-many">
              {row(student.name, cell, draw(cell), marks.levelOf(student), marks.isUnsent(student), (level) => {
                marks.mark(student, level);
              })}
            </li>
          );
        })}
      </ul>
    </>
  );
}

interface RowProps {
  name: string;
  /** How they stand; null for a row that is about several. */
  cell: unknown;
  glyph: ReactNode;
  level: string | null;
  isUnsent: boolean;
  about: string;
  buttons: ReactNode;
}

// One tap changes one row: the others are not drawn again.
const Row = memo(
  function Row({ name, glyph, buttons }: RowProps) {
    return (
      <div className="grid items-center gap-x-2 border-b border-line pb-0.5 sm:grid-cols-[9rem_1fr] sm:pb-0 lg:grid-cols-[12rem_1fr]">
        <div className="flex min-h-7 min-w-0 items-center gap-2 leading-tight lg:text-lg">
          {glyph}
          <span className="min-w-0 break-words">{name}</span>
        </div>
        {buttons}
      </div>
    );
  },
  (was, now) =>
    was.name === now.name &&
    was.cell === now.cell &&
    was.level === now.level &&
    was.isUnsent === now.isUnsent &&
    was.about === now.about,
);
