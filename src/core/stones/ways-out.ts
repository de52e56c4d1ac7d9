import type { Celsius, Seconds } from '../quantities';
import type { StoneBook } from './book';
import { rotate, type Rotation, type RotationCase } from './rotation';
import { stonesSays } from './stones.says';

/** Something that would make a rotation possible. */
export interface WayOut {
  readonly kind: 'fewer' | 'other' | 'later' | 'warmer';
  readonly words: string;
  readonly given: RotationCase;
}

const laterStepS = 30;
const mostLaterS = 900;
const mostWarmerC = 4;

/**
 * Ways out of a rotation that is short of stones: fewer at once, stones of another size, a later start, a warmer bath.
 * Each is tried and only told when it works.
 * @param warmestBathC the bath is not set warmer than this
 */
export function waysOut(
  book: StoneBook,
  input: RotationCase,
  found: Rotation,
  warmestBathC: Celsius,
): readonly WayOut[] {
  if (found.feasible || found.shortages.length === 0) return [];
  const short = new Set(found.shortages.map((one) => one.class));
  return [
    ...fewer(book, input, short),
    ...other(book, input, short),
    ...later(book, input, found),
    ...warmer(book, input, warmestBathC),
  ];
}

const works = (book: StoneBook, input: RotationCase) => rotate(book, input).shortages.length === 0;

/** As many at once as the tray can serve. */
function fewer(book: StoneBook, input: RotationCase, short: ReadonlySet<string>): readonly WayOut[] {
  const asked = Math.max(...input.steps.filter((step) => short.has(step.class)).map(({ count }) => count));
  for (let atOnce = asked - 1; atOnce >= 1; atOnce -= 1) {
    const steps = input.steps.map((step) =>
      short.has(step.class) ? { ...step, count: Math.min(step.count, atOnce) } : step,
    );
    const next = { ...input, steps };
    if (works(book, next)) return [{ kind: 'fewer', words: fewerWords(asked, atOnce), given: next }];
  }
  return [];
}

const fewerWords = (asked: number, atOnce: number) =>
  asked === 2
    ? stonesSays.oneStoneInHandInsteadOf
    : stonesSays.atOnceInsteadOfWhereThey(atOnce === 1 ? '1 stone' : stonesSays.stones(atOnce), asked);

/** Another stock of the tray for all that the short one serves; the first that is enough. */
function other(book: StoneBook, input: RotationCase, short: ReadonlySet<string>): readonly WayOut[] {
  for (const stock of input.stock) {
    if (short.has(stock.class)) continue;
    const steps = input.steps.map((step) => (short.has(step.class) ? { ...step, class: stock.class } : step));
    const next = { ...input, steps };
    const found = rotate(book, next);
    if (found.feasible)
      return [
        { kind: 'other', words: stonesSays.stonesInsteadOf(book.sizes[stock.size].label, nameOf(short)), given: next },
      ];
  }
  return [];
}

const nameOf = (classes: ReadonlySet<string>) => [...classes].map((name) => name.replaceAll('-', ' ')).join(' and ');

/** Everything from the shortage on waits; the first half minute that is enough. */
function later(book: StoneBook, input: RotationCase, { shortages }: Rotation): readonly WayOut[] {
  const from = Math.min(...shortages.map(({ fromS }) => fromS));
  const isAfter = (startS: Seconds) => startS > 0 && startS >= from;
  if (!input.steps.some(({ startS }) => isAfter(startS))) return [];
  for (let wait = laterStepS; wait <= mostLaterS; wait += laterStepS) {
    const steps = input.steps.map((step) => (isAfter(step.startS) ? { ...step, startS: step.startS + wait } : step));
    const next = { ...input, steps };
    if (works(book, next))
      return [{ kind: 'later', words: stonesSays.otherWorkForBeforeTheNext(minutes(wait)), given: next }];
  }
  return [];
}

function warmer(book: StoneBook, input: RotationCase, warmestBathC: Celsius): readonly WayOut[] {
  for (let more = 1; more <= mostWarmerC && input.bathC + more <= warmestBathC; more += 1) {
    const next = { ...input, bathC: input.bathC + more };
    if (works(book, next))
      return [{ kind: 'warmer', words: stonesSays.theBathAtInsteadOf(next.bathC, input.bathC), given: next }];
  }
  return [];
}

const minutes = (seconds: Seconds) =>
  seconds % 60 === 0 ? `${seconds / 60} min` : `${Math.floor(seconds / 60)} min ${seconds % 60} s`;
