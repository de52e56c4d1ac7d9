import { type Anatomy, nameOf, type PlaceId, type RegionGroups, type Territory } from './place';

type Belongs = (territory: Territory, groups: RegionGroups) => boolean;

/** Areas that are always named with a side. The leg begins at the seat: a swollen leg without it is half done. */
const sidedAreas: Readonly<Record<string, Belongs>> = {
  leg: (t) => t.part === 'leg' || t.name === 'buttock',
  arm: (t) => t.part === 'arm',
  'trunk-upper': (t) => t.quadrant === 'upper',
  'trunk-lower': (t) => t.quadrant === 'lower',
};

/** Areas that mean both sides when no side is given. */
const wholeAreas: Readonly<Record<string, Belongs>> = {
  face: (t, groups) => groups.face.has(t.name),
  neck: (t) => t.part === 'neck',
  abdomen: (t, groups) => groups.abdomen.has(t.name),
  'whole-body': () => true,
};

/** Names of all areas that a focus may be given as, for menus and messages. */
export const areaIds: readonly PlaceId[] = [
  ...Object.keys(sidedAreas).flatMap((name) => [`${name}.left`, `${name}.right`]),
  ...Object.keys(wholeAreas),
  ...Object.keys(wholeAreas)
    .filter((name) => name !== 'whole-body')
    .flatMap((name) => [`${name}.left`, `${name}.right`]),
];

/** The limb that an area is: `leg` for `leg.left`; undefined for trunk, face and the rest. */
export function limbOfArea(id: PlaceId): 'leg' | 'arm' | undefined {
  const name = nameOf(id);
  return name === 'leg' || name === 'arm' ? name : undefined;
}

const areaIdSet = new Set(areaIds);

/**
 * Territories of an area such as `leg.left` or `face`, or the one territory of that id.
 * @returns ids in the order of the catalogue, or undefined when neither an area nor a territory has that name
 */
export function expandArea(anatomy: Anatomy, id: PlaceId): readonly PlaceId[] | undefined {
  if (anatomy.territories.has(id)) return [id];
  if (!areaIdSet.has(id)) return undefined;
  const [name = '', side] = id.split('.');
  const belongs = sidedAreas[name] ?? wholeAreas[name];
  if (!belongs) return undefined;
  return [...anatomy.territories.values()]
    .filter((t) => belongs(t, anatomy.groups) && (side === undefined || t.side === side))
    .map((t) => t.id);
}
