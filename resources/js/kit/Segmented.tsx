import { ToggleGroup } from 'radix-ui';

interface Props<V extends string> {
  label: string;
  value: V;
  onValue: (value: V) => void;
  of: { value: V; text: string }[];
}

/** One of a few, all of them in sight. */
export function Segmented<V extends string>({ label, value, onValue, of }: Props<V>) {
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => {
        if (next) onValue(next as V);
      }}
      className="no-print inline-flex flex-wrap rounded border border-line bg-sheet"
    >
      {of.map((one) => (
        <ToggleGroup.Item
          key={one.value}
          value={one.value}
          className="min-h-11 grow border-r border-line px-3 text-[0.95rem] text-soft last:border-r-0 data-[state=on]:bg-pine data-[state=on]:text-on-pine"
        >
          {one.text}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
