import type { ComponentProps } from 'react';

// Fields of a table or a panel, where many stand close together and their names are small or only heard.
const look =
  'min-h-11 w-full rounded border border-line bg-sheet px-2 py-1 text-[0.95rem] text-ink aria-[invalid=true]:border-persimmon';

export function CloseText({ className = '', ...rest }: ComponentProps<'input'>) {
  return <input className={`${look} ${className}`} {...rest} />;
}

export function CloseArea({ className = '', ...rest }: ComponentProps<'textarea'>) {
  return <textarea className={`${look} ${className}`} {...rest} />;
}
