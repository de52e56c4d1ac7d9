import { type Anatomy, nameOf, type PlaceId, sideOf } from '../anatomy/place';
import type { HomeReach } from './sheet';

/** Nobody does these alone without twisting, and a twisted trunk closes what was opened. */
const behind = /^(back-|buttock$)/;
const low = /^(shin|calf|ankle|foot|heel|sole|toes)/;
/** Worked by the hand of the other side. */
const byOtherHand =
  /^(shoulder|upper-arm|elbow|forearm|wrist|hand|palm|fingers|axillary|cubital|flank-upper|breast|back-upper)/;

/** Whether a client can work a place with their own hands, sitting or lying. */
export function canReach(place: PlaceId, reach: HomeReach): boolean {
  const name = nameOf(place);
  if (behind.test(name)) return false;
  if (low.test(name) && !reach.bends) return false;
  if (!byOtherHand.test(name)) return reach.usesLeft || reach.usesRight;
  return sideOf(place) === 'left' ? reach.usesRight : reach.usesLeft;
}

/** All territories that have to be left alone, because no hand of the client’s own gets there. */
export const outOfReach = (anatomy: Anatomy, reach: HomeReach): readonly PlaceId[] =>
  [...anatomy.territories.keys()].filter((place) => !canReach(place, reach));
