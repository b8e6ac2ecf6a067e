import { useSyncExternalStore } from 'react';
import { useTranslation } from '../messages';
import { hasNewVersion, onNewVersion, takeNewVersion } from '../api/worker';
import { Button } from '../kit/controls';
import { Notice } from '../kit/Notice';

/** A new version is offered beside the work and taken when somebody says so; a class that runs never sees this. */
export function NewVersion() {
  const { t } = useTranslation();
  const isThere = useSyncExternalStore(onNewVersion, hasNewVersion);
  if (!isThere) return null;
  return (
    <Notice tone="calm" role="status" className="no-print mb-3">
      {t('app.newVersion')}{' '}
      <Button look="quiet" onClick={takeNewVersion}>
        {t('app.useNow')}
      </Button>
    </Notice>
  );
}
