import type { Seconds } from '../quantities';
/** Blocks by index, ordered by id, with what the search needs. */
export interface OrderProblem {
  readonly size: number;
  /** Blocks with the same setting share a class; what a change costs depends on classes alone. */
  readonly classOf: readonly number[];
  /** Seconds from class to class; the last class is the start. */
  readonly between: readonly (readonly number[])[];
  /** For each block the set of those that must be over before it, as bits. */
  readonly before: readonly number[];
}

export interface FoundOrder {
  readonly order: readonly number[];
  readonly seconds: Seconds;
}

/** Bits of a number that are safe to shift. */
export const mostBits = 30;
const tolerance = 1e-9;

/**
 * The order with the least setup time, by dynamic programming over the sets that can be over at some moment
 * (Held, Karp (1962), J Soc Ind Appl Math 10:196–210, over the order ideals of the precedences).
 * Equal orders: the one whose first differing block comes first.
 * @param mostSets more sets than this are not tried
 * @returns undefined when there are too many blocks or sets
 */
export function findExactOrder(problem: OrderProblem, mostSets: number): FoundOrder | undefined {
  const { size, classOf, between, before } = problem;
  if (size > mostBits) return undefined;
  const levels = listSets(size, before, mostSets);
  if (!levels) return undefined;
  const { sets, numberOf } = levels;
  const classes = between.length;
  const seconds = Float64Array.from(between.flat());
  const membersOf = between.map((_, c) => classOf.reduce((bits, of, j) => (of === c ? bits | (1 << j) : bits), 0));
  const rest = new Float64Array(sets.length * classes);
  const nextClass = new Int32Array(size);
  const nextRest = new Float64Array(size);
  // From the full set backwards: what remains is known before it is needed.
  for (let s = sets.length - 2; s >= 0; s -= 1) {
    const set = sets[s] as number;
    let count = 0;
    for (let j = 0; j < size; j += 1) {
      if ((set & (1 << j)) !== 0 || (before[j] as number) & ~set) continue;
      const c = classOf[j] as number;
      nextClass[count] = c;
      nextRest[count] = rest[numberOf(set | (1 << j)) * classes + c] as number;
      count += 1;
    }
    for (let c = 0; c < classes; c += 1) {
      // A class without a block in the set cannot have come last; the start comes before all.
      if (((membersOf[c] as number) & set) === 0 && set !== 0) continue;
      let least = Infinity;
      for (let k = 0; k < count; k += 1) {
        const sum = (seconds[c * classes + (nextClass[k] as number)] as number) + (nextRest[k] as number);
        if (sum < least) least = sum;
      }
      rest[s * classes + c] = least;
    }
  }
  return walk(problem, (set, c) => rest[numberOf(set) * classes + c] ?? 0);
}

/** Follows the known remainders from the start, always taking the first block that keeps the least total. */
function walk({ size, classOf, between, before }: OrderProblem, rest: (set: number, c: number) => number): FoundOrder {
  const order: number[] = [];
  let [set, at] = [0, between.length - 1];
  const seconds = rest(0, at);
  while (order.length < size) {
    const left = rest(set, at);
    const chosen = Array.from({ length: size }, (_, j) => j).find((j) => {
      if ((set & (1 << j)) !== 0 || (before[j] ?? 0) & ~set) return false;
      const c = classOf[j] ?? 0;
      return (between[at]?.[c] ?? 0) + rest(set | (1 << j), c) <= left + tolerance;
    });
    if (chosen === undefined) throw new Error('no block follows: the precedences go round');
    order.push(chosen);
    set |= 1 << chosen;
    at = classOf[chosen] ?? 0;
  }
  return { order, seconds };
}

/** Every set that may be over at some moment, by growing size, each with its number. */
function listSets(size: number, before: readonly number[], most: number) {
  const isDense = size <= 20;
  const dense = isDense ? new Int32Array(1 << size) : undefined;
  const sparse = new Map<number, number>();
  const sets = [0];
  const note = (set: number) => {
    if (dense ? dense[set] !== 0 : sparse.has(set)) return;
    if (dense) dense[set] = sets.length;
    else sparse.set(set, sets.length);
    sets.push(set);
  };
  if (!dense) sparse.set(0, 0);
  for (let s = 0; s < sets.length; s += 1) {
    const set = sets[s] ?? 0;
    for (let j = 0; j < size; j += 1) {
      if ((set & (1 << j)) !== 0 || (before[j] ?? 0) & ~set) continue;
      note(set | (1 << j));
      if (sets.length > most) return undefined;
    }
  }
  const numberOf = (set: number) => (dense ? (dense[set] ?? 0) : (sparse.get(set) ?? 0));
  return { sets, numberOf };
}
