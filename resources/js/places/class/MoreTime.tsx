import { now } from '../../api/clock';
import { useTranslation } from '../../messages';
import { Button } from '../../kit/controls';
import { Tile } from '../../kit/touch';
import { whole } from './ClockFace';
import { type ClassClock, costs } from './clock';
import { back, type Run, stretch } from './run';

/** More time for what runs, with what it costs before it is given. */
export function MoreTime({
  run,
  clock,
  instant,
  change,
}: {
  run: Run;
  clock: ClassClock;
  instant: number;
  change: (of: (run: Run | null) => Run | null) => void;
}) {
  const { t } = useTranslation();
  return (
    <div className="flex flex-col gap-2">
      <p className="text-lg">{t('class.timeHint', { box: t(`boxes.${run.box}`) })}</p>
      {[1, 2, 5, 10].map((minutes) => {
        const then = stretch(run, 60 * minutes, instant);
        const lost = costs(then.clock, clock);
        return (
          <Tile
            key={minutes}
            className="text-lg"
            onClick={() => {
              change((was) => was && stretch(was, 60 * minutes, now()));
            }}
          >
            <strong>{t('class.more', { count: minutes })}</strong>
            <span className="block text-base text-soft">
              {lost.map((cost) => t('class.falls', { box: t(`boxes.${cost.box}`), to: whole(cost.to) })).join(' · ')}
              {then.clock.over > clock.over ? ` ${t('class.overBy', { minutes: Math.ceil(then.clock.over / 60) })}` : ''}
            </span>
          </Tile>
        );
      })}
      <Button
        disabled={run.before === null}
        onClick={() => {
          change((was) => was && back(was));
        }}
      >
        {t('class.undo')}
      </Button>
    </div>
  );
}
