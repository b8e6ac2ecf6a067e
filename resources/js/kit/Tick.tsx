import { Check } from 'lucide-react';
import { Checkbox } from 'radix-ui';
import { type ReactNode, useId } from 'react';

interface Props {
  children: ReactNode;
  checked: boolean;
  onTick: (isTicked: boolean) => void;
  className?: string;
}

/** A box to tick, with its words beside it. */
export function Tick({ children, checked, onTick, className = '' }: Props) {
  const id = useId();
  return (
    <div className={`flex min-h-11 items-center gap-3 ${className}`}>
      <Checkbox.Root
        id={id}
        checked={checked}
        onCheckedChange={(is) => {
          onTick(is === true);
        }}
        className="relative flex size-5 shrink-0 items-center justify-center rounded border border-soft bg-sheet text-on-pine after:absolute after:-inset-3 data-[state=checked]:border-pine data-[state=checked]:bg-pine"
      >
        <Checkbox.Indicator>
          <Check aria-hidden="true" className="size-4" strokeWidth={3} />
        </Checkbox.Indicator>
      </Checkbox.Root>
      <label htmlFor={id} className="flex min-h-11 grow cursor-pointer items-center">
        <span>{children}</span>
      </label>
    </div>
  );
}
