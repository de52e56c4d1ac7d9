import type { Celsius, Seconds } from '../quantities';
/** What the calculations of stones are made from; the catalogue brings the figures. */

export const materialIds = [
  'basalt',
  'marble',
  'jadeite',
  'nephrite',
  'serpentine',
  'soapstone',
  'granite',
  'rose-quartz',
  'selenite',
] as const;
export type MaterialId = (typeof materialIds)[number];

export const sizeIds = ['placement', 'large', 'palm', 'small', 'edge', 'toe', 'facial'] as const;
export type SizeId = (typeof sizeIds)[number];

export const skinIds = ['normal', 'thin', 'thick'] as const;
export type SkinId = (typeof skinIds)[number];

export const layerIds = ['epidermis', 'dermis', 'fat', 'muscle'] as const;
export type LayerId = (typeof layerIds)[number];

/** What conducts and holds heat. */
export interface Medium {
  readonly densityKgM3: number;
  readonly specificHeatJKgK: number;
  readonly conductivityWMK: number;
}

export interface Material extends Medium {
  readonly label: string;
  readonly conductivityRangeWMK: readonly number[];
  readonly hotUse: string;
  readonly coldUse: string;
  readonly isWaterSafe: boolean;
  readonly note: string;
}

export interface Size {
  readonly label: string;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly use: string;
}

export interface SkinLayer {
  readonly thicknessMm: number;
  readonly perfusionPerS: number;
}

type BySkin = Readonly<Record<SkinId, number>>;

export interface StoneLimits {
  /** Nothing hotter, whatever else holds. */
  readonly capC: Celsius;
  readonly firstContactC: Readonly<Record<'moving' | 'oneTowel' | 'moreTowels', BySkin>>;
  readonly nearC: Celsius;
  readonly bareStopC: Celsius;
  readonly bareCautionC: Celsius;
  readonly basalCautionC: Celsius;
  readonly basalStopC: Celsius;
  readonly omegaCaution: number;
  readonly omegaStop: number;
  readonly coldStartStopC: Celsius;
  readonly coldSurfaceStopC: BySkin;
  readonly coldSurfaceCautionC: BySkin;
  readonly coldBareCautionSeconds: Seconds;
  readonly coldCautionSeconds: Seconds;
}

export interface StonePhysics {
  readonly ambientC: Celsius;
  readonly skinC: Celsius;
  readonly coreC: Celsius;
  readonly bloodJM3K: number;
  readonly oilFilmM2KW: number;
  readonly towelMm: number;
  readonly towelWMK: number;
  readonly dampTowelWMK: number;
  readonly towelKgM3: number;
  readonly towelJKgK: number;
  readonly towelFaceM2KW: number;
  readonly airWM2K: number;
  readonly glideShare: number;
  readonly glideWM2K: number;
  readonly glideSkinC: Celsius;
  readonly handWM2K: number;
  readonly handC: Celsius;
  readonly passContactSeconds: Seconds;
  readonly passPeriodSeconds: Seconds;
  readonly bathWM2K: number;
  readonly waterJLK: number;
  readonly bathLossWK: number;
  readonly openBathLossWK: number;
  readonly lumpedBiot: number;
  readonly longestSeconds: Seconds;
  readonly thomsenExponent: number;
  readonly damageLogPerS: number;
  readonly damageJMol: number;
  readonly gasJMolK: number;
  readonly kelvin: number;
}

export interface RotationHabits {
  readonly pickupDropC: Celsius;
  readonly handlingSeconds: Seconds;
  readonly usefulStepSeconds: Seconds;
  readonly reheatStepSeconds: Seconds;
  readonly restStepSeconds: Seconds;
  readonly extraRuns: number;
  readonly shortestExtraRunSeconds: Seconds;
  readonly placedTissueM2KW: number;
  readonly placedSkinC: Celsius;
  readonly shortageGapSeconds: Seconds;
}

export interface StoneBook {
  readonly materials: Readonly<Record<MaterialId, Material>>;
  readonly sizes: Readonly<Record<SizeId, Size>>;
  readonly tissue: Readonly<Record<LayerId, Medium>>;
  readonly skins: Readonly<Record<SkinId, Readonly<Record<LayerId, SkinLayer>>>>;
  readonly physics: StonePhysics;
  readonly limits: StoneLimits;
  readonly rotation: RotationHabits;
}

/** √(kρc): how hot or cold something feels at the first touch (W·s½/(m²·K)). */
export const effusivityOf = ({ conductivityWMK, densityKgM3, specificHeatJKgK }: Medium): number =>
  Math.sqrt(conductivityWMK * densityKgM3 * specificHeatJKgK);

/** k/(ρc) (m²/s). */
export const diffusivityOf = ({ conductivityWMK, densityKgM3, specificHeatJKgK }: Medium): number =>
  conductivityWMK / (densityKgM3 * specificHeatJKgK);
