import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import { createMemoryRouter, type RouteObject, RouterProvider } from './router';
import { Toasts } from '../../resources/js/kit/toasts';

/** Draws places at their addresses, opened at one of them; what they hand over shows as the address it leads to. */
export function showAt(
  path: string,
  routes: RouteObject[],
  client = new QueryClient({ defaultOptions: { queries: { retry: false } } }),
) {
  const router = createMemoryRouter(routes, { initialEntries: [path] });
  const drawn = render(
    <QueryClientProvider client={client}>
      <Toasts>
        <RouterProvider router={router} />
      </Toasts>
    </QueryClientProvider>,
  );
  return { ...drawn, router };
}
