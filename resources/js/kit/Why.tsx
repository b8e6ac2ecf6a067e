import { type ReactNode, useState } from 'react';
import { useTranslation } from '../messages';
import { useWanted, wantedPart } from './wanted';

interface Props {
  /** What is explained, for whoever does not see what the button stands beside. */
  about: string;
  children: ReactNode;
  /** What the button shows, where that is not the question itself. */
  label?: string;
}

const answer = wantedPart(async () => (await import('./WhyOpen')).WhyOpen);

/** The numbers behind a choice: reached by touch and by keyboard, and read out where a screen reader reads. */
export function Why({ about, children, label }: Props) {
  const { t } = useTranslation();
  const [isAsked, setAsked] = useState(false);
  const Open = useWanted(answer, isAsked);
  const look = `-my-2 inline-flex min-h-11 items-center px-1 underline-offset-4 ${label === undefined ? 'no-print text-sm text-pine underline' : 'underline decoration-line decoration-dotted'}`;
  const name = t('app.whyAbout', { about });
  if (Open !== null)
    return (
      <Open look={look} name={name} label={label ?? t('app.why')}>
        {children}
      </Open>
    );
  return (
    <button
      type="button"
      className={look}
      aria-label={name}
      aria-haspopup="dialog"
      aria-expanded={false}
      onPointerEnter={() => void answer.load().catch(() => undefined)}
      onClick={() => {
        setAsked(true);
      }}
    >
      {label ?? t('app.why')}
    </button>
  );
}
