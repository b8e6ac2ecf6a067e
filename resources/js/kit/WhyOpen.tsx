import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { Floating } from './Floating';

interface Props {
  look: string;
  name: string;
  label: ReactNode;
  children: ReactNode;
}

/** A question with its answer open beside it. */
export function WhyOpen({ look, name, label, children }: Props) {
  return (
    <Popover.Root defaultOpen>
      <Popover.Trigger className={look} aria-label={name}>
        {label}
      </Popover.Trigger>
      <Floating className="border-l-4 border-river px-4 py-3 text-[0.95rem]">
        <div className="max-w-sm">{children}</div>
      </Floating>
    </Popover.Root>
  );
}
