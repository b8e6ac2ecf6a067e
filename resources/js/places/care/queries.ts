import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';

/** Why somebody does something otherwise tonight: as private. */
export const careReasonsQuery = (meeting: string) =>
  queryOptions({
    queryKey: keys.careReasons(meeting),
    queryFn: () => ask(api.GET('/api/meetings/{meeting}/care', { params: { path: { meeting } } })),
    staleTime: 0,
    gcTime: 0,
  });
