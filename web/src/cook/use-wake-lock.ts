import { useEffect, useState } from 'react';

/**
 * Keeps the screen on while something cooks. A browser lets go of it whenever the page is hidden; it is asked for again
 * when the page is back.
 *
 * @returns whether it is held; null where this browser, or an insecure address, cannot
 */
export function useWakeLock(wanted: boolean): boolean | null {
  const [held, setHeld] = useState(false);
  const can = 'wakeLock' in navigator;
  useEffect(() => {
    if (!can || !wanted) return;
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const ask = async (): Promise<void> => {
      if (document.visibilityState !== 'visible') return;
      try {
        const got = await navigator.wakeLock.request('screen');
        if (gone) {
          await got.release();
          return;
        }
        lock = got;
        setHeld(true);
        got.addEventListener('release', () => setHeld(false));
      } catch {
        // A weak battery says no: the room says that it could not.
        setHeld(false);
      }
    };
    const shown = (): void => void ask();
    void ask();
    document.addEventListener('visibilitychange', shown);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', shown);
      void lock?.release();
    };
  }, [can, wanted]);
  return can ? held : null;
}
