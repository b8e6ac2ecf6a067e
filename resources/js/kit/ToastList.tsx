import { Toast } from 'radix-ui';
import { useTranslation } from '../messages';

export interface Told {
  id: number;
  text: string;
  isProblem: boolean;
  takeBack?: (() => void) | undefined;
}

/** What is told beside the work, each for a while. */
export function ToastList({ told, onDrop }: { told: Told[]; onDrop: (id: number) => void }) {
  const { t } = useTranslation();
  return (
    <Toast.Provider swipeDirection="down" duration={7000}>
      {told.map((one) => (
        <Toast.Root
          key={one.id}
          type={one.isProblem ? 'foreground' : 'background'}
          duration={one.isProblem ? 20000 : 7000}
          onOpenChange={(open) => {
            if (!open) onDrop(one.id);
          }}
          className={`flex items-center gap-3 rounded border-l-4 bg-sheet px-4 py-2 text-ink ${one.isProblem ? 'border-persimmon' : 'border-pine'}`}
          // Also while a dialog beside it is open or closing, which takes the pointer from everything else.
          style={{ boxShadow: 'var(--float)', pointerEvents: 'auto' }}
        >
          <Toast.Description className="grow text-[0.95rem]">{one.text}</Toast.Description>
          {one.takeBack ? (
            <Toast.Action altText={t('app.takeBack')} asChild>
              <button
                type="button"
                className="min-h-11 shrink-0 px-2 font-medium text-pine underline underline-offset-4"
                onClick={one.takeBack}
              >
                {t('app.takeBack')}
              </button>
            </Toast.Action>
          ) : null}
          <Toast.Close className="min-h-11 min-w-11 text-xl leading-none text-soft" aria-label={t('app.close')}>
            ×
          </Toast.Close>
        </Toast.Root>
      ))}
      <Toast.Viewport className="no-print fixed right-4 bottom-20 left-4 z-50 m-0 flex list-none flex-col gap-2 p-0 sm:left-auto sm:w-[26rem] lg:bottom-4" />
    </Toast.Provider>
  );
}
