import { Check, ChevronDown } from 'lucide-react';
import { Select as RadixSelect } from 'radix-ui';
import { field, type FieldProps, Labelled } from './controls';

interface Props extends FieldProps {
  value: string;
  onValue: (value: string) => void;
  of: { value: string; text: string }[];
  /** In a close-set panel. */
  isSmall?: boolean;
  /** Its label is only heard. */
  isBare?: boolean;
  /** What it is called where its label alone does not say it. */
  name?: string;
}

/** The parts know no empty value, since that is how they say that nothing was chosen; ours may be one of the choices. */
const EMPTY = 'none:';
const inner = (value: string) => (value === '' ? EMPTY : value);

/** One of many: a list that opens, is walked with the arrows, and goes to what one types. */
export function Select({ label, hint, error, value, onValue, of, isSmall = false, isBare = false, name }: Props) {
  return (
    <Labelled label={label} hint={hint} error={error} isSmall={isSmall} isBare={isBare}>
      {(shared) => (
        <RadixSelect.Root
          value={inner(value)}
          onValueChange={(next) => {
            onValue(next === EMPTY ? '' : next);
          }}
        >
          <RadixSelect.Trigger
            {...shared}
            aria-label={name}
            className={`${isSmall ? `${field} py-0.5 text-sm` : field} flex items-center justify-between gap-2 text-left`}
          >
            <span className="truncate">
              <RadixSelect.Value />
            </span>
            <RadixSelect.Icon>
              <ChevronDown aria-hidden="true" className="size-4 text-soft" />
            </RadixSelect.Icon>
          </RadixSelect.Trigger>
          <RadixSelect.Portal>
            <RadixSelect.Content
              position="popper"
              sideOffset={4}
              collisionPadding={12}
              className="z-50 max-h-(--radix-select-content-available-height) w-(--radix-select-trigger-width) overflow-hidden rounded border border-line bg-sheet text-ink"
              style={{ boxShadow: 'var(--float)' }}
            >
              <RadixSelect.Viewport>
                {of.map((one) => (
                  <RadixSelect.Item
                    key={one.value}
                    value={inner(one.value)}
                    className="flex min-h-11 items-center justify-between gap-3 px-3 py-2 outline-none data-highlighted:bg-river2 data-[state=checked]:font-semibold"
                  >
                    <RadixSelect.ItemText>{one.text}</RadixSelect.ItemText>
                    <RadixSelect.ItemIndicator>
                      <Check aria-hidden="true" className="size-4" />
                    </RadixSelect.ItemIndicator>
                  </RadixSelect.Item>
                ))}
              </RadixSelect.Viewport>
            </RadixSelect.Content>
          </RadixSelect.Portal>
        </RadixSelect.Root>
      )}
    </Labelled>
  );
}
