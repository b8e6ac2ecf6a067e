import { queryOptions } from '@tanstack/react-query';
import { api, ask } from '../../api/client';
import { keys } from '../../api/keys';

/** Where everyone in a group stands: a line each. */
export const studentLinesQuery = (group: string) =>
  queryOptions({
    queryKey: keys.studentLines(group),
    queryFn: () => ask(api.GET('/api/groups/{group}/lines', { params: { path: { group } } })),
  });

export const studentLineQuery = (student: string, group: string) =>
  queryOptions({
    queryKey: keys.studentLine(student, group),
    queryFn: () => ask(api.GET('/api/students/{student}/line', { params: { path: { student }, query: { group } } })),
  });

export const recallCurveQuery = (student: string, entry: string) =>
  queryOptions({
    queryKey: keys.recallCurve(student, entry),
    queryFn: () => ask(api.GET('/api/students/{student}/curve', { params: { path: { student }, query: { entry } } })),
  });

/** What a teacher plans around: private, so nothing of it outlives the page that shows it. */
export const considerationsQuery = (student: string) =>
  queryOptions({
    queryKey: keys.considerations(student),
    queryFn: () => ask(api.GET('/api/students/{student}/considerations', { params: { path: { student } } })),
    staleTime: 0,
    gcTime: 0,
  });
