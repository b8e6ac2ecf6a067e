import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';

export const principleVersionsQuery = (principleSet: string) =>
  queryOptions({
    queryKey: keys.principleVersions(principleSet),
    queryFn: () => ask(api.GET('/api/principle-sets/{principleSet}/versions', { params: { path: { principleSet } } })),
    staleTime: 0,
  });
