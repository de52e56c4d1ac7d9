import { type Anatomy, getTerritory, limbOf, type PlaceId } from '../anatomy/place';
import type { Survey } from './survey';

/**
 * Trunk, neck and head by cost, but the lower face before the upper; then arms, then legs, segment by segment from the
 * trunk, the sound side's first, within a segment by cost, the seat after its thigh; ties by name.
 */
export function drainOrder(anatomy: Anatomy, survey: Survey): readonly PlaceId[] {
  let order = orders.get(survey);
  if (!order) {
    order = findDrainOrder(anatomy, survey);
    orders.set(survey, order);
  }
  return order;
}

/** A survey is written into many courses while the time is fitted; its order stays the same. */
const orders = new WeakMap<Survey, readonly PlaceId[]>();

function findDrainOrder(anatomy: Anatomy, survey: Survey): readonly PlaceId[] {
  const rank = (id: PlaceId): readonly number[] => {
    const territory = getTerritory(anatomy, id);
    const segment = segmentOf(anatomy, survey, id);
    const cost = survey.routes.get(id)?.cost ?? 0;
    if (segment === 0) return [0, isUpperFace(anatomy, survey, id) ? 1 : 0, 0, 0, cost];
    const side = (survey.rerouted.has(id) ? 2 : 0) + (territory.side === 'left' ? 0 : 1);
    return [territory.part === 'arm' ? 1 : 2, segment, side, limbOf(territory) ? 0 : 1, cost];
  };
  const ranked = [...survey.routes.keys()].map((id) => ({ id, rank: rank(id) }));
  ranked.sort((a, b) => {
    const decisive = a.rank.findIndex((value, i) => value !== b.rank[i]);
    if (decisive >= 0) return (a.rank[decisive] ?? 0) - (b.rank[decisive] ?? 0);
    return a.id < b.id ? -1 : 1;
  });
  return afterWhatLiesAhead(
    survey,
    ranked.map(({ id }) => id),
  );
}

/** Equal costs may leave a place before one that its own way runs through: each waits until those are done. */
function afterWhatLiesAhead(survey: Survey, ranked: readonly PlaceId[]): readonly PlaceId[] {
  const left = [...ranked];
  const waiting = new Set(left);
  const ordered: PlaceId[] = [];
  while (left.length > 0) {
    const isFree = (id: PlaceId) => !survey.routes.get(id)?.path.some((ahead) => ahead !== id && waiting.has(ahead));
    const [next] = left.splice(Math.max(0, left.findIndex(isFree)), 1) as [PlaceId];
    waiting.delete(next);
    ordered.push(next);
  }
  return ordered;
}

const lowerFace = new Set(['chin', 'jaw', 'lip-lower', 'lip-upper', 'under-chin']);

/** The face is emptied from below: what does not drain past the lower face waits for it. */
function isUpperFace(anatomy: Anatomy, survey: Survey, id: PlaceId): boolean {
  const territory = getTerritory(anatomy, id);
  if (territory.part !== 'head') return false;
  const next = anatomy.territories.get(survey.routes.get(id)?.path[1] ?? '');
  const staysLow = !next || next.part !== 'head' || lowerFace.has(next.name);
  return !(lowerFace.has(territory.name) && staysLow);
}

/** Limb segment of a focus territory, the seat counting with the upper thigh; 0 on trunk, neck and head. */
export function segmentOf(anatomy: Anatomy, survey: Survey, id: PlaceId): number {
  const territory = getTerritory(anatomy, id);
  if (territory.segment !== undefined) return territory.segment;
  if (territory.name !== 'buttock') return 0;
  const leg = `leg.${territory.side}`;
  return [...survey.routes.keys()].some((other) => limbOf(getTerritory(anatomy, other)) === leg) ? 1 : 0;
}
