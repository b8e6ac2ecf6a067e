import { notifyManager, onlineManager, type QueryState, useQueryClient } from '@tanstack/react-query';
import { useCallback, useSyncExternalStore } from 'react';
import { useTranslation } from '../messages';
import { moment } from './format';
import { Notice } from './Notice';

/** What could not be asked for again when it should have been. */
const cannotAsk = (state: QueryState) =>
  state.status === 'error' || state.fetchStatus === 'paused' || state.fetchFailureCount > 0 || !onlineManager.isOnline();

/** The age of the oldest answer that is shown though the server cannot be asked, as its time; null where there is none. */
function useOldest(): number | null {
  const cache = useQueryClient().getQueryCache();
  return useSyncExternalStore(
    useCallback(
      (changed: () => void) => {
        // After what is being drawn, as the cache tells its own observers.
        const later = notifyManager.batchCalls(changed);
        const stops = [cache.subscribe(later), onlineManager.subscribe(later)];
        return () => {
          for (const stop of stops) stop();
        };
      },
      [cache],
    ),
    () => {
      const ages = cache
        .findAll({
          type: 'active',
          predicate: ({ queryKey, state }) => queryKey[0] !== 'session' && state.data !== undefined && cannotAsk(state),
        })
        .map(({ state }) => state.dataUpdatedAt);
      return ages.length === 0 ? null : Math.min(...ages);
    },
  );
}

/** While the server cannot be asked, a page says how old it is, what is kept here, and what has to wait. */
export function AsOf({ isShort = false }: { isShort?: boolean }) {
  const { t } = useTranslation();
  const oldest = useOldest();
  return oldest === null ? null : (
    <Notice tone="attention" role="status" className="no-print mb-4">
      {t(isShort ? 'app.asOfShort' : 'app.asOf', { at: moment(oldest) })}
    </Notice>
  );
}
