import type { RotationHabits } from './book';
import { runChoices, spansOf, type TimedStep } from './runs';

/** Looked-at moments after which the search is content with the best that it has: about a second of work. */
const mostWork = 150_000_000;

/** Cutting a step into so many runs: what it asks of the stones at each moment, and how many swaps it takes. */
interface Cut {
  readonly runs: number;
  readonly swaps: number;
  /** Stones that it keeps away from the bath, at each moment. */
  readonly away: Int16Array;
}

/**
 * Numbers of runs for the steps of one class: least shortage, then least stones in play, then fewest swaps, then the
 * smallest numbers in the order of the steps. A number of stones is tried from the fewest that could do upwards; what
 * the steps that are still open ask at least of each moment rules out the rest early. Exact; only where very many steps
 * overlap is the search ended with the best that it has found.
 */
export function chooseRuns(steps: readonly TimedStep[], habits: RotationHabits): readonly number[] {
  const cuts = cutsOf(steps, habits);
  const fewest = cuts.map(([first]) => first as Cut);
  const enough = Math.max(0, ...sumOf(fewest.map(({ away }) => away)));
  const work = { left: mostWork };
  const least = Math.max(0, ...sumOf(cuts.map(leastAway)));
  for (let stones = least; stones < enough; stones += 1) {
    const found = new RunSearch(cuts, stones, work).best();
    if (found) return found;
    if (work.left <= 0) break;
  }
  return new RunSearch(cuts, enough, work).best() ?? fewest.map(({ runs }) => runs);
}

/**
 * Numbers of runs with the fewest changes of all that so many stones can do, then with the fewest stones in play.
 * @returns undefined where so few stones cannot do
 */
export function fewestChanges(
  steps: readonly TimedStep[],
  habits: RotationHabits,
  stones: number,
): readonly number[] | undefined {
  const cuts = cutsOf(steps, habits);
  const work = { left: mostWork };
  const changesOf = (runs: readonly number[]) =>
    runs.reduce((sum, one, i) => sum + (steps[i]?.step.count ?? 0) * (one - 1), 0);
  let best = new RunSearch(cuts, stones, work).best();
  const fewest = best && changesOf(best);
  for (let fewer = stones - 1; best && fewer > 0; fewer -= 1) {
    const found = new RunSearch(cuts, fewer, work).best();
    if (!found || changesOf(found) !== fewest) break;
    best = found;
  }
  return best;
}

function cutsOf(steps: readonly TimedStep[], habits: RotationHabits): readonly (readonly Cut[])[] {
  const choices = steps.map((timed) =>
    runChoices(timed, habits).map((runs) => ({ runs, spans: spansOf(timed, runs) })),
  );
  // Stones are away in half-open spans: the most are away at a moment at which one is taken out.
  const moments = [...new Set(choices.flat().flatMap(({ spans }) => spans.map(({ outS }) => outS)))].sort(
    (a, b) => a - b,
  );
  return choices.map((list, i) => {
    const stones = steps[i]?.step.count ?? 0;
    return list.map(({ runs, spans }) => ({
      runs,
      swaps: stones * (runs - 1),
      away: Int16Array.from(
        moments,
        (at) => stones * spans.filter(({ outS, readyS }) => outS <= at && at < readyS).length,
      ),
    }));
  });
}

const leastAway = (cuts: readonly Cut[]): Int16Array =>
  (cuts[0] as Cut).away.map((_, m) => Math.min(...cuts.map(({ away }) => away[m] ?? 0)));

function sumOf(rows: readonly Int16Array[]): Int16Array {
  const sum = new Int16Array(rows[0]?.length ?? 0);
  for (const row of rows) for (let m = 0; m < sum.length; m += 1) sum[m] = (sum[m] as number) + (row[m] as number);
  return sum;
}

/** Looks for the fewest swaps with no more than some number of stones away at any moment. */
class RunSearch {
  readonly #cuts: readonly (readonly Cut[])[];
  readonly #least: readonly Int16Array[];
  readonly #swapsAfter: readonly number[];
  readonly #sum: Int16Array;
  readonly #chosen: number[] = [];
  #best: { readonly swaps: number; readonly runs: readonly number[] } | undefined;

  constructor(
    cuts: readonly (readonly Cut[])[],
    private readonly stones: number,
    private readonly work: { left: number },
  ) {
    const kept = withoutHopeless(cuts, stones);
    this.#cuts = kept;
    this.#least = kept.map((list) => (list.length > 0 ? leastAway(list) : new Int16Array(0)));
    this.#swapsAfter = kept.reduceRight<readonly number[]>(
      (after, list) => [(after[0] ?? 0) + Math.min(...list.map(({ swaps }) => swaps)), ...after],
      [0],
    );
    this.#sum = sumOf(this.#least);
  }

  /** @returns runs of each step; undefined where so few stones cannot do */
  best(): readonly number[] | undefined {
    if (this.#cuts.every((list) => list.length > 0)) this.#decide(0, 0);
    return this.#best?.runs;
  }

  #decide(i: number, swaps: number): void {
    // Cuts come in rising order, so that one that is only as good is lexicographically later.
    if (this.work.left <= 0 || (this.#best && swaps + (this.#swapsAfter[i] ?? 0) >= this.#best.swaps)) return;
    const cuts = this.#cuts[i];
    if (!cuts) {
      this.#best = { swaps, runs: [...this.#chosen] };
      return;
    }
    const least = this.#least[i] as Int16Array;
    for (const cut of cuts) {
      this.work.left -= this.#sum.length;
      if (!this.#fits(cut, least)) continue;
      this.#add(cut, least, 1);
      this.#chosen.push(cut.runs);
      if (this.#canGoOn(i + 1)) this.#decide(i + 1, swaps + cut.swaps);
      this.#chosen.pop();
      this.#add(cut, least, -1);
    }
  }

  #fits({ away }: Cut, least: Int16Array): boolean {
    const sum = this.#sum;
    for (let m = 0; m < sum.length; m += 1)
      if ((sum[m] as number) - (least[m] as number) + (away[m] as number) > this.stones) return false;
    return true;
  }

  #add({ away }: Cut, least: Int16Array, sign: 1 | -1): void {
    const sum = this.#sum;
    for (let m = 0; m < sum.length; m += 1)
      sum[m] = (sum[m] as number) + sign * ((away[m] as number) - (least[m] as number));
  }

  /** Whether every step that is still open has a cut left. */
  #canGoOn(from: number): boolean {
    for (let i = from; i < this.#cuts.length; i += 1) {
      const cuts = this.#cuts[i] ?? [];
      this.work.left -= this.#sum.length;
      if (!cuts.some((cut) => this.#fits(cut, this.#least[i] as Int16Array))) return false;
    }
    return true;
  }
}

/** Without cuts that cannot be, whatever the other steps do; each that goes raises what is asked at least. */
function withoutHopeless(all: readonly (readonly Cut[])[], stones: number): readonly (readonly Cut[])[] {
  let cuts = all;
  for (;;) {
    if (cuts.some((list) => list.length === 0)) return cuts;
    const least = cuts.map(leastAway);
    const sum = sumOf(least);
    const next = cuts.map((list, i) =>
      list.filter(({ away }) => sum.every((asked, m) => asked - (least[i]?.[m] ?? 0) + (away[m] ?? 0) <= stones)),
    );
    if (next.every((list, i) => list.length === cuts[i]?.length)) return next;
    cuts = next;
  }
}
