import { useEffect } from 'react';

/** Keeps the screen awake while the view is open, where the browser can; again after it slept. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let closed = false;
    const ask = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (closed) await lock.release();
      } catch {
        // A battery that is low, or a browser that won't: the screen sleeps as it always did.
      }
    };
    void ask();
    const again = () => void ask();
    document.addEventListener('visibilitychange', again);
    return () => {
      closed = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, []);
}
