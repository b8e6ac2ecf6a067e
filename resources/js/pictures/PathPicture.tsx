import { useTranslation } from '../messages';
import type { Floor } from '../api/client';

type Footing = Floor['fit']['spots'][number];

interface Props {
  /** Where one stands, in steps, from where the passage begins. */
  path: Pick<Footing, 'x' | 'y' | 'facing'>[];
}

/** The footings of a passage turned so that one faces up where it begins, and moved so that it begins in the middle. */
export function turnedToStart(path: Props['path']): { x: number; y: number }[] {
  const start = path[0];
  if (start === undefined) return [];
  const angle = (start.facing * Math.PI) / 180;
  return path.map((at) => {
    const [x, y] = [at.x - start.x, at.y - start.y];
    // Clockwise facing: turning back by it brings the first facing to the top.
    return { x: x * Math.cos(angle) - y * Math.sin(angle), y: -(x * Math.sin(angle) + y * Math.cos(angle)) };
  });
}

/** The way of a passage over the floor, seen from above. */
export function PathPicture({ path }: Props) {
  const { t } = useTranslation();
  const spots = turnedToStart(path);
  const reach = Math.max(0, ...spots.map((spot) => Math.max(Math.abs(spot.x), Math.abs(spot.y))));
  if (reach < 0.25) return <p className="text-sm text-soft">{t('mine.pathNone')}</p>;
  const xs = spots.map((spot) => spot.x);
  const ys = spots.map((spot) => spot.y);
  const margin = 0.8;
  const [left, top] = [Math.min(...xs) - margin, Math.min(...ys) - margin];
  const [width, height] = [Math.max(...xs) - left + margin, Math.max(...ys) - top + margin];
  return (
    <figure className="m-0 mt-2">
      <svg
        viewBox={[left, top, width, height].map((one) => one.toFixed(2)).join(' ')}
        className="block max-h-40 w-full"
        role="img"
        aria-label={t('mine.path')}
      >
        <polyline
          points={spots.map((spot) => `${spot.x.toFixed(2)},${spot.y.toFixed(2)}`).join(' ')}
          fill="none"
          stroke="var(--river)"
          strokeWidth={0.12}
          strokeLinejoin="round"
        />
        {spots.slice(1).map((spot, at) => (
          <circle key={at} cx={spot.x} cy={spot.y} r={0.14} fill="var(--sheet)" stroke="var(--river)" strokeWidth={0.08} />
        ))}
        <circle cx={spots[0]?.x} cy={spots[0]?.y} r={0.24} fill="var(--pine)" />
      </svg>
      <figcaption className="text-sm text-soft">{t('mine.pathSays')}</figcaption>
    </figure>
  );
}
