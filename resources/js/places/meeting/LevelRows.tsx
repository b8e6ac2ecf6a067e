import { memo, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
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
  const choose = (onLevel: (level: L) => void) => (level: string) => {
    onLevel(level as L); // a row hands back a level of the ladder it was given
  };
  return (
    <>
      {students.length > 1 ? (
        <Row
          name={open === 0 ? t('meeting.allMarked') : t('meeting.restOf', { count: open })}
          cell={null}
          draw={NOTHING}
          ladder={ladder}
          level={null}
          isUnsent={false}
          about={about}
          onLevel={choose(marks.markRest)}
        />
      ) : null}
      {/* The keys bubble up from the buttons inside; the list itself is not operated. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <ul className="m-0 list-none border-t border-line p-0" onKeyDown={onKey}>
        {students.map((student) => {
          const cell = cellOf(student);
          return (
            <li key={student.id} data-student={student.id} className="row-of-many">
              <Row
                name={student.name}
                cell={cell}
                draw={() => draw(cell)}
                ladder={ladder}
                level={marks.levelOf(student)}
                isUnsent={marks.isUnsent(student)}
                about={about}
                onLevel={choose((level) => {
                  marks.mark(student, level);
                })}
              />
            </li>
          );
        })}
      </ul>
    </>
  );
}

const NOTHING = () => null;

interface RowProps {
  name: string;
  /** How they stand; null for a row that is about several. */
  cell: unknown;
  draw: () => ReactNode;
  ladder: Ladder<string>;
  level: string | null;
  isUnsent: boolean;
  about: string;
  onLevel: (level: string) => void;
}

// One tap changes one row: the others are not drawn again.
const Row = memo(
  function Row({ name, draw, ladder, level, isUnsent, onLevel }: RowProps) {
    return (
      <div className="grid items-center gap-x-2 border-b border-line pb-0.5 sm:grid-cols-[9rem_1fr] sm:pb-0 lg:grid-cols-[12rem_1fr]">
        <div className="flex min-h-7 min-w-0 items-center gap-2 leading-tight lg:text-lg">
          {draw()}
          <span className="min-w-0 break-words">{name}</span>
        </div>
        <LevelButtons ladder={ladder} label={name} level={level} isUnsent={isUnsent} onLevel={onLevel} />
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
