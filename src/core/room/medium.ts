import type { Percent } from '../quantities';
import type { PlaceId } from '../anatomy/place';
import { nameOf, sideOf } from '../anatomy/place';

/** How much of an oil spreads, and over how much skin. */
export interface SpreadTable {
  /** mL on 100 cm² by kind of work. */
  readonly mlPer100Cm2: Readonly<Record<SpreadKind, number>>;
  /** Skin of an adult whose height and weight are not known (m²). */
  readonly usualSurfaceM2: number;
  /** Parts of the body with their share of the skin (%, one side where it has two). */
  readonly shares: readonly SkinShare[];
}

export type SpreadKind = 'light-glide' | 'massage' | 'deep-grip' | 'facial';

export interface SkinShare {
  readonly part: string;
  readonly percent: Percent;
  /** Both sides together, or each by itself. */
  readonly isEach: boolean;
  /** Names of the regions that it is made of. */
  readonly regions: readonly string[];
}

const stepMl = 0.5;
const cm2PerM2 = 10_000;

/** Surface of the skin (m²) from height and weight, after Mosteller. */
export const skinSurfaceM2 = (heightCm: number, weightKg: number) => Math.sqrt((heightCm * weightKg) / 3600);

/** Skin of some places (cm²). Parts of a part count by their number. */
export function skinAreaCm2(
  table: SpreadTable,
  places: ReadonlySet<PlaceId>,
  surfaceM2 = table.usualSurfaceM2,
): number {
  return table.shares.reduce((sum, { percent, isEach, regions }) => {
    const cm2 = (percent / 100) * surfaceM2 * cm2PerM2;
    const shareOf = (side: string | undefined) => {
      const touched = new Set(
        [...places].filter((id) => regions.includes(nameOf(id)) && isOn(sideOf(id), side)).map(nameOf),
      );
      return touched.size / regions.length;
    };
    return isEach
      ? sum + cm2 * shareOf('left') + cm2 * shareOf('right')
      : sum + cm2 * (shareOf('left') + shareOf('right')) * 0.5;
  }, 0);
}

const isOn = (of: string | undefined, side: string | undefined) => of === side || (of !== 'left' && of !== 'right');

/** Oil for an area (mL), rounded up to half a millilitre. */
export const mediumMl = (table: SpreadTable, areaCm2: number, kind: SpreadKind): number =>
  Math.max(0, Math.ceil((areaCm2 / 100) * (table.mlPer100Cm2[kind] / stepMl) - 1e-9)) * stepMl;
