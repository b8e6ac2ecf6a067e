import { type KeyboardEvent, memo, type PointerEvent, useEffect, useId, useState } from 'react';
import { useTranslation } from '../messages';
import type { Form, Passage } from '../api/client';
import { entryName } from '../kit/entryName';
import { number } from '../kit/format';
import { isNumbered } from './Ruler';
import { type Strip, stripOf, type WidthBy } from './strip';
import { usePaperFit, useWidth } from './useWidth';

export type CellState = 'plain' | 'known' | 'now';

interface Props {
  form: Form;
  by?: WidthBy;
  state?: (position: number) => CellState;
  selected?: Passage | null;
  onSelect?: (position: number) => void;
  /** Makes the notches movable: from the join after one position to the join after another. */
  onMoveNotch?: (from: number, to: number) => void;
  onFreeNotch?: (after: number) => void;
  /** A notch is in the hand: from the join it was taken at to the one it is over; null when it is put down. */
  onHoldNotch?: (held: Held | null) => void;
  /** Whether mirrored and returning entries are tied: those of what is chosen or pointed at, all of them, or none. */
  arcs?: Arcs;
  /** How many times as wide as there is room for; the rest is scrolled to. */
  zoom?: number;
  /** What the audit finds, by position; the worst of a place is shown. */
  findings?: Map<number, Severity>;
  /** A band of its own under the strip: how much each position shows of something, 1 to 3. */
  band?: Band | null;
}

/** What is tied by arcs. */
export type Arcs = 'near' | 'all' | 'none';

/** A notch in the hand. */
export interface Held {
  from: number;
  to: number;
}

export interface Band {
  label: string;
  strengths: Map<number, number>;
}

export type Severity = 'error' | 'doubt' | 'gap';

const TOP = 26;
const CELL = 46;
const NOTCH = TOP + CELL;
/** How deep an arc hangs at most, twice its height. */
const DEEPEST = 88;
const BAND = 34;
const BAND_STEP = 5;

const fills: Record<CellState, string> = { plain: 'var(--sheet)', known: 'var(--moss-soft)', now: 'var(--pine)' };

/** A form drawn as one long strip: see the legend beside it. */
export const Ribbon = memo(function Ribbon({
  form,
  by = 'load',
  state = () => 'plain',
  selected = null,
  onSelect,
  onMoveNotch,
  onFreeNotch,
  onHoldNotch,
  arcs = 'near',
  zoom = 1,
  findings,
  band = null,
}: Props) {
  const { t } = useTranslation();
  const [ref, available] = useWidth<HTMLDivElement>();
  const [active, setActive] = useState(1);
  const id = useId();
  const strip = stripOf(form.entries, Math.max(available - 4, 280) * zoom, by);
  const fit = usePaperFit(strip.width + 4);
  const [pointed, setPointed] = useState<number | null>(null);
  const plain = arcs === 'none' ? NOTCH + 26 : NOTCH + 26 + DEEPEST / 2 + 4;
  const height = band === null ? plain : plain + BAND;

  const first = selected?.from ?? null;
  useEffect(() => {
    const box = ref.current;
    if (first === null || box === null || strip.width <= box.clientWidth) return;
    const [left, right] = [strip.x(first), strip.x(first + 1)];
    if (left < box.scrollLeft || right > box.scrollLeft + box.clientWidth) {
      box.scrollLeft = (left + right) / 2 - box.clientWidth / 2;
    }
    // The strip is made anew at every drawing; its width tells whether it is another one.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [first, strip.width]);

  function onKey(event: KeyboardEvent) {
    if (!onSelect) return;
    const step = { ArrowRight: 1, ArrowLeft: -1, PageDown: 10, PageUp: -10 }[event.key];
    let next = active;
    if (step) next = Math.min(Math.max(active + step, 1), form.entries.length);
    else if (event.key === 'Home') next = 1;
    else if (event.key === 'End') next = form.entries.length;
    else if (event.key !== 'Enter' && event.key !== ' ') return;
    event.preventDefault();
    setActive(next);
    onSelect(next);
  }

  return (
    <div ref={ref} className="w-full relative overflow-x-auto">
      <svg width={strip.width + 4} height={height} className="block font-sans" style={fit}>
        <g transform="translate(2 0)">
          {form.sections.map((section) => (
            <g key={section.first}>
              <line
                x1={strip.x(section.first)}
                x2={strip.x(section.last + 1) - 4}
                y1={20}
                y2={20}
                stroke="var(--ink)"
                strokeWidth={2}
              />
              <text x={strip.x(section.first)} y={13} fontSize={13} fill="var(--ink)">
                {section.title}
              </text>
            </g>
          ))}
          <g
            role={onSelect ? 'listbox' : 'img'}
            aria-label={`${t('ribbon.label')}: ${form.title}`}
            tabIndex={onSelect ? 0 : undefined}
            aria-activedescendant={onSelect ? `${id}-${String(active)}` : undefined}
            onKeyDown={onKey}
          >
            {form.entries.map((entry) => {
              const at = entry.position;
              const left = strip.x(at);
              const width = strip.x(at + 1) - left - gap(form, at);
              const isSelected = selected !== null && at >= selected.from && at <= selected.to;
              const kind = state(at);
              return (
                <g
                  key={at}
                  id={`${id}-${String(at)}`}
                  role={onSelect ? 'option' : undefined}
                  aria-selected={onSelect ? isSelected : undefined}
                  aria-label={
                    onSelect
                      ? `${entryName(entry)}, ${t('ribbon.load', { percent: number((100 * entry.load) / form.target, 0) })}`
                      : undefined
                  }
                  className={onSelect ? 'cursor-pointer' : undefined}
                  onPointerEnter={() => {
                    setPointed(at);
                  }}
                  onPointerLeave={() => {
                    setPointed(null);
                  }}
                  onClick={() => {
                    setActive(at);
                    onSelect?.(at);
                  }}
                >
                  <title>{entryName(entry)}</title>
                  <rect x={left} y={TOP} width={Math.max(width, 3)} height={CELL} fill={fills[kind]} stroke="var(--line)" />
                  {isSelected ? (
                    <rect
                      x={left + 1}
                      y={TOP + 1}
                      width={Math.max(width - 2, 2)}
                      height={CELL - 2}
                      fill="none"
                      stroke={kind === 'now' ? 'var(--straw)' : 'var(--ink)'}
                      strokeWidth={2.5}
                    />
                  ) : null}
                  {findings?.has(at) ? <Mark severity={findings.get(at) ?? 'gap'} x={left + width / 2} /> : null}
                  {width >= 74 ? (
                    <foreignObject x={left + 2} y={TOP + 2} width={width - 4} height={CELL - 4} aria-hidden="true">
                      <div
                        className="line-clamp-2 px-1 text-xs leading-tight"
                        style={{ color: kind === 'now' ? 'var(--on-pine)' : 'var(--ink)' }}
                      >
                        {entryName(entry)}
                      </div>
                    </foreignObject>
                  ) : null}
                  {width < 74 &&
                  entry.kind === 'movement' &&
                  entry.number !== null &&
                  (isSelected || isNumbered(entry.number, width, strip.width / form.entries.length)) ? (
                    <text
                      x={left + width / 2}
                      y={TOP + CELL / 2 + 4}
                      fontSize={10.5}
                      textAnchor="middle"
                      fill={kind === 'now' ? 'var(--on-pine)' : 'var(--ink)'}
                    >
                      {entry.number}
                    </text>
                  ) : null}
                  {width < 74 && entry.kind !== 'movement' ? (
                    <circle cx={left + width / 2} cy={TOP + CELL / 2} r={2.5} fill="var(--soft)" />
                  ) : null}
                </g>
              );
            })}
          </g>
          {form.lessons.map((lesson) => (
            <text
              key={lesson.number}
              x={(strip.x(lesson.from) + strip.x(lesson.to + 1)) / 2}
              y={NOTCH + 20}
              fontSize={11}
              textAnchor="middle"
              fill="var(--soft)"
            >
              {lesson.number}
            </text>
          ))}
          {form.lessons.slice(0, -1).map((lesson) => (
            <Notch
              key={lesson.to}
              after={lesson.to}
              form={form}
              strip={strip}
              onMove={onMoveNotch}
              onFree={onFreeNotch}
              onHold={onHoldNotch}
            />
          ))}
          {form.joins
            .filter((join) => join.pin === 'never')
            .map((join) => (
              <line
                key={join.after}
                x1={strip.x(join.after + 1) - 6}
                x2={strip.x(join.after + 1) + 4}
                y1={NOTCH + 5}
                y2={NOTCH + 5}
                stroke="var(--persimmon)"
                strokeWidth={2.5}
              />
            ))}
          {arcs === 'none' ? null : (
            <Ties
              form={form}
              strip={strip}
              isTied={(position) =>
                arcs === 'all' ||
                position === pointed ||
                (selected !== null && position >= selected.from && position <= selected.to)
              }
            />
          )}
          {band === null ? null : <BandRow form={form} strip={strip} band={band} bottom={height - 2} />}
        </g>
      </svg>
    </div>
  );
});

/** How much each entry shows of a principle: a bar, the higher the more, in a row with its name. */
function BandRow({ form, strip, band, bottom }: { form: Form; strip: Strip; band: Band; bottom: number }) {
  const total = form.entries.length;
  return (
    <g role="img" aria-label={band.label}>
      <text x={0} y={bottom - BAND + 12} fontSize={12} fill="var(--soft)">
        {band.label}
      </text>
      <line x1={0} x2={strip.x(total + 1)} y1={bottom} y2={bottom} stroke="var(--line)" />
      {[...band.strengths].map(([position, strength]) => (
        <rect
          key={position}
          x={strip.x(position) + 1}
          y={bottom - strength * BAND_STEP}
          width={Math.max(strip.x(position + 1) - strip.x(position) - gap(form, position) - 2, 2)}
          height={strength * BAND_STEP}
          fill="var(--river)"
          data-band={position}
        />
      ))}
    </g>
  );
}

/** What the audit finds at an entry: a filled lozenge cannot be, a hollow one is unusual, a dot is not said. */
function Mark({ severity, x }: { severity: Severity; x: number }) {
  const y = TOP + 1;
  if (severity === 'gap') return <circle cx={x} cy={y} r={2.6} fill="var(--soft)" />;
  return (
    <path
      d={`M ${String(x)} ${String(y - 5)} l 4.5 5 l -4.5 5 l -4.5 -5 z`}
      fill={severity === 'error' ? 'var(--persimmon)' : 'var(--paper)'}
      stroke="var(--persimmon)"
      strokeWidth={1.4}
    />
  );
}

/** The better a join is to rest at, the wider the gap that is left there. */
function gap(form: Form, position: number): number {
  const rest = form.joins[position - 1]?.rest ?? 0;
  return 1 + (rest >= 0.6 ? 3 : 0);
}

function Ties({ form, strip, isTied }: { form: Form; strip: Strip; isTied: (position: number) => boolean }) {
  const middle = (position: number) => (strip.x(position) + strip.x(position + 1)) / 2;
  const top = NOTCH + 26;
  return (
    <g fill="none" stroke="var(--river)" strokeWidth={1.2} aria-hidden="true">
      {form.entries.map((entry) => {
        const to = entry.returns ?? entry.mirrors;
        if (to === null || !(isTied(entry.position) || isTied(to))) return null;
        const [from, until] = [middle(to), middle(entry.position)];
        const depth = Math.min(16 + (until - from) * 0.12, DEEPEST);
        return (
          <path
            key={entry.position}
            d={`M ${String(from)} ${String(top)} Q ${String((from + until) / 2)} ${String(top + depth)} ${String(until)} ${String(top)}`}
            strokeDasharray={entry.returns === null ? undefined : '4 3'}
          />
        );
      })}
    </g>
  );
}

interface NotchProps {
  after: number;
  form: Form;
  strip: Strip;
  onMove?: ((from: number, to: number) => void) | undefined;
  onFree?: ((after: number) => void) | undefined;
  onHold?: ((held: Held | null) => void) | undefined;
}

/** A lesson cut. Dragged or keyed to another join it becomes a pin there. */
function Notch({ after, form, strip, onMove, onFree, onHold }: NotchProps) {
  const { t } = useTranslation();
  const [target, setHeld] = useState<number | null>(null);
  const setTarget = (to: number | null) => {
    if (to === target) return;
    setHeld(to);
    onHold?.(to === null ? null : { from: after, to });
  };
  const [isDragged, setDragged] = useState(false);
  const shown = target ?? after;
  const x = strip.x(shown + 1) - 1;
  const isPinned = form.joins[after - 1]?.pin === 'always';
  // As wide as a finger, or as there is room for up to the next notch.
  const others = form.lessons.map((lesson) => lesson.to).filter((to) => to !== after);
  const hold = Math.max(12, Math.min(22, ...others.map((to) => Math.abs(strip.x(to + 1) - strip.x(after + 1)) / 2)));
  const color = target !== null && target !== after ? 'var(--persimmon)' : 'var(--ink)';
  const shape = (
    <>
      {target !== null && target !== after ? (
        <line x1={x} x2={x} y1={TOP - 4} y2={NOTCH} stroke="var(--persimmon)" strokeWidth={2} />
      ) : null}
      <path d={`M ${String(x)} ${String(NOTCH + 1)} l 6 9 h -12 z`} fill={color} />
      {isPinned ? <rect x={x - 6} y={NOTCH + 11.5} width={12} height={2.5} fill={color} /> : null}
    </>
  );
  if (!onMove) return <g aria-hidden="true">{shape}</g>;

  const place = (event: PointerEvent<SVGGElement>) => {
    const svg = event.currentTarget.ownerSVGElement;
    return svg ? strip.joinAt(event.clientX - svg.getBoundingClientRect().left - 2) : after;
  };
  const settle = () => {
    if (target !== null && target !== after) onMove(after, target);
    setTarget(null);
  };
  function onKey(event: KeyboardEvent) {
    if (event.key === 'ArrowRight') setTarget(Math.min(shown + 1, form.entries.length - 1));
    else if (event.key === 'ArrowLeft') setTarget(Math.max(shown - 1, 1));
    else if (event.key === 'Enter') settle();
    else if (event.key === 'Escape') setTarget(null);
    else if (event.key === 'Delete' || event.key === 'Backspace') onFree?.(after);
    else return;
    event.preventDefault();
    event.stopPropagation();
  }
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={t('ribbon.notch', { position: after })}
      aria-valuemin={1}
      aria-valuemax={form.entries.length - 1}
      aria-valuenow={shown}
      aria-valuetext={form.entries[shown - 1]?.title}
      data-notch={after}
      className="cursor-ew-resize"
      style={{ touchAction: 'none' }}
      onKeyDown={onKey}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setDragged(true);
        setTarget(after);
      }}
      onPointerMove={(event) => {
        if (isDragged) setTarget(place(event));
      }}
      onPointerUp={() => {
        setDragged(false);
        settle();
      }}
      onPointerCancel={() => {
        setDragged(false);
        setTarget(null);
      }}
    >
      <rect x={x - hold} y={NOTCH - 12} width={2 * hold} height={44} fill="transparent" />
      {shape}
    </g>
  );
}
