/** A step whose repetitions may grow or shrink; seconds at any repetitions above none are overhead plus r times one. */
export interface FitStep {
  readonly id: string;
  readonly secondsPerRepetition: number;
  readonly overheadSeconds: number;
  readonly min: number;
  readonly usual: number;
  readonly max: number;
  readonly weight: number;
  readonly optional: boolean;
  /** Takes up time that is left over, when that is wished. */
  readonly stretchable?: boolean | undefined;
}

export interface TimeFit {
  readonly fits: boolean;
  /** What even the least lacks; 0 when it fits. */
  readonly shortBySeconds: number;
  readonly penalty: number;
  readonly usedSeconds: number;
  readonly repetitions: readonly { readonly id: string; readonly repetitions: number }[];
  readonly leftOut: readonly string[];
}

const leftOutPenalty = 1.5;
const longerPenalty = 0.25;

/** What a choice of repetitions costs in quality: nothing at the usual, more the farther from it; 0 leaves it out. */
export function penaltyOf({ usual, weight }: Pick<FitStep, 'usual' | 'weight'>, repetitions: number): number {
  if (repetitions === 0) return leftOutPenalty * weight;
  const share = (repetitions - usual) / usual;
  return (repetitions > usual ? longerPenalty : 1) * weight * share * share;
}

export function secondsAt(step: FitStep, repetitions: number): number {
  return repetitions === 0 ? 0 : step.overheadSeconds + repetitions * step.secondsPerRepetition;
}

interface Option {
  readonly repetitions: number;
  readonly seconds: number;
  readonly penalty: number;
}

/** A way to have done the steps so far; `from` leads back to the way of the step before. */
interface Way {
  readonly seconds: number;
  readonly penalty: number;
  readonly repetitions: number;
  readonly from: Way | undefined;
}

/**
 * Whole repetitions with the least total penalty within the time, exactly: all ways that no other way beats in both
 * time and penalty are kept from step to step (Nemhauser, Ullmann (1969), Management Science 15:494–505). Equal
 * penalties: the shorter one.
 * @param fill spends what is left over on the stretchable steps, up to their most repetitions
 */
export function fitTime(steps: readonly FitStep[], availableSeconds: number, fill = false): TimeFit {
  const least = steps.map((step) => (step.optional ? 0 : step.min));
  const leastSeconds = totalSeconds(steps, least);
  if (leastSeconds > availableSeconds + tolerance)
    return { ...toFit(steps, least), fits: false, shortBySeconds: leastSeconds - availableSeconds };
  const options = steps.map((step) => [
    ...(step.optional ? [optionOf(step, 0)] : []),
    ...Array.from({ length: step.max - step.min + 1 }, (_, i) => optionOf(step, step.min + i)),
  ]);
  const best = cheapestWay(options, availableSeconds);
  return toFit(steps, fill ? stretched(steps, best, availableSeconds) : best);
}

const tolerance = 1e-9;

const optionOf = (step: FitStep, repetitions: number): Option => ({
  repetitions,
  seconds: secondsAt(step, repetitions),
  penalty: penaltyOf(step, repetitions),
});

const totalSeconds = (steps: readonly FitStep[], repetitions: readonly number[]) =>
  steps.reduce((sum, step, i) => sum + secondsAt(step, repetitions[i] ?? 0), 0);

function cheapestWay(options: readonly (readonly Option[])[], availableSeconds: number): readonly number[] {
  // What the steps still to come take at least is not there to be spent.
  const atLeast = options.map((list) => Math.min(...list.map(({ seconds }) => seconds)));
  let toCome = atLeast.reduce((sum, seconds) => sum + seconds, 0);
  let ways: readonly Way[] = [{ seconds: 0, penalty: 0, repetitions: 0, from: undefined }];
  for (const [i, list] of options.entries()) {
    toCome -= atLeast[i] ?? 0;
    ways = extend(ways, list, availableSeconds - toCome + tolerance);
  }
  return trace(ways.at(-1), options.length);
}

/** Each way with each option, as far as none is beaten; ways are in order of growing time and falling penalty. */
function extend(ways: readonly Way[], options: readonly Option[], mostSeconds: number): readonly Way[] {
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
    if (penalty < (kept.at(-1)?.penalty ?? Infinity) - tolerance)
      kept.push({ seconds, penalty, repetitions: options[chosen]?.repetitions ?? 0, from });
  }
}

function trace(last: Way | undefined, count: number): readonly number[] {
  const repetitions: number[] = [];
  for (let way = last; way && repetitions.length < count; way = way.from) repetitions.unshift(way.repetitions);
  return repetitions;
}

/** As much of what is left over as whole repetitions of the stretchable steps can take, with the least penalty. */
function stretched(steps: readonly FitStep[], fitted: readonly number[], availableSeconds: number): readonly number[] {
  const options = steps.map((step, i) => {
    const now = fitted[i] ?? 0;
    const most = step.stretchable && now > 0 ? step.max : now;
    return Array.from({ length: most - now + 1 }, (_, k) => optionOf(step, now + k));
  });
  return fullestWay(options, availableSeconds);
}

/** For each time that can be used exactly the least penalty; the most time wins. */
function fullestWay(options: readonly (readonly Option[])[], availableSeconds: number): readonly number[] {
  const atLeast = options.map((list) => list[0]?.seconds ?? 0);
  let toCome = atLeast.reduce((sum, seconds) => sum + seconds, 0);
  let ways = new Map<number, Way>([[0, { seconds: 0, penalty: 0, repetitions: 0, from: undefined }]]);
  for (const [i, list] of options.entries()) {
    toCome -= atLeast[i] ?? 0;
    const next = new Map<number, Way>();
    for (const way of ways.values())
      for (const { repetitions, seconds: more, penalty: worse } of list) {
        const [seconds, penalty] = [way.seconds + more, way.penalty + worse];
        if (seconds > availableSeconds - toCome + tolerance) continue;
        const key = Math.round(seconds * 1000);
        if (penalty < (next.get(key)?.penalty ?? Infinity)) next.set(key, { seconds, penalty, repetitions, from: way });
      }
    ways = next;
  }
  const fullest = [...ways.entries()].reduce<[number, Way] | undefined>(
    (best, entry) => (best && best[0] > entry[0] ? best : entry),
    undefined,
  );
  return trace(fullest?.[1], options.length);
}

function toFit(steps: readonly FitStep[], repetitions: readonly number[]): TimeFit {
  return {
    fits: true,
    shortBySeconds: 0,
    penalty: steps.reduce((sum, step, i) => sum + penaltyOf(step, repetitions[i] ?? 0), 0),
    usedSeconds: totalSeconds(steps, repetitions),
    repetitions: steps.flatMap(({ id }, i) => (repetitions[i] ? [{ id, repetitions: repetitions[i] }] : [])),
    leftOut: steps.filter((_, i) => repetitions[i] === 0).map(({ id }) => id),
  };
}
