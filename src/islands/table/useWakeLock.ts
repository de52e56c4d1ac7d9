import { useEffect } from 'react';

/** Keeps the screen awake while `isOn`, also after the page was hidden; does nothing where the browser cannot. */
export function useWakeLock(isOn: boolean): void {
  useEffect(() => {
    if (!isOn || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let isWanted = true;
    const acquire = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (got) => {
          if (isWanted) lock = got;
          else void got.release();
        },
        () => undefined,
      );
    };
    acquire();
    document.addEventListener('visibilitychange', acquire);
    return () => {
      isWanted = false;
      document.removeEventListener('visibilitychange', acquire);
      void lock?.release();
    };
  }, [isOn]);
}
