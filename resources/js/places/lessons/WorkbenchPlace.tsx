import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useTranslation } from '../../messages';
import { useParams, useSearchParams } from '../../kit/router';
import type { Cut, Form, Workbench } from '../../api/client';
import { pricesQuery } from './queries';
import { formCoursesQuery, formQuery, type TriedSize, workbenchQuery } from '../../api/queries';
import { Button, RefusalLine, TextField } from '../../kit/controls';
import { number } from '../../kit/format';
import { Asked, Heading, Trouble } from '../../kit/page';
import { Segmented } from '../../kit/Segmented';
import { Slider } from '../../kit/Slider';
import { usePaused } from '../../kit/usePaused';
import { Why } from '../../kit/Why';
import { type Held, Ribbon } from '../../pictures/Ribbon';
import { sentence } from '../../messages/say';
import { FormPages } from '../forms/FormPages';
import { usePassageWords } from '../meeting/PlanList';
import { wholeMinutes } from './lesson';
import { SideBySide } from './SideBySide';
import { useCutting } from './useCutting';
import { useHowMuch } from './useHowMuch';

/** Where a form, or a course of it, is cut into lessons by hand and eye: every change shows at once what it makes. */
export function WorkbenchPlace() {
  const { form = '' } = useParams();
  const course = useSearchParams()[0].get('course');
  const query = useQuery(formQuery(form, course));
  const saved = useQuery(workbenchQuery(form, course, {}));
  return (
    <Asked query={query}>
      {(data) => (
        <Asked query={saved}>{(bench) => <Bench key={form + (course ?? '')} form={data} saved={bench} course={course} />}</Asked>
      )}
    </Asked>
  );
}

type By = 'usual' | 'movements' | 'minutes' | 'count' | 'load';

/** What is typed, as it is typed. */
interface Draft {
  by: By;
  movements: string;
  minutes: string;
  perLoad: string;
  count: string;
  load: string;
  lambda: number;
}

const text = (value: number | null) => (value === null ? '' : number(value));

function sayingOf({ count, load, minutes, minutesPerLoad, movements }: Workbench['size']): By {
  if (count !== null) return 'count';
  if (load !== null) return 'load';
  if (minutes !== null || minutesPerLoad !== null) return 'minutes';
  return movements === null ? 'usual' : 'movements';
}

function draftOf({ size, kept }: Workbench): Draft {
  return {
    by: sayingOf(size),
    movements: text(size.movements),
    minutes: text(size.minutes),
    perLoad: text(size.minutesPerLoad),
    count: text(size.count),
    load: text(size.load),
    lambda: size.lambda ?? kept.lambda,
  };
}

const said = (value: string) => (value.trim() === '' || Number.isNaN(Number(value)) ? null : Number(value));

/** The size a draft says; a field that is still empty says nothing. */
function sizeOf(draft: Draft): TriedSize {
  const [movements, minutes, perLoad, count, load] = [draft.movements, draft.minutes, draft.perLoad, draft.count, draft.load].map(
    said,
  );
  return {
    ...(draft.by === 'movements' && movements != null ? { movements } : {}),
    ...(draft.by === 'minutes' && minutes != null ? { minutes } : {}),
    ...(draft.by === 'minutes' && perLoad != null ? { minutesPerLoad: perLoad } : {}),
    ...(draft.by === 'count' && count != null ? { count } : {}),
    ...(draft.by === 'load' && load != null ? { load } : {}),
    lambda: draft.lambda,
  };
}

function Bench({ form, saved, course }: { form: Form; saved: Workbench; course: string | null }) {
  const { t } = useTranslation();
  const howMuch = useHowMuch();
  const [draft, setDraft] = useState(() => draftOf(saved));
  const set = (change: Partial<Draft>) => {
    setDraft((before) => ({ ...before, ...change }));
  };
  const size = usePaused(useMemo(() => sizeOf(draft), [draft]));
  const bench = useQuery(workbenchQuery(form.id, course, size));
  const shown = bench.data ?? saved;
  const drawn = useMemo(() => withCut(form, shown.tried), [form, shown.tried]);
  const words = usePassageWords(form);
  const learnt = useQuery(formCoursesQuery(form.id)).data?.find((one) => one.id === course);
  const hand = useCutting({ id: form.id, joins: shown.kept.joins, lessons: shown.kept.lessons }, course);
  const [held, setHeld] = useState<Held | null>(null);
  const pins = shown.kept.joins.filter((join) => join.pin !== null);
  const isNew = !sameLessons(shown.kept, shown.tried) || JSON.stringify(sizeOf(draftOf(saved))) !== JSON.stringify(size);
  const minutes = (load: number) => load * (said(draft.perLoad) ?? shown.minutesPerLoad);
  return (
    <FormPages
      id={form.id}
      title={form.title}
      kicker={
        course === null
          ? t('lessons.inNone')
          : learnt
            ? t('lessons.inCourse', { group: learnt.group, term: learnt.term })
            : undefined
      }
    >
      <Ribbon
        form={drawn}
        arcs="none"
        onMoveNotch={hand.moveNotch}
        onFreeNotch={(after) => {
          if (shown.kept.joins[after - 1]?.pin !== null) hand.setPins([{ after, pin: null }]);
        }}
        onHoldNotch={setHeld}
      />
      <p role="status" className="mt-1 min-h-12 max-w-3xl" data-testid="price">
        {held === null ? (
          <span className="text-soft">
            {t('lessons.price.hint')}{' '}
            <Why about={t('lessons.price.hint')}>{t('lessons.price.why', { lambda: number(shown.tried.lambda) })}</Why>
          </span>
        ) : (
          <Price form={form} course={course} size={size} held={held} />
        )}
      </p>
      <div className="grid gap-x-10 gap-y-6 xl:grid-cols-[22rem_1fr]">
        <section aria-label={t('lessons.say')} className="flex flex-col gap-4">
          <Segmented<By>
            label={t('lessons.say')}
            value={draft.by}
            onValue={(by) => {
              set({ by });
            }}
            of={(['usual', 'movements', 'minutes', 'count', 'load'] as const).map((by) => ({
              value: by,
              text: t(`lessons.by.${by}`),
            }))}
          />
          {draft.by === 'usual' ? <p>{t('lessons.usual', { minutes: wholeMinutes(minutes(shown.tried.target)) })}</p> : null}
          {draft.by === 'movements' ? (
            <Numeric
              label={t(course === null ? 'lessons.movements' : 'lessons.movementsEvening')}
              value={draft.movements}
              onValue={(value) => set({ movements: value })}
            />
          ) : null}
          {draft.by === 'minutes' ? (
            <div className="grid grid-cols-2 gap-3">
              <Numeric label={t('lessons.minutes')} value={draft.minutes} onValue={(value) => set({ minutes: value })} />
              <Numeric
                label={t('lessons.perLoad')}
                hint={t('lessons.perLoadHint', { usual: number(saved.minutesPerLoad, 1) })}
                value={draft.perLoad}
                onValue={(value) => set({ perLoad: value })}
              />
            </div>
          ) : null}
          {draft.by === 'count' ? (
            <Numeric label={t('lessons.count')} value={draft.count} onValue={(value) => set({ count: value })} />
          ) : null}
          {draft.by === 'load' ? (
            <Numeric
              label={t('lessons.load')}
              hint={t('lessons.loadHint')}
              value={draft.load}
              onValue={(value) => set({ load: value })}
            />
          ) : null}
          {shown.pace === null ? null : <p>{sentence(shown.pace)}</p>}
          <Slider
            label={t('lessons.lambda')}
            min={0}
            max={2}
            step={0.1}
            value={draft.lambda}
            onValue={(lambda) => set({ lambda })}
            ends={[t('lessons.lambdaEnds.few'), t('lessons.lambdaEnds.much')]}
            says={howMuch(draft.lambda)}
          />
          {bench.isError ? <Trouble error={bench.error} /> : null}
          <RefusalLine refusal={hand.refusal} />
          <div className="flex flex-wrap gap-2">
            <Button
              look="primary"
              disabled={!isNew || hand.isBusy || bench.isError || bench.isPlaceholderData}
              onClick={() => {
                hand.setSize(sizeOf(draft));
              }}
            >
              {t(hand.isBusy ? 'lessons.keeping' : 'lessons.keep')}
            </Button>
            <Button
              disabled={(pins.length === 0 && (course !== null || sameLessons(shown.kept, shown.free))) || hand.isBusy}
              onClick={() => {
                hand.free(shown.free.lessons);
              }}
            >
              {t('lessons.bestAgain')}
            </Button>
          </div>
          <div>
            <h2 className="text-lg">{t('lessons.handTitle')}</h2>
            {pins.length === 0 ? (
              <p className="text-soft">{t('lessons.handNone')}</p>
            ) : (
              <ul className="m-0 list-none p-0">
                {pins.map((join) => (
                  <li key={join.after}>
                    {t(join.pin === 'always' ? 'lessons.always' : 'lessons.never', {
                      at: words.whole({ from: join.after, to: join.after }),
                    })}
                  </li>
                ))}
              </ul>
            )}
          </div>
        </section>
        <section className="min-w-0">
          <Heading>{t('lessons.besideTitle')}</Heading>
          <SideBySide form={form} bench={shown} minutes={minutes} />
        </section>
      </div>
    </FormPages>
  );
}

/** The form as a cut that is tried has it. */
function withCut(form: Form, cut: Cut): Form {
  return {
    ...form,
    joins: cut.joins,
    lessons: cut.lessons.map((lesson) => ({ ...lesson, seconds: 0, rounds: [] })),
    target: cut.target,
  };
}

export const sameLessons = (a: Cut, b: Cut) =>
  a.lessons.length === b.lessons.length && a.lessons.every((lesson, at) => lesson.to === b.lessons[at]?.to);

function Numeric({
  label,
  hint,
  value,
  onValue,
}: {
  label: string;
  hint?: string;
  value: string;
  onValue: (value: string) => void;
}) {
  return (
    <TextField
      label={label}
      hint={hint}
      type="number"
      inputMode="decimal"
      step="any"
      min={0}
      value={value}
      onChange={(event) => {
        onValue(event.target.value);
      }}
    />
  );
}

/** What the notch in the hand costs where it is, and where near it would cost nothing. */
function Price({ form, course, size, held }: { form: Form; course: string | null; size: TriedSize; held: Held }) {
  const { t } = useTranslation();
  const words = usePassageWords(form);
  const prices = useQuery(pricesQuery(form.id, course, size, held.from));
  const at = words.whole({ from: held.to, to: held.to });
  if (prices.isError) return <Trouble error={prices.error} />;
  if (!prices.data) return <>{t('lessons.price.asking')}</>;
  const here = prices.data.prices.find((one) => one.after === held.to);
  if (here?.price == null) return <>{t('lessons.price.none', { at })}</>;
  if (here.price === 0) return <>{t('lessons.price.nothing', { at })}</>;
  const price = number(here.price, here.price < 0.095 ? 3 : 2);
  if (here.free === null) return <>{t('lessons.price.costs', { at, price })}</>;
  const away = Math.abs(here.free - held.to);
  return (
    <>
      {t(away === 1 ? 'lessons.price.freeOne' : 'lessons.price.free', {
        at,
        price,
        count: away,
        way: t(here.free > held.to ? 'lessons.price.later' : 'lessons.price.earlier'),
        other: words.whole({ from: here.free, to: here.free }),
      })}
    </>
  );
}
