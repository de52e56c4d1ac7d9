import type { Nominal } from '../nominal';
/** Where things are on a body. Sides are the client's own. */
export type Side = 'left' | 'right' | 'mid';

/** A skin territory or a node group, written `name.side`. */
export type PlaceId = Nominal<string, 'place'>;

export type Part = 'head' | 'neck' | 'trunk' | 'arm' | 'leg';
export type Quadrant = 'upper' | 'lower';
export type FigureView = 'front' | 'back' | 'face-front' | 'face-side' | 'hand' | 'foot';

/** A patch of skin that drains to one node group. */
export interface Territory {
  readonly id: PlaceId;
  readonly name: string;
  readonly side: Side;
  readonly label: string;
  /** The label without its side: `cheek` for the left one and the right one. */
  readonly bareLabel: string;
  readonly part: Part;
  /** The node group that it drains to by nature. */
  readonly home: PlaceId;
  readonly views: readonly FigureView[];
  /** Usual number of hand placements. */
  readonly placements: number;
  /** Limb segment counted from the trunk outward; absent elsewhere. */
  readonly segment?: number;
  readonly quadrant?: Quadrant;
}

/** A group of lymph nodes. */
export interface Basin {
  readonly id: PlaceId;
  readonly name: string;
  readonly side: Side;
  readonly label: string;
  readonly bareLabel: string;
  readonly receives: string;
}

export type EdgeKind = 'flow' | 'detour' | 'crossing';

/** One way in which fluid may be led, from skin or nodes to skin or nodes. */
export interface Edge {
  readonly from: PlaceId;
  readonly to: PlaceId;
  readonly kind: EdgeKind;
  /** Relative effort: 1 is about a hand's width of skin. */
  readonly cost: number;
  /** For a crossing of a watershed: its id and how a therapist names it. */
  readonly crossing?: string;
  readonly label?: string;
}

/** Regions that belong together for some of the work, by name; given by the catalogue. */
export const regionGroups = [
  'face',
  'scalp',
  'eyes',
  'before-eyes',
  'neck',
  'neck-and-shoulders',
  'neck-outlets',
  'head-nodes',
  'limb-stations',
  'spine',
  'back',
  'abdomen',
  'arm',
  'leg',
  'upper-thigh',
  'lower-thigh',
  'lower-leg',
  'foot',
  'upper-arm',
  'forearm',
  'hand',
  'head-and-neck-home',
  'behind',
  'other-hand',
  'ears',
  'never-draped',
  'lines-frown',
  'lines-forehead',
  'lines-crow',
  'lines-smile',
  'lines-mouth-corner',
  'knobbed-tool',
  'small-tool',
] as const;
export type RegionGroup = (typeof regionGroups)[number];

/** Names of the regions of each group. */
export type RegionGroups = Readonly<Record<RegionGroup, ReadonlySet<string>>>;

/** The whole map. Iteration follows the order of the catalogue. */
export interface Anatomy {
  readonly groups: RegionGroups;
  readonly territories: ReadonlyMap<PlaceId, Territory>;
  readonly basins: ReadonlyMap<PlaceId, Basin>;
  readonly edges: readonly Edge[];
  readonly edgesInto: ReadonlyMap<PlaceId, readonly Edge[]>;
}

/** @returns the part of an id behind its dot, as in `sideOf('cheek.left') === 'left'`. */
export function sideOf(id: PlaceId): Side {
  return id.slice(id.lastIndexOf('.') + 1) as Side;
}

/** @returns the part of an id before its dot. */
export function nameOf(id: PlaceId): string {
  return id.slice(0, id.lastIndexOf('.'));
}

/** Whether a place belongs to a group of regions. */
export const isIn = (anatomy: Pick<Anatomy, 'groups'>, group: RegionGroup, id: PlaceId): boolean =>
  anatomy.groups[group].has(nameOf(id));

/** The same place on the other side; a place on the middle line is its own mirror. */
export function mirrorOf(id: PlaceId): PlaceId {
  const side = sideOf(id);
  return side === 'mid' ? id : `${nameOf(id)}.${side === 'left' ? 'right' : 'left'}`;
}

/** @returns the territory or basin. @throws RangeError when the map has no such place. */
export function getPlace(anatomy: Anatomy, id: PlaceId): Territory | Basin {
  const place = anatomy.territories.get(id) ?? anatomy.basins.get(id);
  if (!place) throw new RangeError(`no place “${id}” on the body`);
  return place;
}

/** @throws RangeError when `id` is not a territory. */
export function getTerritory(anatomy: Anatomy, id: PlaceId): Territory {
  const territory = anatomy.territories.get(id);
  if (!territory) throw new RangeError(`no territory “${id}” on the body`);
  return territory;
}

/** Can be reached without turning the client face down. */
export function isInFront(anatomy: Anatomy, id: PlaceId): boolean {
  const territory = anatomy.territories.get(id);
  return !territory || territory.views.some((view) => view === 'front' || view === 'face-front' || view === 'hand');
}

/** The limb that a territory belongs to, as `leg.left`, or undefined on trunk, neck and head. */
export function limbOf(territory: Territory): PlaceId | undefined {
  return territory.part === 'leg' || territory.part === 'arm' ? `${territory.part}.${territory.side}` : undefined;
}

/** A region by its name alone, as therapists call it: `calf-lower` is “lower calf and heel cord”. */
export function regionLabel(anatomy: Anatomy, name: string): string {
  const place = ['left', 'mid'].flatMap(
    (side) => anatomy.territories.get(`${name}.${side}`) ?? anatomy.basins.get(`${name}.${side}`) ?? [],
  )[0];
  return place?.bareLabel ?? name;
}
