import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import { Floating } from './Floating';

interface Props {
  /** What is explained, for whoever does not see what the button stands beside. */
  about: string;
  children: ReactNode;
  /** What the button shows, where that is not the question itself. */
  label?: string;
}

/** The numbers behind a choice: reached by touch and by keyboard, and read out where a screen reader reads. */
export function Why({ about, children, label }: Props) {
  const { t } = useTranslation();
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`-my-2 inline-flex min-h-11 items-center px-1 underline-offset-4 ${label === undefined ? 'no-print text-sm text-pine underline' : 'underline decoration-line decoration-dotted'}`}
        aria-label={t('app.whyAbout', { about })}
      >
        {label ?? t('app.why')}
      </Popover.Trigger>
      <Floating className="border-l-4 border-river px-4 py-3 text-[0.95rem]">
        <div className="max-w-sm">{children}</div>
      </Floating>
    </Popover.Root>
  );
}
