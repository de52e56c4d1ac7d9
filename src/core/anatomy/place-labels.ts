import { type Anatomy, getPlace, nameOf, type PlaceId, sideOf } from './place';

const shortNames: Readonly<Record<string, string>> = {
  terminus: 'hollow above the collarbone',
  'flank-upper': 'flank, armpit to waist',
  'flank-lower': 'flank, waist to hip',
  'cheek-outer': 'outer cheek',
  'calf-lower': 'lower calf and heel cord',
  'chest-upper': 'upper chest',
  'back-upper': 'upper back',
  'back-middle': 'middle back',
  'back-lower': 'lower back and sacrum',
  'neck-front': 'front of neck',
  'abdominal-deep': 'deep belly',
};

/** A short name without brackets and asides, side first: `left flank, waist to hip`. */
export function shortLabel(anatomy: Anatomy, id: PlaceId): string {
  const side = sideOf(id);
  return side === 'mid' ? bareLabel(anatomy, id) : `${side} ${bareLabel(anatomy, id)}`;
}

/** The same without its side: `armpit nodes`. */
export const bareLabel = (anatomy: Anatomy, id: PlaceId): string =>
  shortNames[nameOf(id)] ?? getPlace(anatomy, id).bareLabel;

/** `the left armpit nodes`, for the middle of a sentence. */
export function theLabel(anatomy: Anatomy, id: PlaceId): string {
  return `the ${shortLabel(anatomy, id)}`;
}

const manyAtTheEnd = ['nodes', 'fingers', 'toes'] as const;

/** Whether a place is named in the plural: the armpit nodes *are* open, the cheek *is*. */
export const isNamedAsMany = (anatomy: Anatomy, id: PlaceId): boolean =>
  manyAtTheEnd.some((end) => shortLabel(anatomy, id).endsWith(end));
