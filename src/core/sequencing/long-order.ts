import type { Seconds } from '../quantities';
import { findBeamOrder } from './beam-order';
import type { FoundOrder, OrderProblem } from './order-problem';

const longestPiece = 6;

/** The cheapest next block from the start, then pieces moved to wherever they cost less: soon found, and often the best. */
export const findQuickOrder = (problem: OrderProblem): FoundOrder => polished(problem, cheapestNext(problem));

/**
 * A good order for more blocks than can be tried exactly: the better of two beginnings, the quick one and the best that a
 * beam finds, each with its pieces moved to wherever they cost less, until none does. Always gives the same answer.
 */
export function findLongOrder(problem: OrderProblem): FoundOrder {
  const [quick, followed] = [findQuickOrder(problem), polished(problem, findBeamOrder(problem).order)];
  return followed.seconds < quick.seconds - 1e-9 ? followed : quick;
}

function polished(problem: OrderProblem, first: readonly number[]): FoundOrder {
  let order = first;
  let seconds = secondsOf(problem, order);
  for (;;) {
    const better = bestMove(problem, order, seconds);
    if (!better) return { order, seconds };
    ({ order, seconds } = better);
  }
}

function secondsOf({ classOf, between }: OrderProblem, order: readonly number[]): number {
  let at = between.length - 1;
  let sum = 0;
  for (const block of order) {
    const c = classOf[block] ?? 0;
    sum += between[at]?.[c] ?? 0;
    at = c;
  }
  return sum;
}

function cheapestNext({ size, classOf, between, before }: OrderProblem): readonly number[] {
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

function bestMove(problem: OrderProblem, order: readonly number[], seconds: Seconds): FoundOrder | undefined {
  const { classOf, between } = problem;
  const classAt = (i: number) => (i < 0 ? between.length - 1 : (classOf[order[i] ?? -1] ?? -1));
  // Behind the last block comes nothing, which costs nothing.
  const cost = (from: number, to: number) => (to >= order.length ? 0 : (between[classAt(from)]?.[classAt(to)] ?? 0));
  let best: FoundOrder | undefined;
  for (let length = 1; length <= longestPiece; length += 1)
    for (let from = 0; from + length <= order.length; from += 1) {
      const end = from + length;
      const saved = cost(from - 1, from) + cost(end - 1, end) - cost(from - 1, end);
      // The piece is put before the block that stands at `at` now.
      for (let at = 0; at <= order.length; at += 1) {
        if (at >= from && at <= end) continue;
        const now = seconds - saved + cost(at - 1, from) + cost(end - 1, at) - cost(at - 1, at);
        if (now >= (best?.seconds ?? seconds) - 1e-9) continue;
        const others = [...order.slice(0, from), ...order.slice(end)];
        const to = at < from ? at : at - length;
        const moved = [...others.slice(0, to), ...order.slice(from, end), ...others.slice(to)];
        if (isAllowed(problem, moved)) best = { order: moved, seconds: secondsOf(problem, moved) };
      }
    }
  return best;
}

function isAllowed({ before }: OrderProblem, order: readonly number[]): boolean {
  const over = new Set<number>();
  for (const block of order) {
    for (const earlier of before[block] ?? []) if (!over.has(earlier)) return false;
    over.add(block);
  }
  return true;
}
