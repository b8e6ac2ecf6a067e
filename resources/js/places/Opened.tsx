import { Suspense, use } from 'react';
import { usePath } from '../kit/router';
import { Waiting } from '../kit/page';
import { Boundary } from './Boundary';
import { askAhead, loadPlace, readyPlace, tryAgain } from './opening';
import type { PlaceRoute } from './routes';

/** A place, loaded when it is opened. What goes wrong in it stays in it. */
export function Opened({ route }: { route: PlaceRoute }) {
  const path = usePath();
  return (
    <Boundary
      key={path}
      onRetry={() => {
        tryAgain(route);
      }}
    >
      <Suspense fallback={<Waiting />}>
        <Loaded route={route} />
      </Suspense>
    </Boundary>
  );
}

function Loaded({ route }: { route: PlaceRoute }) {
  let Place = readyPlace(route);
  if (Place === undefined) {
    askAhead(window.location.href);
    Place = use(loadPlace(route));
  }
  return <Place />;
}
