import type { Drops, Seconds } from '../quantities';
import type { OilId } from '../ids';
import type { MarkKind, MarkSide } from './mark-kinds';

/** What the therapist changed of the plan while it ran, all of it: each change takes the place of the one before. */
export interface TableChange {
  /** Step → repetitions, where they are others than planned. */
  readonly repetitions: Readonly<Record<string, number>>;
  readonly leftOut: readonly string[];
  /** Seconds that the visit may run over. */
  readonly overSeconds: Seconds;
}

export const noChange: TableChange = { repetitions: {}, leftOut: [], overSeconds: 0 };

/** What happened at the table, as it was stored. `at` is an ISO time. */
export interface TableEvent {
  readonly id: string;
  readonly kind: 'start' | 'end' | 'skip' | 'back' | 'pause' | 'resume' | 'refit' | 'mark' | 'drops' | 'finish';
  readonly stepId: string | null;
  readonly at: string;
  readonly planVersion: number;
  /** Counts the presses of one device, from 1. */
  readonly number?: number | undefined;
  /** With a `refit`. */
  readonly change?: TableChange | undefined;
  /** With a `mark`. */
  readonly mark?: MarkKind | undefined;
  /** With `drops`: what fell straight onto the skin in this step until now, all of it. */
  readonly oil?: OilId | undefined;
  readonly drops?: Drops | undefined;
  /** With a `mark`, in a step on both sides, once it was said. */
  readonly side?: MarkSide | undefined;
}
