import { pebbleOutlines } from '../catalogue/figure/pebbles';

export { pebbleOutlines };
export type PebbleKind = keyof typeof pebbleOutlines;

/** Colours of a kind, as tokens. */
export const pebbleTone: Readonly<Record<PebbleKind, 'river' | 'moss' | 'ochre' | 'plum'>> = {
  breathe: 'river',
  clear: 'moss',
  prepare: 'ochre',
  soften: 'ochre',
  drain: 'plum',
  carry: 'moss',
  return: 'river',
  close: 'moss',
  turn: 'river',
};
