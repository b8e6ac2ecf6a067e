import { useState } from 'react';
import { useTranslation } from '../../messages';
import type { MadeLink } from '../../api/client';
import { Button } from '../../kit/controls';
import { day } from '../../kit/format';
import { copied } from '../../kit/copied';
import { useTell } from '../../kit/toasts';

/** Links that were made just now: sent, or each with a button that copies it. */
export function MadeLinks({ links }: { links: MadeLink[] }) {
  const { t } = useTranslation();
  const tell = useTell();
  const [done, setCopied] = useState<string | null>(null);
  return (
    <>
      <ul className="m-0 list-none p-0" data-testid="links">
        {links.map((one) => (
          <li key={one.studentId} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1.5">
            <span className="min-w-36 font-medium">{one.name}</span>
            {one.address === null ? (
              <span className="grow">{t('practice.links.mailed', { address: one.mailedTo })}</span>
            ) : (
              <span className="min-w-0 grow">
                {one.isUnsent ? <strong className="block text-persimmon">{t('practice.links.unsent')}</strong> : null}
                <code className="text-sm break-all select-all">{one.address}</code>
              </span>
            )}
            <span className="text-sm text-soft">
              {t('practice.links.until', { date: day(one.expiresAt.slice(0, 10), 'numbered') })}
            </span>
            {one.address === null ? null : (
              <Button
                aria-label={t('practice.links.copy', { name: one.name })}
                onClick={() => {
                  void copied(one.address ?? '').then((is) => {
                    if (is) setCopied(one.studentId);
                    else tell(t('app.notCopied'), { isProblem: true });
                  });
                }}
              >
                {done === one.studentId ? t('practice.links.copied') : t('app.copy')}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
