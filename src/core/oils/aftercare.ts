import { hoursOutOfSun } from './limits';
import type { Area, BlendPart, OilBook } from './book';
import { oilOf } from './book';

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
  readonly why: string;
} {
  if (area === 'bath') return { hours: null, why: 'Pat dry; nothing has to stay on.' };
  if (area === 'face') return { hours: null, why: 'Blot the face after a few minutes; it takes what it needs.' };
  if (sunSum > 1) return { hours: null, why: 'Wipe it off with a warm cloth: it would burn in the sun.' };
  if (travelsAtOnce) return { hours: null, why: 'Wipe off what is left, for clothes and for the way home.' };
  return { hours: [8, 12], why: 'Leave the oil on for 8 to 12 hours, then shower as usual.' };
}

/** Lines for the client to take home. */
export function aftercareLines(book: OilBook, facts: AftercareFacts): readonly string[] {
  const used = facts.parts.filter(({ drops }) => drops > 0);
  const sunny = used.filter(({ oil }) => oilOf(book, oil).phototoxic !== null);
  const hours = hoursOutOfSun(book, sunny);
  return [
    leaveOn(facts).why,
    ...(facts.sunSum > 1 ? [`Keep what was oiled out of the sun, and off the sunbed, for ${hours} hours.`] : []),
    ...(facts.sunSum <= 1 && sunny.length > 0 ? ['A little citrus is in it, within what skin bears in the sun.'] : []),
    'Keep it from the eyes; if it gets in, wipe with plain oil first, then rinse with water.',
    'Keep the bottle away from children and animals.',
    facts.isSensitive
      ? 'Redness or itching within a day: wash it off and ring us. Your skin is quick to answer.'
      : 'If the skin itches or stays red for more than a day: wash it off and ring us.',
  ];
}
