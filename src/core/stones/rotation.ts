import type { Seconds } from '../quantities';
import type { RotationHabits, StoneBook } from './book';
import { type Chain, chainsOf, chainTimes, runsOfChain } from './chain';
import { chooseRuns, fewestChanges } from './choose-runs';
import { equalRuns, type HeatSpan, peakOf, type Run, runChoices, spansOfRuns, type TimedStep } from './runs';
import type { Bath, Blocked, StepTimes, Stock, StoneStep } from './step-times';

export interface RotationCase extends Bath {
  readonly stock: readonly Stock[];
  readonly steps: readonly StoneStep[];
  /**
   * What is spared. `tray`, unless said: the fewest stones in play, then the fewest changes. `hands`: of what the stock
   * allows, the fewest changes, then the fewest stones. `neither`: each step as few runs as it can, for a first look.
   */
  readonly spares?: 'tray' | 'hands' | 'neither' | undefined;
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
export function rotate(book: StoneBook, input: RotationCase): Rotation {
  const timed: TimedChain[] = [];
  const blocked: { step: string; reason: Blocked }[] = [];
  for (const chain of chainsOf(input.steps)) {
    const { step, ends } = chain;
    const stock = input.stock.find((one) => one.class === step.class);
    const result = chainTimes(book, input, stock, chain);
    if ('blocked' in result) blocked.push({ step: step.id, reason: result.blocked });
    else timed.push({ step, ends, times: result.times });
  }
  const runs = new Map<string, number>();
  const uses: StoneUse[] = [];
  const shortages: Shortage[] = [];
  const stonesInPlay: Record<string, number> = {};
  for (const stock of input.stock) {
    const own = timed.filter(({ step }) => step.class === stock.class);
    if (own.length === 0) continue;
    const counts = countsOf(own, book.rotation, stock.count, input.spares);
    own.forEach(({ step }, i) => runs.set(step.id, counts[i] ?? 1));
    const served = changesAtEnds(own, counts);
    const spans = busy(own, served);
    stonesInPlay[stock.class] = peakOf(spans);
    shortages.push(...shortagesOf(stock, spans, book.rotation.shortageGapSeconds));
    uses.push(...named(stock, own, served));
  }
  const orderOf = new Map(input.steps.map(({ id }, i) => [id, i]));
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

function countsOf(
  steps: readonly TimedStep[],
  habits: RotationHabits,
  stones: number,
  spares: RotationCase['spares'],
): readonly number[] {
  if (spares === 'neither') return steps.map((one) => runChoices(one, habits)[0] ?? 1);
  return (spares === 'hands' ? fewestChanges(steps, habits, stones) : undefined) ?? chooseRuns(steps, habits);
}

type TimedChain = TimedStep & Pick<Chain, 'ends'>;

/** All that runs keep from the bath, each span with how many stones. */
const busy = (steps: readonly TimedStep[], runs: readonly (readonly Run[])[]) =>
  steps.flatMap((one, i) => spansOfRuns(one, runs[i] ?? []).map((span) => ({ ...span, stones: one.step.count })));

/** Changes fall on the ends of steps wherever that asks for just as many stones. */
function changesAtEnds(chains: readonly TimedChain[], counts: readonly number[]): readonly (readonly Run[])[] {
  const served = chains.map((chain, i) => equalRuns(chain, counts[i] ?? 1));
  const peak = peakOf(busy(chains, served));
  for (const [i, chain] of chains.entries()) {
    if (chain.ends.length < 2) continue;
    const equal = served[i] ?? [];
    served[i] = runsOfChain(chain, chain.ends, counts[i] ?? 1);
    if (peakOf(busy(chains, served)) !== peak) served[i] = equal;
  }
  return served;
}

/** Gives each occupation the lowest-numbered stone that is free; numbers beyond the stock are missing stones. */
function named(stock: Stock, steps: readonly TimedStep[], runs: readonly (readonly Run[])[]): readonly StoneUse[] {
  const waiting = steps.flatMap((timed, order) =>
    Array.from({ length: timed.step.count }, (_, slot) =>
      (runs[order] ?? []).map(({ fromS, toS }, i) => {
        const outS = fromS - timed.times.restS;
        const readyS = toS + timed.times.reheatS;
        return { step: timed.step.id, order, slot: slot + 1, run: i + 1, outS, fromS, toS, readyS };
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
  spans: readonly (HeatSpan & { readonly stones: number })[],
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
