import { reaches } from '../statistics';
import type { Limb } from './entry-checks';

export const definitionIds = [
  'excess-volume-10-percent',
  'excess-volume-5-percent',
  'excess-volume-200-ml',
  'girth-2-cm',
  'baseline-rvc-10-percent',
  'baseline-rvc-5-percent',
  'baseline-rvc-3-percent',
  'baseline-wac-10-percent',
  'baseline-wac-5-percent',
] as const;
export type DefinitionId = (typeof definitionIds)[number];

export type DefinedQuantity = 'excessPercent' | 'excessMl' | 'girthDifferenceCm' | 'rvcPercent' | 'wacPercent';

/** A named definition of swelling, as published. */
export interface SwellingDefinition {
  readonly id: DefinitionId;
  /** As in “by volume ≥ 10 %”. */
  readonly short: string;
  readonly name: string;
  readonly quantity: DefinedQuantity;
  readonly threshold: number;
  readonly needs: string;
  readonly armsOnly: boolean;
  readonly source: string;
}

/** What is known of a limb; null: cannot be told, such as a change without a baseline. */
export type DefinedQuantities = Readonly<Record<DefinedQuantity, number | null>>;

export interface DefinitionVerdict {
  readonly definition: SwellingDefinition;
  readonly value: number | null;
  /** Null: what it needs is not known, or it is not meant for this limb. */
  readonly isMet: boolean | null;
}

/** Holds a limb against one definition; the threshold itself belongs to it. */
export function judgeByDefinition(
  definition: SwellingDefinition,
  limb: Limb,
  quantities: DefinedQuantities,
): DefinitionVerdict {
  const value = quantities[definition.quantity];
  const isApplicable = value !== null && (limb === 'arm' || !definition.armsOnly);
  return { definition, value, isMet: isApplicable ? reaches(value, definition.threshold) : null };
}

/** Largest of affected minus reference girth (cm), over points measured on both sides; null without any. */
export function largestGirthDifferenceCm(
  affectedCm: readonly (number | null)[],
  referenceCm: readonly (number | null)[],
): number | null {
  const differences = affectedCm.flatMap((a, i) => {
    const r = referenceCm[i];
    return a === null || r == null ? [] : [a - r];
  });
  return differences.length === 0 ? null : Math.max(...differences);
}
