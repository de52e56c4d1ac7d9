import type { Seconds } from '../quantities';
import type { StoneBook } from './book';
import { hottestC } from './burn-risk';
import { type ContactCase, traceOf } from './contact';
import { stonesSays } from './stones.says';

/** How long a stone may lie, and what ends it. */
export interface Resting {
  readonly seconds: Seconds;
  readonly why: string;
}

const longestS = 900;

/** Longest time for which a hot stone may lie still: its start within the limits, the skin below caution all the while. */
export function restingTime(book: StoneBook, input: Omit<ContactCase, 'mode' | 'seconds'>): Resting {
  const { limits } = book;
  const most = hottestC(limits, 'still', input.towelLayers, input.skin);
  if (most === undefined && input.startC > limits.bareCautionC)
    return { seconds: 0, why: stonesSays.stillOnBareSkinNever };
  if (input.startC > limits.capC) return { seconds: 0, why: stonesSays.hotterThanNotAtAll(limits.capC) };
  if (most !== undefined && input.startC > most)
    return { seconds: 0, why: stonesSays.hotterThanTheForSkinAt(most, input.skin) };
  const { curve } = traceOf(book, { ...input, mode: 'still', seconds: longestS }, 1);
  const over = curve.find(({ basalC, omega }) => basalC >= limits.basalCautionC || omega >= limits.omegaCaution);
  if (!over) return { seconds: longestS, why: stonesSays.theSkinStaysBelowCautionLook };
  const isHeat = over.basalC >= limits.basalCautionC;
  return {
    seconds: Math.max(0, over.s - 1),
    why: isHeat ? stonesSays.thenTheSkinComesTo(limits.basalCautionC) : stonesSays.thenTheWarmthAddsUpTo,
  };
}
