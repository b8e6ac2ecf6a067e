import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';

/** Those who are here in pods, and what they have to catch up with. */
export const podsQuery = (meeting: string, count: number) =>
  queryOptions({
    queryKey: keys.pods(meeting, count),
    queryFn: () => ask(api.GET('/api/meetings/{meeting}/pods', { params: { path: { meeting }, query: { count } } })),
    // It rests on who is here and on everyone's marks, which change while it is looked at.
    staleTime: 0,
    refetchInterval: 10_000,
  });

/** Who works with whom in a partner drill, among those who want to. */
export const pairsQuery = (meeting: string, lesson: string, without: string[]) =>
  queryOptions({
    queryKey: keys.pairs(meeting, lesson, without),
    queryFn: () =>
      ask(
        api.GET('/api/meetings/{meeting}/pairs', {
          params: { path: { meeting }, query: { lesson, without: without.join(',') } },
        }),
      ),
    // It rests on who is here, which changes while it is looked at.
    staleTime: 0,
    refetchInterval: 10_000,
  });
