import type { Minutes } from '../quantities';
import type { PlaceId } from '../anatomy/place';
import type { BlockCause } from '../drainage/hindrance';
import type { LimitKey } from '../screening/tables';

/**
 * Why something is left out or changed: ids and values, no sentences. They become words where they are shown
 * (`core/wording/judgement-words`), so that the same judgement may be told in any language.
 */
export type JudgementReason =
  /** A finding, or a rule over several, decides against this kind of work, here or altogether. */
  | { readonly kind: 'finding'; readonly rule: string; readonly modality: string; readonly isLocal: boolean }
  /** A limit that a finding sets, or that the kind of work always has (`rule` is then `baseline`). */
  | { readonly kind: 'limit'; readonly rule: string; readonly modality: string; readonly limit: LimitKey }
  | {
      readonly kind: 'closed-group';
      readonly rule: 'no-blocked-target';
      readonly group: PlaceId;
      readonly cause: BlockCause;
    }
  /** Fluid whose group is closed goes another way, and only a certified therapist leads it. */
  | { readonly kind: 'no-way-round'; readonly rule: 'qualification' }
  /** Its own group is closed: the stroke goes the planner's way round. */
  | { readonly kind: 'led-round'; readonly rule: 'no-blocked-target' }
  /** Too near to a mark that is kept away from. */
  | { readonly kind: 'margin'; readonly rule: string; readonly modality: string; readonly cm: number }
  | { readonly kind: 'training'; readonly rule: 'scope'; readonly need: TrainingNeed }
  /** The kind of work needs qualifications that are not held; of an inner list any one. */
  | {
      readonly kind: 'qualification';
      readonly rule: 'scope';
      readonly modality: string;
      readonly missing: readonly (string | readonly string[])[];
    }
  | {
      readonly kind: 'frequency';
      readonly rule: string;
      readonly modality: string;
      readonly times: number;
      readonly most: number;
    }
  | { readonly kind: 'gap'; readonly rule: string; readonly modality: string; readonly hours: number }
  | { readonly kind: 'irritated'; readonly rule: SkinRule; readonly grade: number }
  | { readonly kind: 'minutes'; readonly rule: string; readonly modality: string; readonly minutes: Minutes }
  | { readonly kind: 'out-of-reach'; readonly rule: 'reach' }
  | { readonly kind: 'no-time'; readonly rule: 'time' }
  | { readonly kind: 'nothing-to-drain'; readonly rule: 'no-focus' };

export type TrainingNeed = 'manual-medicine' | 'inside-mouth' | 'clinical-aromatherapy' | 'advanced';
export type SkinRule = 'redness' | 'bruising' | 'reactive-skin';
