import { memo } from 'react';
import { useTranslation } from 'react-i18next';
import type { Cell, Passage, Student } from '../../api/client';
import { reedOf, type Support } from '../../pictures/reed';
import { ReedGlyph } from '../../pictures/ReedGlyph';
import { useReedWords } from '../../pictures/useReedWords';
import { LevelButtons, LEVELS } from './LevelButtons';
import { rowKeys } from './rowKeys';
import type { MarkedSide, Marks } from './useMarks';

interface Props {
  students: Student[];
  passage: Passage;
  side: MarkedSide;
  marks: Marks;
}

/** One tap a student; or one for everyone who is not marked yet, and then the exceptions. */
export function ByPassage({ students, passage, side, marks }: Props) {
  const { t } = useTranslation();
  const about = `${String(passage.from)}-${String(passage.to)}-${side ?? ''}`;
  const open = students.filter((student) => !marks.isMarked(student.id, passage, side));

  const onKey = rowKeys({
    students,
    levels: LEVELS,
    mark: (student, level) => {
      marks.mark([student], passage, side, level);
    },
    takeBack: (student) => {
      marks.takeBack(student, passage, side);
    },
  });
  return (
    <>
      {students.length > 1 ? (
        <Row
          name={open.length === 0 ? t('meeting.allMarked') : t('meeting.restOf', { count: open.length })}
          glyph={null}
          level={null}
          isUnsent={false}
          about={about}
          onLevel={(support) => {
            marks.markRest(students, passage, side, support);
          }}
        />
      ) : null}
      {/* The keys bubble up from the buttons inside; the list itself is not operated. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions */}
      <ul className="m-0 list-none border-t border-line p-0" onKeyDown={onKey}>
        {students.map((student) => (
          <li key={student.id} data-student={student.id} className="row-of-many">
            <Row
              name={student.name}
              glyph={weakestIn(student, passage)}
              level={marks.levelOf(student.id, passage, side)}
              isUnsent={marks.isUnsent(student.id, passage, side)}
              about={about}
              onLevel={(support) => {
                marks.mark([student], passage, side, support);
              }}
            />
          </li>
        ))}
      </ul>
      <p className="mt-3 text-sm text-soft">
        {t('meeting.markHint')} {t('meeting.absentShown')}
      </p>
    </>
  );
}

interface RowProps {
  name: string;
  /** The weakest entry, undefined where nothing is known of it; null for a row that is about several. */
  glyph: Cell | undefined | null;
  level: string | null;
  isUnsent: boolean;
  /** The passage and side, as a text: while it stays, so does what a touch does. */
  about: string;
  onLevel: (support: Support) => void;
}

// One tap changes one row: the others are not drawn again.
const Row = memo(
  function Row({ name, glyph, level, isUnsent, onLevel }: RowProps) {
    const { t } = useTranslation();
    const words = useReedWords();
    return (
      <div className="grid items-center gap-x-2 border-b border-line pb-0.5 sm:grid-cols-[9rem_1fr] sm:pb-0 lg:grid-cols-[12rem_1fr]">
        <div className="flex min-h-7 min-w-0 items-center gap-2 leading-tight lg:text-lg">
          {glyph === null ? null : <ReedGlyph reed={reedOf(glyph)} size={26} label={`${t('meeting.stands')}: ${words(glyph)}`} />}
          <span className="min-w-0 break-words">{name}</span>
        </div>
        <LevelButtons label={name} level={level} isUnsent={isUnsent} onLevel={onLevel} />
      </div>
    );
  },
  (was, now) =>
    was.name === now.name &&
    was.glyph === now.glyph &&
    was.level === now.level &&
    was.isUnsent === now.isUnsent &&
    was.about === now.about,
);

/** The entry of a passage a student stands worst in: unmet first, then by support, then by recall. */
function weakestIn(student: Student, passage: Passage): Cell | undefined {
  const cells = new Map(student.cells.map((cell) => [cell.position, cell]));
  let weakest: Cell | undefined;
  for (let at = passage.from; at <= passage.to; at++) {
    const cell = cells.get(at);
    if (!cell?.isMet) return undefined;
    const rank = (one: Cell) => reedOf(one).segments + (one.recall ?? 0);
    if (!weakest || rank(cell) < rank(weakest)) weakest = cell;
  }
  return weakest;
}
