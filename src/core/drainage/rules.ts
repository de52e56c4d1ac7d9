/** Every rule of drainage by id, with the sentence that the rule book shows. */
export const ruleBook = {
  'start-at-terminus': 'Clear the hollow above both collarbones before any other movement: everything ends there.',
  'deep-before-lower': 'Below the waist, belly breathing comes before any groin node group.',
  'basin-before-skin': 'A node group is cleared before any stroke is directed towards it.',
  'route-before-region':
    'Each stretch of the way out is prepared, from the node group outward, before the swollen part.',
  'near-before-far': 'Swollen parts are drained nearest to the exit first.',
  'always-towards': 'Every stroke goes to the next place on the way out, never back.',
  'sound-side-first': 'The node group of the sound side is cleared before the affected side is touched.',
  'no-blocked-target': 'No stroke and no way out ends in or passes a closed node group.',
  'stimulate-last': 'What is left of a removed group is touched gently once, after the other ways are open.',
  'no-scar-crossing': 'No way out crosses a scar.',
  'around-port': 'Skin with a port is worked a hand’s width away from it.',
  'closed-wound-only': 'Open, weeping or draining skin is not touched; an incision is never pressed or opened.',
  'kept-off': 'What screening keeps off is not touched, and nothing is led across it.',
  'screened-pressure': 'No firmer than screening allows at that place.',
  'feather-on-irradiated': 'Irradiated skin is worked feather light; an irradiated node group counts as closed.',
  'soften-thickened': 'Thickened skin is softened before it is drained, and given up to twice the repetitions.',
  'bypass-knee': 'Fluid from below the knee goes round its outer or inner side, never over the kneecap.',
  'behind-ankle': 'Fluid of the foot goes behind the ankle bones; toes and fingers are worked along their two sides.',
  'one-direction': 'Strokes go one way; the hand comes back without contact or weight.',
  'away-from-nipple': 'Under and over the breast, towards the armpit, never towards the nipple.',
  'focus-untouched': 'Every part in focus is drained once, or waits for another visit.',
  'exit-not-closed': 'Every way out that was used, and both hollows, are cleared once more at the end.',
  'close-with-breath': 'The end is a short re-clearing of the exits and the terminus, then breathing.',
} as const;

export type RuleId = keyof typeof ruleBook;
export const ruleIds = Object.keys(ruleBook) as [RuleId, ...RuleId[]];

/** Reasons of a whole plan also name what is not a stroke rule. */
export type PlanRuleId =
  RuleId | 'qualification' | 'no-exit' | 'time' | 'cancer-history' | 'nodes-tender' | 'natural' | 'screening';
