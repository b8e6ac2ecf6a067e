import { DropdownMenu } from 'radix-ui';
import type { ComponentProps, ReactNode } from 'react';

interface Props {
  /** What opens it: a button, or with a look of its own what stands on one. */
  opener: ReactNode;
  openerLook?: string;
  isOpenAtOnce?: boolean;
  children: ReactNode;
}

/** Things to do, opened from a button. */
export function Menu({ opener, openerLook, isOpenAtOnce = false, children }: Props) {
  return (
    <DropdownMenu.Root defaultOpen={isOpenAtOnce}>
      <DropdownMenu.Trigger asChild={openerLook === undefined} className={openerLook}>
        {opener}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          sideOffset={4}
          collisionPadding={12}
          className="z-30 min-w-52 rounded border border-line bg-sheet py-1"
          style={{ boxShadow: 'var(--float)' }}
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

/** One thing to do; what leads elsewhere holds its link. */
export function MenuItem(props: ComponentProps<typeof DropdownMenu.Item>) {
  return (
    <DropdownMenu.Item
      className="flex min-h-11 cursor-default items-center gap-3 px-4 no-underline outline-none data-disabled:opacity-50 data-highlighted:bg-river2"
      {...props}
    />
  );
}
