import { createContext, use } from 'react';
import type { Bench } from './useBlend';

export const BenchContext = createContext<Bench | undefined>(undefined);

/** The bench that a part of it stands on. @throws RangeError outside of one */
export function useBench(): Bench {
  const bench = use(BenchContext);
  if (!bench) throw new RangeError('a part of the oil bench stands outside of it');
  return bench;
}
