import { useEffect, useState } from 'react';

/** Keeps the screen awake while something is going on, where the device can; says whether it does. */
export function useWake(isOn: boolean): boolean {
  const [isAwake, setAwake] = useState(false);
  useEffect(() => {
    if (!isOn || !('wakeLock' in navigator)) return;
    let held: WakeLockSentinel | null = null;
    let isGone = false;
    const hold = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (lock) => {
          held = lock;
          if (isGone) void lock.release();
          else setAwake(true);
          lock.addEventListener('release', () => {
            setAwake(false);
          });
        },
        () => {
          setAwake(false); // a low battery, say
        },
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      isGone = true;
      document.removeEventListener('visibilitychange', hold);
      void held?.release();
    };
  }, [isOn]);
  return isAwake;
}
