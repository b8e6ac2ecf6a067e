import { Popover } from 'radix-ui';
import { useEffect, useRef, useState } from 'react';
import { Floating } from './Floating';

/** So long the pointer rests, and so long a finger is held, milliseconds. */
const REST_MS = 400;
const HOLD_MS = 500;
/** What a finger asked for stands so long after it is lifted. */
const READ_MS = 4_000;
/** A finger that moves so far is not held, pixels. */
const MOVED = 10;

interface Tip {
  text: string;
  at: Element;
}
const tipOf = (target: EventTarget | null): Tip | null => {
  const at = target instanceof Element ? target.closest('[data-tip]') : null;
  const text = at?.getAttribute('data-tip');
  return at && text ? { at, text } : null;
};

/** Shows the few words that stand behind things: where the pointer rests, where the keyboard is, and where a finger is held. */
export function Tips() {
  const [shown, setShown] = useState<Tip | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => {
    let held: { x: number; y: number; isShown: boolean } | null = null;
    const later = (then: () => void, wait: number) => {
      clearTimeout(timer.current);
      timer.current = setTimeout(then, wait);
    };
    const hide = () => {
      clearTimeout(timer.current);
      setShown(null);
    };
    const on = {
      pointerover: (event: PointerEvent) => {
        if (event.pointerType === 'touch') return;
        const found = tipOf(event.target);
        if (found === null) hide();
        else
          later(() => {
            setShown(found);
          }, REST_MS);
      },
      focusin: (event: FocusEvent) => {
        const found = tipOf(event.target);
        if (found?.at.matches(':focus-visible') === true) setShown(found);
        else if (held === null) hide();
      },
      pointerdown: (event: PointerEvent) => {
        hide();
        held = null;
        const found = tipOf(event.target);
        if (event.pointerType !== 'touch' || found === null) return;
        const hold = { x: event.clientX, y: event.clientY, isShown: false };
        held = hold;
        later(() => {
          hold.isShown = true;
          setShown(found);
        }, HOLD_MS);
      },
      pointermove: (event: PointerEvent) => {
        if (held === null || held.isShown) return;
        if (Math.abs(event.clientX - held.x) > MOVED || Math.abs(event.clientY - held.y) > MOVED) clearTimeout(timer.current);
      },
      pointerup: () => {
        if (held?.isShown === true) later(hide, READ_MS);
        else clearTimeout(timer.current);
      },
      pointercancel: hide,
      // Whoever held it to read it did not press it.
      contextmenu: (event: Event) => {
        if (held?.isShown === true) event.preventDefault();
      },
      click: (event: Event) => {
        if (held?.isShown === true) {
          event.preventDefault();
          event.stopPropagation();
        }
        held = null;
      },
      keydown: (event: KeyboardEvent) => {
        if (event.key === 'Escape') hide();
      },
    };
    for (const [name, hear] of Object.entries(on)) document.addEventListener(name, hear as EventListener, true);
    window.addEventListener('scroll', hide, true);
    return () => {
      clearTimeout(timer.current);
      for (const [name, hear] of Object.entries(on)) document.removeEventListener(name, hear as EventListener, true);
      window.removeEventListener('scroll', hide, true);
    };
  }, []);
  if (shown === null) return null;
  return (
    <Popover.Root open>
      <Popover.Anchor virtualRef={{ current: shown.at }} />
      <Floating className="pointer-events-none max-w-xs border border-line px-3 py-1.5 text-sm" isTip>
        {shown.text}
      </Floating>
    </Popover.Root>
  );
}
