import { useEffect, useState } from 'react';

/** A value that follows once it has rested for so many milliseconds, so that not every letter asks the server. */
export function usePaused<V>(value: V, rest = 200): V {
  const [shown, setShown] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => {
      setShown(value);
    }, rest);
    return () => {
      clearTimeout(timer);
    };
  }, [value, rest]);
  return shown;
}
