import { useRef } from 'react';
import type { Entry, Form, Passage } from '../api/client';
import { entryCall, entryName } from '../kit/entryName';

/** The fewest passages over some positions; what counts for nothing parts none. */
export function passagesOf(entries: Entry[], chosen: Set<number>): Passage[] {
  const passages: Passage[] = [];
  let isOpen = false;
  for (const entry of entries) {
    if (entry.kind === 'extra') continue;
    const last = passages.at(-1);
    if (!chosen.has(entry.position)) isOpen = false;
    else if (isOpen && last !== undefined) last.to = entry.position;
    else {
      passages.push({ from: entry.position, to: entry.position });
      isOpen = true;
    }
  }
  return passages;
}

interface Props {
  form: Pick<Form, 'entries' | 'sections'>;
  label: string;
  value: Set<number>;
  onValue: (chosen: Set<number>) => void;
}

/** Any set of movements of a form, chosen by touch: one by one, by drawing over them, or a section at once. */
export function PickMovements({ form, label, value, onValue }: Props) {
  const drawing = useRef<boolean | null>(null);
  const put = (positions: number[], is: boolean) => {
    const next = new Set(value);
    for (const position of positions) {
      if (is) next.add(position);
      else next.delete(position);
    }
    onValue(next);
  };
  const counted = form.entries.filter((entry) => entry.kind !== 'extra');
  const parts =
    form.sections.length === 0
      ? [{ title: '', entries: counted }]
      : form.sections
          .map((section) => ({
            title: section.title,
            entries: counted.filter((entry) => section.first <= entry.position && entry.position <= section.last),
          }))
          .filter((part) => part.entries.length > 0);
  return (
    <fieldset
      className="flex flex-col gap-2"
      onPointerUp={() => {
        drawing.current = null;
      }}
    >
      <legend className="text-sm font-medium">{label}</legend>
      {parts.map((part, nth) => {
        const own = part.entries.map((entry) => entry.position);
        const all = own.length > 0 && own.every((position) => value.has(position));
        return (
          <div key={nth} role="group" aria-label={part.title || label}>
            {part.title === '' ? null : (
              <button
                type="button"
                aria-pressed={all}
                className="min-h-11 text-left text-sm text-soft underline decoration-dotted"
                onClick={() => {
                  put(own, !all);
                }}
              >
                {part.title}
              </button>
            )}
            <div className="flex flex-wrap gap-1">
              {part.entries.map((entry) => {
                const isOn = value.has(entry.position);
                return (
                  <button
                    key={entry.position}
                    type="button"
                    aria-pressed={isOn}
                    aria-label={entryName(entry)}
                    title={entryName(entry)}
                    className={`min-h-11 min-w-11 touch-none border px-1 tabular-nums ${isOn ? 'border-pine bg-pine text-on-pine' : 'border-line bg-sheet'}`}
                    onPointerDown={(event) => {
                      drawing.current = !isOn;
                      event.currentTarget.releasePointerCapture(event.pointerId);
                      put([entry.position], !isOn);
                    }}
                    onPointerEnter={(event) => {
                      if (drawing.current !== null && event.buttons === 1) put([entry.position], drawing.current);
                    }}
                    onKeyDown={(event) => {
                      if (event.key === ' ' || event.key === 'Enter') {
                        event.preventDefault();
                        put([entry.position], !isOn);
                      }
                    }}
                  >
                    {entry.number ?? entryCall(entry).slice(0, 8)}
                  </button>
                );
              })}
            </div>
          </div>
        );
      })}
    </fieldset>
  );
}
