import type { MaterialId, SizeId } from '../core/stones/book';
import type { StoneCue } from '../core/stones/cues';
import type { FirstTouch, StoneClient, StoneHabits } from '../core/stones/from-plan';
import type { Rotation } from '../core/stones/rotation';
import type { BathReading } from '../core/stones/thermometer';
import type { BathDeviceInput } from './stones';

export interface StoneView {
  readonly id: number;
  readonly size: SizeId;
  readonly material: MaterialId;
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly massG: number | null;
  readonly state: 'in-use' | 'chipped' | 'retired';
  readonly note: string;
  /** In words; null: never written down. */
  readonly lastCleaned: string | null;
  readonly lastOiled: string | null;
}

/** Hot or cold stones of one visit: what is asked, and which stone serves when. */
export interface RotationView {
  readonly isCold: boolean;
  readonly bathC: number;
  readonly rotation: Rotation;
  /** Step → its part of the treatment, in words. */
  readonly names: Readonly<Record<string, string>>;
  readonly waysOut: readonly { readonly kind: string; readonly words: string }[];
}

export interface StoneVisitView {
  readonly id: number;
  readonly client: string;
  readonly time: string;
  readonly work: string;
  readonly minutes: number;
  readonly limits: StoneClient;
  readonly moving: FirstTouch;
  readonly resting: FirstTouch;
  /** Why no heat at all; empty where it may be given. */
  readonly noHeat: string;
  readonly rotations: readonly RotationView[];
}

export interface BathView {
  readonly reading: BathReading;
  readonly device: {
    readonly isOn: boolean;
    readonly setC: number;
    readonly stones: number;
    readonly fault: NonNullable<BathDeviceInput['fault']>;
  };
}

export interface StoneBenchView {
  readonly habits: StoneHabits;
  readonly stones: readonly StoneView[];
  readonly lastWaterChange: string | null;
  readonly warmUpMinutes: number | null;
  readonly bath: BathView;
  readonly visits: readonly { readonly id: number; readonly client: string; readonly time: string }[];
  readonly visit: StoneVisitView | null;
  /** Where no visit is looked at: all planned ones of today out of the same baths. */
  readonly day: { readonly from: string; readonly minutes: number; readonly rotations: readonly RotationView[] } | null;
}

/** Stones as the table leads through them. */
export interface TableStones {
  readonly cues: readonly StoneCue[];
  /** What the hot bath is set to; null where nothing hot is taken. */
  readonly hotBathC: number | null;
}
