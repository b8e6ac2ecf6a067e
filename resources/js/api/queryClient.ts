import { MutationCache, QueryCache, QueryClient } from '@tanstack/react-query';
import { Problem } from './client';
import { keys } from './keys';

/** Whoever is told that nobody is signed in asks who is: the shell then offers to sign in, over the page that is open. */
function asksWhoIsIn(error: unknown): void {
  if (error instanceof Problem && error.status === 401) void queryClient.invalidateQueries({ queryKey: keys.session() });
}

export const queryClient: QueryClient = new QueryClient({
  queryCache: new QueryCache({ onError: asksWhoIsIn }),
  mutationCache: new MutationCache({ onError: asksWhoIsIn }),
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      retry: (count, error) => !(error instanceof Problem) && count < 3,
    },
    // What is pressed without a network is told at once, and not done by itself some time later.
    mutations: { networkMode: 'always' },
  },
});
