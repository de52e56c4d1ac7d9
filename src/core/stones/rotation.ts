import type { Seconds } from '../quantities';
import type { StoneBook } from './book';
import { chooseRuns, peakOf, runOf, type Span, spansOf, type TimedStep } from './runs';
import { type Bath, type Blocked, type StepTimes, stepTimes, type Stock, type StoneStep } from './step-times';

export interface RotationCase extends Bath {
  readonly stock: readonly Stock[];
  readonly steps: readonly StoneStep[];
}

/** One stone serving one run of a step in one slot. */
export interface StoneUse {
  readonly step: string;
  readonly slot: number;
  readonly run: number;
  readonly stone: string;
  /** The house does not have this stone. */
  readonly missing: boolean;
  readonly outS: number;
  readonly fromS: number;
  readonly toS: number;
  readonly readyS: number;
}

export interface Shortage {
  readonly class: string;
  readonly short: number;
  readonly fromS: number;
  readonly toS: number;
}

export interface Rotation {
  readonly feasible: boolean;
  readonly stonesInPlay: Readonly<Record<string, number>>;
  readonly swaps: number;
  readonly timing: readonly (StepTimes & { readonly step: string; readonly runs: number })[];
  readonly uses: readonly StoneUse[];
  readonly shortages: readonly Shortage[];
  readonly blocked: readonly { readonly step: string; readonly reason: Blocked }[];
}

/** Which stone serves when, with the fewest in play, the fewest swaps, and what is short where it cannot be done. */
export function rotate(book: StoneBook, given: RotationCase): Rotation {
  const timed: TimedStep[] = [];
  const blocked: { step: string; reason: Blocked }[] = [];
  for (const step of given.steps) {
    const stock = given.stock.find((one) => one.class === step.class);
    const result = stepTimes(book, given, stock, step);
    if ('blocked' in result) blocked.push({ step: step.id, reason: result.blocked });
    else timed.push({ step, times: result.times });
  }
  const runs = new Map<string, number>();
  const uses: StoneUse[] = [];
  const shortages: Shortage[] = [];
  const stonesInPlay: Record<string, number> = {};
  for (const stock of given.stock) {
    const own = timed.filter(({ step }) => step.class === stock.class);
    if (own.length === 0) continue;
    const chosen = chooseRuns(own, stock.count, book.rotation);
    own.forEach(({ step }, i) => runs.set(step.id, chosen[i] ?? 1));
    const spans = own.flatMap((one, i) =>
      spansOf(one, chosen[i] ?? 1).map((span) => ({ ...span, stones: one.step.count })),
    );
    stonesInPlay[stock.class] = peakOf(spans);
    shortages.push(...shortagesOf(stock, spans, book.rotation.shortageGapSeconds));
    uses.push(...named(stock, own, chosen));
  }
  const orderOf = new Map(given.steps.map(({ id }, i) => [id, i]));
  uses.sort(
    (a, b) =>
      a.outS - b.outS || (orderOf.get(a.step) ?? 0) - (orderOf.get(b.step) ?? 0) || a.slot - b.slot || a.run - b.run,
  );
  return {
    feasible: blocked.length === 0 && shortages.length === 0,
    stonesInPlay,
    swaps: timed.reduce((sum, { step }) => sum + step.count * ((runs.get(step.id) ?? 1) - 1), 0),
    timing: timed.map(({ step, times }) => ({ step: step.id, ...times, runs: runs.get(step.id) ?? 1 })),
    uses,
    shortages,
    blocked,
  };
}

/** Gives each occupation the lowest-numbered stone that is free; numbers beyond the stock are missing stones. */
function named(stock: Stock, steps: readonly TimedStep[], runs: readonly number[]): readonly StoneUse[] {
  const waiting = steps.flatMap((timed, order) =>
    Array.from({ length: timed.step.count }, (_, slot) =>
      Array.from({ length: runs[order] ?? 1 }, (__, i) => {
        const run = i + 1;
        const { fromS, toS } = runOf(timed, runs[order] ?? 1, run);
        const outS = fromS - timed.times.restS;
        return { step: timed.step.id, order, slot: slot + 1, run, outS, fromS, toS, readyS: toS + timed.times.reheatS };
      }),
    ).flat(),
  );
  waiting.sort((a, b) => a.outS - b.outS || a.order - b.order || a.slot - b.slot || a.run - b.run);
  const freeAt: number[] = [];
  return waiting.map(({ order: _, ...use }) => {
    let number = freeAt.findIndex((at) => at <= use.outS);
    if (number < 0) number = freeAt.length;
    freeAt[number] = use.readyS;
    return { ...use, stone: `${stock.class}-${number + 1}`, missing: number >= stock.count };
  });
}

/** Spans in which more stones are away than there are; those that lie close are told as one. */
function shortagesOf(
  stock: Stock,
  spans: readonly (Span & { readonly stones: number })[],
  gapSeconds: Seconds,
): readonly Shortage[] {
  const times = [...new Set(spans.flatMap(({ outS, readyS }) => [outS, readyS]))].sort((a, b) => a - b);
  const found: Shortage[] = [];
  for (const [i, fromS] of times.entries()) {
    const toS = times[i + 1];
    if (toS === undefined) break;
    const away = spans.reduce(
      (sum, { outS, readyS, stones }) => sum + (outS <= fromS && fromS < readyS ? stones : 0),
      0,
    );
    const short = away - stock.count;
    if (short <= 0) continue;
    const last = found.at(-1);
    if (last && fromS - last.toS < gapSeconds)
      found[found.length - 1] = { ...last, short: Math.max(last.short, short), toS };
    else found.push({ class: stock.class, short, fromS, toS });
  }
  return found;
}
