import { useEffect, useEffectEvent } from 'react';
import { useTranslation } from '../messages';
import { Button, ButtonLink } from '../kit/controls';
import { Empty } from '../kit/page';
import { PlaceNotLoaded } from './opening';

interface Props {
  error: unknown;
  onRetry: () => void;
}

/** What stands where a place could not be shown: what to do, and nothing of the program's insides. */
export function Broken({ error, onRetry }: Props) {
  const { t } = useTranslation();
  const isAway = error instanceof PlaceNotLoaded;
  const again = useEffectEvent(onRetry);
  useEffect(() => {
    if (!isAway) return;
    const retry = () => {
      again();
    };
    window.addEventListener('online', retry); // the network is back
    return () => {
      window.removeEventListener('online', retry);
    };
  }, [isAway]);
  return (
    <div role="alert">
      <Empty title={t(isAway ? 'app.notLoaded' : 'app.broken')} hint={t(isAway ? 'app.notLoadedHint' : 'app.brokenHint')}>
        <Button look="primary" onClick={onRetry}>
          {t('app.retry')}
        </Button>
        <Button
          onClick={() => {
            window.location.reload();
          }}
        >
          {t('app.reload')}
        </Button>
        <ButtonLink to="/">{t('app.home')}</ButtonLink>
      </Empty>
    </div>
  );
}
