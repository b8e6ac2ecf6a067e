import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';

/** A student at home: link, practice, questions. */
export const studentHomeQuery = (student: string) =>
  queryOptions({
    queryKey: keys.studentHome(student),
    queryFn: () => ask(api.GET('/api/students/{student}/home', { params: { path: { student } } })),
    staleTime: 0,
  });
