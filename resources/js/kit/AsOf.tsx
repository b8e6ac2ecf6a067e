import type { UseQueryResult } from '@tanstack/react-query';
import { useTranslation } from '../messages';
import { Notice } from './Notice';
import { useNow } from './useNow';

/** Younger than this is now, milliseconds. */
const NOW_MS = 60_000;

/** An answer that is kept in this browser and could not be asked for again says how old it is. */
export function AsOf({
  query,
}: {
  query: Pick<UseQueryResult, 'data' | 'dataUpdatedAt' | 'isError' | 'fetchStatus' | 'failureCount'>;
}) {
  const { t } = useTranslation();
  const now = useNow(30_000);
  const cannotAsk = query.isError || query.fetchStatus === 'paused' || query.failureCount > 0;
  if (query.data === undefined || !cannotAsk || now - query.dataUpdatedAt < NOW_MS) return null;
  const at = new Date(query.dataUpdatedAt);
  const said = new Intl.DateTimeFormat('en-GB', {
    hour: '2-digit',
    minute: '2-digit',
    ...(now - query.dataUpdatedAt > 12 * 3_600_000 ? { weekday: 'long', day: 'numeric', month: 'short' } : {}),
  }).format(at);
  return (
    <Notice tone="attention" role="status" className="no-print mb-4">
      {t('app.asOf', { at: said })}
    </Notice>
  );
}
