import { useEffect, useLayoutEffect, useRef } from 'react';

/**
 * Ticks while the view is there, also with the screen off or another window before it, when the page's own clock is
 * slowed down.
 */
export function useTicks(everyMs: number, onTick: () => void): void {
  const latest = useRef(onTick);
  useLayoutEffect(() => {
    latest.current = onTick;
  });
  useEffect(() => {
    const tick = () => latest.current();
    let worker: Worker | undefined;
    let ticking: ReturnType<typeof setInterval> | undefined;
    const begin = () => {
      clearInterval(ticking);
      if (!document.hidden) {
        worker?.postMessage(0);
        ticking = setInterval(tick, everyMs);
        tick();
        return;
      }
      worker ??= new Worker(new URL('../../workers/tick.worker.ts', import.meta.url), { type: 'module' });
      worker.onmessage = tick;
      worker.postMessage(everyMs);
    };
    begin();
    document.addEventListener('visibilitychange', begin);
    return () => {
      document.removeEventListener('visibilitychange', begin);
      clearInterval(ticking);
      worker?.terminate();
    };
  }, [everyMs]);
}
