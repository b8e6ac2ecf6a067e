import { useState } from 'react';
import { useTranslation } from '../../messages';
import type { Form, Student } from '../../api/client';
import { entryName } from '../../kit/entryName';
import { Select } from '../../kit/Select';
import type { CellState } from '../../pictures/Ribbon';
import { useSupportLadder } from './ladders';
import { LevelButtons } from './LevelButtons';
import type { MarkedSide, Marks } from './useMarks';

interface Props {
  form: Form;
  students: Student[];
  marks: Marks;
  state: (position: number) => CellState;
}

/** One student, and every entry the group was given; sides apart where there are sides. */
export function ByStudent({ form, students, marks, state }: Props) {
  const { t } = useTranslation();
  const ladder = useSupportLadder();
  const [wanted, setWanted] = useState(students[0]?.id ?? '');
  const student = students.find((one) => one.id === wanted) ?? students[0];
  if (student === undefined) return <p className="mt-4 text-soft">{t('meeting.nobodyHere')}</p>;
  const entries = form.entries.filter((entry) => entry.kind !== 'extra' && state(entry.position) !== 'plain');
  const sides = (has: boolean): MarkedSide[] => (has ? ['left', 'right'] : [null]);
  return (
    <>
      <div className="my-3 max-w-sm">
        <Select
          label={t('meeting.student')}
          value={student.id}
          onValue={setWanted}
          of={students.map((one) => ({ value: one.id, text: one.name }))}
        />
      </div>
      <ul className="m-0 list-none border-t border-line p-0">
        {entries.toReversed().flatMap((entry) =>
          sides(entry.hasSides).map((side) => {
            const passage = { from: entry.position, to: entry.position };
            const name = side === null ? entryName(entry) : `${entryName(entry)}, ${t(`meeting.${side}`)}`;
            return (
              <li
                key={`${entry.id}${side ?? ''}`}
                className="row-of-many grid items-center gap-x-2 border-b border-line pb-0.5 sm:grid-cols-[11rem_1fr] sm:pb-0 lg:grid-cols-[16rem_1fr]"
              >
                <span className="min-w-0 leading-tight break-words">{name}</span>
                <LevelButtons
                  ladder={ladder}
                  label={name}
                  level={marks.levelOf(student.id, passage, side)}
                  isUnsent={marks.isUnsent(student.id, passage, side)}
                  onLevel={(support) => {
                    marks.mark([student], passage, side, support);
                  }}
                />
              </li>
            );
          }),
        )}
      </ul>
    </>
  );
}
