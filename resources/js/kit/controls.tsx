import { type ComponentProps, type ReactNode, useId } from 'react';
import { useTranslation } from '../messages';
import { Link } from './router';

const base =
  'inline-flex min-h-11 items-center justify-center gap-2 rounded border text-[0.95rem] font-medium disabled:cursor-not-allowed disabled:opacity-55';
const looks = {
  primary: `${base} px-4 border-pine bg-pine text-on-pine hover:bg-pine2 hover:border-pine2`,
  plain: `${base} px-4 border-line bg-sheet text-ink hover:border-pine2`,
  /** One of many in a row of tools. */
  tool: `${base} border-transparent bg-transparent px-1.5 text-sm font-normal text-pine underline-offset-4 hover:underline`,
  /** Below the rail, one under the other. */
  corner: 'min-h-11 pr-4 text-left text-sm text-pine underline-offset-4 hover:underline',
  quiet: `${base} border-transparent bg-transparent text-pine underline-offset-4 hover:underline`,
};
type Look = keyof typeof looks;

export function Button({ look = 'plain', className = '', type = 'button', ...rest }: ComponentProps<'button'> & { look?: Look }) {
  return <button type={type} className={`${looks[look]} ${className}`} {...rest} />;
}

/** Puts the page on paper. */
export function PrintButton() {
  const { t } = useTranslation();
  return (
    <Button
      look="primary"
      onClick={() => {
        window.print();
      }}
    >
      {t('app.print')}
    </Button>
  );
}

export function ButtonLink({ look = 'plain', className = '', ...rest }: ComponentProps<typeof Link> & { look?: Look }) {
  return <Link className={`${looks[look]} no-underline ${className}`} {...rest} />;
}

/** Takes one thing out of a list; what, it says to whoever does not see where it stands. */
export function CrossButton({ className = '', ...rest }: ComponentProps<'button'> & { 'aria-label': string }) {
  return (
    <button
      type="button"
      className={`min-h-11 min-w-11 shrink-0 text-xl leading-none text-soft hover:text-persimmon ${className}`}
      {...rest}
    >
      ×
    </button>
  );
}

/** One of several things that are on or off, each as high as a thumb. */
export function Choice({ isOn, className = '', ...rest }: ComponentProps<'button'> & { isOn: boolean }) {
  const look = isOn ? 'border-pine bg-straw-soft' : 'border-line bg-sheet';
  return <button type="button" className={`min-h-11 rounded border px-3 text-left ${look} ${className}`} {...rest} />;
}

/** A link in a sentence; by itself it is as high as a finger. */
export function TextLink({ isAlone = false, className = '', ...rest }: ComponentProps<typeof Link> & { isAlone?: boolean }) {
  const look = `${isAlone ? 'inline-flex min-h-11 items-center ' : ''}text-pine underline underline-offset-4`;
  return <Link className={`${look} ${className}`} {...rest} />;
}

/** Saves a file of the server; it leaves the page as it is. */
export function DownloadLink({ to, look = 'plain', children }: { to: string; look?: Look; children: ReactNode }) {
  return (
    <a href={to} download className={`${looks[look]} no-underline`}>
      {children}
    </a>
  );
}

export const field =
  'min-h-11 w-full rounded border border-line bg-sheet px-3 py-2 text-ink aria-[invalid=true]:border-persimmon';

/** What every control tells assistive technology about its label, its hint and its error. */
interface Shared {
  id: string;
  'aria-describedby': string;
  'aria-invalid': boolean;
}

export interface FieldProps {
  label: string;
  hint?: string | undefined;
  error?: string | undefined;
}

interface LabelledProps extends FieldProps {
  isSmall?: boolean;
  isBare?: boolean;
  children: (shared: Shared) => ReactNode;
}

export function Labelled({ label, hint, error, isSmall = false, isBare = false, children }: LabelledProps) {
  const id = useId();
  return (
    <div className={`flex min-w-0 flex-col ${isSmall ? '' : 'gap-1'}`}>
      <label htmlFor={id} className={isBare ? 'sr-only' : isSmall ? 'text-xs text-soft' : 'text-sm font-medium'}>
        {label}
      </label>
      {children({ id, 'aria-describedby': `${id}-hint`, 'aria-invalid': Boolean(error) })}
      <div id={`${id}-hint`} className="text-sm empty:hidden">
        {error ? (
          <p role="alert" className="font-medium text-persimmon">
            {error}
          </p>
        ) : hint ? (
          <p className="text-soft">{hint}</p>
        ) : null}
      </div>
    </div>
  );
}

export function TextField({ label, hint, error, className = '', ...rest }: FieldProps & ComponentProps<'input'>) {
  return (
    <Labelled label={label} hint={hint} error={error}>
      {(shared) => <input {...shared} className={`${field} ${className}`} {...rest} />}
    </Labelled>
  );
}

export function TextArea({ label, hint, error, className = '', ...rest }: FieldProps & ComponentProps<'textarea'>) {
  return (
    <Labelled label={label} hint={hint} error={error}>
      {(shared) => <textarea {...shared} className={`${field} ${className}`} {...rest} />}
    </Labelled>
  );
}

/** Why something was refused, beside what was asked for. */
export function RefusalLine({ refusal, className = 'mt-3' }: { refusal: { message: string } | null; className?: string }) {
  return refusal === null ? null : (
    <p role="alert" className={`font-medium text-persimmon ${className}`}>
      {refusal.message}
    </p>
  );
}
