import { useEffect, useLayoutEffect, useRef } from 'react';
import { arrive } from '../kit/arrival';
import { usePath } from '../kit/router';

const PREFIX = 'gorvan.scroll.';
/** How long a page may take to grow as long as it was when it was left, milliseconds. */
const GROWS_MS = 3_000;

const keptAt = (path: string): number => Number(sessionStorage.getItem(PREFIX + path) ?? 0);

/** Whether what comes next is gone back to; a page that is reloaded is so as well. */
let isBack = true;
// Heard before anybody draws the page for it, so from the beginning on.
window.addEventListener('popstate', () => {
  isBack = true;
});

/** A new page begins at its top, with the focus on its heading; one that is gone back to is where it was left. */
export function useArrival(): void {
  const path = usePath();
  const last = useRef<string | null>(null);

  useEffect(() => {
    history.scrollRestoration = 'manual';
  }, []);

  useEffect(() => {
    const keep = () => {
      try {
        sessionStorage.setItem(PREFIX + path, String(Math.round(window.scrollY)));
      } catch {
        // A browser that keeps nothing begins each page at its top.
      }
    };
    window.addEventListener('scrollend', keep);
    window.addEventListener('pagehide', keep);
    return () => {
      window.removeEventListener('scrollend', keep);
      window.removeEventListener('pagehide', keep);
    };
  }, [path]);

  useLayoutEffect(() => {
    const isFirst = last.current === null;
    if (last.current === path) return;
    last.current = path;
    const wanted = isBack ? keptAt(path) : 0;
    isBack = false;
    if (!isFirst) arrive();
    if (wanted === 0) {
      if (!isFirst) window.scrollTo(0, 0);
      return;
    }
    const reach = () => {
      if (document.documentElement.scrollHeight < wanted + window.innerHeight) return false;
      window.scrollTo(0, wanted);
      return true;
    };
    if (reach()) return;
    const growing = new ResizeObserver(() => {
      if (reach()) growing.disconnect();
    });
    growing.observe(document.body);
    const stop = () => {
      growing.disconnect();
    };
    const givesUp = setTimeout(stop, GROWS_MS);
    // Whoever has begun to scroll decides.
    window.addEventListener('wheel', stop, { once: true, passive: true });
    window.addEventListener('touchmove', stop, { once: true, passive: true });
    return () => {
      clearTimeout(givesUp);
      stop();
      window.removeEventListener('wheel', stop);
      window.removeEventListener('touchmove', stop);
    };
  }, [path]);
}
