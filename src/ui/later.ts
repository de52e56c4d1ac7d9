import { useEffect } from 'react';

/** After a view stands and has fetched its own, and long before its door shuts by itself. */
const quietMs = 3000;
const againMs = 2000;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Without the network a part of a view is asked for again until it comes: what waits for it stays as it is. */
export function untilHere<T>(fetch: () => Promise<T>): () => Promise<T> {
  return async () => {
    for (;;) {
      try {
        return await fetch();
      } catch {
        await pause(againMs);
      }
    }
  };
}

/**
 * Fetches what a view does not need to begin (its menu, its door, its dialogs) once it stands, so that it is here should
 * the network go. What cannot be fetched then is asked for again when it is wanted.
 */
export function useLater(fetch: () => Promise<unknown>): void {
  useEffect(() => {
    const timer = setTimeout(() => void fetch().catch(() => undefined), quietMs);
    return () => clearTimeout(timer);
  }, [fetch]);
}
