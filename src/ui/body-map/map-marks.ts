import type { PlaceId } from '../../core/anatomy/place';
import type { PebbleKind } from '../pebbles';
import type { RouteTone } from './MapRoute';
import type { SignKind } from './MapSign';
import type { RegionTone } from './RegionPatterns';

export interface RegionMark {
  readonly tone: RegionTone;
  /** Said with the name, as in “left lower calf, to drain”. */
  readonly words: string;
  /** 0–1, for tints that mean an amount. */
  readonly strength?: number;
}

export interface PebbleMark {
  readonly key: string;
  readonly place: PlaceId;
  readonly number: number;
  readonly kind: PebbleKind;
  readonly state?: 'due' | 'done' | 'fault';
  readonly isSelected?: boolean;
}

export interface RouteMark {
  readonly key: string;
  readonly path: readonly PlaceId[];
  readonly tone: RouteTone;
  /** Moves along the way, to show the direction. */
  readonly isActive?: boolean;
}

export interface SignMark {
  readonly key: string;
  readonly kind: SignKind;
  readonly place: PlaceId;
  /** For a scar: the neighbour on its other side. */
  readonly other?: PlaceId;
}
