import { type Anatomy, limbOf, type PlaceId } from '../anatomy/place';
import type { Step } from './step';

/**
 * The side of the table that a place asks the therapist to be on: that of its limb. The trunk, the neck and the head are
 * reached from wherever one stands.
 */
function asksFor(anatomy: Anatomy, place: PlaceId): 'left' | 'right' | undefined {
  const territory = anatomy.territories.get(place);
  return territory && limbOf(territory) && territory.side !== 'mid' ? territory.side : undefined;
}

/** How often a course leads the therapist from one side of the table to the other. */
export function crossingsIn(anatomy: Anatomy, steps: readonly Pick<Step, 'kind' | 'place'>[]): number {
  let crossings = 0;
  let at: 'left' | 'right' | undefined;
  for (const { kind, place } of steps) {
    const side = kind === 'turn' ? undefined : asksFor(anatomy, place);
    if (!side) continue;
    if (at && at !== side) crossings += 1;
    at = side;
  }
  return crossings;
}
