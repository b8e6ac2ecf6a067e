import { useState } from 'react';
import { useTranslation } from '../../messages';
import type { CareNeed, CueCard, Entry, Form, MeetingPage, StudentCare } from '../../api/client';
import { useShownMeeting } from '../../api/useOutbox';
import { entryCall, entryLine } from '../../kit/entryName';
import { FloorButton } from '../../kit/floorControls';
import { number } from '../../kit/format';
import { sided } from '../../kit/sided';
import { sentence } from '../../messages/say';
import { BoxCare } from '../care/BoxCare';
import { cuesLeft, type Fading, FADINGS } from '../lessons/lesson';
import { focusesOf, type ShownFocus } from '../meeting/focus';
import { usePresence } from '../meeting/usePresence';
import type { Run } from './run';
import type { Step } from './steps';

interface Props {
  page: MeetingPage;
  /** The form of the step; undefined where the box has no step. */
  form: Form | undefined;
  run: Run;
  step: Step | undefined;
  card: CueCard | undefined;
  /** What comes after it in this box. */
  following: Entry | undefined;
  /** Whether its cues are said as one stands in the same direction. */
  isTurned: boolean;
  onTurn: () => void;
}

function wayThrough(step: Step) {
  if (step.isAlone) return step.passes > 1 ? 'class.alone' : 'class.aloneOnce';
  return step.passes > 1 ? 'class.passage' : 'class.passageOnce';
}

/** What is done now, with its cues and cautions, to be read from two metres. */
export function Movement({ page, form, run, step, card, following, isTurned, onTurn }: Props) {
  const { t } = useTranslation();
  const [asksWhom, setAsksWhom] = useState(false);
  const [fading, setFading] = useState<Fading>('all');
  const focus = run.box === 'focus' ? focusesOf(page.meeting, page.principles) : [];
  const entry = step === undefined ? undefined : form?.entries[step.position - 1];
  const needs = useCareHere(page).flatMap(({ name, needs: all }) =>
    all
      .filter((need) => need.box === run.box && need.courseId === step?.courseId && need.position === step.position)
      .map((need) => ({ name, need })),
  );
  return (
    <div className="flex min-h-0 flex-col overflow-y-auto px-3 py-1 sm:px-6">
      <div className="my-auto">
        <div className="flex flex-wrap items-baseline gap-x-6">
          <p className="text-[clamp(1rem,3vmin,1.6rem)] text-soft">
            {step === undefined
              ? t(`class.hint.${run.box}`)
              : t(wayThrough(step), {
                  from: entryCall(form?.entries[step.passage.from - 1]),
                  to: entryCall(form?.entries[step.passage.to - 1]),
                  pass: step.pass,
                  passes: step.passes,
                })}
          </p>
          {card === undefined ? null : (
            <>
              <FloorButton look="word" onClick={onTurn} aria-keyshortcuts="M">
                {t(isTurned ? 'class.sameWay' : 'class.mirrored')}
              </FloorButton>
              {card.cues.length === 0 ? null : (
                <FloorButton
                  look="word"
                  aria-label={t('class.fade', { now: t(`lessons.page.fading.${fading}`) })}
                  onClick={() => {
                    setFading(FADINGS[(FADINGS.indexOf(fading) + 1) % FADINGS.length] ?? 'all');
                  }}
                >
                  {t(`lessons.page.fading.${fading}`)}
                </FloorButton>
              )}
            </>
          )}
        </div>
        <p className="font-serif text-[clamp(2rem,9vmin,5rem)] leading-[1.08] font-semibold break-words" data-testid="movement">
          {entry?.number == null ? '' : <span className="text-pine">{entry.number} </span>}
          {entry?.title ?? focus[0]?.title ?? t(`class.doing.${run.box}`)}
          {card?.side ? <span className="text-[0.6em] font-normal"> · {t(`side.${card.side as 'left'}`)}</span> : null}
        </p>
        {card === undefined ? (
          entry === undefined ? (
            run.box === 'warm_up' ? (
              <WarmUpLarge page={page} />
            ) : (
              <FocusLarge focus={focus} />
            )
          ) : (
            <p className="text-soft">{t('class.noCues')}</p>
          )
        ) : (
          <>
            <ul className="m-0 list-none p-0 text-[clamp(1.25rem,5vmin,2.9rem)] leading-snug">
              {cuesLeft(card, fading).map((cue) => (
                <li key={cue}>{sided(cue, card)}</li>
              ))}
            </ul>
            {card.cautions.length > 0 || needs.length > 0 ? (
              <FloorButton
                look="caution"
                onClick={() => {
                  setAsksWhom(!asksWhom);
                }}
                aria-expanded={asksWhom}
              >
                {/* A caution says for whom it is: beside a name it would be a reason. */}
                {asksWhom
                  ? null
                  : card.cautions.map((caution) => (
                      <span key={sided(sentence(caution), card)} className="block">
                        {sided(sentence(caution), card)}
                      </span>
                    ))}
                <span className="block text-[clamp(1rem,3vmin,1.5rem)] font-normal text-soft">
                  {asksWhom ? <Concerned page={page} needs={needs} /> : t('class.whom')}
                </span>
              </FloorButton>
            ) : null}
          </>
        )}
        {following ? (
          <p className="mt-2 text-[clamp(1rem,3.4vmin,1.9rem)] text-soft" data-testid="following">
            {t('class.following', { title: entryLine(following) })}
          </p>
        ) : null}
      </div>
    </div>
  );
}

/** What to look for tonight, and what goes wrong, to be read from two metres. */
function FocusLarge({ focus }: { focus: ShownFocus[] }) {
  const [first, ...others] = focus;
  return (
    <>
      <ul className="m-0 list-none p-0 text-[clamp(1.25rem,5vmin,2.9rem)] leading-snug">
        {first?.principle?.look.map((look) => (
          <li key={look}>{look}</li>
        ))}
      </ul>
      {first?.principle?.errors.map((error) => (
        <p key={error.wrong} className="text-[clamp(1rem,3.4vmin,1.9rem)] text-soft">
          {error.wrong} → {error.right}
        </p>
      ))}
      {others.map((one) => (
        <p key={one.id} className="text-[clamp(1.1rem,4vmin,2.2rem)]">
          {one.title}
        </p>
      ))}
    </>
  );
}

/** What those who are here do otherwise tonight. */
function useCareHere(page: MeetingPage): StudentCare[] {
  const { shown } = useShownMeeting(page);
  const presence = usePresence(shown);
  return page.care.filter((one) => presence.isHere(one.studentId));
}

/** What warms up, one after the other; who does it otherwise is told when somebody asks. */
function WarmUpLarge({ page }: { page: MeetingPage }) {
  const { t } = useTranslation();
  const [asksWhom, setAsksWhom] = useState(false);
  const care = useCareHere(page);
  return (
    <>
      <ul className="m-0 list-none gap-x-12 p-0 text-[clamp(1.1rem,4vmin,2.2rem)] leading-snug md:columns-2">
        {page.warmUps.items.map((one) => (
          <li key={one.id} className="break-inside-avoid">
            {one.title} <span className="text-soft">{t('warmUps.minutes', { minutes: number(one.minutes, 2) })}</span>
          </li>
        ))}
      </ul>
      {care.some((one) => one.needs.some((need) => need.box === 'warm_up')) ? (
        <FloorButton
          look="caution"
          aria-expanded={asksWhom}
          onClick={() => {
            setAsksWhom(!asksWhom);
          }}
        >
          <span className="text-[clamp(1rem,3vmin,1.5rem)] font-normal">
            {asksWhom ? <BoxCare care={care} box="warm_up" forms={{}} /> : t('class.whom')}
          </span>
        </FloorButton>
      ) : null}
    </>
  );
}

interface ConcernedProps {
  page: MeetingPage;
  needs: { name: string; need: CareNeed }[];
}

/** Who must take care tonight. Their names show only when somebody asks: the class can read the tablet too. */
function Concerned({ page, needs }: ConcernedProps) {
  const { t } = useTranslation();
  const { shown } = useShownMeeting(page);
  const presence = usePresence(shown);
  const told = needs.map(({ name, need }) =>
    t('class.care.line', {
      name,
      what: [
        ...need.do.map((one) => t(`class.careDo.${one as 'skip'}`)),
        ...need.variants.map((one) => `${one.title}: ${t(`class.careDo.${one.do as 'skip'}`)}`),
        ...(need.asks ? [t('class.care.ask')] : []),
      ].join(', '),
    }),
  );
  const names = shown.students
    .filter(({ id }) => presence.isHere(id) && (presence.of(id).isCareful || presence.of(id).isFirstTime))
    .map(({ name }) => name);
  const careful =
    names.length === 0 ? (told.length === 0 ? t('class.nobodyCareful') : '') : t('class.careful', { names: names.join(', ') });
  return (
    <>
      {told.map((one) => (
        <span key={one} className="block text-ink">
          {one}
        </span>
      ))}
      {careful}
    </>
  );
}
