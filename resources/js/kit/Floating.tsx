import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  align?: 'start' | 'center' | 'end';
  /** Its size and edges. */
  className: string;
  /** A few words that take neither the focus nor the pointer. */
  isTip?: boolean;
  children: ReactNode;
}

const stay = (event: Event) => {
  event.preventDefault();
};

/** What a popover opens: beside what was touched, over the page. */
export function Floating({ align = 'center', className, isTip = false, children }: Props) {
  return (
    <Popover.Portal>
      <Popover.Content
        align={align}
        sideOffset={3}
        collisionPadding={8}
        {...(isTip ? { role: 'tooltip', onOpenAutoFocus: stay, onCloseAutoFocus: stay } : {})}
        className={`z-50 rounded bg-sheet text-ink ${className}`}
        style={{ boxShadow: 'var(--float)', maxWidth: 'calc(100vw - 1rem)' }} // it fits a phone, whatever its size
      >
        {children}
      </Popover.Content>
    </Popover.Portal>
  );
}
