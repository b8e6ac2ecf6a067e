import { memo } from 'react';
import { useTranslation } from 'react-i18next';
import type { KeepingCell, MeetingPage, Principle, Student } from '../../api/client';
import { type Keeping, KEEPINGS, strokeOf } from '../../pictures/keeping';
import { KeepingGlyph } from '../../pictures/KeepingGlyph';
import { useKeepingWords } from '../../pictures/useKeepingWords';
import { rowKeys } from './rowKeys';
import { useKeepingMarks } from './useKeepingMarks';

const LEVELS = KEEPINGS.slice(1);

interface Props {
  page: MeetingPage;
  unsent: Set<string>;
  students: Student[];
  principle: Pick<Principle, 'id' | 'title'>;
  /** Row of the entry it is seen in; null in general. */
  entry: string | null;
}

/** How well everyone keeps a principle: one tap a student; or one for everyone who is not marked yet, and then the exceptions. */
export function ByPrinciple({ page, unsent, students, principle, entry }: Props) {
  const { t } = useTranslation();
  const marks = useKeepingMarks(page, unsent, principle, entry);
  const about = `${principle.id}-${entry ?? ''}`;
  const open = students.filter((student) => marks.levelOf(student.id) === null);
  const cellOf = (student: string): KeepingCell | undefined =>
    page.keepings.find((one) => one.student === student)?.keepings.find((cell) => cell.principle === principle.id);

  const onKey = rowKeys({
    students,
    levels: LEVELS,
    mark: (student, level) => {
      marks.mark([student], level);
    },
    takeBack: (student) => {
      marks.takeBack(student);
    },
  });
  return (
    <>
      {students.length > 1 ? (
        <Row
          name={open.length === 0 ? t('meeting.allMarked') : t('meeting.restOf', { count: open.length })}
          cell={null}
          level={null}
          isUnsent={false}
          about={about}
          onLevel={(keeping) => {
            marks.markRest(students, keeping);
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
              cell={cellOf(student.id)}
              level={marks.levelOf(student.id)}
              isUnsent={marks.isUnsent(student.id)}
              about={about}
              onLevel={(keeping) => {
                marks.mark([student], keeping);
              }}
            />
          </li>
        ))}
      </ul>
      <p className="mt-3 text-sm text-soft">{t('principles.markHint')}</p>
    </>
  );
}

interface RowProps {
  name: string;
  /** How they stand; null for a row that is about several. */
  cell: KeepingCell | undefined | null;
  level: string | null;
  isUnsent: boolean;
  /** What is marked, as a text: while it stays, so does what a touch does. */
  about: string;
  onLevel: (keeping: Keeping) => void;
}

// One tap changes one row: the others are not drawn again.
const Row = memo(
  function Row({ name, cell, level, isUnsent, onLevel }: RowProps) {
    const { t } = useTranslation();
    const words = useKeepingWords();
    return (
      <div className="grid items-center gap-x-2 border-b border-line pb-0.5 sm:grid-cols-[11rem_1fr] sm:pb-0 lg:grid-cols-[14rem_1fr]">
        <div className="flex min-h-7 min-w-0 items-center gap-2 leading-tight lg:text-lg">
          {cell === null ? null : <KeepingGlyph stroke={strokeOf(cell)} label={`${t('meeting.stands')}: ${words(cell)}`} />}
          <span className="min-w-0 break-words">{name}</span>
        </div>
        <div className="grid grid-cols-4 gap-1" role="group" aria-label={name}>
          {LEVELS.map((keeping, at) => {
            const isOn = level === keeping;
            return (
              <button
                key={keeping}
                type="button"
                aria-pressed={isOn}
                aria-keyshortcuts={String(at + 1)}
                title={`${t(`keepingSeen.${keeping}`)}${isOn && isUnsent ? ` (${t('outbox.waits')})` : ''}`}
                onClick={() => {
                  onLevel(keeping);
                }}
                className={`relative flex min-h-14 min-w-0 flex-col items-center justify-center gap-1 rounded border px-0.5 text-[0.75rem] leading-tight lg:flex-row lg:gap-2 lg:px-1 lg:text-[0.95rem] ${
                  isOn ? 'border-pine bg-straw-soft font-semibold' : 'border-line bg-sheet'
                }`}
              >
                <KeepingGlyph stroke={{ ticks: at + 1, sureness: isOn ? 'solid' : 'outlined' }} />
                <span className="max-w-full break-words">{t(`keeping.${keeping}`)}</span>
                {isOn && isUnsent ? (
                  <span
                    aria-hidden="true"
                    data-unsent
                    className="absolute top-1 right-1 size-2 rounded-full border border-persimmon"
                  />
                ) : null}
              </button>
            );
          })}
        </div>
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
