import type { Seconds } from '../quantities';
import type { FoundOrder } from './exact-order';

/** As `OrderProblem`, for any number of blocks. */
export interface LongProblem {
  readonly size: number;
  readonly classOf: readonly number[];
  readonly between: readonly (readonly number[])[];
  /** For each block those that must be over before it. */
  readonly before: readonly ReadonlySet<number>[];
}

const longestPiece = 6;

/**
 * A good order for more blocks than can be tried exactly: the cheapest next block from the start, then pieces of the
 * order are moved to wherever they cost less, until none does. Always gives the same answer.
 */
export function findLongOrder(problem: LongProblem): FoundOrder {
  let order = cheapestNext(problem);
  let seconds = secondsOf(problem, order);
  for (;;) {
    const better = bestMove(problem, order, seconds);
    if (!better) return { order, seconds };
    ({ order, seconds } = better);
  }
}

function secondsOf({ classOf, between }: LongProblem, order: readonly number[]): number {
  let at = between.length - 1;
  let sum = 0;
  for (const block of order) {
    const c = classOf[block] ?? 0;
    sum += between[at]?.[c] ?? 0;
    at = c;
  }
  return sum;
}

function cheapestNext({ size, classOf, between, before }: LongProblem): readonly number[] {
  const over = new Set<number>();
  let at = between.length - 1;
  while (over.size < size) {
    let chosen = -1;
    let least = Infinity;
    for (let j = 0; j < size; j += 1) {
      const seconds = between[at]?.[classOf[j] ?? 0] ?? 0;
      if (over.has(j) || seconds >= least || [...(before[j] ?? [])].some((k) => !over.has(k))) continue;
      [chosen, least] = [j, seconds];
    }
    over.add(chosen);
    at = classOf[chosen] ?? 0;
  }
  return [...over];
}

function bestMove(problem: LongProblem, order: readonly number[], seconds: Seconds): FoundOrder | undefined {
  let best: FoundOrder | undefined;
  for (let length = 1; length <= longestPiece; length += 1)
    for (let from = 0; from + length <= order.length; from += 1) {
      const piece = order.slice(from, from + length);
      const others = [...order.slice(0, from), ...order.slice(from + length)];
      for (let to = 0; to <= others.length; to += 1) {
        if (to === from) continue;
        const moved = [...others.slice(0, to), ...piece, ...others.slice(to)];
        const now = secondsOf(problem, moved);
        if (now < (best?.seconds ?? seconds) - 1e-9 && isAllowed(problem, moved)) best = { order: moved, seconds: now };
      }
    }
  return best;
}

function isAllowed({ before }: LongProblem, order: readonly number[]): boolean {
  const over = new Set<number>();
  for (const block of order) {
    for (const earlier of before[block] ?? []) if (!over.has(earlier)) return false;
    over.add(block);
  }
  return true;
}
