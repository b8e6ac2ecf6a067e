import { ToggleGroup } from 'radix-ui';

interface Props<V extends string> {
  label: string;
  value: V;
  onValue: (value: V) => void;
  of: { value: V; text: string }[];
}

/** So many stand in a row; more come in rows of three. */
const IN_A_ROW = 4;

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
      className={`no-print overflow-hidden rounded border border-line bg-sheet ${of.length > IN_A_ROW ? 'grid grid-cols-3' : 'inline-flex flex-wrap'}`}
    >
      {of.map((one) => (
        <ToggleGroup.Item
          key={one.value}
          value={one.value}
          className={`min-h-11 grow border-line px-3 text-[0.95rem] text-soft data-[state=on]:bg-pine data-[state=on]:text-on-pine ${of.length > IN_A_ROW ? '-mr-px -mb-px border-r border-b' : 'border-r last:border-r-0'}`}
        >
          {one.text}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
