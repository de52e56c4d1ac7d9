import type { School } from '../../core/drainage/case';

const schoolWords = {
  start: { 'neck-first': 'neck first', 'breath-first': 'breath first' },
  hand: { stretch: 'skin stretch, dry hands', sweep: 'light one-way sweeps', roller: 'stone roller by its own weight' },
  removedSide: { 'reroute-only': 'reroute only', 'reroute-and-stimulate': 'reroute, then touch what is left' },
  exits: { 1: 'one way out', 2: 'two ways out' },
} as const;

/** A school of drainage in a line. */
export const schoolInWords = (school: School): string =>
  [
    schoolWords.start[school.start],
    schoolWords.hand[school.hand],
    schoolWords.removedSide[school.removedSide],
    schoolWords.exits[school.exits],
  ].join(' · ');
