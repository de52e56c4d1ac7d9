export const treatmentRules = {
  'dry-before-oil': 'Dry-hand work comes before oil reaches that region.',
  'brush-before-oil': 'Dry brushing is first of all on a region, then drainage, then oil.',
  'outlet-before-inflow':
    'Neck and chest are opened before the face, the trunk before the limb that drains through it.',
  'warm-before-deep': 'Broad, light strokes on a region come before thumbs, stone edges or pinching.',
  'flush-after-intense': 'Something intense is followed, within its block, by something soothing on the same region.',
  'lower-before-eyes': 'Cheeks and nose are worked before the eyes.',
  'one-side-then-other': 'One side is finished before the other, and both before what takes them together.',
  'gloves-on-off': 'Gloved work is one uninterrupted block, with new gloves.',
  'hot-then-cool': 'Cool stones come after the hot ones on a region, and nothing hot on skin just brushed hard.',
  'no-heat-on-swelling': 'No heat on a swollen or at-risk limb, nor on the trunk quarter beside it.',
  'scalp-last-if-oiled': 'Oiled scalp work comes at the end of face and neck.',
  'belly-clockwise': 'Along the large bowel: up the client’s right, across, down the left.',
  'one-turn': 'The client turns once at most.',
  'hands-off-last': 'The last step of a region is the lightest.',
  'spine-beside-not-on': 'Strokes run beside the spine, never on it.',
  'protocol-order': 'The protocol gives its parts in this order.',
  'one-after-the-other': 'The protocol has these parts follow one another directly.',
  'rest-last': 'Rest comes at the very end.',
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
