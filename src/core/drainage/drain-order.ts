import { type Anatomy, getTerritory, limbOf, type PlaceId } from '../anatomy/place';
import type { Survey } from './survey';

/**
 * Trunk, neck and head by cost, but the lower face before the upper; then arms, then legs, one limb after the other,
 * segment by segment from the trunk, within a segment by cost, the seat after its thigh; ties by name.
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
  const laterSides = limbsThatComeLater(anatomy, survey);
  const rank = (id: PlaceId): readonly number[] => {
    const territory = getTerritory(anatomy, id);
    const segment = segmentOf(anatomy, survey, id);
    const cost = survey.routes.get(id)?.cost ?? 0;
    if (segment === 0) return [0, isUpperFace(anatomy, survey, id) ? 1 : 0, 0, 0, 0, cost];
    const part = territory.part === 'arm' ? 1 : 2;
    // One limb is finished to its end before the other is begun.
    const isLater = laterSides.has(`${part === 1 ? 'arm' : 'leg'}.${territory.side}`) ? 1 : 0;
    return [part, isLater, segment, limbOf(territory) ? 0 : 1, cost, 0];
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

/** Of two arms or two legs the one that is worked second: what is led round after what flows by nature, then the right. */
export function limbsThatComeLater(anatomy: Anatomy, survey: Survey): ReadonlySet<string> {
  const later = new Set<string>();
  for (const part of ['arm', 'leg'] as const) {
    const sides = (['left', 'right'] as const).filter((side) =>
      [...survey.routes.keys()].some((id) => limbOf(getTerritory(anatomy, id)) === `${part}.${side}`),
    );
    if (sides.length < 2) continue;
    const isRerouted = (side: string) => survey.limbs.some(({ limb }) => limb === `${part}.${side}`);
    later.add(`${part}.${isRerouted('left') && !isRerouted('right') ? 'left' : 'right'}`);
  }
  return later;
}

const belowTheNose = new Set(['chin', 'jaw', 'lip-lower', 'lip-upper', 'under-chin']);

/** The face is emptied from below: what does not drain past the lower face waits for it. */
function isUpperFace(anatomy: Anatomy, survey: Survey, id: PlaceId): boolean {
  const territory = getTerritory(anatomy, id);
  if (territory.part !== 'head') return false;
  const next = anatomy.territories.get(survey.routes.get(id)?.path[1] ?? '');
  const staysLow = !next || next.part !== 'head' || belowTheNose.has(next.name);
  return !(belowTheNose.has(territory.name) && staysLow);
}

/** Limb segment of a focus territory, the seat counting with the upper thigh; 0 on trunk, neck and head. */
export function segmentOf(anatomy: Anatomy, survey: Survey, id: PlaceId): number {
  const territory = getTerritory(anatomy, id);
  if (territory.segment !== undefined) return territory.segment;
  if (territory.name !== 'buttock') return 0;
  const leg = `leg.${territory.side}`;
  return [...survey.routes.keys()].some((other) => limbOf(getTerritory(anatomy, other)) === leg) ? 1 : 0;
}
