import type { RegionGroups } from '../anatomy/place';
import type { Technique } from '../library/technique';
import type { SizeId } from './book';

/** How a technique takes stones: which, how many at once, moved or laid. */
export interface StoneUseKind {
  readonly size: SizeId;
  readonly isCold: boolean;
  readonly mode: 'moving' | 'still';
  readonly count: number;
  readonly towelLayers: number;
}

const stoneFamilies: ReadonlySet<string> = new Set(['stone-glide', 'stone-press', 'stone-rest', 'stone-cool']);

/** The stones of a technique on its regions; undefined where it takes none. @param regions names without side */
export function stoneUseOf(
  groups: RegionGroups,
  { id, family }: Pick<Technique, 'id' | 'family'>,
  regions: readonly string[],
): StoneUseKind | undefined {
  if (!stoneFamilies.has(family) && id !== 'stone-traction') return undefined;
  const isCold = family === 'stone-cool';
  const isStill = family === 'stone-rest' || id === 'stone-cool-hold';
  return {
    size: sizeFor(groups, id, family, regions),
    isCold,
    mode: isStill ? 'still' : 'moving',
    count: 2,
    towelLayers: family === 'stone-rest' ? 1 : 0,
  };
}

function sizeFor(groups: RegionGroups, id: string, family: string, regions: readonly string[]): SizeId {
  if (regions.some((region) => groups.face.has(region))) return 'facial';
  if (family === 'stone-rest') return 'placement';
  if (id === 'stone-strip') return 'edge';
  if (regions.length > 0 && regions.every((region) => groups['small-stone'].has(region))) return 'small';
  if ((id === 'stone-open' || id === 'stone-effleurage') && regions.some((region) => groups['large-stone'].has(region)))
    return 'large';
  return 'palm';
}
