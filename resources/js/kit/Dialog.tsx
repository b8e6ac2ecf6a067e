import { Dialog as RadixDialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { useTranslation } from '../messages';

interface Props {
  open?: boolean;
  /** How it is put away; one that asks what has to be answered is not. */
  onOpenChange?: (open: boolean) => void;
  title: string;
  children: ReactNode;
  wide?: boolean;
}

/** One who has a keyboard begins in the first field; on a phone that would hide half of what was opened. */
function beginInField(event: Event): void {
  const field = (event.currentTarget as HTMLElement).querySelector<HTMLElement>('input, textarea, [role="combobox"]');
  if (field === null || !window.matchMedia('(pointer: fine)').matches) return;
  event.preventDefault();
  field.focus();
}

/** Something over the page that is to be seen to before one goes on. */
export function Dialog({ open = true, onOpenChange, title, children, wide = false }: Props) {
  const { t } = useTranslation();
  return (
    <RadixDialog.Root open={open} onOpenChange={onOpenChange ?? (() => undefined)}>
      <RadixDialog.Portal>
        <RadixDialog.Overlay className="fixed inset-0 z-30 bg-ink/35" />
        <RadixDialog.Content
          aria-describedby={undefined}
          onOpenAutoFocus={beginInField}
          className={`fixed inset-x-3 top-[6vh] z-40 mx-auto max-h-[88vh] overflow-y-auto rounded bg-sheet p-6 ${wide ? 'max-w-3xl' : 'max-w-lg'}`}
          style={{ boxShadow: 'var(--float)' }}
        >
          <div className="mb-4 flex items-start justify-between gap-4">
            <RadixDialog.Title className="text-2xl">{title}</RadixDialog.Title>
            {onOpenChange === undefined ? null : (
              <RadixDialog.Close
                className="min-h-11 min-w-11 rounded text-2xl leading-none text-soft hover:text-ink"
                aria-label={t('app.close')}
              >
                ×
              </RadixDialog.Close>
            )}
          </div>
          {children}
        </RadixDialog.Content>
      </RadixDialog.Portal>
    </RadixDialog.Root>
  );
}
