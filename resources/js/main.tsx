import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { Route, Switch } from './kit/router';
import './messages';
import { keepAnswers, restoreAnswers } from './api/kept';
import { queryClient } from './api/queryClient';
import { sessionQuery } from './api/queries';
import { startWorker } from './api/worker';
import { watchForChinese } from './kit/chinese';
import { followTheme } from './kit/theme';
import { Toasts } from './kit/toasts';
import { Boundary } from './places/Boundary';
import { NotFound } from './places/NotFound';
import { Opened } from './places/Opened';
import { askAhead, fetchAhead, loadPlace, routeAt } from './places/opening';
import { routes } from './places/routes';
import { Shell } from './places/Shell';

followTheme();
watchForChinese(document);
fetchAhead(document);

/** Who is in, and what the page at this address asks first: neither waits for the other, nor for the page's program. */
function begin(): void {
  void queryClient.prefetchQuery(sessionQuery);
  const at = routeAt(window.location.href);
  if (at === null) return;
  void loadPlace(at.route).catch(() => undefined);
  askAhead(window.location.href);
}

/** What this browser keeps is there before the first page is drawn, so that a reload without a network shows it. */
async function draw(at: HTMLElement): Promise<void> {
  keepAnswers(queryClient, await restoreAnswers(queryClient));
  createRoot(at).render(
    <StrictMode>
      <QueryClientProvider client={queryClient}>
        <Toasts>
          <Boundary>
            <Shell>
              <Switch>
                {routes.map((route) => (
                  <Route key={route.path} path={route.path}>
                    <Opened route={route} />
                  </Route>
                ))}
                <Route>
                  <NotFound />
                </Route>
              </Switch>
            </Shell>
          </Boundary>
        </Toasts>
      </QueryClientProvider>
    </StrictMode>,
  );
}

const root = document.getElementById('app');
if (root) {
  begin();
  void draw(root);
}
if (import.meta.env.PROD) void startWorker().catch(() => undefined); // without it a reload needs the network
