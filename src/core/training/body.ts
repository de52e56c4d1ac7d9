import type { ReadCase } from '../drainage/case';

/** A body to be drained. */
export interface Body {
  readonly read: ReadCase;
  /** The case as a colleague would tell it. */
  readonly words: string;
}
