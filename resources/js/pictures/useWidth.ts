import { type CSSProperties, type RefObject, useLayoutEffect, useRef, useState } from 'react';
import { usePrinting } from '../kit/usePrinting';

/** How wide A4 is within the margins of app.css, and no wider than Letter within them, in pixels. */
const PAPER = 690;

/** The width of an element in pixels, kept up to date; on paper that of the paper, whatever the screen was. */
export function useWidth<T extends HTMLElement>(): [RefObject<T | null>, number] {
  const ref = useRef<T>(null);
  const [width, setWidth] = useState(0);
  const isPrinting = usePrinting();
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setWidth(entry.contentRect.width);
    });
    observer.observe(element);
    setWidth(element.clientWidth);
    return () => {
      observer.disconnect();
    };
  }, []);
  return [ref, isPrinting ? PAPER : width];
}

/** Paper is not scrolled: what is wider than it is made as much smaller. */
export function usePaperFit(wide: number): CSSProperties {
  const isPrinting = usePrinting();
  return isPrinting && wide > PAPER ? { zoom: PAPER / wide } : {};
}
