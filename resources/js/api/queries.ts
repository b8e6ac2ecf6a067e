import { QueryClient, queryOptions } from '@tanstack/react-query';
import { api, ask, Problem } from './client';

export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      retry: (count, error) => !(error instanceof Problem) && count < 3,
    },
  },
});

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: () => ask(api.GET('/api/session')),
  staleTime: 60_000,
});
export const todayQuery = queryOptions({ queryKey: ['today'], queryFn: () => ask(api.GET('/api/today')) });
export const formsQuery = queryOptions({ queryKey: ['forms'], queryFn: () => ask(api.GET('/api/forms')) });
export const groupsQuery = queryOptions({ queryKey: ['groups'], queryFn: () => ask(api.GET('/api/groups')) });
export const termsQuery = queryOptions({ queryKey: ['terms'], queryFn: () => ask(api.GET('/api/terms')) });
export const formQuery = (form: string) =>
  queryOptions({ queryKey: ['form', form], queryFn: () => ask(api.GET('/api/forms/{form}', { params: { path: { form } } })) });
export const scoreQuery = (form: string) =>
  queryOptions({
    queryKey: ['score', form],
    queryFn: () => ask(api.GET('/api/forms/{form}/score', { params: { path: { form } } })),
  });
export const versionsQuery = (form: string) =>
  queryOptions({
    queryKey: ['versions', form],
    queryFn: () => ask(api.GET('/api/forms/{form}/versions', { params: { path: { form } } })),
    staleTime: 0,
  });
export const startersQuery = queryOptions({
  queryKey: ['starters'],
  queryFn: () => ask(api.GET('/api/starters')),
  staleTime: Infinity,
});
export const termQuery = (term: string) =>
  queryOptions({ queryKey: ['term', term], queryFn: () => ask(api.GET('/api/terms/{term}', { params: { path: { term } } })) });
export const groupQuery = (group: string, on: string) =>
  queryOptions({
    queryKey: ['group', group, on],
    queryFn: () => ask(api.GET('/api/groups/{group}', { params: { path: { group }, query: on ? { on } : {} } })),
  });
export const meetingQuery = (meeting: string) =>
  queryOptions({
    queryKey: ['meeting', meeting],
    queryFn: () => ask(api.GET('/api/meetings/{meeting}', { params: { path: { meeting } } })),
  });

/** What is out of date once one of these was made, changed or taken away. */
const touched = {
  form: ['forms', 'today'],
  /** A form's entries, as distinct from which forms there are. */
  score: ['forms', 'term', 'today', 'meeting', 'group', 'versions', 'floor', 'times', 'beats', 'cards', 'losses'],
  group: ['groups', 'forms', 'today'],
  roster: ['group', 'groups', 'meeting', 'today'],
  term: ['terms', 'today', 'groups', 'group'],
} as const;
export type Touched = keyof typeof touched;

export async function readAgain(what: Touched): Promise<void> {
  for (const key of touched[what]) await queryClient.invalidateQueries({ queryKey: [key] });
}
