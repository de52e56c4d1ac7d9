import { useEffect, useState } from 'react';

/** `lost`: the device may let the screen go dark although it was asked not to. */
export type WakeLock = 'not-asked' | 'held' | 'lost';

/**
 * Keeps the screen awake while `isOn`, also after the page was hidden.
 * @returns whether it does; a browser that cannot, or a device that saves power, loses it
 */
export function useWakeLock(isOn: boolean): WakeLock {
  const [state, setState] = useState<WakeLock>('not-asked');
  useEffect(() => {
    if (!isOn) return;
    let lock: WakeLockSentinel | undefined;
    let isWanted = true;
    const lose = () => isWanted && document.visibilityState === 'visible' && setState('lost');
    const acquire = () => {
      if (document.visibilityState !== 'visible') return;
      if (!('wakeLock' in navigator)) return void lose();
      navigator.wakeLock.request('screen').then((got) => {
        if (!isWanted) return void got.release();
        lock = got;
        got.addEventListener('release', lose);
        setState('held');
      }, lose);
    };
    acquire();
    document.addEventListener('visibilitychange', acquire);
    return () => {
      isWanted = false;
      document.removeEventListener('visibilitychange', acquire);
      void lock?.release();
    };
  }, [isOn]);
  return isOn ? state : 'not-asked';
}
