import { type ReactNode } from 'react';
import { useTranslation } from '../messages';
import { withoutClass } from './withoutClass';
import { Link } from '../kit/router';
import type { Closure, Tick as Season } from '../api/client';
import { day } from '../kit/format';
import { kindWords, meetingKind } from './meetingKind';
import { tip } from '../kit/tip';

interface Props {
  meetings: Season[];
  closures: Closure[];
  current?: string;
  /** Whose, where a page shows several. */
  group?: string;
  /** The day of a showing, which is flagged. */
  showing?: string | null;
  /** Stands around each tick, where lessons are carried along the line. */
  around?: ((meeting: Season, tick: ReactNode) => ReactNode) | undefined;
}

type Tick = { kind: 'meeting'; on: string; meeting: Season } | { kind: 'closed'; on: string };

/** On a phone the line is longer than the screen: it opens at the meeting that matters. */
function showTick(tick: HTMLElement | null): void {
  const line = tick?.closest('nav');
  if (tick && line) line.scrollLeft = tick.offsetLeft - line.clientWidth / 2;
}

/** A thin line along the top of everything inside a term: a tick for each meeting, hatched where there is no class. */
export function SeasonLine({ meetings, closures, current, group, showing = null, around = (_, tick) => tick }: Props) {
  const { t } = useTranslation();
  const ticks: Tick[] = [
    ...meetings.map((meeting): Tick => ({ kind: 'meeting', on: meeting.on, meeting })),
    ...withoutClass(closures, meetings).map((closure): Tick => ({ kind: 'closed', on: closure.from })),
  ].sort((a, b) => a.on.localeCompare(b.on));
  return (
    <nav
      aria-label={group === undefined ? t('season.label') : t('season.labelOf', { group })}
      className="no-print mb-5 relative overflow-x-auto border-b border-line"
    >
      <ol className="m-0 flex min-w-max list-none p-0">
        {ticks.map((tick) =>
          tick.kind === 'closed' ? (
            <li
              key={`closed${tick.on}`}
              className="relative flex min-w-12 grow flex-col items-center justify-end pb-1 text-xs text-soft"
            >
              <svg width="26" height="12" aria-hidden="true">
                <path d="M2 11 10 1M9 11 17 1M16 11 24 1" stroke="var(--soft)" strokeWidth="1.5" />
              </svg>
              <span>{t('season.noClass')}</span>
            </li>
          ) : (
            <li key={tick.meeting.id} className="grow">
              {around(
                tick.meeting,
                <Link
                  ref={tick.meeting.id === current || (current === undefined && tick.meeting.isToday) ? showTick : undefined}
                  to={`/meetings/${tick.meeting.id}`}
                  aria-current={tick.meeting.id === current ? 'page' : undefined}
                  {...tip(
                    t('season.tick', {
                      date: day(tick.on, 'weekday'),
                      kind: kindWords(t, meetingKind(tick.meeting), tick.meeting.lessonNumbers),
                    }),
                  )}
                  className={`flex min-h-11 min-w-12 flex-col items-center justify-end gap-1 border-b-4 px-1 pb-1 text-xs whitespace-nowrap no-underline ${
                    tick.meeting.id === current
                      ? 'border-pine font-bold text-ink'
                      : 'border-transparent text-soft hover:border-line'
                  } ${tick.meeting.isToday ? 'bg-straw-soft text-ink' : ''}`}
                >
                  <svg width="14" height="14" aria-hidden="true" className="pointer-fine:group-data-lessons/tick:invisible">
                    {tick.meeting.state === 'cancelled' ? (
                      <path d="M3 3 11 11M11 3 3 11" stroke="var(--soft)" strokeWidth="1.5" />
                    ) : tick.meeting.isHeld ? (
                      <rect x="4" y="0" width="6" height="14" fill="var(--pine)" />
                    ) : tick.meeting.isPast ? (
                      <path d="M7 0V5M7 9V14" stroke="var(--persimmon)" strokeWidth="2" />
                    ) : (
                      <rect x="4.75" y="0.75" width="4.5" height="12.5" fill="none" stroke="var(--pine)" strokeWidth="1.5" />
                    )}
                  </svg>
                  <span>
                    {day(tick.on)}
                    {tick.on === showing ? <span {...tip(t('season.showing'))}> ⚑</span> : null}
                  </span>
                </Link>,
              )}
            </li>
          ),
        )}
      </ol>
    </nav>
  );
}
