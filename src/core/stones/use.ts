import type { StoneWish, Technique } from '../library/technique';
import { type SizeId, sizeIds } from './book';

/** How a step takes stones: which, how many at once, moved or laid. */
export interface StoneUseKind {
  readonly size: SizeId;
  readonly isCold: boolean;
  readonly mode: 'moving' | 'still';
  readonly count: number;
  readonly towelLayers: number;
  /** Those of the step before serve on; left out in plans of before it was kept. */
  readonly keep?: boolean | undefined;
}

/** For techniques of the house's own that name no stones: a palm stone in each hand. */
const usualWish: StoneWish = { size: 'palm', count: 2, keep: true };
const stoneFamilies: ReadonlySet<string> = new Set(['stone-glide', 'stone-press', 'stone-rest', 'stone-cool']);

/**
 * The stones of a step; undefined where it takes none.
 * @param wish what the step asks for where that differs from its technique
 */
export function stoneUseOf(
  { family, direction, stones }: Pick<Technique, 'family' | 'direction' | 'stones'>,
  wish?: StoneWish,
): StoneUseKind | undefined {
  const { size, count, keep } = wish ?? stones ?? usualWish;
  if (!wish && !stones && !stoneFamilies.has(family)) return undefined;
  const isCold = family === 'stone-cool';
  const isLaid = family === 'stone-rest';
  const known = sizeIds.find((id) => id === size) ?? 'palm';
  // A cool stone that is led nowhere is held.
  const mode = isLaid || (isCold && direction === 'none') ? 'still' : 'moving';
  return { size: known, isCold, mode, count, towelLayers: isLaid ? 1 : 0, keep };
}
