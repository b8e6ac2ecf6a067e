import { Box } from '../api/enums';
import { useTranslation } from '../messages';
import type { Meeting } from '../api/client';
import { clock, laterWall, wall } from '../kit/format';

export const BOXES = Box;
export type BoxName = Box;

const fills: Record<BoxName, string> = {
  settle: 'var(--line)',
  warm_up: 'var(--line)',
  focus: 'var(--straw)',
  review: 'var(--river2)',
  new: 'var(--pine)',
  run_through: 'var(--river3)',
  free: 'var(--line)',
  close: 'var(--line)',
};

/** The boxes of a meeting with the minute each starts, those of no minutes left out. */
export function boxesOf(meeting: Meeting): { name: BoxName; minutes: number; at: string }[] {
  let spent = 0;
  return BOXES.map((name) => {
    const minutes = meeting.boxes[name] ?? 0;
    const at = clock(laterWall(wall(meeting.startsAt), spent));
    spent += minutes;
    return { name, minutes, at };
  }).filter((box) => box.minutes > 0);
}

/** A meeting drawn to the minute. */
export function Timeline({ meeting }: { meeting: Meeting }) {
  const { t } = useTranslation();
  const boxes = boxesOf(meeting);
  return (
    <div
      className="flex h-7 w-full gap-[2px] overflow-hidden rounded"
      role="img"
      aria-label={`${t('boxes.timeline')}: ${boxes.map((box) => `${t(`boxes.${box.name}`)} ${String(box.minutes)}`).join(', ')}`}
    >
      {boxes.map((box) => (
        <div
          key={box.name}
          style={{ flexGrow: box.minutes, flexBasis: 0, background: fills[box.name] }}
          className={`min-w-0 overflow-hidden px-1 text-xs leading-7 whitespace-nowrap ${box.name === 'new' || box.name === 'run_through' ? 'text-on-pine' : box.name === 'focus' ? 'text-on-straw' : 'text-ink'}`}
        >
          {box.minutes >= 4 ? box.minutes : ''}
        </div>
      ))}
    </div>
  );
}
