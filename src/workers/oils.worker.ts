import { expose } from 'comlink';
import { oilBook } from '../catalogue/oils/oils';
import { bestBlend } from '../core/oils/best/best-blend';
import type { BestBlendCase } from '../core/oils/best/blend-problem';
import { smellCandidates } from '../core/oils/smell';

/** The exact search for blends, away from the page's own thread. */
const api = {
  best: (input: BestBlendCase) => bestBlend(oilBook, input),
  strips: (input: BestBlendCase) => smellCandidates(oilBook, input),
};
export type OilsApi = typeof api;

expose(api);
