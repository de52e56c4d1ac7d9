import { createContext, use } from 'react';

/** A visit that can be fetched anew while it is shown: after something else than its view has changed it. */
export interface Refreshing {
  readonly refresh: () => Promise<void>;
  /** How often it was: what is shown for the second time takes the focus that was lost with the first. */
  readonly turn: number;
}

export const RefreshContext = createContext<Refreshing>({ refresh: () => Promise.resolve(), turn: 0 });

/** Fetches the visit anew and shows what is on record now. */
export const useRefresh = (): (() => Promise<void>) => use(RefreshContext).refresh;
