import type { FoundOrder, OrderProblem } from './order-problem';
import { VisitBound } from './setup-bound';

/** Bits of a number that are safe to shift. */
const mostBits = 30;
/** So many beginnings are looked at; where more could still be the best, the order is not proven. */
const mostStates = 250_000;
const tolerance = 1e-9;

/** Beginnings of one length that could still become the best order: what is over, and the setting at hand. */
interface Level {
  readonly over: number[];
  readonly at: number[];
  readonly seconds: number[];
  readonly indexOf: Map<number, number>;
}

const emptyLevel = (): Level => ({ over: [], at: [], seconds: [], indexOf: new Map() });

/**
 * The order with the least setup time, by dynamic programming over what can be over at some moment and the setting at
 * hand (Held, Karp (1962), J Soc Ind Appl Math 10:196–210), without beginnings that a bound on the rest rules out: what
 * it takes at least to see the settings that are still to come. Equal orders: the one whose first differing block comes
 * first.
 * @param known the time of some order: beginnings that cannot undercut it are dropped
 * @returns undefined when there are too many blocks or beginnings
 */
export function findExactOrder(problem: OrderProblem, known: number): FoundOrder | undefined {
  const { size, classOf, between } = problem;
  if (size > mostBits) return undefined;
  const needs = problem.before.map((all) => [...all].reduce((bits, k) => bits | (1 << k), 0));
  // A bound over fewer settings is made sooner; with few blocks it need not be a sharp one.
  const bound = new VisitBound(between, size <= 16 ? 12 : 15);
  const members = bound.seen.map((c) => classOf.reduce((bits, of, j) => (of === c ? bits | (1 << j) : bits), 0));
  const leftOf = (over: number) => members.reduce((left, all, k) => ((all & ~over) === 0 ? left : left | (1 << k)), 0);
  const classes = between.length;

  const levels: Level[] = [emptyLevel()];
  const [first] = levels as [Level];
  first.over.push(0);
  first.at.push(classes - 1);
  first.seconds.push(0);
  let states = 1;
  for (let length = 0; length < size; length += 1) {
    const level = levels[length] as Level;
    const next = emptyLevel();
    for (let s = 0; s < level.over.length; s += 1) {
      const over = level.over[s] as number;
      const row = between[level.at[s] as number] as readonly number[];
      for (let j = 0; j < size; j += 1) {
        if ((over & (1 << j)) !== 0 || ((needs[j] as number) & ~over) !== 0) continue;
        const at = classOf[j] as number;
        const seconds = (level.seconds[s] as number) + (row[at] as number);
        const nowOver = over | (1 << j);
        const key = nowOver * classes + at;
        const there = next.indexOf.get(key);
        if (there !== undefined) {
          if (seconds < (next.seconds[there] as number)) next.seconds[there] = seconds;
          continue;
        }
        if (seconds + bound.from(leftOf(nowOver), at) > known + tolerance) continue;
        next.indexOf.set(key, next.over.length);
        next.over.push(nowOver);
        next.at.push(at);
        next.seconds.push(seconds);
      }
    }
    states += next.over.length;
    if (states > mostStates) return undefined;
    levels.push(next);
  }
  return walk(problem, needs, levels);
}

/** Counts back what each beginning still costs, then follows the first block that keeps the least total. */
function walk(
  { size, classOf, between }: OrderProblem,
  needs: readonly number[],
  levels: readonly Level[],
): FoundOrder | undefined {
  const classes = between.length;
  const rests: Float64Array[] = levels.map((level) => new Float64Array(level.over.length).fill(Infinity));
  rests[size]?.fill(0);
  const restAfter = (length: number, over: number, at: number, j: number): number => {
    if ((over & (1 << j)) !== 0 || ((needs[j] as number) & ~over) !== 0) return Infinity;
    const to = classOf[j] as number;
    const index = levels[length + 1]?.indexOf.get((over | (1 << j)) * classes + to);
    return index === undefined
      ? Infinity
      : (between[at]?.[to] as number) + ((rests[length + 1] as Float64Array)[index] as number);
  };
  for (let length = size - 1; length >= 0; length -= 1) {
    const [level, rest] = [levels[length] as Level, rests[length] as Float64Array];
    for (let s = 0; s < level.over.length; s += 1)
      for (let j = 0; j < size; j += 1)
        rest[s] = Math.min(rest[s] as number, restAfter(length, level.over[s] as number, level.at[s] as number, j));
  }
  const seconds = rests[0]?.[0] ?? Infinity;
  if (seconds === Infinity) return undefined;
  const order: number[] = [];
  let [over, at, left] = [0, classes - 1, seconds];
  while (order.length < size) {
    const length = order.length;
    const chosen = classOf.findIndex((_, j) => restAfter(length, over, at, j) <= left + tolerance);
    if (chosen < 0) throw new RangeError('no block follows: the precedences go round');
    left = restAfter(length, over, at, chosen) - (between[at]?.[classOf[chosen] as number] as number);
    order.push(chosen);
    over |= 1 << chosen;
    at = classOf[chosen] as number;
  }
  return { order, seconds };
}
