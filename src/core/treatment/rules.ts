import { treatmentSays } from './treatment.says';

export const treatmentRules = {
  'dry-before-oil': treatmentSays.dryHandWorkComesBeforeOil,
  'brush-before-oil': treatmentSays.dryBrushingIsFirstOfAll,
  'outlet-before-inflow': treatmentSays.neckAndChestAreOpenedBefore,
  'warm-before-deep': treatmentSays.broadLightStrokesOnARegion,
  'flush-after-intense': treatmentSays.somethingIntenseIsFollowedWithinIts,
  'lower-before-eyes': treatmentSays.cheeksAndNoseAreWorkedBefore,
  'one-side-then-other': treatmentSays.oneSideIsFinishedBeforeThe,
  'gloves-on-off': treatmentSays.glovedWorkIsOneUninterruptedBlock,
  'hot-then-cool': treatmentSays.coolStonesComeAfterTheHot,
  'no-heat-on-swelling': treatmentSays.noHeatOnASwollenOr,
  'scalp-last-if-oiled': treatmentSays.oiledScalpWorkComesAtThe,
  'belly-clockwise': treatmentSays.alongTheLargeBowelUpThe,
  'one-turn': treatmentSays.theClientTurnsOnceAtMost,
  'hands-off-last': treatmentSays.theLastStepOfARegion,
  'spine-beside-not-on': treatmentSays.strokesRunBesideTheSpineNever,
  'protocol-order': treatmentSays.theProtocolGivesItsPartsIn,
  'one-after-the-other': treatmentSays.theProtocolHasThesePartsFollow,
  'rest-last': treatmentSays.restComesAtTheVeryEnd,
} as const;

export type TreatmentRuleId = keyof typeof treatmentRules;
export const treatmentRuleIds = Object.keys(treatmentRules) as [TreatmentRuleId, ...TreatmentRuleId[]];
export type RuleSeverity = 'error' | 'warning';

/** `first` has to be over before `then` begins. */
export interface BlockRule {
  readonly first: string;
  readonly then: string;
  readonly rule: TreatmentRuleId;
  readonly severity: RuleSeverity;
}
