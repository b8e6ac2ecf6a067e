import { Toast } from 'radix-ui';
import { createContext, type ReactNode, startTransition, useCallback, useContext, useState } from 'react';
import { useTranslation } from 'react-i18next';

interface Notice {
  id: number;
  text: string;
  isProblem: boolean;
  takeBack?: (() => void) | undefined;
}
type Tell = (text: string, options?: { isProblem?: boolean; takeBack?: () => void }) => void;

const Telling = createContext<Tell>(() => undefined);

/** How a page says that something happened, and offers to take it back. */
export function useTell(): Tell {
  return useContext(Telling);
}

export function Toasts({ children }: { children: ReactNode }) {
  const { t } = useTranslation();
  const [notices, setNotices] = useState<Notice[]>([]);
  const tell = useCallback<Tell>((text, options = {}) => {
    const notice: Notice = { id: Math.random(), text, isProblem: options.isProblem ?? false, takeBack: options.takeBack };
    // One at a time, so that it never hides more than a strip of what is being worked on; and after that itself was drawn.
    startTransition(() => {
      setNotices([notice]);
    });
  }, []);
  const drop = (id: number) => {
    setNotices((all) => all.filter((one) => one.id !== id));
  };
  return (
    <Telling value={tell}>
      <Toast.Provider swipeDirection="down" duration={7000}>
        {children}
        {notices.map((notice) => (
          <Toast.Root
            key={notice.id}
            type={notice.isProblem ? 'foreground' : 'background'}
            duration={notice.isProblem ? 20000 : 7000}
            onOpenChange={(open) => {
              if (!open) drop(notice.id);
            }}
            className={`flex items-center gap-3 rounded border-l-4 bg-sheet px-4 py-2 text-ink ${notice.isProblem ? 'border-persimmon' : 'border-pine'}`}
            // Also while a dialog beside it is open or closing, which takes the pointer from everything else.
            style={{ boxShadow: 'var(--float)', pointerEvents: 'auto' }}
          >
            <Toast.Description className="grow text-[0.95rem]">{notice.text}</Toast.Description>
            {notice.takeBack ? (
              <Toast.Action altText={t('app.takeBack')} asChild>
                <button
                  type="button"
                  className="min-h-11 shrink-0 px-2 font-medium text-pine underline underline-offset-4"
                  onClick={notice.takeBack}
                >
                  {t('app.takeBack')}
                </button>
              </Toast.Action>
            ) : null}
            <Toast.Close className="min-h-11 min-w-9 text-xl leading-none text-soft" aria-label={t('app.close')}>
              ×
            </Toast.Close>
          </Toast.Root>
        ))}
        <Toast.Viewport className="no-print fixed right-4 bottom-20 left-4 z-50 m-0 flex list-none flex-col gap-2 p-0 sm:left-auto sm:w-[26rem] lg:bottom-4" />
      </Toast.Provider>
    </Telling>
  );
}
