import { useEffect } from 'react';

/** Long after a view stands, and well before anybody has left it alone long enough for its door to shut. */
const quietMs = 10_000;

/**
 * Fetches what a view does not need to begin (its menu, its door) once it has stood for a while, so that it is here
 * should the network go. What cannot be fetched then is asked for again when it is wanted.
 */
export function useLater(fetch: () => Promise<unknown>): void {
  useEffect(() => {
    const timer = setTimeout(() => void fetch().catch(() => undefined), quietMs);
    return () => clearTimeout(timer);
  }, [fetch]);
}
