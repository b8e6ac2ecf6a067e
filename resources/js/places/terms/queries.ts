import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';

/** How the next term would begin: asked anew whenever one is laid. */
export const nextTermQuery = (group: string, after: string) =>
  queryOptions({
    queryKey: keys.nextTerm(group, after),
    queryFn: () => ask(api.GET('/api/terms/next', { params: { query: { group, after } } })),
    gcTime: 0,
    staleTime: Infinity,
  });
