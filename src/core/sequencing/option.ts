import type { Seconds } from '../quantities';
/** One way to spend time on some steps: what it comes to, and how far it is from what was wished. */
export interface Option {
  readonly repetitions: number;
  readonly seconds: Seconds;
  readonly penalty: number;
}
