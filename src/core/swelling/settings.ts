import type { Percent } from '../quantities';
import type { LengthUnit } from '../units';
import type { VolumeUnit } from '../volume-units';
import type { DefinitionId } from './definitions';
import type { MeasuredQuantity } from './detectable';
import type { Confidence } from './trend';
import type { VolumeMethod } from './volume';

/** What the house has decided about measuring; the defaults are the literature's. */
export interface MeasuringSettings {
  readonly unit: LengthUnit;
  /** On the screen and on paper; computing is in mL. */
  readonly volumeUnit: VolumeUnit;
  readonly method: VolumeMethod;
  /** Standard deviation of one girth (cm), 0–2. */
  readonly tapeSigmaCm: number;
  /** How much larger a dominant arm is taken to be (%), 0–20; 0: off. */
  readonly dominanceCorrectionPercent: Percent;
  readonly definition: DefinitionId;
  readonly readingsPerPoint: 1 | 2;
  readonly confidence: Confidence;
  /** Readings of the client's own clinic or device may be typed in. */
  readonly isImpedanceShown: boolean;
  /** The house's own minimal detectable changes, in place of the table's. */
  readonly detectable: Readonly<Partial<Record<MeasuredQuantity, number>>>;
}

/**
 * The error of one girth is what trained hands with a non-stretch tape reach; dominance is off until a practice decides
 * otherwise (published arms differ by 1 to 3.5 %: Gebruers and others (2007), Clin Physiol Funct Imaging 27:17–22;
 * Dylke and others (2012), Lymphat Res Biol 10:182–188).
 */
export const usualMeasuring: MeasuringSettings = {
  unit: 'cm',
  volumeUnit: 'ml',
  method: 'frustum',
  tapeSigmaCm: 0.2,
  dominanceCorrectionPercent: 0,
  definition: 'excess-volume-10-percent',
  readingsPerPoint: 2,
  confidence: 0.95,
  isImpedanceShown: false,
  detectable: {},
};

export type Handedness = 'left' | 'right' | 'none';

/** How one client is measured, the same every time. */
export interface ClientMeasuring {
  readonly protocols: Readonly<Partial<Record<'arm' | 'leg', string>>>;
  readonly limb: 'arm' | 'leg' | null;
  readonly side: 'left' | 'right' | null;
  readonly hand: Handedness;
  /** One side after the other, or both at each point. */
  readonly order: 'one-side' | 'side-by-side';
  readonly unit: LengthUnit | null;
  readonly method: VolumeMethod | null;
  /** The abdomen's zero height above the floor (cm), written down once. */
  readonly navelHeightCm: number | null;
  /** Day of the taping chosen as the starting point; null: the first one on record. */
  readonly baselineOn: string | null;
  /** Whether a clinician has looked at this swelling; null: not asked. */
  readonly wasAssessed: boolean | null;
}

export const usualClientMeasuring: ClientMeasuring = {
  protocols: {},
  limb: null,
  side: null,
  hand: 'none',
  order: 'one-side',
  unit: null,
  method: null,
  navelHeightCm: null,
  baselineOn: null,
  wasAssessed: null,
};

/** What a volume is worked out with. */
export interface VolumeSettings {
  readonly method: VolumeMethod;
  readonly tapeSigmaCm: number;
  readonly dominanceCorrectionPercent: Percent;
  readonly hand: Handedness;
}

export const usualVolume: VolumeSettings = {
  method: usualMeasuring.method,
  tapeSigmaCm: usualMeasuring.tapeSigmaCm,
  dominanceCorrectionPercent: usualMeasuring.dominanceCorrectionPercent,
  hand: 'none',
};

/** The house's settings with what is particular to the client. */
export function volumeSettings(house: MeasuringSettings, client: ClientMeasuring): VolumeSettings {
  return {
    method: client.method ?? house.method,
    tapeSigmaCm: house.tapeSigmaCm,
    dominanceCorrectionPercent: house.dominanceCorrectionPercent,
    hand: client.hand,
  };
}

/** Which of the two limbs is the dominant one, as seen from the affected side. */
export function dominantLimb(hand: Handedness, affected: 'left' | 'right'): 'affected' | 'reference' | 'none' {
  if (hand === 'none') return 'none';
  return hand === affected ? 'affected' : 'reference';
}
