import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';

/** What a class did hold, as it was logged. */
export const logQuery = (meeting: string) =>
  queryOptions({
    queryKey: keys.log(meeting),
    queryFn: () => ask(api.GET('/api/meetings/{meeting}/log', { params: { path: { meeting } } })),
  });
