import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  align?: 'start' | 'center' | 'end';
  /** Its size and edges. */
  className: string;
  children: ReactNode;
}

/** What a popover opens: beside what was touched, over the page. */
export function Floating({ align = 'center', className, children }: Props) {
  return (
    <Popover.Portal>
      <Popover.Content
        align={align}
        sideOffset={3}
        collisionPadding={8}
        className={`z-50 rounded bg-sheet text-ink ${className}`}
        style={{ boxShadow: 'var(--float)', maxWidth: 'calc(100vw - 1rem)' }} // it fits a phone, whatever its size
      >
        {children}
      </Popover.Content>
    </Popover.Portal>
  );
}
