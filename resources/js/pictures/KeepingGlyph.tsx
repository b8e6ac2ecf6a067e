import type { Stroke } from './keeping';

const WIDTH = 30;
const HEIGHT = 15;
const LEVEL = 12;

/** How well a principle is kept: a level stroke with up to four ticks. It lies, where the reed of an entry stands. */
export function KeepingGlyph({ stroke, size = 15, label }: { stroke: Stroke; size?: number; label?: string | undefined }) {
  const { ticks, sureness } = stroke;
  const isSolid = sureness === 'solid';
  const color = sureness === 'none' ? 'var(--line)' : sureness === 'dotted' ? 'var(--soft)' : 'var(--pine)';
  return (
    <svg
      viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT)}`}
      height={size}
      width={(size * WIDTH) / HEIGHT}
      role={label ? 'img' : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
      data-ticks={ticks}
      data-sureness={sureness}
    >
      {sureness === 'outlined' ? (
        <rect x={1} y={LEVEL - 1.6} width={WIDTH - 2} height={3.2} rx={1.4} fill="none" stroke={color} strokeWidth={1} />
      ) : (
        <line
          x1={1.5}
          x2={WIDTH - 1.5}
          y1={LEVEL}
          y2={LEVEL}
          stroke={color}
          strokeWidth={isSolid ? 3.4 : 1.6}
          strokeLinecap="round"
          strokeDasharray={sureness === 'dotted' || sureness === 'none' ? '2 2.6' : undefined}
        />
      )}
      {Array.from({ length: ticks }, (_, at) => (
        <line
          key={at}
          x1={5 + at * 6.6}
          x2={5 + at * 6.6}
          y1={1.2}
          y2={LEVEL - 2.4}
          stroke={color}
          strokeWidth={isSolid ? 3 : 1.5}
          strokeDasharray={sureness === 'dotted' ? '2 1.6' : undefined}
        />
      ))}
    </svg>
  );
}
