import { useEffect, useState } from 'react';
import type { BathView } from '../../contracts/stone-views';
import { send } from '../api';

/**
 * The bath’s thermometer as a stream: asked again and again, never twice at once (a locked screen keeps a question open).
 * @param setC what it is judged against
 */
export function useBath(setC: number, everyMs: number, first?: BathView) {
  const [bath, setBath] = useState(first);
  const [isLost, setIsLost] = useState(false);
  useEffect(() => {
    let isAsking = false;
    const ask = async () => {
      if (isAsking) return;
      isAsking = true;
      try {
        setBath(await send<BathView>('GET', `/api/devices/stone-bath?set=${setC}`));
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
  }, [everyMs, setC]);
  return { bath, setBath, isLost, setIsLost };
}
