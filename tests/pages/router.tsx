import { type ComponentType, type ReactNode, useState } from 'react';
import { memoryLocation } from 'wouter/memory-location';
import { Route, Router, Switch } from '../../resources/js/kit/router';

export interface RouteObject {
  path: string;
  Component?: ComponentType;
  element?: ReactNode;
}

/** Addresses without a browser's bar: where one is, and what stands there. */
export function createMemoryRouter(routes: RouteObject[], { initialEntries }: { initialEntries: [string] }) {
  const location = memoryLocation({ path: initialEntries[0], record: true });
  return {
    routes,
    ...location,
    state: {
      get location() {
        const [pathname = '', search = ''] = (location.history.at(-1) ?? '').split('?');
        return { pathname, search: search === '' ? '' : `?${search}` };
      },
    },
  };
}

export function RouterProvider({ router }: { router: ReturnType<typeof createMemoryRouter> }) {
  return (
    <Router hook={router.hook}>
      <Switch>
        {router.routes.map(({ path, Component, element }) => (
          <Route key={path} path={path}>
            {Component === undefined ? element : <Component />}
          </Route>
        ))}
      </Switch>
    </Router>
  );
}

export function MemoryRouter({ children, initialEntries: [path] = ['/'] }: { children: ReactNode; initialEntries?: [string] }) {
  const [{ hook }] = useState(() => memoryLocation({ path }));
  return <Router hook={hook}>{children}</Router>;
}
