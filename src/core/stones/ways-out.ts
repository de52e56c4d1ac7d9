import type { Celsius, Seconds } from '../quantities';
import type { StoneBook } from './book';
import { rotate, type Rotation, type RotationCase } from './rotation';

/** Something that would make a rotation possible. */
export interface WayOut {
  readonly kind: 'fewer' | 'later' | 'warmer';
  readonly words: string;
  readonly given: RotationCase;
}

const laterStepS = 30;
const mostLaterS = 900;
const mostWarmerC = 4;

/**
 * Three ways out of a rotation that is short of stones: fewer at once, a later start, a warmer bath. Each is tried and
 * only told when it works.
 * @param warmestBathC the bath is not set warmer than this
 */
export function waysOut(
  book: StoneBook,
  given: RotationCase,
  found: Rotation,
  warmestBathC: Celsius,
): readonly WayOut[] {
  if (found.feasible || found.shortages.length === 0) return [];
  const short = new Set(found.shortages.map((one) => one.class));
  return [...fewer(book, given, short), ...later(book, given, found), ...warmer(book, given, warmestBathC)];
}

const works = (book: StoneBook, given: RotationCase) => rotate(book, given).shortages.length === 0;

function fewer(book: StoneBook, given: RotationCase, short: ReadonlySet<string>): readonly WayOut[] {
  const steps = given.steps.map((step) =>
    short.has(step.class) ? { ...step, count: Math.max(1, step.count - 1) } : step,
  );
  const next = { ...given, steps };
  return works(book, next)
    ? [{ kind: 'fewer', words: 'One stone in hand instead of two, where they are short', given: next }]
    : [];
}

/** Everything from the shortage on waits; the first half minute that is enough. */
function later(book: StoneBook, given: RotationCase, { shortages }: Rotation): readonly WayOut[] {
  const from = Math.min(...shortages.map(({ fromS }) => fromS));
  const isAfter = (startS: Seconds) => startS > 0 && startS >= from;
  if (!given.steps.some(({ startS }) => isAfter(startS))) return [];
  for (let wait = laterStepS; wait <= mostLaterS; wait += laterStepS) {
    const steps = given.steps.map((step) => (isAfter(step.startS) ? { ...step, startS: step.startS + wait } : step));
    const next = { ...given, steps };
    if (works(book, next))
      return [{ kind: 'later', words: `Other work for ${minutes(wait)} before the next stones`, given: next }];
  }
  return [];
}

function warmer(book: StoneBook, given: RotationCase, warmestBathC: Celsius): readonly WayOut[] {
  for (let more = 1; more <= mostWarmerC && given.bathC + more <= warmestBathC; more += 1) {
    const next = { ...given, bathC: given.bathC + more };
    if (works(book, next))
      return [{ kind: 'warmer', words: `The bath at ${next.bathC}° instead of ${given.bathC}°`, given: next }];
  }
  return [];
}

const minutes = (seconds: Seconds) =>
  seconds % 60 === 0 ? `${seconds / 60} min` : `${Math.floor(seconds / 60)} min ${seconds % 60} s`;
