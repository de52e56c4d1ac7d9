import { countOf } from '../wording/count';

/** What hands found over the visits, in words. */
export const rememberedSays = {
  ofVisits: (times: number, visits: number) => `${times} of ${countOf(visits, 'visit')}`,
  thenOf: (before: string, times: number, visits: number) => `${before}, then ${times} of ${visits}`,
};
