import type { ComponentProps } from 'react';

/** One place in the rail, or in the bar of a narrow screen. */
export const placeLook = (isActive: boolean): string =>
  `flex min-h-14 w-full flex-col items-center justify-center gap-0.5 border-t-4 text-xs no-underline lg:min-h-11 lg:flex-row lg:justify-start lg:gap-3 lg:border-t-0 lg:border-l-4 lg:px-4 lg:text-base ${
    isActive ? 'border-pine font-semibold text-ink' : 'border-transparent text-soft hover:text-ink'
  }`;

/** The same for what opens more of them. */
export function PlaceButton({ isActive, ...rest }: ComponentProps<'button'> & { isActive: boolean }) {
  return <button type="button" className={placeLook(isActive)} {...rest} />;
}
