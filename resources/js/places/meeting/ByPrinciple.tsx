import { useTranslation } from '../../messages';
import type { MeetingPage, Principle, Student } from '../../api/client';
import { type Keeping, strokeOf } from '../../pictures/keeping';
import { KeepingGlyph } from '../../pictures/KeepingGlyph';
import { useKeepingWords } from '../../pictures/useKeepingWords';
import { useKeepingLadder } from './ladders';
import { LevelRows } from './LevelRows';
import { useSubjectMarks } from './useSubjectMarks';

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
  const marks = useSubjectMarks<Keeping>(page, unsent, students, {
    // In general and as seen in an entry are of one track.
    isOf: (mark) => mark.principleId === principle.id,
    fields: { entryId: entry, principleId: principle.id, stepId: null },
    said: (level, of) => {
      const words = { keeping: t(`keeping.${level}`), title: principle.title };
      return of.length === 1
        ? t('principles.marked', { name: of[0]?.name ?? '', ...words })
        : t('principles.markedMany', { count: of.length, ...words });
    },
  });
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
        marks={marks}
      />
      <p className="mt-3 text-sm text-soft">{t('principles.markHint')}</p>
    </>
  );
}
