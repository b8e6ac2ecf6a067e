import { useTranslation } from 'react-i18next';
import { Link } from 'react-router';
import type { Meeting, Passage, Term } from '../api/client';
import { day, recall } from '../kit/format';
import { meetingKind } from './meetingKind';
import { type Strip, stripOf } from './strip';
import { useWidth } from './useWidth';

const ROW = 30;
const LEFT = 150;
const RIGHT = 118;
const TOP = 30;

type Row = { kind: 'meeting'; on: string; meeting: Meeting } | { kind: 'closed'; on: string; to: string };

/** The meetings and the closures of a term, in the order of their days. */
export function rowsOf(term: Term): Row[] {
  const rows: Row[] = [
    ...term.meetings.map((meeting): Row => ({ kind: 'meeting', on: meeting.on, meeting })),
    ...term.closures.map((closure): Row => ({ kind: 'closed', on: closure.from, to: closure.to })),
  ];
  return rows.sort((a, b) => a.on.localeCompare(b.on));
}

/** A term: meetings down, entries across. */
export function Weave({ term }: { term: Term }) {
  const { t } = useTranslation();
  const [ref, available] = useWidth<HTMLDivElement>();
  const rows = rowsOf(term);
  const inner = Math.max(available - LEFT - RIGHT - 4, 420);
  const strip = stripOf(term.form.entries, inner, 'load', 3);
  const width = LEFT + strip.width + RIGHT;
  return (
    <div ref={ref} className="w-full relative overflow-x-auto">
      <svg
        width={width}
        height={TOP + rows.length * ROW + 6}
        className="block font-sans"
        aria-label={t('terms.weave')}
        role="group"
      >
        <defs>
          <pattern id="closed" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
            <line x1="0" x2="0" y1="0" y2="7" stroke="var(--line)" strokeWidth="3" />
          </pattern>
        </defs>
        {term.form.sections.map((section) => (
          <g key={section.first} transform={`translate(${String(LEFT)} 0)`}>
            <text x={strip.x(section.first)} y={14} fontSize={12} fill="var(--soft)">
              {section.title}
            </text>
            <line
              x1={strip.x(section.first)}
              x2={strip.x(section.last + 1) - 4}
              y1={21}
              y2={21}
              stroke="var(--ink)"
              strokeWidth={2}
            />
          </g>
        ))}
        {rows.map((row, at) => (
          <g key={`${row.kind}${row.on}`} transform={`translate(0 ${String(TOP + at * ROW)})`}>
            {row.kind === 'closed' ? (
              <>
                <text x={4} y={19} fontSize={13} fill="var(--soft)">
                  {day(row.on)}
                </text>
                <text x={64} y={19} fontSize={12} fill="var(--soft)">
                  {t('terms.noClass')}
                </text>
                <rect x={LEFT} y={6} width={strip.width} height={ROW - 12} fill="url(#closed)" />
              </>
            ) : (
              <MeetingLine meeting={row.meeting} strip={strip} width={width} />
            )}
            <line x1={LEFT} x2={LEFT + strip.width} y1={ROW} y2={ROW} stroke="var(--line)" strokeWidth={0.6} />
          </g>
        ))}
      </svg>
    </div>
  );
}

function MeetingLine({ meeting, strip, width }: { meeting: Meeting; strip: Strip; width: number }) {
  const { t } = useTranslation();
  const kind = meetingKind(meeting);
  const isUnsaid = kind === 'past';
  const words = t(`kind.${kind}`, { number: meeting.lessonNumber ?? '' });
  const span = (passage: Passage) => ({
    x: LEFT + strip.x(passage.from),
    width: Math.max(strip.x(passage.to + 1) - strip.x(passage.from) - 2, 4),
  });
  const lesson = meeting.lesson && !isUnsaid ? span(meeting.lesson) : null;
  const run = meeting.runThrough && !isUnsaid ? span(meeting.runThrough) : null;
  return (
    <Link
      to={`/meetings/${meeting.id}`}
      aria-label={t(isUnsaid ? 'terms.unsaidLabel' : 'terms.meetingLabel', {
        date: day(meeting.on, 'weekday'),
        kind: words,
        taught: meeting.taughtAfter ?? 0,
        recall: recall(meeting.recallAfter),
      })}
    >
      <rect x={0} y={1} width={width} height={ROW - 2} fill={meeting.isToday ? 'var(--straw-soft)' : 'transparent'} />
      <text x={4} y={19} fontSize={13} fontWeight={meeting.isToday ? 700 : 400} fill="var(--ink)">
        {day(meeting.on)}
      </text>
      <text x={64} y={19} fontSize={12} fill="var(--soft)">
        {words}
      </text>
      {run ? (
        <line
          x1={run.x}
          x2={run.x + run.width}
          y1={22}
          y2={22}
          stroke="var(--river)"
          strokeWidth={1.2}
          data-stroke="run-through"
        />
      ) : null}
      {kind === 'past'
        ? null
        : meeting.review.map((item) => {
            const { x, width: wide } = span(item);
            return (
              <g key={item.from} data-stroke="review" stroke="var(--river)" strokeWidth={2}>
                <rect x={x} y={10.5} width={wide} height={8} fill="var(--river2)" stroke="none" opacity={0.75} />
                <line x1={x} x2={x + wide} y1={11} y2={11} />
                <line x1={x} x2={x + wide} y1={18} y2={18} />
              </g>
            );
          })}
      {lesson ? (
        <g data-stroke="new">
          <rect
            x={lesson.x}
            y={5.5}
            width={lesson.width}
            height={ROW - 11}
            fill={meeting.isHeld ? 'var(--pine)' : 'var(--sheet)'}
            stroke="var(--pine)"
            strokeWidth={1.6}
          />
          <text
            x={lesson.x + lesson.width / 2}
            y={19}
            fontSize={11}
            textAnchor="middle"
            fill={meeting.isHeld ? 'var(--on-pine)' : 'var(--ink)'}
          >
            {meeting.lessonNumber}
          </text>
        </g>
      ) : null}
      <text x={width - 4} y={19} fontSize={12} textAnchor="end" fill="var(--soft)">
        {isUnsaid ? '–' : `${t('terms.taughtAfter', { count: meeting.taughtAfter ?? 0 })} · ${recall(meeting.recallAfter)}`}
      </text>
    </Link>
  );
}
