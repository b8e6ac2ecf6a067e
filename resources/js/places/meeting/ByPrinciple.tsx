import { useTranslation } from 'react-i18next';
import type { MeetingPage, Principle, Student } from '../../api/client';
import { strokeOf } from '../../pictures/keeping';
import { KeepingGlyph } from '../../pictures/KeepingGlyph';
import { useKeepingWords } from '../../pictures/useKeepingWords';
import { useKeepingLadder } from './ladders';
import { LevelRows } from './LevelRows';
import { useKeepingMarks } from './useKeepingMarks';

interface Props {
  page: MeetingPage;
  unsent: Set<string>;
  students: Student[];
  principle: Pick<Principle, 'id' | 'title'>;
  /** Row of the entry it is seen in; null in general. */
  entry: string | null;
}

/** How well everyone keeps a principle. */
export function ByPrinciple({ page, unsent, students, principle, entry }: Props) {
  const { t } = useTranslation();
  const marks = useKeepingMarks(page, unsent, principle, entry);
  const ladder = useKeepingLadder();
  const words = useKeepingWords();
  return (
    <>
      <LevelRows
        students={students}
        ladder={ladder}
        about={`${principle.id}-${entry ?? ''}`}
        cellOf={({ id }) =>
          page.keepings.find((one) => one.student === id)?.keepings.find((cell) => cell.principle === principle.id)
        }
        draw={(cell) => <KeepingGlyph stroke={strokeOf(cell)} label={`${t('meeting.stands')}: ${words(cell)}`} />}
        marks={{
          isMarked: ({ id }) => marks.levelOf(id) !== null,
          levelOf: ({ id }) => marks.levelOf(id),
          isUnsent: ({ id }) => marks.isUnsent(id),
          mark: (student, level) => {
            marks.mark([student], level);
          },
          markRest: (level) => {
            marks.markRest(students, level);
          },
          takeBack: marks.takeBack,
        }}
      />
      <p className="mt-3 text-sm text-soft">{t('principles.markHint')}</p>
    </>
  );
}
