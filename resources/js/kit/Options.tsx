import { RadioGroup } from 'radix-ui';
import { useId } from 'react';

interface Props {
  label: string;
  value: string | null;
  onValue: (value: string) => void;
  of: { value: string; text: string }[];
}

/** One of a few answers, each in words of its own. */
export function Options({ label, value, onValue, of }: Props) {
  const id = useId();
  return (
    <RadioGroup.Root aria-label={label} value={value} onValueChange={onValue}>
      {of.map((one, nth) => (
        <div key={one.value} className="flex min-h-11 items-center gap-3">
          <RadioGroup.Item
            id={`${id}${String(nth)}`}
            value={one.value}
            className="relative flex size-5 shrink-0 items-center justify-center rounded-full border border-soft bg-sheet after:absolute after:-inset-3 data-[state=checked]:border-pine"
          >
            <RadioGroup.Indicator className="size-2.5 rounded-full bg-pine" />
          </RadioGroup.Item>
          <label htmlFor={`${id}${String(nth)}`} className="flex min-h-11 grow cursor-pointer items-center">
            {one.text}
          </label>
        </div>
      ))}
    </RadioGroup.Root>
  );
}
