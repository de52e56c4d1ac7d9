import type { Seconds } from '../quantities';

/** Blocks by index, ordered by id, with what the search needs. */
export interface OrderProblem {
  readonly size: number;
  /** Blocks with the same setting share a class; what a change costs depends on classes alone. */
  readonly classOf: readonly number[];
  /** Seconds from class to class; the last class is the start. */
  readonly between: readonly (readonly number[])[];
  /** For each block those that must be over before it. */
  readonly before: readonly ReadonlySet<number>[];
}

export interface FoundOrder {
  readonly order: readonly number[];
  readonly seconds: Seconds;
}
