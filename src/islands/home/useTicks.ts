import { useCallback, useEffect, useState } from 'react';
import type { HomePage } from '../../contracts/home-views';
import { RequestError, send } from '../api';

const retryMs = 10_000;

interface Tick {
  readonly id: string;
  readonly day: string;
}

const twoDigits = (n: number) => String(n).padStart(2, '0');
/** The day where the phone is. */
const dayHere = (now: Date) => `${now.getFullYear()}-${twoDigits(now.getMonth() + 1)}-${twoDigits(now.getDate())}`;

/** Ticks of a sheet: kept on the phone until the house has them. */
export function useTicks(token: string, first: HomePage) {
  const [page, setPage] = useState(first);
  const [waiting, setWaiting] = useState<readonly Tick[]>([]);
  const [isRefused, setIsRefused] = useState(false);
  const name = `home-${token.slice(0, 12)}`;
  const keep = useCallback(
    (ticks: readonly Tick[]) => {
      setWaiting(ticks);
      try {
        localStorage.setItem(name, JSON.stringify(ticks));
      } catch {
        // A phone that keeps nothing still sends what it can.
      }
    },
    [name],
  );
  const flush = useCallback(
    async (ticks: readonly Tick[]) => {
      let rest = ticks;
      for (const tick of ticks) {
        try {
          const answer = await send('POST /api/home-page/{token}/ticks', { params: { token }, body: tick });
          setPage(answer.page);
        } catch (error) {
          if (!(error instanceof RequestError) || error.status === 0 || error.status >= 500) break;
          setIsRefused(true);
        }
        rest = rest.filter(({ id }) => id !== tick.id);
      }
      keep(rest);
    },
    [keep, token],
  );
  useEffect(() => {
    let kept: readonly Tick[] = [];
    try {
      kept = JSON.parse(localStorage.getItem(name) ?? '[]') as readonly Tick[];
    } catch {
      // Nothing was kept.
    }
    if (kept.length > 0) setTimeout(() => void flush(kept));
  }, [flush, name]);
  useEffect(() => {
    if (waiting.length === 0) return;
    const timer = setInterval(() => void flush(waiting), retryMs);
    return () => clearInterval(timer);
  }, [flush, waiting]);
  const tick = () => {
    setIsRefused(false);
    const made = [...waiting, { id: crypto.randomUUID(), day: dayHere(new Date()) }];
    keep(made);
    void flush(made);
  };
  return { page, tick, isWaiting: waiting.length > 0, isRefused };
}
