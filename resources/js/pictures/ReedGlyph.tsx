import type { Reed } from './reed';

const WIDTH = 10;
const STEP = 6;
const HEIGHT = 32;

/** The segments of a reed, bottom up, inside a 10 x 32 box. The lean makes it a reed and not a bar. */
export function ReedSegments({ reed, x = 0, y = 0 }: { reed: Reed; x?: number; y?: number }) {
  const filled = reed.sureness === 'solid';
  return (
    <g transform={`translate(${String(x)} ${String(y)})`} data-segments={reed.segments} data-sureness={reed.sureness}>
      {reed.segments === 0 ? (
        <line x1={WIDTH / 2} x2={WIDTH / 2} y1={4} y2={HEIGHT} stroke="var(--line)" strokeDasharray="2 2" />
      ) : null}
      {Array.from({ length: reed.segments }, (_, at) => (
        <rect
          key={at}
          x={1.5 + (at % 2 === 0 ? -0.7 : 0.7)}
          y={HEIGHT - (at + 1) * STEP}
          width={7}
          height={4.4}
          rx={0.8}
          fill={filled ? 'var(--pine)' : 'none'}
          stroke={reed.sureness === 'dotted' ? 'var(--soft)' : 'var(--pine)'}
          strokeWidth={filled ? 0.6 : 1.1}
          strokeDasharray={reed.sureness === 'dotted' ? '1.4 1.2' : undefined}
        />
      ))}
    </g>
  );
}

/** A reed by itself. Give it a label unless words stand beside it. */
export function ReedGlyph({ reed, size = 28, label }: { reed: Reed; size?: number; label?: string | undefined }) {
  return (
    <svg
      viewBox={`0 0 ${String(WIDTH)} ${String(HEIGHT + 1)}`}
      height={size}
      width={(size * WIDTH) / (HEIGHT + 1)}
      role={label ? 'img' : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
    >
      <ReedSegments reed={reed} />
    </svg>
  );
}
