import { notifyManager, onlineManager, type QueryState, useQueryClient } from '@tanstack/react-query';
import { useCallback, useSyncExternalStore } from 'react';
import { useTranslation } from '../messages';
import { Problem } from '../api/client';
import { moment } from './format';
import { Notice } from './Notice';

/** Why what is shown may be old: the server cannot be asked, or it has said that it is gone. */
type Why = 'away' | 'gone';

function whyOld({ fetchStatus, error, fetchFailureReason }: QueryState): Why | null {
  const trouble = error ?? fetchFailureReason;
  if (fetchStatus === 'paused' || !onlineManager.isOnline() || (trouble !== null && isAway(trouble))) return 'away';
  return trouble instanceof Problem && trouble.status === GONE ? 'gone' : null;
}
const GONE = 404;
const isAway = (trouble: Error) => !(trouble instanceof Problem) || trouble.status >= 500;

/** The oldest answer that is shown though it could not be had again: why, and as of when; null where there is none. */
function useOldest(): { why: Why; at: number } | null {
  const cache = useQueryClient().getQueryCache();
  const told = useSyncExternalStore(
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
      const old = cache
        .findAll({ type: 'active', predicate: ({ queryKey, state }) => queryKey[0] !== 'session' && state.data !== undefined })
        .flatMap(({ state }) => {
          const why = whyOld(state);
          return why === null ? [] : [{ why, at: state.dataUpdatedAt }];
        })
        .sort((a, b) => a.at - b.at)[0];
      return old === undefined ? '' : `${old.why} ${String(old.at)}`; // a word, so that the same is the same
    },
  );
  const [why, at] = told.split(' ');
  return at === undefined ? null : { why: why as Why, at: Number(at) };
}

/** While the server cannot be asked, a page says how old it is, what is kept here, and what has to wait. */
export function AsOf({ isShort = false }: { isShort?: boolean }) {
  const { t } = useTranslation();
  const oldest = useOldest();
  return oldest === null ? null : (
    <Notice tone="attention" role="status" className="no-print mb-4">
      {t(oldest.why === 'gone' ? 'app.gone' : isShort ? 'app.asOfShort' : 'app.asOf', { at: moment(oldest.at) })}
    </Notice>
  );
}
