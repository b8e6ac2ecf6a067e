import { useTranslation } from '../../messages';
import type { Cell, Passage, Student } from '../../api/client';
import { reedOf } from '../../pictures/reed';
import { ReedGlyph } from '../../pictures/ReedGlyph';
import { useReedWords } from '../../pictures/useReedWords';
import { useSupportLadder } from './ladders';
import { LevelRows } from './LevelRows';
import type { MarkedSide, Marks } from './useMarks';

interface Props {
  students: Student[];
  passage: Passage;
  side: MarkedSide;
  marks: Marks;
}

/** What everyone needed on a passage. */
export function ByPassage({ students, passage, side, marks }: Props) {
  const { t } = useTranslation();
  const ladder = useSupportLadder();
  const words = useReedWords();
  return (
    <>
      <LevelRows
        students={students}
        ladder={ladder}
        about={`${String(passage.from)}-${String(passage.to)}-${side ?? ''}`}
        cellOf={(student) => weakestIn(student, passage)}
        draw={(cell) => <ReedGlyph reed={reedOf(cell)} size={26} label={`${t('meeting.stands')}: ${words(cell)}`} />}
        marks={{
          isMarked: ({ id }) => marks.isMarked(id, passage, side),
          levelOf: ({ id }) => marks.levelOf(id, passage, side),
          isUnsent: ({ id }) => marks.isUnsent(id, passage, side),
          mark: (student, level) => {
            marks.mark([student], passage, side, level);
          },
          markRest: (level) => {
            marks.markRest(students, passage, side, level);
          },
          takeBack: (student) => {
            marks.takeBack(student, passage, side);
          },
        }}
      />
      <p className="mt-3 text-sm text-soft">
        {t('meeting.markHint')} {t('meeting.absentShown')}
      </p>
    </>
  );
}

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
