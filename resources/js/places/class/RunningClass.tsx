import { Dialog as RadixDialog } from 'radix-ui';
import { type ComponentProps, memo, type ReactNode, useEffect, useEffectEvent, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { ClassPage, Form, MeetingPage } from '../../api/client';
import { useShownMeeting } from '../../api/useOutbox';
import { Button, ButtonLink } from '../../kit/controls';
import { entryCall } from '../../kit/entryName';
import { laterClock } from '../../kit/format';
import { sided } from '../../kit/sided';
import { useNow } from '../../kit/useNow';
import { sentence } from '../../messages/say';
import { type BoxName, BOXES } from '../../pictures/Timeline';
import { Attendance } from '../meeting/Attendance';
import { Marking, type Way } from '../meeting/Marking';
import { usePresence } from '../meeting/usePresence';
import { OutboxLine } from '../outbox/OutboxLine';
import { ring } from './bell';
import { type ClassClock, type Cost, costs, givesLast } from './clock';
import { after, at, back, left, lostBy, next, now as clockNow, type Run, stretch } from './run';
import { cardOf, stepsOf } from './steps';
import { useWake } from './useWake';

interface Props {
  page: MeetingPage;
  form: Form;
  forms: Record<string, Form>;
  tonight: ClassPage | null;
  run: Run;
  change: (of: (run: Run | null) => Run | null) => void;
}

type Open = 'here' | 'mark' | 'stop' | 'time' | 'more' | null;
type Begin = NonNullable<ComponentProps<typeof Marking>['start']>;
const SOUND = 'gorvan.class.sound';

/** Minutes and seconds of a countdown; over its time it counts up. */
export function countdown(seconds: number): string {
  const of = Math.abs(seconds);
  return `${seconds < 0 ? '+' : ''}${String(Math.floor(of / 60))}:${String(of % 60).padStart(2, '0')}`;
}

/** A class that runs: the clock, the movement now, and what is next, to be read from two metres. */
export function RunningClass({ page, form, forms, tonight, run, change }: Props) {
  const { t } = useTranslation();
  const instant = useNow(500);
  const [open, setOpenPanel] = useState<Open>(null);
  const [begin, setBegin] = useState<Begin | undefined>(undefined);
  const [turned, setTurned] = useState<Record<string, boolean>>({});
  const [hasSound, setSound] = useState(() => localStorage.getItem(SOUND) === 'on');
  const [whom, setWhom] = useState<string | null>(null);
  useWake(run.endedAt === null);

  const steps = stepsOf(page, run.box);
  const step = steps[Math.min(run.step, steps.length - 1)];
  const place = step === undefined ? '' : `${step.courseId}/${String(step.position)}`;
  const isTurned = turned[place] ?? false;
  const card = cardOf(tonight, step, isTurned ? 'same' : 'facing');
  const stepForm = step === undefined ? undefined : (forms[step.courseId] ?? form);
  const entry = step === undefined ? undefined : stepForm?.entries[step.position - 1];
  const following = steps[run.step + 1];
  const followingEntry =
    following === undefined ? undefined : (forms[following.courseId] ?? form).entries[following.position - 1];
  const clock = clockNow(run, instant);
  const remaining = left(run, instant);
  const nextBox = after(run, clock);
  const isOver = run.endedAt !== null;

  /** Opens something beside the class; marking begins with what is gone through now. */
  const setOpen = (what: Open) => {
    setOpenPanel(what);
    setBegin({ courseId: step?.courseId ?? page.courseId, passage: step?.passage ?? null, way: wayOf(what) });
  };

  const goOn = () => {
    if (run.step < steps.length - 1) change((was) => was && at(was, was.step + 1));
    else change((was) => was && next(was, Date.now()));
  };
  const goBack = () => {
    if (run.step > 0) change((was) => was && at(was, was.step - 1));
    else change((was) => was && back(was));
  };
  const turn = () => {
    if (step !== undefined) setTurned((all) => ({ ...all, [place]: !isTurned }));
  };

  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (open !== null || event.ctrlKey || event.metaKey || event.altKey) return;
    if (['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName)) return;
    if (target.closest('button, a') && (event.key === ' ' || event.key === 'Enter')) return;
    switch (event.key) {
      case 'ArrowRight':
      case 'ArrowDown':
      case 'PageDown': // a foot switch sends this
      case ' ':
        goOn();
        break;
      case 'ArrowLeft':
      case 'ArrowUp':
      case 'PageUp':
        goBack();
        break;
      case 'Enter':
        change((was) => was && next(was, Date.now()));
        break;
      case '+':
        change((was) => was && stretch(was, 60, Date.now()));
        break;
      case 'm':
      case 'M':
        turn();
        break;
      case 's':
      case 'S':
        setOpen('stop');
        break;
      default:
        return;
    }
    event.preventDefault();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      onKey(event);
    };
    window.addEventListener('keydown', listen);
    return () => {
      window.removeEventListener('keydown', listen);
    };
  }, []);

  const isTimeUp = remaining <= 0 && !isOver;
  useEffect(() => {
    if (isTimeUp && hasSound) ring();
  }, [isTimeUp, hasSound, run.box]);

  if (isOver) return <Over page={page} run={run} change={change} />;
  const lost = lostBy(run, clock);
  const title = entry?.title ?? t(`class.doing.${run.box}`);
  const tools = (
    <>
      {(['here', 'mark', 'stop', 'time'] as const).map((what) => (
        <button
          key={what}
          type="button"
          className={tool}
          onClick={() => {
            setOpen(what);
          }}
        >
          {t(`class.tools.${what}`)}
        </button>
      ))}
      <button
        type="button"
        className={tool}
        onClick={() => {
          setOpen(null);
          change((was) => was && next(was, Date.now()));
        }}
      >
        {t('class.tools.next')}
      </button>
      <button
        type="button"
        className={tool}
        aria-pressed={hasSound}
        onClick={() => {
          localStorage.setItem(SOUND, hasSound ? 'off' : 'on');
          setSound(!hasSound);
        }}
      >
        {t(hasSound ? 'class.soundOn' : 'class.soundOff')}
      </button>
      <Link className={`${tool} inline-flex items-center justify-center no-underline`} to={`/meetings/${page.meeting.id}`}>
        {t('class.leave')}
      </Link>
    </>
  );
  return (
    <div className="grid h-dvh grid-rows-[auto_auto_1fr_auto] overflow-hidden bg-paper select-none" data-testid="floor">
      <h1 className="sr-only">{t('class.title', { group: page.term.groupName })}</h1>
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
              ? t('class.lastBox', { at: laterClock(endOf(page), 0) })
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
        <Costs lost={lost} over={clock.over} isOverTime={remaining < 0} />
        <OutboxLine />
      </div>
      <div className="flex min-h-0 flex-col overflow-y-auto px-3 py-1 sm:px-6">
        <div className="my-auto">
          <div className="flex flex-wrap items-baseline gap-x-6">
            <p className="text-[clamp(1rem,3vmin,1.6rem)] text-soft">
              {step === undefined
                ? t(`class.hint.${run.box}`)
                : t(step.passes > 1 ? 'class.passage' : 'class.passageOnce', {
                    from: entryCall(stepForm?.entries[step.passage.from - 1]),
                    to: entryCall(stepForm?.entries[step.passage.to - 1]),
                    pass: step.pass,
                    passes: step.passes,
                  })}
            </p>
            {card === undefined ? null : (
              <button
                type="button"
                onClick={turn}
                aria-keyshortcuts="M"
                className="min-h-11 text-left text-[clamp(1rem,3vmin,1.5rem)] text-pine underline underline-offset-4 sm:min-h-14"
              >
                {t(isTurned ? 'class.sameWay' : 'class.mirrored')}
              </button>
            )}
          </div>
          <p className="font-serif text-[clamp(2rem,9vmin,5rem)] leading-[1.08] font-semibold break-words" data-testid="movement">
            {entry?.number == null ? '' : <span className="text-pine">{entry.number} </span>}
            {title}
            {card?.side ? <span className="text-[0.6em] font-normal"> · {t(`forms.sides.${card.side as 'left'}`)}</span> : null}
          </p>
          {card === undefined ? (
            entry === undefined ? null : (
              <p className="text-soft">{t('class.noCues')}</p>
            )
          ) : (
            <>
              <ul className="m-0 list-none p-0 text-[clamp(1.25rem,5vmin,2.9rem)] leading-snug">
                {card.cues.map((cue) => (
                  <li key={cue}>{sided(cue, card)}</li>
                ))}
              </ul>
              {card.cautions.length > 0 ? (
                <button
                  type="button"
                  onClick={() => {
                    setWhom(whom === place ? null : place);
                  }}
                  aria-expanded={whom === place}
                  className="mt-2 min-h-14 border-l-8 border-persimmon bg-straw-soft px-4 py-2 text-left text-[clamp(1.2rem,4.4vmin,2.5rem)] leading-tight font-medium"
                >
                  {card.cautions.map((caution) => (
                    <span key={sided(sentence(caution), card)} className="block">
                      {sided(sentence(caution), card)}
                    </span>
                  ))}
                  <span className="block text-base font-normal text-soft">
                    {whom === place ? <Concerned page={page} /> : t('class.whom')}
                  </span>
                </button>
              ) : null}
            </>
          )}
          {followingEntry ? (
            <p className="mt-2 text-[clamp(1rem,3.4vmin,1.9rem)] text-soft" data-testid="following">
              {t('class.following', {
                title: [followingEntry.number, followingEntry.title].filter((one) => one !== null).join(' '),
              })}
            </p>
          ) : null}
        </div>
      </div>
      <footer className="border-t border-line bg-sheet pb-[env(safe-area-inset-bottom)]">
        <div className="grid grid-cols-[1fr_2fr_auto] gap-1 p-1">
          <button type="button" className={area} onClick={goBack} aria-keyshortcuts="PageUp">
            {t('class.back')}
          </button>
          <button
            type="button"
            className={`${area} border-pine bg-pine text-on-pine`}
            onClick={goOn}
            aria-keyshortcuts="PageDown"
          >
            {steps.length > 0 && run.step < steps.length - 1
              ? t('class.nextMovement')
              : nextBox === null
                ? t('class.end')
                : t('class.nextBox', { box: t(`boxes.${nextBox}`) })}
          </button>
          <button
            type="button"
            className={`${area} sm:[@media(min-height:520px)]:hidden`}
            onClick={() => {
              setOpen('more');
            }}
          >
            {t('class.tools.more')}
          </button>
        </div>
        <div className="hidden gap-1 px-1 pb-1 sm:[@media(min-height:520px)]:flex">{tools}</div>
      </footer>
      <Panel
        title={open === null ? '' : t(`class.tools.${open}`)}
        isOpen={open !== null}
        onClose={() => {
          setOpen(null);
        }}
      >
        {open === 'here' ? <Here page={page} /> : null}
        {open === 'mark' || open === 'stop' ? (
          <Marking page={page} forms={forms} tonight={tonight} {...(begin === undefined ? {} : { start: begin })} />
        ) : null}
        {open === 'more' ? <div className="flex flex-col gap-2">{tools}</div> : null}
        {open === 'time' ? <Time run={run} clock={clock} instant={instant} change={change} /> : null}
      </Panel>
    </div>
  );
}

const wayOf = (open: Open): Way => (open === 'stop' ? 'stop' : 'passage');
const area =
  'min-h-[clamp(3.6rem,13vmin,7rem)] rounded border border-line bg-paper px-4 text-[clamp(1.1rem,3.6vmin,2rem)] font-medium leading-tight';
const tool = 'min-h-14 grow rounded border border-line bg-paper px-3 text-base text-ink aria-pressed:border-pine';

const whole = (seconds: number): number => Math.round(seconds / 60);
const endOf = (page: MeetingPage): string => laterClock(page.meeting.startsAt.slice(11, 16), page.meeting.minutes);

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
            title={`${t(`boxes.${one}`)} ${String(whole(seconds))}`}
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
function Costs({ lost, over, isOverTime }: { lost: Cost[]; over: number; isOverTime: boolean }) {
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

// What is marked and noted is read here and not by the class around it: a tap draws the marks again, and not the clock.

const Here = memo(function Here({ page }: { page: MeetingPage }) {
  const { shown } = useShownMeeting(page);
  return <Attendance page={shown} presence={usePresence(shown)} />;
});

/** Who must take care tonight. Their names show only when somebody asks: the class can read the tablet too. */
function Concerned({ page }: { page: MeetingPage }) {
  const { t } = useTranslation();
  const { shown } = useShownMeeting(page);
  const presence = usePresence(shown);
  const names = shown.students
    .filter(({ id }) => presence.isHere(id) && (presence.of(id).isCareful || presence.of(id).isFirstTime))
    .map(({ name }) => name);
  return names.length === 0 ? t('class.nobodyCareful') : t('class.careful', { names: names.join(', ') });
}

/** More time for what runs, with what it costs before it is given. */
function Time({
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
          <button
            key={minutes}
            type="button"
            className="min-h-14 rounded border border-line bg-sheet px-4 py-2 text-left text-lg"
            onClick={() => {
              change((was) => was && stretch(was, 60 * minutes, Date.now()));
            }}
          >
            <strong>{t('class.more', { count: minutes })}</strong>
            <span className="block text-base text-soft">
              {lost.map((cost) => t('class.falls', { box: t(`boxes.${cost.box}`), to: whole(cost.to) })).join(' · ')}
              {then.clock.over > clock.over ? ` ${t('class.overBy', { minutes: Math.ceil(then.clock.over / 60) })}` : ''}
            </span>
          </button>
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

/** Something beside the class, over all of the screen; Escape or one touch leads back to it. */
function Panel({
  title,
  isOpen,
  onClose,
  children,
}: {
  title: string;
  isOpen: boolean;
  onClose: () => void;
  children: ReactNode;
}) {
  const { t } = useTranslation();
  return (
    <RadixDialog.Root
      open={isOpen}
      onOpenChange={(is) => {
        if (!is) onClose();
      }}
    >
      <RadixDialog.Portal>
        <RadixDialog.Content aria-describedby={undefined} className="fixed inset-0 z-40 flex flex-col bg-paper">
          <div className="flex items-center justify-between gap-4 border-b border-line px-3 sm:px-6">
            <RadixDialog.Title className="text-2xl">{title}</RadixDialog.Title>
            <RadixDialog.Close className="min-h-14 min-w-24 rounded text-lg font-medium text-pine underline underline-offset-4">
              {t('class.toClass')}
            </RadixDialog.Close>
          </div>
          <div className="min-h-0 grow overflow-y-auto px-3 pt-2 pb-4 sm:px-6">{children}</div>
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}

function Over({ page, run, change }: Pick<Props, 'page' | 'run' | 'change'>) {
  const { t } = useTranslation();
  return (
    <div className="flex h-dvh flex-col items-center justify-center gap-4 px-4 text-center">
      <h1 className="text-4xl">{t('class.isOver')}</h1>
      <p className="max-w-xl text-lg text-soft">{t('class.isOverHint')}</p>
      <Costs lost={lostBy(run, run.clock)} over={run.clock.over} isOverTime={false} />
      <div className="flex flex-wrap justify-center gap-2">
        <ButtonLink look="primary" className="min-h-14 text-lg" to={`/meetings/${page.meeting.id}/log`}>
          {t('class.toLog')}
        </ButtonLink>
        <Button
          className="min-h-14"
          onClick={() => {
            change((was) => was && back(was));
          }}
        >
          {t('class.goOn')}
        </Button>
      </div>
    </div>
  );
}
