import type { ReactNode } from 'react';

/** Past what is the same on every page, for whoever comes with the keyboard. */
export function SkipLink({ to, children }: { to: string; children: ReactNode }) {
  return (
    <a
      href={`#${to}`}
      className="sr-only focus:not-sr-only focus:fixed focus:top-2 focus:left-2 focus:z-50 focus:bg-sheet focus:p-3"
    >
      {children}
    </a>
  );
}
