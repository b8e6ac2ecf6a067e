const CHINESE = /\p{Script=Han}/u;

/** Loads the type of Chinese titles once there is something to set in it, written by anybody or typed here. */
export function watchForChinese(page: Document): void {
  const found = () => {
    watching.disconnect();
    page.removeEventListener('input', typed);
    void import('../../css/chinese.css').catch(() => undefined); // the device's own type stands in for it
  };
  const typed = (event: Event) => {
    if (CHINESE.test((event.target as HTMLInputElement | null)?.value ?? '')) found();
  };
  const watching = new MutationObserver((changes) => {
    for (const { target, addedNodes } of changes) {
      if (CHINESE.test(target.nodeType === Node.TEXT_NODE ? (target.textContent ?? '') : '')) return found();
      for (const node of addedNodes) {
        if (CHINESE.test(node.textContent ?? '')) return found();
        // What stands in a field is no text of the page.
        if (
          node instanceof Element &&
          [...node.querySelectorAll('input, textarea')].some((field) => CHINESE.test((field as HTMLInputElement).value))
        )
          return found();
      }
    }
  });
  watching.observe(page.body, { childList: true, characterData: true, subtree: true });
  page.addEventListener('input', typed);
}
