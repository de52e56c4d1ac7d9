import { type Anatomy, isIn, type PlaceId, sideOf } from '../anatomy/place';
import type { HomeReach } from './sheet';

/**
 * Whether a client can work a place with their own hands, sitting, standing or lying. The seat is within reach standing;
 * nobody does the back alone without twisting, and a twisted trunk closes what was opened.
 */
export function canReach(anatomy: Anatomy, place: PlaceId, reach: HomeReach): boolean {
  if (isIn(anatomy, 'back', place)) return reach.back === true;
  if ((isIn(anatomy, 'lower-leg', place) || isIn(anatomy, 'foot', place)) && !reach.bends) return false;
  if (!isIn(anatomy, 'other-hand', place)) return reach.usesLeft || reach.usesRight;
  return sideOf(place) === 'left' ? reach.usesRight : reach.usesLeft;
}

/** All territories that have to be left alone, because no hand of the client’s own gets there. */
export const outOfReach = (anatomy: Anatomy, reach: HomeReach): readonly PlaceId[] =>
  [...anatomy.territories.keys()].filter((place) => !canReach(anatomy, place, reach));
