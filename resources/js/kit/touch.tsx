import { Switch as RadixSwitch } from 'radix-ui';
import type { ComponentProps } from 'react';

/** Something to choose that says more than a word: a few lines, as high as a thumb on the floor. */
export function Tile({ className = '', ...rest }: ComponentProps<'button'>) {
  return (
    <button
      type="button"
      className={`min-h-14 rounded border border-line bg-sheet px-4 py-2 text-left leading-tight aria-checked:border-pine aria-checked:bg-pine aria-checked:text-on-pine ${className}`}
      {...rest}
    />
  );
}

/** A sign in a row of people; what it stands for, it says to whoever does not see it. */
export function SignButton({ className = '', ...rest }: ComponentProps<'button'> & { 'aria-label': string }) {
  return (
    <button
      type="button"
      className={`flex min-h-14 min-w-11 shrink-0 items-center justify-center rounded text-soft hover:text-ink aria-pressed:bg-straw-soft aria-pressed:text-ink ${className}`}
      {...rest}
    />
  );
}

/** A heading that opens what else could stand there. */
export function HeadingButton({ className = '', ...rest }: ComponentProps<'button'>) {
  return <button type="button" className={`min-h-12 text-left ${className}`} {...rest} />;
}

/** One line of a list of which one is open beside it. */
export function LineButton({ isOpen, className = '', ...rest }: ComponentProps<'button'> & { isOpen: boolean }) {
  return (
    <button
      type="button"
      aria-current={isOpen}
      className={`group flex min-h-11 w-full items-center justify-between gap-2 px-2 text-left aria-[current=true]:bg-river2 ${className}`}
      {...rest}
    />
  );
}

/** One step of a ladder: its glyph, and its word below or beside it. */
export function RungButton({ isOn, className = '', ...rest }: ComponentProps<'button'> & { isOn: boolean }) {
  const look = isOn ? 'border-pine bg-straw-soft font-semibold' : 'border-line bg-sheet';
  return (
    <button
      type="button"
      aria-pressed={isOn}
      className={`relative flex min-h-14 min-w-0 flex-col items-center justify-center gap-0.5 rounded border px-0.5 text-[0.68rem] leading-tight lg:flex-row lg:gap-2 lg:px-1 lg:text-[0.95rem] ${look} ${className}`}
      {...rest}
    />
  );
}

/** What is so or not, at once. */
export function Switch(props: Omit<ComponentProps<typeof RadixSwitch.Root>, 'className'>) {
  return (
    <RadixSwitch.Root
      className="h-8 w-14 shrink-0 rounded border border-line bg-sheet p-[3px] data-[state=checked]:border-pine data-[state=checked]:bg-pine disabled:opacity-60"
      {...props}
    >
      <RadixSwitch.Thumb className="block h-full w-6 rounded bg-soft data-[state=checked]:translate-x-[1.4rem] data-[state=checked]:bg-on-pine" />
    </RadixSwitch.Root>
  );
}
