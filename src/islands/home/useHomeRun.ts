import { useEffect, useState } from 'react';

const tickMs = 100;

export interface HomeRun {
  /** −1 before the first step; the number of steps after the last. */
  readonly index: number;
  readonly stepMs: number;
  readonly isPaused: boolean;
  readonly goTo: (index: number) => void;
  readonly pause: () => void;
}

interface At {
  readonly index: number;
  readonly sinceMs: number;
  readonly bankedMs: number;
  readonly isPaused: boolean;
}

/** The run through a sheet; taken up again at the same step after a reload. */
export function useHomeRun(name: string, steps: number): HomeRun {
  const [at, setAt] = useState<At>({ index: -1, sinceMs: 0, bankedMs: 0, isPaused: false });
  const [nowMs, setNowMs] = useState(0);
  useEffect(() => {
    const kept = Number(sessionStorage.getItem(name) ?? '-1');
    // A phone that was locked comes back to the same step, not to the beginning.
    if (kept >= 0 && kept < steps)
      setTimeout(() => setAt({ index: kept, sinceMs: Date.now(), bankedMs: 0, isPaused: false }));
    const timer = setInterval(() => setNowMs(Date.now()), tickMs);
    return () => clearInterval(timer);
  }, [name, steps]);
  const goTo = (index: number) => {
    sessionStorage.setItem(name, String(index >= steps ? -1 : index));
    setAt({ index, sinceMs: Date.now(), bankedMs: 0, isPaused: false });
  };
  const passed = at.isPaused ? at.bankedMs : at.bankedMs + Math.max(0, nowMs - at.sinceMs);
  const pause = () =>
    setAt({ ...at, isPaused: !at.isPaused, bankedMs: at.isPaused ? at.bankedMs : passed, sinceMs: Date.now() });
  return { index: at.index, stepMs: passed, isPaused: at.isPaused, goTo, pause };
}
