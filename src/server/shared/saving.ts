import type { TherapistId, VisitId } from '../../core/ids';
import type { StageOrEnd } from '../../contracts/people-views';
import type { FieldError } from '../../core/result';
import type { Db } from '../db/connection';
import { setStage } from '../visits/visits.repository';

/** Who saves, and when. */
export interface Actor {
  readonly therapistId: TherapistId | null;
  readonly now: Date;
}

/** A save that could not be made, told apart so that each gets its own answer. */
export type SaveRefusal =
  | { readonly kind: 'not-found' }
  | { readonly kind: 'edited-elsewhere' }
  | { readonly kind: 'refused'; readonly errors: readonly FieldError[] };

const order: readonly StageOrEnd[] = ['ask', 'measure', 'plan', 'prepare', 'table', 'close', 'done'];

/** Moves a visit on, never back: looking at an earlier stage again does not undo a later one. */
export async function advance(db: Db, visitId: VisitId, stage: StageOrEnd, to: StageOrEnd): Promise<void> {
  if (order.indexOf(to) > order.indexOf(stage) || stage === 'stopped') await setStage(db, visitId, to);
}
