import type { Entry, Form } from '../api/client';
import type { Strip } from './strip';

/** How high it is, in pixels. */
export const RULER = 46;
/** A number takes so much room: cells at least so wide have one each, of narrower ones every fifth, tenth or twentieth. */
const ROOMY = 26;
const STEPS = [5, 10, 20];
/** What a letter of a section's title takes, about, in pixels. */
const LETTER = 6.6;

/** Numbers stand where they can be told apart: each where there is room, else every so many as there is room for. */
export function isNumbered(number: number, width: number, mean: number): boolean {
  const every = STEPS.find((one) => one * mean >= ROOMY) ?? 50;
  return width >= ROOMY || number === 1 || number % every === 0;
}

interface Props {
  entries: Entry[];
  sections: Form['sections'];
  strip: Strip;
}

/** What heads every picture of entries: the sections as bars, and the numbers of the entries on the scale of the rows below. */
export function Ruler({ entries, sections, strip }: Props) {
  const mean = strip.width / Math.max(entries.length, 1);
  const at = new Map(entries.map((entry, index) => [entry.position, index + 1]));
  const shown = sections.flatMap((section) => {
    const inside = [...at]
      .filter(([position]) => position >= section.first && position <= section.last)
      .map(([, index]) => index);
    return inside.length === 0 ? [] : [{ section, from: Math.min(...inside), to: Math.max(...inside) }];
  });
  return (
    <g aria-hidden="true">
      {shown.map(({ section, from, to }) => {
        const room = strip.x(to + 1) - strip.x(from) - 4;
        return (
          <g key={section.first}>
            <title>{section.title}</title>
            <text x={strip.x(from)} y={14} fontSize={13} fill="var(--ink)">
              {section.title.length * LETTER <= room
                ? section.title
                : `${section.title.slice(0, Math.max(1, Math.floor(room / LETTER) - 1))}…`}
            </text>
            <line x1={strip.x(from)} x2={strip.x(from) + Math.max(room, 2)} y1={20} y2={20} stroke="var(--ink)" strokeWidth={2} />
          </g>
        );
      })}
      {entries.map((entry, index) => {
        const [left, right] = [strip.x(index + 1), strip.x(index + 2)];
        if (entry.number === null || !isNumbered(entry.number, right - left, mean)) return null;
        return (
          <text key={entry.position} x={(left + right) / 2} y={38} fontSize={12} textAnchor="middle" fill="var(--soft)">
            {entry.number}
          </text>
        );
      })}
    </g>
  );
}
