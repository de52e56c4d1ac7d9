/** What may be noted with one key while the hands are busy. */
export const markKinds = [
  'tighter',
  'redness',
  'tender',
  'warmer',
  'cooler',
  'lighter',
  'deeper',
  'pain',
  'asked',
  'asked-again',
  'declined',
  'higher',
  'fuller',
  'alike',
] as const;

export type MarkKind = (typeof markKinds)[number];

export type MarkSide = 'left' | 'right' | 'both';
