import type { Seconds } from '../quantities';
import type { Option } from './option';

/** One option is to be taken of each list. */
export type Choices = readonly (readonly Option[])[];

const tolerance = 1e-9;

/** Ways to have done the steps so far, in order of growing time and falling penalty; `from` and `taken` lead back. */
interface Ways {
  readonly seconds: Float64Array;
  readonly penalty: Float64Array;
  readonly from: Int32Array;
  readonly taken: Int32Array;
}

/**
 * The way with the least penalty that takes at most the given time; equal penalties: the shorter one. All ways that no
 * other beats in both time and penalty are kept from list to list (Nemhauser, Ullmann (1969), Management Science
 * 15:494–505), but for options and ways that a price on time proves hopeless.
 * @returns repetitions; the shortest options of all must fit
 */
export function cheapestWay(choices: Choices, availableSeconds: Seconds): readonly number[] {
  const lists = choices.map(undominated);
  const price = priceTime(lists, availableSeconds);
  const cheapest = lists.map((list) => Math.min(...list.map((one) => pricedAt(one, price.perSecond))));
  const boundAfter = suffixSums(cheapest);
  const least = (boundAfter[0] ?? 0) - price.perSecond * availableSeconds;
  const gap = price.reached - least + 1e-7;
  const hopeful = lists.map((list, i) =>
    list.filter((one) => pricedAt(one, price.perSecond) - (cheapest[i] ?? 0) <= gap),
  );
  const shortestAfter = suffixSums(hopeful.map((list) => Math.min(...list.map(({ seconds }) => seconds))));
  const none = new Int32Array([-1]);
  let ways: Ways = { seconds: new Float64Array(1), penalty: new Float64Array(1), from: none, taken: none };
  const all = hopeful.map((list, i) => {
    const mostSeconds = availableSeconds - (shortestAfter[i + 1] ?? 0) + tolerance;
    // A way may cost so much at the price of time as the best known one does, less what is still to come.
    const mostPriced = price.reached + price.perSecond * availableSeconds - (boundAfter[i + 1] ?? 0) + 1e-7;
    ways = extend(ways, list, mostSeconds, (seconds, penalty) => penalty + price.perSecond * seconds <= mostPriced);
    return ways;
  });
  return trace(all, hopeful);
}

/** Options that no other of the list beats in both time and penalty, the shortest first. */
function undominated(list: readonly Option[]): readonly Option[] {
  const kept: Option[] = [];
  for (const one of list.toSorted((a, b) => a.seconds - b.seconds || a.penalty - b.penalty))
    if (one.penalty < (kept.at(-1)?.penalty ?? Infinity) - tolerance) kept.push(one);
  return kept;
}

const pricedAt = ({ seconds, penalty }: Option, perSecond: number) => penalty + perSecond * seconds;

const suffixSums = (values: readonly number[]) =>
  values.reduceRight<readonly number[]>((sums, value) => [value + (sums[0] ?? 0), ...sums], [0]);

/**
 * A price on time at which the cheapest options just fit, and the penalty that they reach: no way with a bound above it
 * can be the best (Everett (1963), Operations Research 11:399–417).
 */
function priceTime(choices: Choices, availableSeconds: Seconds) {
  const at = (perSecond: number) => {
    const taken = choices.map((list) =>
      list.reduce((best, one) => {
        const [a, b] = [pricedAt(one, perSecond), pricedAt(best, perSecond)];
        return a < b - tolerance || (a <= b + tolerance && one.seconds < best.seconds) ? one : best;
      }),
    );
    const sum = (pick: (one: Option) => number) => taken.reduce((total, one) => total + pick(one), 0);
    return { taken, seconds: sum(({ seconds }) => seconds), penalty: sum(({ penalty }) => penalty) };
  };
  let [low, high] = [0, 1];
  while (at(high).seconds > availableSeconds + tolerance && high < 1e12) high *= 4;
  if (at(0).seconds <= availableSeconds + tolerance) high = 0;
  for (let k = 0; k < 40 && high > 0; k += 1) {
    const middle = (low + high) / 2;
    if (at(middle).seconds <= availableSeconds + tolerance) high = middle;
    else low = middle;
  }
  const fitting = at(high);
  const isWithin = fitting.seconds <= availableSeconds + tolerance;
  const reached = isWithin ? improved(choices, fitting.taken, availableSeconds - fitting.seconds) : Infinity;
  return { perSecond: high, reached };
}

/** The penalty after what time is left has been spent, each time on whatever gains most. */
function improved(choices: Choices, taken: readonly Option[], seconds: Seconds): number {
  const now = [...taken];
  let left = seconds;
  for (;;) {
    let [at, gain] = [-1, tolerance];
    let chosen: Option | undefined;
    for (const [i, list] of choices.entries()) {
      const own = now[i];
      for (const option of list) {
        if (!own || option.seconds - own.seconds > left + tolerance || own.penalty - option.penalty <= gain) continue;
        [at, gain, chosen] = [i, own.penalty - option.penalty, option];
      }
    }
    if (!chosen) return now.reduce((sum, { penalty }) => sum + penalty, 0);
    left -= chosen.seconds - (now[at]?.seconds ?? 0);
    now[at] = chosen;
  }
}

/** Each way with each option, as far as none is beaten. */
function extend(
  ways: Ways,
  options: readonly Option[],
  mostSeconds: Seconds,
  isHopeful: (seconds: Seconds, penalty: number) => boolean,
): Ways {
  const most = ways.seconds.length * options.length;
  const [seconds, penalty] = [new Float64Array(most), new Float64Array(most)];
  const [from, taken] = [new Int32Array(most), new Int32Array(most)];
  let count = 0;
  for (let k = 0; k < options.length; k += 1) {
    const option = options[k] as Option;
    for (let w = 0; w < ways.seconds.length; w += 1) {
      const s = (ways.seconds[w] as number) + option.seconds;
      const p = (ways.penalty[w] as number) + option.penalty;
      if (s > mostSeconds || !isHopeful(s, p)) continue;
      seconds[count] = s;
      penalty[count] = p;
      from[count] = w;
      taken[count] = k;
      count += 1;
    }
  }
  const order = new Uint32Array(count).map((_, i) => i);
  order.sort(
    (a, b) => (seconds[a] as number) - (seconds[b] as number) || (penalty[a] as number) - (penalty[b] as number),
  );
  let lowest = Infinity;
  const kept = order.filter((i) => {
    if ((penalty[i] as number) >= lowest - tolerance) return false;
    lowest = penalty[i] as number;
    return true;
  });
  return {
    seconds: Float64Array.from(kept, (i) => seconds[i] as number),
    penalty: Float64Array.from(kept, (i) => penalty[i] as number),
    from: Int32Array.from(kept, (i) => from[i] as number),
    taken: Int32Array.from(kept, (i) => taken[i] as number),
  };
}

/** Back from the way with the least penalty, which is the last of its list. */
function trace(all: readonly Ways[], choices: Choices): readonly number[] {
  const repetitions: number[] = [];
  let at = (all.at(-1)?.seconds.length ?? 0) - 1;
  for (let i = all.length - 1; i >= 0; i -= 1) {
    repetitions.unshift(choices[i]?.[all[i]?.taken[at] ?? 0]?.repetitions ?? 0);
    at = all[i]?.from[at] ?? 0;
  }
  return repetitions;
}

/** Times are told apart to a hundredth of a second. */
const ticksPerSecond = 100;

const divisorOf = (a: number, b: number): number => (b === 0 ? a : divisorOf(b, a % b));

/** A step that takes up time that is left over: so many more repetitions at most, each as long as the other. */
export interface Stretch {
  readonly most: number;
  readonly secondsEach: Seconds;
  /** What so many more cost; the next one never less than the one before (convex). */
  readonly penaltyOf: (more: number) => number;
}

/** How much there is to try: rounds of time, each looked at about as often as it can be halved. */
export function roundsOf(stretches: readonly Stretch[], availableSeconds: Seconds): number {
  const { room } = roundedTime(stretches, availableSeconds);
  return stretches.reduce((sum, { most }) => sum + (most > 0 ? room * Math.log2(most + 2) : 0), 0);
}

/** The way that takes most of the time, with the least penalty among those. @returns more repetitions of each step */
export function fullestWay(stretches: readonly Stretch[], availableSeconds: Seconds): readonly number[] {
  const { unit, room } = roundedTime(stretches, availableSeconds);
  if (unit === 0) return stretches.map(() => 0);
  let least = new Float64Array(room + 1).fill(Infinity);
  least[0] = 0;
  const taken = stretches.map((stretch) => {
    if (stretch.most === 0) return undefined;
    const next = withStretch(least, stretch, ticksOf(stretch.secondsEach) / unit);
    least = next.least;
    return next.taken;
  });
  let used = least.findLastIndex((penalty) => penalty < Infinity);
  const more: number[] = [];
  for (let i = stretches.length - 1; i >= 0; i -= 1) {
    const count = taken[i]?.[used] ?? 0;
    more.unshift(count);
    used -= (count * ticksOf(stretches[i]?.secondsEach ?? 0)) / unit;
  }
  return more;
}

const ticksOf = (seconds: Seconds) => Math.round(seconds * ticksPerSecond);

/** Time in the largest unit that every step takes a whole number of; as much as there is, or as can be used. */
function roundedTime(stretches: readonly Stretch[], availableSeconds: Seconds) {
  const open = stretches.filter(({ most }) => most > 0);
  const unit = open.reduce((common, { secondsEach }) => divisorOf(ticksOf(secondsEach), common), 0);
  if (unit === 0) return { unit, room: 0 };
  const longest = open.reduce((sum, { most, secondsEach }) => sum + most * ticksOf(secondsEach), 0);
  const there = Math.floor(availableSeconds * ticksPerSecond + tolerance);
  return { unit, room: Math.floor((Math.min(longest, there) + tolerance) / unit) };
}

/**
 * One more step laid over what the steps before reach. Times that differ by whole repetitions are looked at together;
 * as the penalty is convex, the best beginning never goes back as the time grows, so that each half of the times asks
 * only its own beginnings (Galil, Giancarlo (1989), Theor Comput Sci 64:107–118).
 */
function withStretch(before: Float64Array, { most, penaltyOf }: Stretch, step: number) {
  const [least, taken] = [new Float64Array(before.length).fill(Infinity), new Uint16Array(before.length)];
  const costs = Float64Array.from({ length: most + 1 }, (_, more) => penaltyOf(more));
  const reached = new Int32Array(Math.ceil(before.length / step));
  for (let rest = 0; rest < Math.min(step, before.length); rest += 1) {
    let count = 0;
    for (let at = rest, k = 0; at < before.length; at += step, k += 1)
      if (before[at] !== Infinity) reached[count++] = k;
    if (count === 0) continue;
    const times = Math.floor((before.length - 1 - rest) / step) + 1;
    const halve = (from: number, to: number, first: number, last: number): void => {
      if (from > to) return;
      const middle = (from + to) >> 1;
      let chosen = first;
      let lowest = Infinity;
      for (let r = first; r <= last; r += 1) {
        const more = middle - (reached[r] as number);
        if (more < 0) break;
        if (more > most) {
          chosen = r;
          continue;
        }
        const sum = (before[rest + (reached[r] as number) * step] as number) + (costs[more] as number);
        if (sum < lowest) [lowest, chosen] = [sum, r];
      }
      if (lowest < Infinity) {
        least[rest + middle * step] = lowest;
        taken[rest + middle * step] = middle - (reached[chosen] as number);
      }
      halve(from, middle - 1, first, chosen);
      halve(middle + 1, to, chosen, last);
    };
    halve(0, times - 1, 0, count - 1);
  }
  return { least, taken };
}
