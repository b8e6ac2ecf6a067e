import { Collapsible } from 'radix-ui';
import { type ReactNode, useState } from 'react';

interface Props {
  title: ReactNode;
  /** How its title looks: a heading of the page, or a word in a line. */
  look?: 'heading' | 'link' | 'plain';
  isOpen?: boolean;
  /** Whether its title is a heading of the page. */
  isHeading?: boolean;
  className?: string;
  children: ReactNode;
}

const LOOKS = {
  heading: 'font-serif text-xl font-semibold',
  link: 'text-pine underline underline-offset-4',
  plain: 'font-medium',
};

/** A part of a page that opens; what is in it is drawn only then. On paper it is as it is on the screen. */
export function Fold({ title, look = 'plain', isOpen = false, isHeading = false, className = '', children }: Props) {
  const [open, setOpen] = useState(isOpen);
  const trigger = (
    <Collapsible.Trigger className={`flex min-h-11 w-full items-center gap-2 py-2 text-left ${LOOKS[look]}`}>
      <span aria-hidden="true" className={`text-soft transition-transform ${open ? 'rotate-90' : ''}`}>
        ›
      </span>
      <span>{title}</span>
    </Collapsible.Trigger>
  );
  return (
    <Collapsible.Root open={open} onOpenChange={setOpen} className={`${className} ${open ? '' : 'print:hidden'}`}>
      {isHeading ? <h2>{trigger}</h2> : trigger}
      <Collapsible.Content>{children}</Collapsible.Content>
    </Collapsible.Root>
  );
}
