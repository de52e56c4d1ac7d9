import { createContext, use } from 'react';

/** Fetches the visit anew and shows what is on record now: after something else than this view has changed it. */
export type Refresh = () => Promise<void>;

export const RefreshContext = createContext<Refresh>(() => Promise.resolve());

export const useRefresh = (): Refresh => use(RefreshContext);
