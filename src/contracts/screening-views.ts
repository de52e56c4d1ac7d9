import type { PlaceId } from '../core/anatomy/place';
import type { Caution } from '../core/screening/cautions';
import type { OverrideWay } from '../core/screening/override';
import type { Question } from '../core/screening/questions';
import type { Decision, LimitKey, Locatable } from '../core/screening/tables';

export interface ClearanceView {
  readonly date: string;
  readonly modalities: 'all' | readonly string[];
  readonly writtenBy: string;
  readonly words: string;
  /** What the note itself limits, in words; empty when nothing. */
  readonly limitWords: string;
  readonly isValid: boolean;
  /** Last day on which it counts. */
  readonly until: string;
}

/** A condition as it is asked and chosen. */
export interface ConditionView {
  readonly id: string;
  readonly group: string;
  readonly label: string;
  readonly ask: string;
  readonly locatable: Locatable;
  readonly dated: boolean;
  readonly atIntake: boolean;
}

export interface LimitView {
  readonly key: LimitKey;
  readonly words: string;
  /** What it may be loosened to with a written reason; empty: never. */
  readonly looser: readonly { readonly value: string | number | null; readonly words: string }[];
}

export interface ReasonView {
  readonly what: string;
  readonly text: string;
  readonly decision: Decision;
  readonly isLocal: boolean;
}

export interface DecisionView {
  readonly modality: string;
  readonly label: string;
  readonly decision: Decision;
  /** The line under the name. */
  readonly line: string;
  readonly limits: readonly LimitView[];
  readonly reasons: readonly ReasonView[];
  readonly way: OverrideWay;
  /** Places with a decision of their own, alike ones together. */
  readonly places: readonly {
    readonly decision: Decision;
    readonly regions: readonly PlaceId[];
    readonly words: string;
    readonly limits: readonly string[];
    readonly reasons: readonly ReasonView[];
  }[];
}

export interface OverrideView {
  readonly key: number;
  readonly modality: string;
  readonly words: string;
  readonly reason: string;
  readonly by: string;
  readonly at: string;
}

/** What may be done on this body by this person on this day. */
export interface ScreeningView {
  readonly overall: Decision;
  readonly decisions: readonly DecisionView[];
  readonly cautions: readonly Caution[];
  readonly questions: readonly Question[];
  readonly overrides: readonly OverrideView[];
}
