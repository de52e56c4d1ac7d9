/** The cheapest walks that see settings at least once, passing through any of them as often as they like. */

/** With more settings than these only those far apart from each other are asked to be seen: less, but no more. */
const mostSeen = 15;

/** Costs from setting to setting; the last row is the start. */
export type Between = readonly (readonly number[])[];

/**
 * What is left to spend at least once some settings have been seen. No order of blocks can cost less: it sees every
 * setting, too, and may only go directly.
 */
export class VisitBound {
  /** Settings that are asked to be seen, at most `mostSeen`. */
  readonly seen: readonly number[];
  readonly #ways: Between;
  readonly #rest: Float64Array;

  constructor(between: Between, most = mostSeen) {
    this.#ways = closeUp(between);
    this.seen = farApart(this.#ways, most);
    this.#rest = restOf(this.seen.map((from) => this.seen.map((to) => this.#ways[from]?.[to] ?? 0)));
  }

  /** @param left which of `seen` are still to come, as bits @param at the setting at hand */
  from(left: number, at: number): number {
    if (left === 0) return 0;
    const size = this.seen.length;
    const ways = this.#ways[at] as readonly number[];
    let least = Infinity;
    for (let open = left; open !== 0; open &= open - 1) {
      const k = 31 - Math.clz32(open & -open);
      const sum = (ways[this.seen[k] as number] as number) + (this.#rest[left * size + k] as number);
      if (sum < least) least = sum;
    }
    return least;
  }

  /** From the start, with everything to come. */
  whole(): number {
    return this.from((1 << this.seen.length) - 1, this.#ways.length - 1);
  }
}

export const leastVisit = (between: Between, most = mostSeen): number => new VisitBound(between, most).whole();

/** For each set of places and each of its members to be seen first: the least that seeing the others then costs. */
function restOf(direct: Between): Float64Array {
  const size = direct.length;
  const costs = Float64Array.from(direct.flat());
  const rest = new Float64Array(2 ** size * size).fill(Infinity);
  for (let set = 1; set < 2 ** size; set += 1)
    for (let at = 0; at < size; at += 1) {
      if ((set & (1 << at)) === 0) continue;
      const others = set & ~(1 << at);
      let least = others === 0 ? 0 : Infinity;
      for (let left = others; left !== 0; left &= left - 1) {
        const next = 31 - Math.clz32(left & -left);
        const sum = (costs[at * size + next] as number) + (rest[others * size + next] as number);
        if (sum < least) least = sum;
      }
      rest[set * size + at] = least;
    }
  return rest;
}

/** Places that are as far from the start and from each other as can be, one by one. */
function farApart(ways: Between, most: number): readonly number[] {
  const start = ways.length - 1;
  const chosen: number[] = [];
  const distance = ways.map((_, to) => (to === start ? -1 : (ways[start]?.[to] ?? 0)));
  while (chosen.length < Math.min(most, start)) {
    const next = distance.indexOf(Math.max(...distance));
    chosen.push(next);
    for (const to of distance.keys())
      distance[to] = chosen.includes(to) ? -1 : Math.min(distance[to] ?? 0, ways[next]?.[to] ?? 0);
  }
  return chosen;
}

/** The cheapest way from each place to each other one, through others where that is cheaper (Floyd (1962), CACM 5:345). */
function closeUp(between: Between): Between {
  const ways = between.map((row) => [...row]);
  for (let via = 0; via < ways.length; via += 1)
    for (const row of ways)
      for (let to = 0; to < row.length; to += 1)
        row[to] = Math.min(row[to] ?? Infinity, (row[via] ?? Infinity) + (ways[via]?.[to] ?? Infinity));
  return ways;
}
