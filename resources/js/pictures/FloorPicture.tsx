import { useTranslation } from '../messages';
import type { Floor } from '../api/client';

interface Props {
  floor: Floor;
  /** Of the room, in metres. */
  width: number;
  depth: number;
  /** What is written beside the entries that matter, the most important first. */
  named: Map<number, string>;
  chosen: number | null;
  onChoose: (position: number) => void;
  label: string;
}

const MARGIN = 0.6;

/** A form's path in a room seen from above, drawn to scale, with the block the class stands in. */
export function FloorPicture({ floor, width, depth, named, chosen, onChoose, label }: Props) {
  const { t } = useTranslation();
  // The room is measured from its back wall, the picture from the front at its top.
  const spots = floor.fit.spots.map((spot) => ({ ...spot, y: depth - spot.y }));
  const start = spots[0];
  const end = spots[spots.length - 1];
  const out = new Set(floor.fit.out);
  const [blockWidth = 0, blockDepth = 0] = floor.fit.block;
  const xs = [0, width, ...spots.map((spot) => spot.x)];
  const ys = [0, depth, ...spots.map((spot) => spot.y)];
  const box = {
    x: Math.min(...xs) - MARGIN,
    y: Math.min(...ys) - MARGIN,
    w: Math.max(...xs) - Math.min(...xs) + 2 * MARGIN,
    h: Math.max(...ys) - Math.min(...ys) + 2 * MARGIN,
  };
  if (!start || !end) return null;
  return (
    <svg
      viewBox={[box.x, box.y, box.w, box.h].map((one) => one.toFixed(3)).join(' ')}
      className="block max-h-[70vh] w-full"
      role="group"
      aria-label={label}
    >
      <rect x={0} y={0} width={width} height={depth} fill="var(--sheet)" stroke="var(--ink)" strokeWidth={0.05} />
      <line x1={0} x2={width} y1={0} y2={0} stroke="var(--pine)" strokeWidth={0.12} />
      <text x={width / 2} y={box.y + 0.38} fontSize={0.3} textAnchor="middle" fill="var(--soft)">
        {t('floor.frontWall')} · {t('floor.metres', { count: width })}
      </text>
      <text
        x={box.x + 0.38}
        y={depth / 2}
        fontSize={0.3}
        textAnchor="middle"
        fill="var(--soft)"
        transform={`rotate(-90 ${String(box.x + 0.38)} ${String(depth / 2)})`}
      >
        {t('floor.metres', { count: depth })}
      </text>
      {Array.from({ length: Math.ceil(width) - 1 }, (_, n) => (
        <line key={`x${String(n)}`} x1={n + 1} x2={n + 1} y1={0} y2={depth} stroke="var(--line)" strokeWidth={0.012} />
      ))}
      {Array.from({ length: Math.ceil(depth) - 1 }, (_, n) => (
        <line key={`y${String(n)}`} x1={0} x2={width} y1={n + 1} y2={n + 1} stroke="var(--line)" strokeWidth={0.012} />
      ))}
      <rect
        x={start.x - blockWidth / 2}
        y={start.y - blockDepth / 2}
        width={blockWidth}
        height={blockDepth}
        fill="none"
        stroke="var(--river)"
        strokeDasharray="0.15 0.12"
        strokeWidth={0.03}
      />
      {floor.fit.stands.map((stand, n) => (
        <circle key={n} cx={stand.x} cy={depth - stand.y} r={0.12} fill="var(--river2)" />
      ))}
      <polyline
        points={spots.map((spot) => `${spot.x.toFixed(3)},${spot.y.toFixed(3)}`).join(' ')}
        fill="none"
        stroke="var(--river)"
        strokeWidth={0.04}
        strokeLinejoin="round"
      />
      {spots.slice(1).map((spot, n) => {
        const position = n + 1;
        return (
          // The list beside the picture says the same and is reached by keys.

          <g
            key={position}
            transform={`translate(${spot.x.toFixed(3)} ${spot.y.toFixed(3)}) rotate(${String(spot.facing)})`}
            className="cursor-pointer"
            onClick={() => {
              onChoose(position);
            }}
          >
            <title>{String(position)}</title>
            {position === chosen ? <circle r={0.32} fill="var(--straw)" opacity={0.8} /> : null}
            <Prints
              color={out.has(position) ? 'var(--persimmon)' : 'var(--pine)'}
              isFaint={chosen !== null && position !== chosen}
            />
            {out.has(position) ? (
              <path d="M -0.13 -0.13 L 0.13 0.13 M 0.13 -0.13 L -0.13 0.13" stroke="var(--persimmon)" strokeWidth={0.035} />
            ) : null}
          </g>
        );
      })}
      {apart(named, spots).map(({ position, text, x, y }) => (
        <text
          key={position}
          x={x}
          y={y}
          fontSize={0.34}
          fontWeight={position === chosen ? 700 : 400}
          fill={out.has(position) ? 'var(--persimmon)' : 'var(--ink)'}
          stroke="var(--sheet)"
          strokeWidth={0.09}
          paintOrder="stroke"
          aria-hidden="true"
          data-named={position}
        >
          {text}
        </text>
      ))}
      <circle cx={start.x} cy={start.y} r={0.27} fill="none" stroke="var(--ink)" strokeWidth={0.06} />
      <rect x={end.x - 0.24} y={end.y - 0.24} width={0.48} height={0.48} fill="none" stroke="var(--ink)" strokeWidth={0.06} />
    </svg>
  );
}

/** So far apart, in metres, that one number can be told from another. */
const APART = { x: 0.62, y: 0.36 };

/** Numbers beside their places; where two would lie on one another, the more important one stands. */
function apart(named: Props['named'], spots: { x: number; y: number }[]) {
  const placed: { position: number; text: string; x: number; y: number }[] = [];
  for (const [position, text] of named) {
    const spot = spots[position];
    if (spot === undefined) continue;
    const at = { x: spot.x + 0.24, y: spot.y - 0.18 };
    if (placed.some((one) => Math.abs(one.x - at.x) < APART.x && Math.abs(one.y - at.y) < APART.y)) continue;
    placed.push({ position, text, ...at });
  }
  return placed;
}

/** Two soles side by side, toes to the facing. */
function Prints({ color, isFaint }: { color: string; isFaint: boolean }) {
  return (
    <g fill={color} opacity={isFaint ? 0.35 : 0.85}>
      <ellipse cx={-0.08} cy={-0.04} rx={0.05} ry={0.11} />
      <ellipse cx={0.08} cy={-0.04} rx={0.05} ry={0.11} />
      <circle cx={-0.08} cy={0.12} r={0.04} />
      <circle cx={0.08} cy={0.12} r={0.04} />
    </g>
  );
}
