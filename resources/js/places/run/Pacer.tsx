import { Pace as PACES } from '../../api/enums';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useTranslation } from '../../messages';
import { api, ask, type Beat, type Form, type Passage } from '../../api/client';
import { keys } from '../../api/keys';
import { useShortcut } from '../../kit/shortcuts';
import { Button } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { Select } from '../../kit/Select';
import { entryName } from '../../kit/entryName';
import { duration } from '../../kit/format';
import { Asked } from '../../kit/page';
import { Ribbon } from '../../pictures/Ribbon';
import { PassageChoice } from './PassageChoice';
import { secondsLeft, START, toldOn, type Walk, walked } from './pacing';

type Pace = 'class' | 'half' | 'showing';

/** Walks the ribbon breath by breath at a chosen pace. */
export function Pacer({ form, passage, onPassage }: { form: Form; passage: Passage; onPassage: (to: Passage) => void }) {
  const { t } = useTranslation();
  const [pace, setPace] = useState<Pace>('class');
  const asked = { ...passage, pace };
  const query = useQuery({
    queryKey: keys.beats(form.id, asked),
    queryFn: () => ask(api.GET('/api/forms/{form}/beats', { params: { path: { form: form.id }, query: asked } })),
  });
  return (
    <section className="no-print">
      <div className="grid gap-3 lg:grid-cols-[3fr_1fr]">
        <PassageChoice form={form} passage={passage} onChange={onPassage} />
        <Select
          label={t('time.pace')}
          value={pace}
          onValue={(next) => {
            setPace(next as Pace);
          }}
          of={PACES.map((value) => ({ value, text: t(`time.${value}`) }))}
        />
      </div>
      <Asked query={query}>
        {(beats) => <Walking key={JSON.stringify(asked)} form={form} beats={beats} passage={passage} />}
      </Asked>
    </section>
  );
}

/** A short tone made here: higher for in, lower for out; nothing is downloaded. */
function tick(audio: AudioContext, breath: string) {
  const tone = audio.createOscillator();
  const loud = audio.createGain();
  tone.frequency.value = breath === 'in' ? 523 : breath === 'out' ? 392 : 330;
  loud.gain.setValueAtTime(0.0001, audio.currentTime);
  loud.gain.exponentialRampToValueAtTime(0.12, audio.currentTime + 0.02);
  loud.gain.exponentialRampToValueAtTime(0.0001, audio.currentTime + 0.35);
  tone.connect(loud).connect(audio.destination);
  tone.start();
  tone.stop(audio.currentTime + 0.4);
}

/** A passage breathed beat by beat; whoever walks it can stop, go back and hear it. */
export function Walking({ form, beats, passage }: { form: Form; beats: Beat[]; passage: Passage }) {
  const { t, table } = useTranslation();
  const [walk, setWalk] = useState<Walk>(START);
  const [isOn, setOn] = useState(false);
  const [isLoud, setLoud] = useState(false);
  const audio = useRef<AudioContext | null>(null);
  const beat = beats[walk.beat];

  useEffect(() => {
    if (!isOn) return;
    let frame = 0;
    let before = performance.now();
    const draw = (now: number) => {
      const seconds = (now - before) / 1000;
      before = now;
      setWalk((was) => walked(beats, was, seconds));
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => {
      cancelAnimationFrame(frame);
    };
  }, [beats, isOn]);
  useEffect(() => {
    if (walk.isOver) setOn(false);
  }, [walk.isOver]);
  useEffect(() => {
    if (isOn && isLoud && audio.current && beat) tick(audio.current, beat.breath);
    // One tick a beat: what else changes meanwhile is no reason for another.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [walk.beat, isOn]);
  useEffect(
    () => () => {
      void audio.current?.close();
    },
    [],
  );

  const toggle = useCallback(() => {
    setWalk((was) => (was.isOver ? START : was));
    setOn((was) => !was);
  }, []);
  useShortcut('pace', toggle);

  if (!beat) return null;
  const breaths = table('time.breath');
  const title = (position: number) => entryName(form.entries[position - 1]);
  const next = beats.slice(walk.beat).find((one) => one.position !== beat.position);
  const part = beat.seconds === null || beat.seconds === 0 ? 0 : Math.min(1, walk.into / beat.seconds);
  const full =
    beat.breath === 'in' ? part : beat.breath === 'out' || beat.breath === 'sound' ? 1 - part : beat.breath === 'pause' ? 1 : 0.5;
  const times = Math.max(...beats.filter((one) => one.position === beat.position).map((one) => one.time));
  return (
    <div className="mt-4">
      <div className="grid items-center gap-6 border-y border-line py-5 md:grid-cols-[12rem_1fr_auto]">
        <div className="relative mx-auto size-44">
          <div aria-hidden="true" className="absolute inset-0 rounded-full border border-line" />
          {/* It swells and sinks; where motion is unwelcome the words and the seconds do it alone. */}
          <div
            aria-hidden="true"
            className="absolute inset-0 rounded-full bg-river2 motion-reduce:hidden"
            style={{ transform: `scale(${(0.3 + 0.7 * full).toFixed(3)})` }}
          />
          <p
            className="absolute inset-0 flex flex-col items-center justify-center text-center font-serif text-3xl"
            data-testid="breath"
          >
            {walk.isOver ? t('time.done') : (breaths[beat.breath] ?? beat.breath)}
            <span className="font-sans text-base text-ink">
              {beat.seconds === null ? t('time.untilToldNow') : t('app.s', { seconds: Math.ceil(beat.seconds - walk.into) })}
            </span>
          </p>
        </div>
        <div className="min-w-0">
          <p className="font-serif text-3xl break-words">{title(beat.position)}</p>
          <p className="min-h-7 text-lg">{beat.cue ?? ''}</p>
          <p className="text-soft">
            {times > 1 ? `${t('time.times', { time: beat.time, of: times })} · ` : ''}
            {next ? t('time.next', { title: title(next.position) }) : ''}
          </p>
          <p className="mt-1 text-soft">{t('time.left', { time: duration(Math.round(secondsLeft(beats, walk))) })}</p>
        </div>
        <div className="flex flex-col gap-2">
          <Button look="primary" className="!min-h-14 min-w-36 text-lg" onClick={toggle}>
            {t(isOn ? 'time.pause' : 'time.start')}
          </Button>
          {beat.seconds === null && isOn ? (
            <Button
              onClick={() => {
                setWalk((was) => toldOn(beats, was));
              }}
            >
              {t('time.goOn')}
            </Button>
          ) : null}
          <Button
            look="quiet"
            onClick={() => {
              setWalk(START);
            }}
          >
            {t('time.again')}
          </Button>
        </div>
      </div>
      <Tick
        className="text-sm"
        checked={isLoud}
        onTick={(isTicked) => {
          setLoud(isTicked);
          if (isTicked) audio.current ??= new AudioContext();
        }}
      >
        {t('time.sound')} · {t('time.keys')}
      </Tick>
      <Ribbon
        form={form}
        by="time"
        arcs="none"
        state={(position) =>
          position === beat.position && !walk.isOver
            ? 'now'
            : position >= passage.from && position <= passage.to
              ? 'known'
              : 'plain'
        }
        selected={{ from: beat.position, to: beat.position }}
        onSelect={(position) => {
          const first = beats.findIndex((one) => one.position === position);
          if (first >= 0) setWalk({ beat: first, into: 0, isOver: false });
        }}
        zoom={form.entries.length > 30 ? 2 : 1}
      />
    </div>
  );
}
