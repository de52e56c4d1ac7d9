import type { Celsius } from '../../core/quantities';
import { useEffect, useState } from 'react';
import type { BathView } from '../../contracts/stone-views';
import { send } from '../api';

/** What the bath is judged against; nothing: what it is set to itself. */
export const bathQuery = (wantedC: Celsius | null) => ({ query: { set: wantedC } });

/**
 * The bath’s thermometer as a stream: asked again and again, never twice at once (a locked screen keeps a question open).
 * @param wantedC what it is judged against; null: what it is set to itself
 */
export function useBath(wantedC: Celsius | null, everyMs: number, first?: BathView) {
  const [bath, setBath] = useState(first);
  const [isLost, setIsLost] = useState(false);
  useEffect(() => {
    let isAsking = false;
    const ask = async () => {
      if (isAsking) return;
      isAsking = true;
      try {
        setBath(await send('GET /api/devices/stone-bath', bathQuery(wantedC)));
        setIsLost(false);
      } catch {
        setIsLost(true);
      } finally {
        isAsking = false;
      }
    };
    void ask();
    const timer = setInterval(() => void ask(), everyMs);
    return () => clearInterval(timer);
  }, [everyMs, wantedC]);
  return { bath, setBath, isLost, setIsLost };
}
