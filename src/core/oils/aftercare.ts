import { hoursOutOfSun } from './limits';
import type { Area, BlendPart, OilBook } from './book';
import { oilOf } from './book';
import type { BottleWords } from './bottle-words';

export interface AftercareFacts {
  readonly area: Area;
  readonly parts: readonly BlendPart[];
  /** Above 1: the skin has to keep out of the sun. */
  readonly sunSum: number;
  readonly isSensitive: boolean;
  readonly travelsAtOnce: boolean;
}

/** How long the oil may stay on, and why. */
export function leaveOn({ area, sunSum, travelsAtOnce }: AftercareFacts): {
  readonly hours: readonly [number, number] | null;
  readonly why: Extract<keyof BottleWords, 'patDry' | 'blot' | 'wipeForSun' | 'wipeForTheWay' | 'leaveOn'>;
} {
  if (area === 'bath') return { hours: null, why: 'patDry' };
  if (area === 'face') return { hours: null, why: 'blot' };
  if (sunSum > 1) return { hours: null, why: 'wipeForSun' };
  if (travelsAtOnce) return { hours: null, why: 'wipeForTheWay' };
  return { hours: [8, 12], why: 'leaveOn' };
}

/** Lines for the client to take home. */
export function aftercareLines(book: OilBook, facts: AftercareFacts, words: BottleWords): readonly string[] {
  const used = facts.parts.filter(({ drops }) => drops > 0);
  const sunny = used.filter(({ oil }) => oilOf(book, oil).phototoxic !== null);
  const hours = hoursOutOfSun(book, sunny);
  return [
    words[leaveOn(facts).why],
    ...(facts.sunSum > 1 ? [words.outOfSun(hours)] : []),
    ...(facts.sunSum <= 1 && sunny.length > 0 ? [words.littleCitrus] : []),
    words.keepFromEyes,
    words.keepFromChildren,
    facts.isSensitive ? words.itchSensitive : words.itch,
  ];
}
