import type { VisitFrame } from '../../contracts/visit-views';
import type { Irritation } from '../../core/judgement/judgement';
import type { CheckAnswers } from '../../core/visit/visit-check';
import type { StoredFinding } from '../screening/findings.repository';
import type { StoredOverride } from '../screening/screening.repository';

/** A visit with what screening needs of it; findings as stored, not only as shown. */
export interface VisitRecord extends VisitFrame {
  readonly stored: readonly StoredFinding[];
  readonly answers: CheckAnswers;
  readonly overrides: readonly StoredOverride[];
  /** Kinds of work that it is for. */
  readonly modalities: readonly string[];
  readonly medicines: string;
  /** Places found red or bruised today, with why they are spared. */
  readonly irritated: ReadonlyMap<string, Irritation>;
  readonly dueOn: string | null;
}
