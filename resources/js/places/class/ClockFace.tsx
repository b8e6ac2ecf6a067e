import { useTranslation } from '../../messages';
import type { MeetingPage } from '../../api/client';
import { clock, laterWall, wall } from '../../kit/format';
import { type BoxName, BOXES } from '../../pictures/Timeline';
import { OutboxLine } from '../outbox/OutboxLine';
import { type ClassClock, type Cost, givesLast } from './clock';
import { after, left, lostBy, type Run } from './run';
import { tip } from '../../kit/tip';

/** Minutes and seconds of a countdown; over its time it counts up. */
export function countdown(seconds: number): string {
  const of = Math.abs(seconds);
  return `${seconds < 0 ? '+' : ''}${String(Math.floor(of / 60))}:${String(of % 60).padStart(2, '0')}`;
}

export const whole = (seconds: number): number => Math.round(seconds / 60);
const endOf = (page: MeetingPage): string => clock(laterWall(wall(page.meeting.startsAt), page.meeting.minutes));

interface Props {
  page: MeetingPage;
  run: Run;
  clock: ClassClock;
  /** Now, milliseconds since 1970. */
  instant: number;
}

/** The box that runs with its time, the one that comes, and what the clock has cost. */
export function ClockFace({ page, run, clock, instant }: Props) {
  const { t } = useTranslation();
  const remaining = left(run, instant);
  const nextBox = after(run, clock);
  return (
    <>
      <header className="flex items-center justify-between gap-x-4 px-3 pt-2 sm:px-6">
        <div className="min-w-0">
          <p
            className="truncate font-serif text-[clamp(1.3rem,4.4vmin,2.4rem)] leading-tight font-semibold"
            aria-live="polite"
            data-testid="box"
          >
            {t(`boxes.${run.box}`)}
          </p>
          <p className="truncate text-[clamp(0.95rem,2.6vmin,1.4rem)] text-soft">
            {nextBox === null
              ? t('class.lastBox', { at: endOf(page) })
              : t('class.thenBox', { box: t(`boxes.${nextBox}`), minutes: whole(clock.seconds[nextBox] ?? 0) })}
          </p>
        </div>
        <p
          role="timer"
          aria-label={t('class.left')}
          className={`shrink-0 font-semibold tabular-nums ${remaining < 0 ? 'text-persimmon' : ''} text-[clamp(3.2rem,15vmin,8.5rem)] leading-none`}
        >
          {countdown(remaining)}
        </p>
      </header>
      <div className="px-3 sm:px-6">
        <Boxes clock={clock} box={run.box} remaining={remaining} />
        <Costs lost={lostBy(run, clock)} over={clock.over} isOverTime={remaining < 0} />
        <OutboxLine />
      </div>
    </>
  );
}

/** The boxes as long as they are now, the one that runs filling up. */
function Boxes({ clock, box, remaining }: { clock: ClassClock; box: BoxName; remaining: number }) {
  const { t } = useTranslation();
  return (
    <ol className="m-0 flex h-7 w-full list-none gap-[2px] p-0" aria-label={t('boxes.timeline')}>
      {BOXES.filter((one) => (clock.seconds[one] ?? 0) > 0).map((one) => {
        const seconds = clock.seconds[one] ?? 0;
        const isPast = BOXES.indexOf(one) < BOXES.indexOf(box);
        const done = one === box ? Math.max(0, 1 - Math.max(0, remaining) / seconds) : isPast ? 1 : 0;
        return (
          <li
            key={one}
            style={{ flexGrow: seconds, flexBasis: 0 }}
            aria-current={one === box ? 'step' : undefined}
            {...tip(`${t(`boxes.${one}`)} ${String(whole(seconds))}`)}
            className={`relative min-w-0 overflow-hidden border text-xs leading-7 ${one === box ? 'border-2 border-pine font-semibold' : 'border-line'}`}
          >
            <span
              aria-hidden="true"
              className="absolute inset-y-0 left-0 bg-river2"
              style={{ width: `${String(100 * done)}%` }}
            />
            <span className="relative px-1 whitespace-nowrap">{seconds >= 180 ? whole(seconds) : ''}</span>
          </li>
        );
      })}
    </ol>
  );
}

/** What the clock has cost so far; what gives last is said apart. */
export function Costs({ lost, over, isOverTime }: { lost: Cost[]; over: number; isOverTime: boolean }) {
  const { t } = useTranslation();
  if (lost.length === 0 && over === 0) return null;
  const fell = (cost: Cost) =>
    t(cost.to < 60 ? 'class.fellAway' : 'class.fell', {
      box: t(`boxes.${cost.box}`),
      to: whole(cost.to),
      from: whole(cost.from),
    });
  const last = lost.filter((cost) => givesLast(cost.box));
  return (
    <p role={isOverTime ? undefined : 'status'} className="mt-1 text-[clamp(0.95rem,2.6vmin,1.4rem)] leading-tight">
      {lost
        .filter((cost) => !givesLast(cost.box))
        .map(fell)
        .join(' · ')}
      {last.length > 0 ? <strong className="block font-semibold text-persimmon">{last.map(fell).join(' · ')}</strong> : null}
      {over > 0 ? (
        <strong className="block font-semibold text-persimmon">{t('class.over', { minutes: Math.ceil(over / 60) })}</strong>
      ) : null}
    </p>
  );
}
