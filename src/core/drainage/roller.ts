import { type Anatomy, nameOf, type PlaceId } from '../anatomy/place';
import type { Hindrances } from './hindrance';
import { type Route, routesTo } from './routes';

const underRollers = new Set(['chin', 'jaw', 'lip-lower', 'under-chin']);
const upperFace = new Set([
  'lip-upper',
  'cheek',
  'cheek-outer',
  'nose',
  'eyelid-lower',
  'eyelid-upper',
  'temple',
  'forehead',
]);
const nodesOfTheFace = new Set(['submandibular', 'submental', 'cervical', 'occipital', 'retroauricular']);

/**
 * Ways of the roller school: the lower face rolls down the front of the neck to the collarbone, the upper face to the
 * ear and on. Territories that it does not treat are absent.
 */
export function rollerRoutes(anatomy: Anatomy, hindrances: Hindrances): ReadonlyMap<PlaceId, Route> {
  const routes = new Map<PlaceId, Route>();
  for (const side of ['left', 'right'] as const) {
    const target = `terminus.${side}`;
    const down = routesTo(anatomy, hindrances, {
      target,
      kinds: new Set(['flow', 'detour']),
      prefer: 'front',
      avoid: (id) => anatomy.basins.has(id) || nameOf(id) === 'shoulder-top',
    });
    const toTheEar = routesTo(anatomy, hindrances, {
      target,
      kinds: new Set(['flow']),
      prefer: 'direct',
      avoid: (id) => nodesOfTheFace.has(nameOf(id)) && nameOf(id) !== 'cervical',
    });
    for (const [id, route] of down) if (underRollers.has(nameOf(id))) routes.set(id, route);
    for (const [id, route] of toTheEar) if (upperFace.has(nameOf(id))) routes.set(id, route);
  }
  return routes;
}
