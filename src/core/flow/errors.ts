import type { Anatomy, PlaceId } from '../anatomy/place';
import type { FieldError } from '../result';
import type { FlowStep, StartMl } from './model';
import { flowSays } from './flow.says';

interface Asked {
  readonly steps: readonly Pick<FlowStep, 'place' | 'toward' | 'via'>[];
  readonly start?: StartMl | undefined;
}

/** Places that the body does not have, and fluid that would begin in a group of nodes: each with its field. */
export function flowErrors(anatomy: Anatomy, { steps, start = {} }: Asked): readonly FieldError[] {
  const isPlace = (id: PlaceId) => anatomy.territories.has(id) || anatomy.basins.has(id);
  const unknown = (path: string, id: PlaceId): FieldError => ({
    path,
    message: flowSays.thereIsNoPlaceOnThe(id),
  });
  return [
    ...Object.keys(start).flatMap((id): readonly FieldError[] => {
      if (!isPlace(id)) return [unknown(`start.${id}`, id)];
      return anatomy.territories.has(id) ? [] : [{ path: `start.${id}`, message: flowSays.fluidBeginsInSkinNameA }];
    }),
    ...steps.flatMap(({ place, toward, via }, i) => [
      ...(isPlace(place) ? [] : [unknown(`steps.${i}.place`, place)]),
      ...(toward === null || isPlace(toward) ? [] : [unknown(`steps.${i}.toward`, toward)]),
      ...via.flatMap((id, k) => (isPlace(id) ? [] : [unknown(`steps.${i}.via.${k}`, id)])),
    ]),
  ];
}
