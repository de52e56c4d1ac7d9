import { useEffect, useState } from 'react';
import { build } from '../../core/version';
import { send } from '../api';

/** A page that is open all day asks so often (ms), and whenever it is looked at again. */
const askMs = 15 * 60_000;

/** Whether the house was brought up to date since this page was loaded. A house that does not answer says nothing of it. */
export function useNewBuild(): boolean {
  const [isNew, setIsNew] = useState(false);
  useEffect(() => {
    const ask = () => {
      if (document.hidden) return;
      send('GET /api/health').then(
        (house) => setIsNew(house.build !== build),
        () => undefined,
      );
    };
    const asking = setInterval(ask, askMs);
    document.addEventListener('visibilitychange', ask);
    return () => {
      clearInterval(asking);
      document.removeEventListener('visibilitychange', ask);
    };
  }, []);
  return isNew;
}
