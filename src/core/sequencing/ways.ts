import type { Seconds } from '../quantities';
import type { Option } from './option';

/** One option is to be taken of each list. */
export type Choices = readonly (readonly Option[])[];

const tolerance = 1e-9;

/** A way to have done the steps so far; `from` leads back to the way of the step before. */
interface Way {
  readonly seconds: Seconds;
  readonly penalty: number;
  readonly repetitions: number;
  readonly from: Way | undefined;
}

/**
 * The way with the least penalty that takes at most the given time; equal penalties: the shorter one. All ways that no
 * other beats in both time and penalty are kept from list to list (Nemhauser, Ullmann (1969), Management Science
 * 15:494–505), but for those that a price on time proves hopeless.
 * @returns repetitions; the shortest options of all must fit
 */
export function cheapestWay(choices: Choices, availableSeconds: Seconds): readonly number[] {
  const price = priceTime(choices, availableSeconds);
  const boundAfter = suffixSums(choices.map((list) => Math.min(...list.map((one) => pricedAt(one, price.perSecond)))));
  const shortestAfter = suffixSums(choices.map((list) => Math.min(...list.map(({ seconds }) => seconds))));
  let ways: readonly Way[] = [{ seconds: 0, penalty: 0, repetitions: 0, from: undefined }];
  for (const [i, list] of choices.entries()) {
    const mostSeconds = availableSeconds - (shortestAfter[i + 1] ?? 0) + tolerance;
    const isHopeful = (seconds: Seconds, penalty: number) =>
      penalty + (boundAfter[i + 1] ?? 0) - price.perSecond * (availableSeconds - seconds) <= price.reached + 1e-7;
    ways = extend(ways, list, mostSeconds, isHopeful);
  }
  return trace(ways.at(-1), choices.length);
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

/** Each way with each option, as far as none is beaten; ways are in order of growing time and falling penalty. */
function extend(
  ways: readonly Way[],
  options: readonly Option[],
  mostSeconds: Seconds,
  isHopeful: (seconds: Seconds, penalty: number) => boolean,
): readonly Way[] {
  const heads = options.map(() => 0);
  const kept: Way[] = [];
  for (;;) {
    let chosen = -1;
    let [seconds, penalty] = [Infinity, Infinity];
    for (let k = 0; k < options.length; k += 1) {
      const way = ways[heads[k] ?? 0];
      const option = options[k];
      if (!way || !option) continue;
      const [s, p] = [way.seconds + option.seconds, way.penalty + option.penalty];
      if (s < seconds || (s === seconds && p < penalty)) [chosen, seconds, penalty] = [k, s, p];
    }
    if (chosen < 0 || seconds > mostSeconds) return kept;
    const from = ways[heads[chosen] ?? 0];
    heads[chosen] = (heads[chosen] ?? 0) + 1;
    if (penalty < (kept.at(-1)?.penalty ?? Infinity) - tolerance && isHopeful(seconds, penalty))
      kept.push({ seconds, penalty, repetitions: options[chosen]?.repetitions ?? 0, from });
  }
}

function trace(last: Way | undefined, count: number): readonly number[] {
  const repetitions: number[] = [];
  for (let way = last; way && repetitions.length < count; way = way.from) repetitions.push(way.repetitions);
  return repetitions.reverse();
}

/** Times are told apart to a hundredth of a second. */
const ticksPerSecond = 100;

const divisorOf = (a: number, b: number): number => (b === 0 ? a : divisorOf(b, a % b));

/** The way that takes most of the time, with the least penalty among those; the first option of each list takes none. */
export function fullestWay(choices: Choices, availableSeconds: Seconds): readonly number[] {
  const ticks = (seconds: Seconds) => Math.round(seconds * ticksPerSecond);
  const unit = choices.flat().reduce((common, { seconds }) => divisorOf(ticks(seconds), common), 0);
  if (unit === 0) return choices.map(() => 0);
  const longest = choices.reduce((sum, list) => sum + Math.max(...list.map(({ seconds }) => ticks(seconds))), 0);
  const room = Math.floor(
    (Math.min(longest, Math.floor(availableSeconds * ticksPerSecond + tolerance)) + tolerance) / unit,
  );
  let least = new Float64Array(room + 1).fill(Infinity);
  least[0] = 0;
  const taken = choices.map((list) => {
    const [next, chosen] = [new Float64Array(room + 1).fill(Infinity), new Uint16Array(room + 1)];
    for (const [k, { seconds, penalty }] of list.entries()) {
      const step = ticks(seconds) / unit;
      for (let used = step; used <= room; used += 1) {
        const sum = (least[used - step] ?? Infinity) + penalty;
        if (sum >= (next[used] ?? Infinity)) continue;
        next[used] = sum;
        chosen[used] = k;
      }
    }
    least = next;
    return chosen;
  });
  let used = least.findLastIndex((penalty) => penalty < Infinity);
  const repetitions: number[] = [];
  for (let i = choices.length - 1; i >= 0; i -= 1) {
    const option = choices[i]?.[taken[i]?.[used] ?? 0];
    repetitions.unshift(option?.repetitions ?? 0);
    used -= ticks(option?.seconds ?? 0) / unit;
  }
  return repetitions;
}
