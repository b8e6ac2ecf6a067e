import { now } from '../../api/clock';
import { Dialog as RadixDialog } from 'radix-ui';
import { type ComponentProps, memo, type ReactNode, useEffect, useState } from 'react';
import { useTranslation } from '../../messages';
import { FloorButton, FloorLink } from '../../kit/floorControls';
import type { ClassPage, Form, MeetingPage } from '../../api/client';
import { useShownMeeting } from '../../api/useOutbox';
import { Button, ButtonLink } from '../../kit/controls';
import { useNow } from '../../kit/useNow';
import { Attendance } from '../meeting/Attendance';
import { Marking, type Way } from '../meeting/Marking';
import { usePresence } from '../meeting/usePresence';
import { ring } from './bell';
import { ClockFace, Costs } from './ClockFace';
import { MoreTime } from './MoreTime';
import { Movement } from './Movement';
import { after, at, back, left, lostBy, next, now as clockNow, type Run, stretch } from './run';
import { cardOf, stepsOf } from './steps';
import { useFloorKeys } from './useFloorKeys';
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

/** A class that runs: the clock, the movement now, and what is next, to be read from two metres. */
export function RunningClass({ page, form, forms, tonight, run, change }: Props) {
  const { t } = useTranslation();
  const instant = useNow(500);
  const [open, setOpenPanel] = useState<Open>(null);
  const [begin, setBegin] = useState<Begin | undefined>(undefined);
  const [turned, setTurned] = useState<Record<string, boolean>>({});
  const [hasSound, setSound] = useState(() => localStorage.getItem(SOUND) === 'on');
  useWake(run.endedAt === null);

  const steps = stepsOf(page, run.box);
  const step = steps[Math.min(run.step, steps.length - 1)];
  const place = step === undefined ? '' : `${step.courseId}/${String(step.position)}`;
  const isTurned = turned[place] ?? false;
  const card = cardOf(tonight, step, isTurned ? 'same' : 'facing');
  const stepForm = step === undefined ? undefined : (forms[step.courseId] ?? form);
  const following = steps[run.step + 1];
  const clock = clockNow(run, instant);
  const remaining = left(run, instant);
  const coming = after(run, clock);
  const isOver = run.endedAt !== null;

  /** Opens something beside the class; marking begins with what is gone through now. */
  const setOpen = (what: Open) => {
    setOpenPanel(what);
    setBegin({ courseId: step?.courseId ?? page.courseId, passage: step?.passage ?? null, way: wayOf(what) });
  };

  /** The second half of a double click ends no box that has just begun. */
  const nextBox = (clicks = 0) => {
    if (clicks < 2) change((was) => was && next(was, now()));
  };
  const goOn = (clicks = 0) => {
    if (run.step < steps.length - 1) change((was) => was && at(was, was.step + 1));
    else nextBox(clicks);
  };
  const goBack = () => {
    if (run.step > 0) change((was) => was && at(was, was.step - 1));
    else change((was) => was && back(was));
  };
  const turn = () => {
    if (step !== undefined) setTurned((all) => ({ ...all, [place]: !isTurned }));
  };

  useFloorKeys(open === null, {
    goOn,
    goBack,
    turn,
    nextBox,
    longer: () => {
      change((was) => was && stretch(was, 60, now()));
    },
    stop: () => {
      setOpen('stop');
    },
  });

  const isTimeUp = remaining <= 0 && !isOver;
  useEffect(() => {
    if (isTimeUp && hasSound) ring();
  }, [isTimeUp, hasSound, run.box]);

  if (isOver) return <Over page={page} run={run} change={change} />;
  const tools = (
    <>
      {(['here', 'mark', 'stop', 'time'] as const).map((what) => (
        <FloorButton
          key={what}
          look="tool"
          onClick={() => {
            setOpen(what);
          }}
        >
          {t(`class.tools.${what}`)}
        </FloorButton>
      ))}
      <FloorButton
        look="tool"
        onClick={(event) => {
          setOpen(null);
          nextBox(event.detail);
        }}
      >
        {t('class.tools.next')}
      </FloorButton>
      <FloorButton
        look="tool"
        aria-pressed={hasSound}
        onClick={() => {
          localStorage.setItem(SOUND, hasSound ? 'off' : 'on');
          setSound(!hasSound);
        }}
      >
        {t(hasSound ? 'class.soundOn' : 'class.soundOff')}
      </FloorButton>
      <FloorLink to={`/meetings/${page.meeting.id}`}>{t('class.leave')}</FloorLink>
    </>
  );
  return (
    <div className="grid h-dvh grid-rows-[auto_auto_1fr_auto] overflow-hidden bg-paper select-none" data-testid="floor">
      <h1 className="sr-only">{t('class.title', { group: page.term.groupName })}</h1>
      <ClockFace page={page} run={run} clock={clock} instant={instant} />
      <Movement
        key={place}
        page={page}
        form={stepForm}
        run={run}
        step={step}
        card={card}
        following={following === undefined ? undefined : (forms[following.courseId] ?? form).entries[following.position - 1]}
        isTurned={isTurned}
        onTurn={turn}
      />
      <footer className="border-t border-line bg-sheet pb-[env(safe-area-inset-bottom)]">
        <div className="grid grid-cols-[1fr_2fr_auto] gap-1 p-1">
          <FloorButton look="area" onClick={goBack} aria-keyshortcuts="PageUp">
            {t('class.back')}
          </FloorButton>
          <FloorButton
            look="go"
            onClick={(event) => {
              goOn(event.detail);
            }}
            aria-keyshortcuts="PageDown"
          >
            {steps.length > 0 && run.step < steps.length - 1
              ? t('class.nextMovement')
              : coming === null
                ? t('class.end')
                : t('class.nextBox', { box: t(`boxes.${coming}`) })}
          </FloorButton>
          <FloorButton
            look="area"
            className="sm:[@media(min-height:520px)]:hidden"
            onClick={() => {
              setOpen('more');
            }}
          >
            {t('class.tools.more')}
          </FloorButton>
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
        {open === 'time' ? <MoreTime run={run} clock={clock} instant={instant} change={change} /> : null}
      </Panel>
    </div>
  );
}

const wayOf = (open: Open): Way => (open === 'stop' ? 'stop' : 'passage');
// What is marked and noted is read here and not by the class around it: a tap draws the marks again, and not the clock.

const Here = memo(function Here({ page }: { page: MeetingPage }) {
  const { shown } = useShownMeeting(page);
  return <Attendance page={shown} presence={usePresence(shown)} />;
});

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
