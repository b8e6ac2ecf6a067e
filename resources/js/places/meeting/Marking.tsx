import { ToggleGroup } from 'radix-ui';
import { type KeyboardEvent, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { Cell, Form, MeetingPage, Passage, Student } from '../../api/client';
import { flush } from '../../api/outbox';
import { Button } from '../../kit/controls';
import { LADDER, reedOf } from '../../pictures/reed';
import { ReedGlyph } from '../../pictures/ReedGlyph';
import { Ribbon } from '../../pictures/Ribbon';
import { useReedWords } from '../../pictures/useReedWords';
import { usePassageWords } from './PlanList';
import { stateIn } from './stateIn';
import type { MarkedSide, Marks } from './useMarks';
import type { Presence } from './usePresence';

const LEVELS = LADDER.slice(1);
const chip =
  'min-h-14 rounded border border-line bg-sheet px-4 text-left data-[state=on]:border-pine data-[state=on]:bg-pine data-[state=on]:text-on-pine';

interface Offered {
  key: string;
  label: string;
  passage: Passage;
}

/** Marking: a passage, then one tap a student. */
interface Props {
  page: MeetingPage;
  form: Form;
  presence: Presence;
  marks: Marks;
}

export function Marking({ page, form, presence, marks }: Props) {
  const { t } = useTranslation();
  const { meeting, students } = page;
  const words = usePassageWords(form);
  const offered: Offered[] = [
    ...(meeting.lesson ? [{ key: 'lesson', label: t('meeting.tonightLesson'), passage: meeting.lesson }] : []),
    ...(meeting.recap ? [{ key: 'recap', label: t('meeting.recap'), passage: meeting.recap }] : []),
    ...meeting.review.map((item) => ({ key: `review${String(item.from)}`, label: t('meeting.review'), passage: item })),
  ];
  const [chosen, setChosen] = useState<Passage | null>(offered[0]?.passage ?? null);
  const [wanted, setSide] = useState<MarkedSide>(null);
  // A side can be marked only where all of the passage is done on both.
  const hasSides =
    chosen !== null && form.entries.slice(chosen.from - 1, chosen.to).every((entry) => entry.hasSides || entry.kind === 'extra');
  const side = hasSides ? wanted : null;
  const here = students.filter((student) => presence.isHere(student.id));
  const state = stateIn(meeting, page.taught);

  /** The first click on the ribbon starts a stretch, a second one after it ends it. */
  function choose(position: number) {
    if (state(position) === 'plain') return;
    setChosen((before) =>
      before && before.from === before.to && position > before.from
        ? { from: before.from, to: position }
        : { from: position, to: position },
    );
  }

  if (chosen === null && !form.entries.some((entry) => state(entry.position) !== 'plain')) {
    return <p className="text-soft">{t('meeting.nothingToMark')}</p>;
  }
  const key = offered.find((one) => one.passage.from === chosen?.from && one.passage.to === chosen.to)?.key ?? '';
  return (
    <>
      {marks.waiting > 0 ? (
        <div role="status" className="mb-3 flex flex-wrap items-center gap-3 border-l-4 border-straw bg-straw-soft px-4 py-2">
          {t('meeting.waiting', { count: marks.waiting })}
          <Button onClick={() => void flush()}>{t('meeting.sendNow')}</Button>
        </div>
      ) : null}
      <ToggleGroup.Root
        type="single"
        value={key}
        aria-label={t('meeting.passage')}
        className="flex flex-wrap gap-2"
        onValueChange={(value) => {
          const found = offered.find((one) => one.key === value);
          if (found) setChosen({ from: found.passage.from, to: found.passage.to });
        }}
      >
        {offered.map((one) => (
          <ToggleGroup.Item key={one.key} value={one.key} className={chip}>
            <span className="block text-sm opacity-85">{one.label}</span>
            <strong className="font-medium">{words.numbers(one.passage)}</strong>
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      <div className="mt-3">
        <Ribbon form={form} state={state} selected={chosen} onSelect={choose} arcs={false} />
        <p className="text-sm text-soft">{t('meeting.choose')}</p>
      </div>
      {chosen ? (
        <>
          <div className="mt-5 flex flex-wrap items-center justify-between gap-3">
            <h2 className="text-xl">
              {words.numbers(chosen)} <span className="font-normal">{words.titles(chosen)}</span>
            </h2>
            {hasSides ? (
              <ToggleGroup.Root
                type="single"
                value={side ?? 'whole'}
                aria-label={t('meeting.side')}
                className="flex"
                onValueChange={(value) => {
                  if (value) setSide(value === 'left' || value === 'right' ? value : null);
                }}
              >
                {(['left', 'whole', 'right'] as const).map((value) => (
                  <ToggleGroup.Item
                    key={value}
                    value={value}
                    className="min-h-11 border-b-2 border-transparent px-4 text-soft data-[state=on]:border-pine data-[state=on]:font-medium data-[state=on]:text-ink"
                  >
                    {t(value === 'whole' ? 'meeting.bothSides' : `meeting.${value}`)}
                  </ToggleGroup.Item>
                ))}
              </ToggleGroup.Root>
            ) : null}
          </div>
          <Roster students={here} passage={chosen} side={side} marks={marks} />
          <p className="mt-3 text-sm text-soft">
            {t('meeting.markHint')} {t('meeting.absentShown')}
          </p>
        </>
      ) : null}
    </>
  );
}

interface RosterProps {
  students: Student[];
  passage: Passage;
  side: MarkedSide;
  marks: Marks;
}

function Roster({ students, passage, side, marks }: RosterProps) {
  const { t } = useTranslation();
  const words = useReedWords();

  function onKey(event: KeyboardEvent<HTMLUListElement>) {
    const row = (event.target as HTMLElement).closest<HTMLElement>('[data-student]');
    const student = students.find((one) => one.id === row?.dataset.student);
    if (!row || !student || event.ctrlKey || event.metaKey || event.altKey) return;
    const level = LEVELS[Number(event.key) - 1];
    if (level) marks.mark(student, passage, side, level);
    else if (event.key === '0' || event.key.toLowerCase() === 'z') marks.takeBack(student, passage, side);
    else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      const next = event.key === 'ArrowDown' ? row.nextElementSibling : row.previousElementSibling;
      const column = [...row.querySelectorAll('button')].indexOf(event.target as HTMLButtonElement);
      next?.querySelectorAll('button')[Math.max(column, 0)]?.focus();
    } else return;
    event.preventDefault();
  }
  return (
    // The keys bubble up from the buttons inside; the list itself is not operated.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <ul className="m-0 mt-2 list-none border-t border-line p-0" onKeyDown={onKey}>
      {students.map((student) => {
        const weakest = weakestIn(student, passage);
        const level = marks.levelOf(student.id, passage, side);
        return (
          <li
            key={student.id}
            data-student={student.id}
            className="grid items-center gap-x-4 border-b border-line py-1 sm:grid-cols-[10rem_1fr]"
          >
            <div className="flex min-h-9 items-center gap-3 text-lg">
              <ReedGlyph reed={reedOf(weakest)} size={30} label={`${t('meeting.stands')}: ${words(weakest)}`} />
              {student.name}
            </div>
            <div className="grid grid-cols-5 gap-1" role="group" aria-label={student.name}>
              {LEVELS.map((support, at) => (
                <button
                  key={support}
                  type="button"
                  aria-pressed={level === support}
                  aria-keyshortcuts={String(at + 1)}
                  title={t(`supportSeen.${support}`)}
                  onClick={() => {
                    marks.mark(student, passage, side, support);
                  }}
                  className={`flex min-h-14 flex-col items-center justify-center gap-0.5 rounded border px-1 text-xs sm:flex-row sm:gap-2 sm:text-[0.95rem] ${
                    level === support ? 'border-pine bg-straw-soft font-semibold' : 'border-line bg-sheet'
                  }`}
                >
                  <ReedGlyph reed={{ segments: at + 1, sureness: level === support ? 'solid' : 'outlined' }} size={26} />
                  {t(`support.${support}`)}
                </button>
              ))}
            </div>
          </li>
        );
      })}
    </ul>
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
