/**
 * Whether a page has just been gone to and not been reached yet: its first heading then takes the focus, so that a screen
 * reader says where one is and Tab goes on from there.
 */
let isArriving = false;

export function arrive(): void {
  isArriving = true;
  // Where all of the page was there already, its heading is drawn by now.
  arriveAt(document.querySelector<HTMLElement>('main h1[tabindex]'));
}

/** Puts the focus on a heading of the page that was gone to, unless something in the page has taken it already. */
export function arriveAt(heading: HTMLElement | null): void {
  if (!isArriving || heading === null) return;
  isArriving = false;
  const holder = document.activeElement;
  const page = heading.closest('main');
  if (holder !== null && holder !== page && page?.contains(holder) === true) return;
  heading.focus({ preventScroll: true });
}
