import type { Celsius, Seconds } from '../quantities';
import { halfConductance, type Stack } from './stack';

/** What lies at an end of a stack: heat passes to `toC` through so much conductance (W/(m²·K)), beyond the half cell. */
export interface Boundary {
  readonly conductanceWM2K: number;
  readonly toC: Celsius;
}

export interface Slab {
  readonly stack: Stack;
  /** Extra resistance behind a cell (m²·K/W), by its number: films and the faces of towels. */
  readonly resistances: ReadonlyMap<number, number>;
  readonly bloodJM3K: number;
  readonly coreC: Celsius;
}

/** The matrix of one implicit step of a fixed length, factored once: solving takes two passes. */
export interface Stepper {
  /** Temperatures a step later, in place. @param outerC what the outside is at, at the end of the step */
  readonly advance: (temperatures: Float64Array, outerC: Celsius) => void;
}

/** Conductance between the middles of a cell and the next (W/(m²·K)). */
function between(slab: Slab, i: number): number {
  const [here, next] = [slab.stack[i], slab.stack[i + 1]];
  if (!here || !next) throw new Error('there is nothing between the last cell and the next');
  return 1 / (1 / halfConductance(here) + (slab.resistances.get(i) ?? 0) + 1 / halfConductance(next));
}

const inSeries = (a: number, b: number) => (b === Infinity ? a : 1 / (1 / a + 1 / b));

interface Matrix {
  readonly lower: Float64Array;
  readonly diagonal: Float64Array;
  readonly upper: Float64Array;
  /** Heat that blood brings in, and what the inner end does. */
  readonly source: Float64Array;
  readonly outerW: number;
}

/** Conduction, blood and both ends without the term of time. */
function assemble(slab: Slab, outer: number, inner: Boundary): Matrix {
  const n = slab.stack.length;
  const [lower, diagonal, upper, source] = [0, 0, 0, 0].map(() => new Float64Array(n)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  for (let i = 0; i < n; i += 1) {
    const cell = slab.stack[i];
    if (!cell) continue;
    const blood = cell.perfusionPerS * slab.bloodJM3K * cell.thicknessM;
    diagonal[i] = blood;
    source[i] = blood * slab.coreC;
  }
  for (let i = 0; i + 1 < n; i += 1) {
    const g = between(slab, i);
    diagonal[i] = (diagonal[i] ?? 0) + g;
    diagonal[i + 1] = (diagonal[i + 1] ?? 0) + g;
    upper[i] = -g;
    lower[i + 1] = -g;
  }
  const [first, last] = [slab.stack[0], slab.stack[n - 1]];
  if (!first || !last) throw new Error('an empty stack does not conduct');
  const outerW = outer === 0 ? 0 : inSeries(halfConductance(first), outer);
  const innerW = inSeries(halfConductance(last), inner.conductanceWM2K);
  diagonal[0] = (diagonal[0] ?? 0) + outerW;
  diagonal[n - 1] = (diagonal[n - 1] ?? 0) + innerW;
  source[n - 1] = (source[n - 1] ?? 0) + innerW * inner.toC;
  return { lower, diagonal, upper, source, outerW };
}

/**
 * One implicit Euler step of a fixed length.
 * @param outerWM2K conductance beyond the first half cell; 0 lets nothing through, Infinity holds the face
 */
export function stepperFor(slab: Slab, outerWM2K: number, inner: Boundary, stepSeconds: Seconds): Stepper {
  const { lower, diagonal, upper, source, outerW } = assemble(slab, outerWM2K, inner);
  const n = slab.stack.length;
  const storage = Float64Array.from(
    slab.stack,
    ({ densityKgM3, specificHeatJKgK, thicknessM }) => (densityKgM3 * specificHeatJKgK * thicknessM) / stepSeconds,
  );
  const [factor, pivot] = factorise(
    lower,
    Float64Array.from(diagonal, (d, i) => d + (storage[i] ?? 0)),
    upper,
  );
  return {
    advance: (temperatures, outerC) => {
      for (let i = 0; i < n; i += 1)
        temperatures[i] = (temperatures[i] as number) * (storage[i] as number) + (source[i] as number);
      temperatures[0] = (temperatures[0] as number) + outerW * outerC;
      substitute(temperatures, lower, factor, pivot);
    },
  };
}

/** Where temperatures settle with the outside held at `outerC`. */
export function steadyTemperatures(slab: Slab, outerWM2K: number, outerC: Celsius, inner: Boundary): Float64Array {
  const { lower, diagonal, upper, source, outerW } = assemble(slab, outerWM2K, inner);
  const [factor, pivot] = factorise(lower, diagonal, upper);
  const temperatures = Float64Array.from(source);
  temperatures[0] = (temperatures[0] as number) + outerW * outerC;
  substitute(temperatures, lower, factor, pivot);
  return temperatures;
}

/** Thomas: what the forward and backward passes need. */
function factorise(
  lower: Float64Array,
  diagonal: Float64Array,
  upper: Float64Array,
): readonly [Float64Array, Float64Array] {
  const n = diagonal.length;
  const [factor, pivot] = [new Float64Array(n), new Float64Array(n)];
  for (let i = 0; i < n; i += 1) {
    const left = i === 0 ? 0 : (lower[i] as number) * (factor[i - 1] as number);
    pivot[i] = 1 / ((diagonal[i] as number) - left);
    factor[i] = (upper[i] as number) * (pivot[i] as number);
  }
  return [factor, pivot];
}

function substitute(right: Float64Array, lower: Float64Array, factor: Float64Array, pivot: Float64Array): void {
  const n = right.length;
  let before = 0;
  for (let i = 0; i < n; i += 1) {
    before = ((right[i] as number) - (lower[i] as number) * before) * (pivot[i] as number);
    right[i] = before;
  }
  for (let i = n - 2; i >= 0; i -= 1)
    right[i] = (right[i] as number) - (factor[i] as number) * (right[i + 1] as number);
}
