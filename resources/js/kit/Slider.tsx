import { Slider as Radix } from 'radix-ui';
import { useId } from 'react';

interface Props {
  label: string;
  value: number;
  onValue: (value: number) => void;
  min: number;
  max: number;
  step: number;
  /** What the two ends mean, and what is set now, in words. */
  ends: [string, string];
  says: string;
}

/** A number set by sliding, with words at its ends. */
export function Slider({ label, value, onValue, min, max, step, ends, says }: Props) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <span id={id} className="text-sm font-medium">
        {label}
      </span>
      <Radix.Root
        value={[value]}
        onValueChange={([next]) => {
          if (next !== undefined) onValue(next);
        }}
        min={min}
        max={max}
        step={step}
        className="relative flex h-11 touch-none items-center select-none"
      >
        <Radix.Track className="relative h-1 grow rounded bg-line">
          <Radix.Range className="absolute h-1 rounded bg-pine" />
        </Radix.Track>
        <Radix.Thumb
          aria-labelledby={id}
          aria-valuetext={says}
          className="flex size-11 items-center justify-center rounded-full after:size-5 after:rounded-full after:border-2 after:border-pine after:bg-sheet after:content-['']"
        />
      </Radix.Root>
      <span aria-hidden="true" className="flex justify-between text-sm text-soft">
        <span>{ends[0]}</span>
        <span className="text-ink">{says}</span>
        <span>{ends[1]}</span>
      </span>
    </div>
  );
}
