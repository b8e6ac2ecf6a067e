import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useTranslation } from '../../messages';
import { api, ask, Problem } from '../../api/client';
import { readAgain } from '../../api/touched';
import { Button, DownloadLink } from '../../kit/controls';
import { Heading } from '../../kit/page';
import { useTell } from '../../kit/toasts';
import { useOnce } from '../../kit/useOnce';
import { copied } from '../../kit/copied';

/** The dates of a group for calendar programs: as a file, and as a private address that can be revoked. */
export function CalendarPanel({ group, hasFeed }: { group: string; hasFeed: boolean }) {
  const { t } = useTranslation();
  const tell = useTell();
  const [address, setAddress] = useState<string | null>(null);
  const path = { params: { path: { group } } };
  const fail = (error: unknown) => {
    tell(error instanceof Problem ? error.message : t('app.unreachable'), { isProblem: true });
  };
  const make = useMutation({
    mutationFn: () => ask(api.POST('/api/groups/{group}/feed', path)),
    onSuccess: async (feed) => {
      setAddress(feed.address);
      await readAgain('roster');
    },
    onError: fail,
  });
  const revoke = useMutation({
    mutationFn: () => ask(api.DELETE('/api/groups/{group}/feed', path)),
    onSuccess: async () => {
      setAddress(null);
      await readAgain('roster');
      tell(t('terms.feedRevoked'));
    },
    onError: fail,
  });
  const makeOnce = useOnce(make);
  const revokeOnce = useOnce(revoke);
  return (
    <section aria-label={t('terms.calendar')} className="no-print">
      <Heading>{t('terms.calendar')}</Heading>
      {address ? (
        <div className="mb-3">
          <p>{t('terms.feedIs')}</p>
          <p className="flex flex-wrap items-center gap-2">
            <code className="min-w-0 border border-line bg-sheet px-2 py-1 break-all">{address}</code>
            <Button
              onClick={() => {
                void copied(address).then((is) => {
                  tell(is ? t('terms.feedCopied') : t('app.notCopied'), { isProblem: !is });
                });
              }}
            >
              {t('terms.feedCopy')}
            </Button>
          </p>
        </div>
      ) : hasFeed ? (
        <p className="mb-2 text-soft">{t('terms.feedThere')}</p>
      ) : null}
      <div className="flex flex-wrap gap-2">
        <DownloadLink to={`/api/groups/${group}/calendar`}>{t('terms.calendarFile')}</DownloadLink>
        <Button
          disabled={make.isPending}
          onClick={() => {
            makeOnce(undefined);
          }}
        >
          {t(hasFeed ? 'terms.feedAgain' : 'terms.feedMake')}
        </Button>
        {hasFeed ? (
          <Button
            disabled={revoke.isPending}
            onClick={() => {
              revokeOnce(undefined);
            }}
          >
            {t('terms.feedRevoke')}
          </Button>
        ) : null}
      </div>
    </section>
  );
}
