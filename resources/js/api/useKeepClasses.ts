import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { Today } from './client';
import { prepareClasses } from './kept';
import { classQuery, formQuery, meetingQuery } from './queries';

/** What was asked for within so long is not asked for again, milliseconds. */
const FRESH_MS = 300_000;

/** Opening Today prepares this device for the classes that come next; what cannot be had now is had the next time. */
export function useKeepClasses(today: Today): void {
  const client = useQueryClient();
  const ids = today.coming.map((one) => one.meetingId).join();
  useEffect(() => {
    let isGone = false;
    const isOld = (key: readonly unknown[]) => Date.now() - (client.getQueryState(key)?.dataUpdatedAt ?? 0) > FRESH_MS;
    const timer = setTimeout(() => {
      void prepareClasses(today, {
        meeting: async (id) => {
          const query = meetingQuery(id);
          if (!isGone && isOld(query.queryKey)) await client.prefetchQuery({ ...query, retry: false });
        },
        class: async (id) => {
          const query = classQuery(id);
          if (!isGone && isOld(query.queryKey)) await client.prefetchQuery({ ...query, retry: false });
        },
        form: async (id, course) => {
          const query = formQuery(id, course);
          if (!isGone && isOld(query.queryKey)) await client.prefetchQuery({ ...query, retry: false });
        },
      });
    }, 300);
    return () => {
      isGone = true;
      clearTimeout(timer);
    };
    // One preparation for each set of classes, not for each answer.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [client, ids]);
}
