import type { Millilitres } from './quantities';
import { formatNumber, formatSigned } from './units';

export const volumeUnits = ['ml', 'us-fl-oz', 'imp-fl-oz'] as const;
export type VolumeUnit = (typeof volumeUnits)[number];

/** How volumes are shown; computing and storing stay in mL. */
export interface ShownVolumes {
  /** Always says which ounce. */
  readonly name: string;
  readonly decimals: number;
  /** Unrounded, in the unit. */
  readonly from: (ml: Millilitres) => number;
  readonly toMl: (shown: number) => Millilitres;
  readonly bare: (ml: Millilitres) => string;
  readonly text: (ml: Millilitres) => string;
  /** With a plus sign on what is above zero. */
  readonly signed: (ml: Millilitres) => string;
  readonly signedBare: (ml: Millilitres) => string;
}

/** Exact by definition: 231 in³ / 128, and 4.54609 L / 160. */
const mlPer: Readonly<Record<VolumeUnit, number>> = { ml: 1, 'us-fl-oz': 29.5735295625, 'imp-fl-oz': 28.4130625 };
const names: Readonly<Record<VolumeUnit, string>> = { ml: 'mL', 'us-fl-oz': 'US fl oz', 'imp-fl-oz': 'imp fl oz' };

/** Whole mL, or tenths of a fluid ounce. */
export function volumesIn(unit: VolumeUnit): ShownVolumes {
  const [name, decimals] = [names[unit], unit === 'ml' ? 0 : 1];
  const from = (ml: Millilitres) => ml / mlPer[unit];
  return {
    name,
    decimals,
    from,
    toMl: (shown) => shown * mlPer[unit],
    bare: (ml) => formatNumber(from(ml), decimals),
    text: (ml) => `${formatNumber(from(ml), decimals)} ${name}`,
    signedBare: (ml) => formatSigned(from(ml), decimals),
    signed: (ml) => `${formatSigned(from(ml), decimals)} ${name}`,
  };
}

export const inMl = volumesIn('ml');
