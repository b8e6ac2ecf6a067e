import { useState } from 'react';
import { useTranslation } from '../../messages';
import type { Passage, Student } from '../../api/client';
import { Button, Choice } from '../../kit/controls';
import { LADDER, type Support } from '../../pictures/reed';
import { ReedGlyph } from '../../pictures/ReedGlyph';
import { useSupportLadder } from './ladders';
import { LevelButtons } from './LevelButtons';
import type { MarkedSide, Marks } from './useMarks';

interface Props {
  students: Student[];
  passage: Passage;
  side: MarkedSide;
  marks: Marks;
}

/** A level, and then everyone it fits. */
export function Sweep({ students, passage, side, marks }: Props) {
  const { t } = useTranslation();
  const ladder = useSupportLadder();
  const [level, setLevel] = useState<Support>('Cued');
  const open = students.filter((student) => !marks.isMarked(student.id, passage, side));
  return (
    <>
      <div className="my-2">
        <LevelButtons ladder={ladder} label={t('meeting.sweepLevel')} level={level} onLevel={setLevel} />
      </div>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <Button
          disabled={open.length === 0}
          onClick={() => {
            marks.markRest(students, passage, side, level);
          }}
        >
          {open.length === 0
            ? t('meeting.allMarked')
            : t('meeting.sweepAll', { support: t(`support.${level}`), count: open.length })}
        </Button>
        <span className="text-sm text-soft">{t('meeting.sweepHint', { support: t(`support.${level}`) })}</span>
      </div>
      <ul className="m-0 grid list-none grid-cols-2 gap-1 p-0 sm:grid-cols-3 lg:grid-cols-4">
        {students.map((student) => {
          const given = marks.levelOf(student.id, passage, side);
          const at = given === null ? 0 : LADDER.indexOf(given as Support);
          const isOn = given === level;
          return (
            <li key={student.id} className="row-of-many">
              <Choice
                isOn={isOn}
                aria-pressed={isOn}
                onClick={() => {
                  if (isOn) marks.takeBack(student, passage, side);
                  else marks.mark([student], passage, side, level);
                }}
                className="flex min-h-14 w-full items-center gap-3"
              >
                <ReedGlyph reed={{ segments: at, sureness: at === 0 ? 'none' : 'solid' }} size={26} />
                <span className="min-w-0 grow leading-tight break-words">
                  {student.name}
                  {given === null ? null : <span className="block text-xs text-soft">{t(`support.${given as Support}`)}</span>}
                </span>
                {marks.isUnsent(student.id, passage, side) ? (
                  <span role="img" aria-label={t('outbox.waits')} className="size-2 rounded-full border border-persimmon" />
                ) : null}
              </Choice>
            </li>
          );
        })}
      </ul>
    </>
  );
}
