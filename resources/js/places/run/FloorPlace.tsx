import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { useParams } from '../../kit/router';
import { api, ask, type Floor, type Form, Problem } from '../../api/client';
import { formQuery } from '../../api/queries';
import { keys } from '../../api/keys';
import { Button, TextField, TextLink } from '../../kit/controls';
import { Tick } from '../../kit/Tick';
import { entryName } from '../../kit/entryName';
import { number } from '../../kit/format';
import { Asked, Heading, Warnings } from '../../kit/page';
import { useAddressed } from '../../kit/useAddressed';
import { FloorPicture } from '../../pictures/FloorPicture';
import { Ribbon } from '../../pictures/Ribbon';
import { FormPages } from '../forms/FormPages';
import { useTravelWords } from '../score/useTravelWords';

const FIELDS = { width: 10, depth: 8, students: 12, step: 0.6 } as const;
type Measure = keyof typeof FIELDS;

/** The path of a form in a room, and whether a class of so many fits there. */
export function FloorPlace() {
  const { form = '' } = useParams();
  const query = useQuery(formQuery(form));
  return <Asked query={query}>{(data) => <Room key={data.id} form={data} />}</Asked>;
}

function Room({ form }: { form: Form }) {
  const { t } = useTranslation();
  const [search, say] = useAddressed();
  const [typed, setTyped] = useState<Record<Measure, string>>(() => ({
    width: search.get('width') ?? String(FIELDS.width),
    depth: search.get('depth') ?? String(FIELDS.depth),
    students: search.get('students') ?? String(FIELDS.students),
    step: search.get('step') ?? String(FIELDS.step),
  }));
  const [chosen, setChosen] = useState<number | null>(null);
  const value = (key: Measure) => {
    const read = Number((search.get(key) ?? '').replace(',', '.'));
    return search.has(key) && !Number.isNaN(read) ? read : FIELDS[key];
  };
  const asked = {
    width: value('width'),
    depth: value('depth'),
    students: Math.round(value('students')),
    step: value('step'),
    mirrored: search.has('mirrored') ? (1 as const) : (0 as const),
    front: search.has('front') ? (1 as const) : (0 as const),
  };
  const query = useQuery({
    queryKey: keys.floor(form.id, asked),
    queryFn: () => ask(api.GET('/api/forms/{form}/floor', { params: { path: { form: form.id }, query: asked } })),
    placeholderData: keepPreviousData,
  });
  const refusal = query.error instanceof Problem ? query.error.message : undefined;
  return (
    <FormPages id={form.id} title={form.title}>
      <div className="no-print mb-2 grid grid-cols-2 gap-3 sm:grid-cols-4 lg:max-w-3xl">
        {(Object.keys(FIELDS) as Measure[]).map((key) => (
          <TextField
            key={key}
            label={t(`floor.${key}`)}
            inputMode="decimal"
            value={typed[key]}
            error={refusal?.toLowerCase().includes(key) ? refusal : undefined}
            onChange={(event) => {
              setTyped({ ...typed, [key]: event.target.value });
              if (event.target.value.trim() !== '') say({ [key]: event.target.value.replace(',', '.') });
            }}
          />
        ))}
      </div>
      <div className="no-print mb-4 flex flex-wrap gap-x-6">
        {(['mirrored', 'front'] as const).map((key) => (
          <Tick
            key={key}
            checked={search.has(key)}
            onTick={(isTicked) => {
              say({ [key]: isTicked ? '1' : null });
            }}
          >
            {t(`floor.${key}`)}
          </Tick>
        ))}
      </div>
      <Asked query={query}>
        {(floor) => <Fit form={form} floor={floor} asked={asked} chosen={chosen} onChoose={setChosen} />}
      </Asked>
    </FormPages>
  );
}

interface FitProps {
  form: Form;
  floor: Floor;
  asked: { width: number; depth: number; students: number };
  chosen: number | null;
  onChoose: (position: number | null) => void;
}

function Fit({ form, floor, asked, chosen, onChoose }: FitProps) {
  const { t, table } = useTranslation();
  const travel = useTravelWords();
  const { fit } = floor;
  const name = (position: number) => entryName(form.entries[position - 1]);
  const end = floor.footings[floor.footings.length - 1];
  const degrees = number(Math.abs(floor.turned), 1);
  const facing = degrees === '0' ? t('floor.sameFacing') : t('floor.offFacing', { degrees });
  const isThere = end ? Math.hypot(end.x, end.y) < 0.05 : true;
  const facings = table('floor.facing');
  const needs = { width: number(fit.needs[0] ?? 0, 1), depth: number(fit.needs[1] ?? 0, 1) };
  return (
    <div className="grid gap-8 lg:grid-cols-[minmax(0,1.25fr)_minmax(18rem,1fr)]">
      <figure className="m-0 min-w-0">
        <FloorPicture
          floor={floor}
          width={asked.width}
          depth={asked.depth}
          named={named(form, floor, chosen)}
          chosen={chosen}
          onChoose={onChoose}
          label={t('floor.picture')}
        />
        <figcaption className="mt-2 text-sm text-soft">{t('floor.legend')}</figcaption>
      </figure>
      <div className="min-w-0">
        <p
          data-testid="fits"
          className={`border-l-4 px-4 py-2 text-lg ${fit.fits ? 'border-pine' : 'border-persimmon bg-sheet font-medium'}`}
        >
          {fit.fits
            ? t('floor.fits', needs)
            : `${t('floor.runsOut', { ...needs, entry: name(fit.out[0] ?? 1) })} ${t('floor.wouldFit', { count: fit.students })}`}
        </p>
        <p className="mt-3">
          {t('floor.start', {
            ranks: asked.students === 1 ? t('floor.alone') : t('floor.ranks', { count: fit.ranks, files: fit.files }),
            left: number(fit.start[0] ?? 0, 1),
            back: number(fit.start[1] ?? 0, 1),
            facing: facings[String(fit.facing)],
          })}
        </p>
        <p className="mt-2">
          {isThere
            ? t('floor.closingThere', { facing })
            : t('floor.closing', { travel: travel(end?.y ?? 0, end?.x ?? 0), facing })}
        </p>
        {floor.unknown.length > 0 ? (
          <>
            <Warnings title={t('floor.title')} lines={[t('floor.unknown', { count: floor.unknown.length })]} />
            <p>
              <TextLink to={`/forms/${form.id}/score?row=${String(floor.unknown[0])}`}>{t('floor.fill')}</TextLink>
            </p>
          </>
        ) : null}
        {fit.out.length > 0 ? (
          <>
            <Heading>{t('floor.out')}</Heading>
            <Stretches positions={fit.out} form={form} chosen={chosen} onChoose={onChoose} />
          </>
        ) : null}
        <Heading>{t('floor.joins')}</Heading>
        {floor.joins.length === 0 ? (
          <p className="text-soft">{t('floor.joinsNone')}</p>
        ) : (
          <Stretches positions={floor.joins} form={form} chosen={chosen} onChoose={onChoose} />
        )}
      </div>
      <div className="no-print min-w-0 lg:col-span-2">
        <Ribbon
          form={form}
          arcs="none"
          by="even"
          selected={chosen === null ? null : { from: chosen, to: chosen }}
          onSelect={onChoose}
          findings={new Map(fit.out.map((position) => [position, 'error' as const]))}
        />
      </div>
    </div>
  );
}

/** The numbers that matter in a room: what is chosen, where the room runs out, and where the sections begin. */
function named(form: Form, floor: Floor, chosen: number | null): Map<number, string> {
  const positions = [
    ...(chosen === null ? [] : [chosen]),
    ...stretches(floor.fit.out).map(([from]) => from),
    ...form.sections.map((section) => section.first),
    ...floor.joins,
  ];
  return new Map(
    positions.flatMap((position) => {
      const number = form.entries[position - 1]?.number;
      return number == null ? [] : [[position, String(number)] as const];
    }),
  );
}

/** Neighbours as stretches, each from one to one. */
function stretches(positions: number[]): [number, number][] {
  const all: [number, number][] = [];
  for (const position of positions) {
    const last = all.at(-1);
    if (last?.[1] === position - 1) last[1] = position;
    else all.push([position, position]);
  }
  return all;
}

interface StretchesProps {
  positions: number[];
  form: Form;
  chosen: number | null;
  onChoose: (position: number | null) => void;
}

/** Stretches of a form; choosing one shows where it begins. */
function Stretches({ positions, form, chosen, onChoose }: StretchesProps) {
  const { t } = useTranslation();
  const entry = (position: number) => form.entries[position - 1];
  return (
    <ul className="m-0 list-none p-0">
      {stretches(positions).map(([from, to]) => (
        <li key={from} className="border-b border-line">
          <Button
            look="quiet"
            aria-pressed={from === chosen}
            className="text-left aria-pressed:underline"
            onClick={() => {
              onChoose(from === chosen ? null : from);
            }}
          >
            {from === to
              ? entryName(entry(from))
              : t('floor.stretch', { first: entryName(entry(from)), last: entryName(entry(to)), count: to - from + 1 })}
          </Button>
        </li>
      ))}
    </ul>
  );
}
