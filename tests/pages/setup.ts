import { configure } from '@testing-library/react';
import { addWords } from '../../resources/js/messages';
import { en } from '../../resources/js/messages/en';

configure({ asyncUtilTimeout: 30_000 });

/** The browser of the unit tests draws nothing, so nothing ever changes its size. */
globalThis.ResizeObserver = class {
  observe() {
    return undefined;
  }
  unobserve() {
    return undefined;
  }
  disconnect() {
    return undefined;
  }
};

/** Nor has it a pointer that could be held: a toast asks whether it has one when it is let go. */
Element.prototype.hasPointerCapture = () => false;
/** What is chosen in a list is brought into view, where there is one. */
Element.prototype.scrollIntoView = () => undefined;

/** What is loaded with a place is there for all of them. */
addWords('en', en);

/** It is no device of any kind, so it is none that is asked for. */
window.matchMedia = (media) =>
  ({
    media,
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }) as unknown as MediaQueryList;

/** What shows only the rows that are in sight sees a desk. */
Object.defineProperty(Element.prototype, 'clientHeight', { configurable: true, value: 640 });
