import type { ReactNode } from 'react';

/** What a line beside the work is: a word on the side, something to see to, or something only a person can decide. */
export type Tone = 'calm' | 'attention' | 'decision';

const LOOKS: Record<Tone, string> = {
  calm: 'border-river',
  attention: 'border-straw bg-straw-soft',
  decision: 'border-persimmon bg-sheet font-medium',
};

interface Props {
  tone: Tone;
  /** How it is told: as it comes, at once, or only to whoever reads there. */
  role?: 'status' | 'alert';
  label?: string;
  className?: string;
  children: ReactNode;
}

/** A notice in the flow of a page. */
export function Notice({ tone, role, label, className = '', children }: Props) {
  return (
    <div
      role={role ?? (label === undefined ? undefined : 'note')}
      aria-label={label}
      className={`break-inside-avoid border-l-4 px-4 py-2 text-[0.95rem] ${LOOKS[tone]} ${className}`}
    >
      {children}
    </div>
  );
}
