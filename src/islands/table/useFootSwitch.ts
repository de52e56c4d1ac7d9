import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { type FootPress, type FootState, simulatedFootSwitch } from '../devices/foot-switch';
import { bounceMs } from '../../ui/shortcuts/keyboard';

/**
 * Listens to the foot switch; double presses count once.
 * @param onPress the moment is that of the tread, on the clock of this page’s events
 * @returns whether one is there, or has fallen silent
 */
export function useFootSwitch(onPress: (press: FootPress, stampMs: number) => void): FootState {
  const [state, setState] = useState<FootState>('none');
  const latest = useRef(onPress);
  useLayoutEffect(() => {
    latest.current = onPress;
  });
  useEffect(() => {
    let last = -Infinity;
    return simulatedFootSwitch.listen((press, atMs) => {
      if (atMs - last < bounceMs) return;
      last = atMs;
      latest.current(press, atMs - performance.timeOrigin);
    }, setState);
  }, []);
  return state;
}
