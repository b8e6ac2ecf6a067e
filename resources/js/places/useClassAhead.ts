import { useEffect } from 'react';
import { canKeepPages } from '../api/worker';
import { usePath } from '../kit/router';
import { loadWanted } from '../kit/wanted';
import { loadPlace } from './opening';
import { routes } from './routes';

/** What a class may need once its network is gone. */
const CLASS = [
  '/meetings/:meeting',
  '/meetings/:meeting/floor',
  '/meetings/:meeting/log',
  '/meetings/:meeting/sheet',
  '/waiting',
];
/** After what the page itself asks for, milliseconds. */
const AFTER_MS = 300;

/**
 * Whoever has opened a class has all of its programs, toasts and answers too, so that it can be run, marked and logged though the network goes
 * away. Where the browser cannot keep the application (an address that is not secure), that begins on Today.
 */
export function useClassAhead(): void {
  const path = usePath();
  const isNear = path.startsWith('/meetings/') || (path === '/' && !canKeepPages());
  useEffect(() => {
    if (!isNear) return;
    const timer = setTimeout(() => {
      loadWanted();
      for (const route of routes) if (CLASS.includes(route.path)) void loadPlace(route).catch(() => undefined);
    }, AFTER_MS);
    return () => {
      clearTimeout(timer);
    };
  }, [isNear]);
}
