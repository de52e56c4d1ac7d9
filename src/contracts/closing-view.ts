import type { ClosingInput } from './closing';

/** The end of a visit as it is on record, with the version that a change is based on. */
export interface ClosingView extends Omit<ClosingInput, 'basedOn'> {
  readonly version: number;
}
