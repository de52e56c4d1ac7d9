import { planWords } from './plan.words';
import type { School } from '../../core/drainage/case';

const schoolWords = {
  start: { 'neck-first': planWords.neckFirst, 'breath-first': planWords.breathFirst },
  hand: {
    stretch: planWords.skinStretchDryHands,
    sweep: planWords.lightOneWaySweeps,
    roller: planWords.stoneRollerByItsOwnWeight,
  },
  removedSide: { 'reroute-only': planWords.rerouteOnly, 'reroute-and-stimulate': planWords.rerouteThenTouchWhatIsLeft },
  exits: { 1: planWords.oneWayOut, 2: planWords.twoWaysOut },
} as const;

/** A school of drainage in a line. */
export const schoolInWords = (school: School): string =>
  [
    schoolWords.start[school.start],
    schoolWords.hand[school.hand],
    schoolWords.removedSide[school.removedSide],
    schoolWords.exits[school.exits],
  ].join(' · ');
