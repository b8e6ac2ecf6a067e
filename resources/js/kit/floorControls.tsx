import type { ComponentProps } from 'react';
import { Link } from './router';

// What is touched on the floor, standing, at arm's length, and read from two metres.
const tool = 'min-h-14 grow rounded border border-line bg-paper px-3 text-base text-ink aria-pressed:border-pine';
const area = 'min-h-[clamp(3.6rem,13vmin,7rem)] rounded border px-4 text-[clamp(1.1rem,3.6vmin,2rem)] font-medium leading-tight';
const looks = {
  /** A part of the screen that goes back, or opens more. */
  area: `${area} border-line bg-paper`,
  /** The one that goes on. */
  go: `${area} border-pine bg-pine text-on-pine`,
  /** One of the row below. */
  tool,
  /** A word beside what is read, that turns or thins it. */
  word: 'min-h-11 text-left text-[clamp(1rem,3vmin,1.5rem)] text-pine underline underline-offset-4 sm:min-h-14',
  /** What asks for care, and says for whom when it is touched. */
  caution:
    'mt-2 min-h-14 border-l-8 border-persimmon bg-straw-soft px-4 py-2 text-left text-[clamp(1.2rem,4.4vmin,2.5rem)] leading-tight font-medium',
};

export function FloorButton({ look, className = '', ...rest }: ComponentProps<'button'> & { look: keyof typeof looks }) {
  return <button type="button" className={`${looks[look]} ${className}`} {...rest} />;
}

/** A way off the floor, in the row of tools. */
export function FloorLink(props: ComponentProps<typeof Link>) {
  return <Link className={`${tool} inline-flex items-center justify-center no-underline`} {...props} />;
}
