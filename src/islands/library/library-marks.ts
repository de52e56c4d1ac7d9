import { anatomy } from '../../catalogue/anatomy';
import { nameOf, type PlaceId } from '../../core/anatomy/place';
import type { ProtocolStep } from '../../core/library/protocol';
import type { Direction } from '../../core/library/technique';
import type { RegionMark, RouteMark } from '../../ui/body-map/map-marks';

/** Places of a region on the sides that a step is done on; both for what depends on the client. */
export function placesOfStep({ regions, side }: Pick<ProtocolStep, 'regions' | 'side'>): readonly PlaceId[] {
  const sides = side === 'left' || side === 'right' ? [side, 'mid'] : ['left', 'right', 'mid'];
  return regions.flatMap((region) =>
    sides.map((one) => `${region}.${one}`).filter((id) => anatomy.territories.has(id) || anatomy.basins.has(id)),
  );
}

/** Node groups among the places, to be cleared. */
export const nodeMarks = (places: readonly PlaceId[]): ReadonlyMap<PlaceId, 'to clear'> =>
  new Map(places.filter((place) => anatomy.basins.has(place)).map((place) => [place, 'to clear']));

export const regionMarks = (places: readonly PlaceId[], words: string): ReadonlyMap<PlaceId, RegionMark> =>
  new Map(places.map((place) => [place, { tone: 'drain', words }]));

/** As many arrows as can be told apart. */
const mostRoutes = 10;

/** Which way the hand moves, as moving arrows to or from the node group of each place. */
export function directionRoutes(places: readonly PlaceId[], direction: Direction): readonly RouteMark[] {
  const isOutward = direction === 'node-outward';
  if (direction !== 'towards-node' && direction !== 'towards-heart' && !isOutward) return [];
  return places
    .filter((place) => anatomy.territories.has(place))
    .slice(0, mostRoutes)
    .flatMap((place): RouteMark[] => {
      const home = anatomy.territories.get(place)?.home;
      if (!home) return [];
      const path = isOutward ? [home, place] : [place, home];
      return [{ key: `${direction} ${place}`, path, tone: 'moss', isActive: true }];
    });
}

/** The name of the region of a place that was picked. */
export const regionOf = (place: PlaceId) => nameOf(place);
