import type { ComponentType } from 'react';
import { matchRoute } from 'wouter';
import { parse } from 'regexparam';
import { words } from '../messages';
import { queryClient } from '../api/queryClient';
import { type PlaceRoute, routes } from './routes';

/** A place's program could not be had: there is no network, or a newer version has taken its place on the server. */
export class PlaceNotLoaded extends Error {}

const ready = new Map<PlaceRoute, ComponentType>();
const loading = new Map<PlaceRoute, Promise<ComponentType>>();
const failed = new Set<PlaceRoute>();

for (const route of routes) if (route.Place !== undefined) ready.set(route, route.Place);

/** A place with the words it says, loaded once. One that could not be loaded stays so until it is tried again. */
export function loadPlace(route: PlaceRoute): Promise<ComponentType> {
  const before = loading.get(route);
  if (before !== undefined) return before;
  const promise = Promise.all([
    route.Place ?? route.load?.(),
    words(...(route.load === undefined ? [] : (['told'] as const)), ...route.words),
  ]).then(
    ([Place]) => {
      if (Place === undefined) throw new PlaceNotLoaded();
      ready.set(route, Place);
      return Place;
    },
    () => {
      failed.add(route);
      throw new PlaceNotLoaded();
    },
  );
  loading.set(route, promise);
  promise.catch(() => undefined); // whoever shows it says so
  return promise;
}

/** A place that could not be loaded is asked for again from now on. */
export function tryAgain(route: PlaceRoute): void {
  if (failed.delete(route)) loading.delete(route);
}

/** The place, where it is there already. */
export const readyPlace = (route: PlaceRoute): ComponentType | undefined => ready.get(route);

/** What stands at an address of this application; null for any other. */
export function routeAt(address: string): { route: PlaceRoute; params: Record<string, string>; search: URLSearchParams } | null {
  const url = new URL(address, window.location.origin);
  if (url.origin !== window.location.origin) return null;
  for (const route of routes) {
    const [isHere, params] = matchRoute(parse, route.path, url.pathname);
    if (isHere) return { route, params: params as Record<string, string>, search: url.searchParams };
  }
  return null;
}

/** Asks for what a place asks first, while its program is on the way: one does not wait for the other. */
export function askAhead(address: string): void {
  const at = routeAt(address);
  for (const query of at?.route.asks?.(at.params, at.search) ?? []) void queryClient.prefetchQuery({ retry: false, ...query });
}

/** So long the pointer rests on a link before what it leads to is fetched, milliseconds. */
const REST_MS = 80;

/** Fetches the programs of places ahead when the pointer rests on their link, or the keyboard does. Returns how to stop. */
export function fetchAhead(page: Document): () => void {
  let resting: ReturnType<typeof setTimeout> | undefined;
  const linkOf = (event: Event): string | null => {
    const link = event.target instanceof Element ? event.target.closest('a[href]') : null;
    return link instanceof HTMLAnchorElement && link.target === '' ? link.href : null;
  };
  const ahead = (href: string) => {
    const at = routeAt(href);
    if (at === null) return;
    tryAgain(at.route);
    void loadPlace(at.route).catch(() => undefined);
  };
  const rest = (event: Event) => {
    clearTimeout(resting);
    const href = linkOf(event);
    if (href === null) return;
    resting = setTimeout(() => {
      ahead(href);
    }, REST_MS);
  };
  // A press is as good as a visit: what the place asks is asked before the finger is lifted.
  const press = (event: Event) => {
    const href = linkOf(event);
    if (href !== null) ahead(href);
  };
  page.addEventListener('pointerover', rest);
  page.addEventListener('focusin', rest);
  page.addEventListener('pointerdown', press);
  return () => {
    clearTimeout(resting);
    page.removeEventListener('pointerover', rest);
    page.removeEventListener('focusin', rest);
    page.removeEventListener('pointerdown', press);
  };
}
