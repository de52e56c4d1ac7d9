import type { Trend } from '../core/swelling/trend';
import type { VolumeUnit } from '../core/volume-units';
import type { ClientBrief } from './people-views';

/** What the Progress view is drawn from; volumes in mL over one stretch, lengths in cm. */

export interface CoursePoint {
  readonly date: string;
  readonly day: string;
  readonly visitId: number | null;
  readonly affectedMl: number;
  readonly affectedSdMl: number;
  readonly referenceMl: number | null;
  readonly excessMl: number | null;
  readonly excessSdMl: number | null;
  readonly excessPercent: number | null;
  readonly segments: readonly { readonly from: number; readonly to: number; readonly ml: number }[];
  /** A number of it still has to be looked at. */
  readonly isProvisional: boolean;
  /** The affected limb after the work of the same visit. */
  readonly afterMl: number | null;
  readonly afterExcessMl: number | null;
  readonly eightCm: number | null;
  readonly otherEightCm: number | null;
  readonly weightKg: number | null;
}

export interface CourseResponse {
  readonly date: string;
  readonly day: string;
  readonly responseMl: number;
  readonly responsePercent: number;
  readonly isBeyondError: boolean;
  /** Null: within measuring error, or no later taping. */
  readonly retentionPercent: number | null;
  readonly days: number | null;
  readonly reboundMlPerDay: number | null;
  /** The same of the excess over the other limb, where both were taped before and after. */
  readonly excessResponseMl: number | null;
  readonly excessRetentionPercent: number | null;
}

export interface LimbCourse {
  readonly key: string;
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly method: 'frustum' | 'disc' | 'simpson';
  /** What volumes are shown in; the figures here are mL. */
  readonly volumeUnit: VolumeUnit;
  readonly fromCm: number;
  readonly toCm: number;
  readonly points: readonly CoursePoint[];
  readonly leftOut: readonly { readonly day: string; readonly why: string }[];
  readonly trends: {
    readonly excess: Trend | null;
    readonly affected: Trend | null;
    readonly reference: Trend | null;
    readonly eight: Trend | null;
  };
  /** What a change between two visits has to exceed, taped by the same therapist. */
  readonly limitMl: number;
  readonly responses: readonly CourseResponse[];
  readonly medianResponseMl: number | null;
  readonly medianRetentionPercent: number | null;
  readonly retentions: number;
  readonly medianExcessRetentionPercent: number | null;
  readonly lowest: { readonly day: string; readonly ml: number } | null;
  readonly highest: { readonly day: string; readonly ml: number } | null;
  /** Of the excess, from the first to the newest; null: none to reduce. */
  readonly reductionPercent: number | null;
  readonly isLastChangeBeyond: boolean | null;
  readonly lastChangeMl: number | null;
  readonly firstChange: { readonly ml: number; readonly limitMl: number; readonly isBeyond: boolean } | null;
  readonly definition: { readonly short: string; readonly isMet: boolean | null; readonly value: number | null };
}

export interface CourseVisit {
  readonly visitId: number;
  readonly date: string;
  readonly day: string;
  readonly work: string;
  readonly therapist: string;
  readonly steps: number | null;
  /** Times that a home sheet was done between the visit before and this one; null where none was given yet. */
  readonly homeTimes: number | null;
  readonly comfort: number | null;
  readonly pressure: number | null;
  readonly warmth: number | null;
  readonly relaxationGain: number | null;
  readonly rednessRise: number | null;
  /** −1: not yet at the last look. */
  readonly fadeMinutes: number | null;
  readonly rednessVerdict: 'none' | 'expected' | 'watch' | 'reaction' | 'unknown';
  readonly tightness: number | null;
  readonly heaviness: number | null;
  readonly pain: number | null;
}

export interface FeedbackLine {
  readonly what: 'pressure' | 'warmth' | 'comfort' | 'relaxation gain';
  readonly last: number | null;
  readonly median: number | null;
  readonly count: number;
  readonly preferred: number | null;
}

/** What was felt, seen and asked, one row a visit; a cell is null where nothing was. */
export interface SeenTable {
  readonly columns: readonly string[];
  readonly rows: readonly {
    readonly visitId: number;
    readonly day: string;
    readonly cells: readonly (string | null)[];
  }[];
}

export interface ProgressView {
  readonly client: ClientBrief;
  readonly house: string;
  readonly today: string;
  readonly courses: readonly LimbCourse[];
  /** Oldest first. */
  readonly visits: readonly CourseVisit[];
  readonly seen: SeenTable;
  readonly feedback: readonly FeedbackLine[];
  readonly home: readonly HomeCourse[];
}

/** A sheet that the client was given, day by day. */
export interface HomeCourse {
  readonly title: string;
  readonly since: string;
  readonly isEnded: boolean;
  readonly asked: number;
  readonly done: number;
  readonly percent: number | null;
  /** The last eight weeks, oldest first; null before the sheet and after its end. */
  readonly days: readonly { readonly day: string; readonly times: number | null }[];
}
