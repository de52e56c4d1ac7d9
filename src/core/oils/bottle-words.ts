import type { OilId } from '../ids';
import type { Area } from './book';

/** What stands on a bottle, and on the sheet that goes home with it. */
export interface BottleWords {
  /** An essential oil or a carrier as it is commonly called. */
  readonly oilName: (id: OilId) => string;
  readonly goes: Readonly<Record<Area, string>>;
  readonly mind: string;
  readonly noSun: (hours: number) => string;
  readonly percent: (percent: number) => string;
  readonly made: (percent: string, ml: number, mixedOn: string, useBy: string) => string;
  readonly forHome: (blend: string) => string;
  readonly leftGoodUntil: (day: string) => string;
  readonly patDry: string;
  readonly blot: string;
  readonly wipeForSun: string;
  readonly wipeForTheWay: string;
  readonly leaveOn: string;
  readonly outOfSun: (hours: number) => string;
  readonly littleCitrus: string;
  readonly keepFromEyes: string;
  readonly keepFromChildren: string;
  readonly itchSensitive: string;
  readonly itch: string;
}
