import { isOfFace } from '../anatomy/head';
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

const fine = /^(nape|neck|ear|hand|palm|fingers|wrist|foot|sole|heel|ankle|toes)/;
const broad = /^(back|thigh|buttock)/;

/** The stones of a technique on its regions; undefined where it takes none. @param regions names without side */
export function stoneUseOf(
  { id, family }: Pick<Technique, 'id' | 'family'>,
  regions: readonly string[],
): StoneUseKind | undefined {
  if (!family.startsWith('stone-') && id !== 'stone-traction') return undefined;
  const isCold = family === 'stone-cool';
  const isStill = family === 'stone-rest' || id === 'stone-cool-hold';
  return {
    size: sizeFor(id, family, regions),
    isCold,
    mode: isStill ? 'still' : 'moving',
    count: 2,
    towelLayers: family === 'stone-rest' ? 1 : 0,
  };
}

function sizeFor(id: string, family: string, regions: readonly string[]): SizeId {
  if (regions.some(isOfFace)) return 'facial';
  if (family === 'stone-rest') return 'placement';
  if (id === 'stone-strip') return 'edge';
  if (regions.length > 0 && regions.every((region) => fine.test(region))) return 'small';
  if ((id === 'stone-open' || id === 'stone-effleurage') && regions.some((region) => broad.test(region)))
    return 'large';
  return 'palm';
}
