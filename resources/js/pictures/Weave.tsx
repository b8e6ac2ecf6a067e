import type { ReactNode } from 'react';
import { useTranslation } from '../messages';
import { withoutClass } from './withoutClass';
import { Link } from '../kit/router';
import type { Closure, Form, Meeting, Passage } from '../api/client';
import { day, share } from '../kit/format';
import { useLesson, useSpot } from './CarryLessons';
import { type Part, partOf } from './coursePart';
import { kindIn, kindWords, meetingKind, takesLessons } from './meetingKind';
import { Ruler, RULER } from './Ruler';
import { frameOf, type Strip, stripOf } from './strip';
import { usePaperFit, useWidth } from './useWidth';

const ROW = 32;
/** A weave shows the whole of its form on its page, however narrow its cells get. */
const NARROWEST = 2;

type Frame = ReturnType<typeof frameOf>;
/** Where the kind of a meeting stands, and from which width of the left side on it does. */
const KIND = 66;
const WORDS = 120;

type Row = { kind: 'meeting'; on: string; meeting: Meeting } | { kind: 'closed'; on: string; to: string };

interface Woven {
  form: Form;
  course: string;
  meetings: Meeting[];
  closures: Closure[];
}

interface Props extends Woven {
  /** The plan as it was, drawn behind as ghosts. */
  was?: Meeting[] | undefined;
  /** Lessons can be carried to other meetings; it then stands inside CarryLessons. */
  canMove?: boolean;
  /** An evening was chosen, to change it. */
  onChoose?: ((meeting: Meeting) => void) | undefined;
  /** Nothing of it is there yet, so that nothing leads to it. */
  isSketch?: boolean;
  /** How wide the strip is, where several stand on one scale. */
  inner?: number | undefined;
}

/** The meetings and the closures of a term, in the order of their days. */
export function rowsOf({ meetings, closures }: Pick<Woven, 'meetings' | 'closures'>): Row[] {
  const rows: Row[] = [
    ...meetings.map((meeting): Row => ({ kind: 'meeting', on: meeting.on, meeting })),
    ...withoutClass(closures, meetings).map((closure): Row => ({ kind: 'closed', on: closure.from, to: closure.to })),
  ];
  return rows.sort((a, b) => a.on.localeCompare(b.on));
}

/** A term: meetings down, entries across. Lessons to come are carried from one evening to another. */
export function Weave({ form, course, meetings, closures, was, canMove = false, onChoose, isSketch = false, inner }: Props) {
  const { t } = useTranslation();
  const [ref, available] = useWidth<HTMLDivElement>();
  const rows = rowsOf({ meetings, closures });
  const frame = frameOf(available);
  const strip = stripOf(form.entries, inner ?? Math.max(frame.inner - 4, 220), 'load', NARROWEST);
  const width = frame.left + strip.width + frame.right;
  const fit = usePaperFit(width);
  const old = new Map((was ?? []).map((meeting) => [meeting.id, meeting]));
  return (
    <div ref={ref} className="relative w-full overflow-x-auto">
      <svg
        width={width}
        height={RULER + rows.length * ROW + 6}
        className="block font-sans"
        style={fit}
        aria-label={t('terms.weave')}
        role="group"
      >
        <defs>
          <pattern id="closed" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
            <line x1="0" x2="0" y1="0" y2="7" stroke="var(--line)" strokeWidth="3" />
          </pattern>
        </defs>
        <g transform={`translate(${String(frame.left)} 0)`}>
          <Ruler entries={form.entries} sections={form.sections} strip={strip} />
        </g>
        {rows.map((row, at) => (
          <g
            key={row.kind === 'closed' ? `closed${row.on}` : row.meeting.id}
            transform={`translate(0 ${String(RULER + at * ROW)})`}
          >
            {row.kind === 'closed' ? (
              <>
                <text x={4} y={21} fontSize={14} fill="var(--soft)">
                  {day(row.on)}
                </text>
                {frame.left < WORDS ? null : (
                  <text x={KIND} y={21} fontSize={13} fill="var(--soft)">
                    {t('season.noClass')}
                  </text>
                )}
                <rect x={frame.left} y={6} width={strip.width} height={ROW - 12} fill="url(#closed)" />
              </>
            ) : (
              <MeetingLine
                meeting={row.meeting}
                was={old.get(row.meeting.id)}
                course={course}
                strip={strip}
                frame={frame}
                width={width}
                canMove={canMove}
                isSketch={isSketch}
                onChoose={onChoose}
              />
            )}
            <line x1={frame.left} x2={frame.left + strip.width} y1={ROW} y2={ROW} stroke="var(--line)" strokeWidth={0.6} />
          </g>
        ))}
      </svg>
    </div>
  );
}

interface LineProps {
  meeting: Meeting;
  was: Meeting | undefined;
  course: string;
  strip: Strip;
  frame: Frame;
  width: number;
  canMove: boolean;
  isSketch: boolean;
  onChoose: ((meeting: Meeting) => void) | undefined;
}

const spanOn = (strip: Strip, left: number) => (passage: Passage) => ({
  x: left + strip.x(passage.from),
  width: Math.max(strip.x(passage.to + 1) - strip.x(passage.from) - 2, 4),
});

function MeetingLine({ meeting, was, course, strip, frame, width, canMove, isSketch, onChoose }: LineProps) {
  const { t } = useTranslation();
  const kind = meetingKind(meeting);
  const isPlanned = kind !== 'past' && kind !== 'cancelled';
  const { setNodeRef, isOver } = useSpot(meeting.id, 'weave', canMove && takesLessons(meeting));
  const part = partOf(meeting, course);
  const taught = part.taughtAfter ?? 0;
  const words = kindWords(t, kindIn(kind, part), part.numbers);
  const span = spanOn(strip, frame.left);
  const run = part.runThrough && isPlanned && part.shown.length === 0 ? span(part.runThrough) : null;
  const label = t(isPlanned ? 'terms.meetingLabel' : 'terms.unsaidLabel', {
    date: day(meeting.on, 'weekday'),
    kind: words,
    taught,
    recall: share(part.recallAfter),
  });
  return (
    <>
      <rect
        ref={setNodeRef as unknown as React.Ref<SVGRectElement>}
        x={0}
        y={1}
        width={width}
        height={ROW - 2}
        fill={isOver ? 'var(--river2)' : meeting.isToday ? 'var(--straw-soft)' : 'transparent'}
        onClick={
          onChoose
            ? () => {
                onChoose(meeting);
              }
            : undefined
        }
        style={onChoose ? { cursor: 'pointer' } : undefined}
      />
      <Way to={isSketch ? null : `/meetings/${meeting.id}`} label={label}>
        <rect x={0} y={1} width={frame.left - 6} height={ROW - 2} fill="transparent" />
        <text
          x={4}
          y={21}
          fontSize={14}
          fontWeight={meeting.isToday ? 700 : 400}
          fill="var(--ink)"
          textDecoration={kind === 'cancelled' ? 'line-through' : undefined}
        >
          {day(meeting.on)}
        </text>
        {frame.left < WORDS ? null : (
          <text x={KIND} y={21} fontSize={13} fill="var(--soft)">
            {kind === 'cancelled' ? '–' : words}
          </text>
        )}
      </Way>
      {kind === 'cancelled' ? (
        <text x={frame.left + 4} y={21} fontSize={13} fill="var(--soft)" pointerEvents="none">
          {meeting.reason ? t('terms.cancelledBecause', { reason: meeting.reason }) : t('terms.cancelled')}
        </text>
      ) : null}
      {was && isPlanned ? <Ghosts part={partOf(was, course)} now={part} span={span} /> : null}
      <g pointerEvents="none">
        {run ? (
          <line
            x1={run.x}
            x2={run.x + run.width}
            y1={24}
            y2={24}
            stroke="var(--river)"
            strokeWidth={1.2}
            data-stroke="run-through"
          />
        ) : null}
        {isPlanned
          ? part.review.map((item) => {
              const { x, width: wide } = span(item);
              return (
                <g key={item.from} data-stroke="review" stroke="var(--river)" strokeWidth={2}>
                  <rect x={x} y={11.5} width={wide} height={8} fill="var(--river2)" stroke="none" opacity={0.75} />
                  <line x1={x} x2={x + wide} y1={12} y2={12} />
                  <line x1={x} x2={x + wide} y1={19} y2={19} />
                </g>
              );
            })
          : null}
      </g>
      {/* Followed along, and not yet taught: dots, which are neither of the other strokes. */}
      {isPlanned
        ? part.shown.map((passage) => {
            const { x, width: wide } = span(passage);
            return (
              <line
                key={passage.from}
                x1={x + 1}
                x2={x + wide}
                y1={24}
                y2={24}
                stroke="var(--soft)"
                strokeWidth={2.4}
                strokeDasharray="0.1 5"
                strokeLinecap="round"
                data-stroke="shown"
                pointerEvents="none"
              />
            );
          })
        : null}
      {isPlanned
        ? part.lessons.map((lesson) => (
            <LessonBlock
              key={`${lesson.kind}${String(lesson.number)}${String(lesson.from)}`}
              lesson={lesson}
              meeting={meeting}
              course={course}
              place={span(lesson)}
              canMove={canMove && takesLessons(meeting) && lesson.number !== null}
            />
          ))
        : null}
      {frame.right === 0 ? null : (
        <text x={width - 4} y={21} fontSize={13} textAnchor="end" fill="var(--soft)" pointerEvents="none">
          {isPlanned ? `${t('terms.taughtAfter', { count: taught })} · ${share(part.recallAfter)}` : '–'}
        </text>
      )}
    </>
  );
}

/** What leads to a meeting; or, where it is only sketched, says it. */
function Way({ to, label, children }: { to: string | null; label: string; children: ReactNode }) {
  if (to !== null)
    return (
      <Link to={to} aria-label={label}>
        {children}
      </Link>
    );
  return (
    <g role="img" aria-label={label}>
      {children}
    </g>
  );
}

/** Strokes of the plan as it was, where it is another now. */
function Ghosts({ part, now, span }: { part: Part; now: Part; span: (passage: Passage) => { x: number; width: number } }) {
  const isSame = (passage: Passage, all: Passage[]) => all.some((one) => one.from === passage.from && one.to === passage.to);
  const ghost = { fill: 'none', stroke: 'var(--soft)', strokeWidth: 1.2, strokeDasharray: '3 3' };
  return (
    <g pointerEvents="none" data-stroke="ghost">
      {part.lessons
        .filter((one) => !isSame(one, now.lessons))
        .map((one) => {
          const { x, width } = span(one);
          return <rect key={one.from} x={x} y={3.5} width={width} height={ROW - 7} {...ghost} />;
        })}
      {part.review
        .filter((one) => !isSame(one, now.review))
        .map((one) => {
          const { x, width } = span(one);
          return <path key={one.from} d={`M${String(x)} 10h${String(width)}M${String(x)} 21h${String(width)}`} {...ghost} />;
        })}
    </g>
  );
}

interface BlockProps {
  lesson: Part['lessons'][number];
  meeting: Meeting;
  course: string;
  place: { x: number; width: number };
  canMove: boolean;
}

function LessonBlock({ lesson, meeting, course, place, canMove }: BlockProps) {
  const { t } = useTranslation();
  const { attributes, listeners, setNodeRef, isDragging } = useLesson(
    { lesson: lesson.number, meeting: meeting.id, picture: 'weave' },
    lesson.kind,
    canMove,
  );
  const isPinned = (meeting.pins.lessons as Record<string, number> | undefined)?.[course] === lesson.number;
  const isJoin = lesson.kind === 'join';
  // A number that does not fit stands behind its block.
  const isNarrow = place.width < 8 * String(lesson.number ?? '').length + 4;
  const handle = canMove
    ? {
        ...attributes,
        ...listeners,
        role: 'button',
        tabIndex: 0,
        'aria-label': t('terms.dragLabel', { number: lesson.number, date: day(meeting.on, 'weekday') }),
        style: { cursor: 'grab', touchAction: 'none' },
      }
    : {};
  return (
    <g
      ref={setNodeRef as unknown as React.Ref<SVGGElement>}
      {...handle}
      data-stroke="new"
      data-lesson={lesson.number ?? undefined}
      opacity={isDragging ? 0.4 : 1}
    >
      <rect
        x={place.x}
        y={5.5}
        width={place.width}
        height={ROW - 11}
        fill={meeting.isHeld ? 'var(--pine)' : 'var(--sheet)'}
        fillOpacity={isJoin ? 0.35 : 1}
        stroke="var(--pine)"
        strokeWidth={lesson.kind === 'detail' ? 3 : 1.6}
        strokeDasharray={isJoin ? '2 2' : lesson.kind === 'rough' ? '5 3' : undefined}
      />
      {isPinned ? <circle cx={place.x + place.width} cy={6} r={3.5} fill="var(--persimmon)" /> : null}
      <text
        x={isNarrow ? place.x + place.width + 3 : place.x + place.width / 2}
        y={20.5}
        fontSize={12}
        textAnchor={isNarrow ? 'start' : 'middle'}
        fill={meeting.isHeld && !isNarrow ? 'var(--on-pine)' : 'var(--ink)'}
      >
        {lesson.number}
      </text>
    </g>
  );
}
