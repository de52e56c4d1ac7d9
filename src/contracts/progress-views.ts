import { z } from 'zod';
import { volumeUnits } from '../core/volume-units';
import { ChangeView } from './change-views';
import { EarnedView } from './earned-views';
import { PicturesView } from './picture-views';
import { RememberedView } from './remembered-views';
import { TrendShape } from './shapes/swelling';
import { ClientBrief } from './people-views';

/** What the Progress view is drawn from; volumes in mL over one stretch, lengths in cm. */
export const CoursePoint = z.object({
  date: z.string(),
  day: z.string(),
  visitId: z.number().nullable(),
  affectedMl: z.number(),
  affectedSdMl: z.number(),
  referenceMl: z.number().nullable(),
  excessMl: z.number().nullable(),
  excessSdMl: z.number().nullable(),
  excessPercent: z.number().nullable(),
  /** What each stretch of the course holds more than the other side (or holds, where only one is taped); null where it was not taped. */
  stretchMl: z.array(z.number().nullable()).readonly(),
  /** A number of it still has to be looked at. */
  isProvisional: z.boolean(),
  /** The affected limb after the work of the same visit. */
  afterMl: z.number().nullable(),
  afterExcessMl: z.number().nullable(),
  eightCm: z.number().nullable(),
  otherEightCm: z.number().nullable(),
  weightKg: z.number().nullable(),
});
export type CoursePoint = z.infer<typeof CoursePoint>;

export const CourseResponse = z.object({
  date: z.string(),
  day: z.string(),
  responseMl: z.number(),
  responsePercent: z.number(),
  isBeyondError: z.boolean(),
  /** Null: within measuring error, or no later taping. */
  retentionPercent: z.number().nullable(),
  days: z.number().nullable(),
  reboundMlPerDay: z.number().nullable(),
  /** The same of the excess over the other limb, where both were taped before and after. */
  excessResponseMl: z.number().nullable(),
  excessRetentionPercent: z.number().nullable(),
});
export type CourseResponse = z.infer<typeof CourseResponse>;

export const LimbCourse = z.object({
  key: z.string(),
  limb: z.enum(['arm', 'leg']),
  side: z.enum(['left', 'right']),
  method: z.enum(['frustum', 'disc', 'simpson']),
  /** What volumes are shown in; the figures here are mL. */
  volumeUnit: z.enum(volumeUnits),
  fromCm: z.number(),
  toCm: z.number(),
  /** Between the points that the whole course shares, cm. */
  stretches: z.array(z.object({ from: z.number(), to: z.number() })).readonly(),
  points: z.array(CoursePoint).readonly(),
  leftOut: z
    .array(
      z.object({
        day: z.string(),
        why: z.string(),
      }),
    )
    .readonly(),
  trends: z.object({
    excess: TrendShape.nullable(),
    affected: TrendShape.nullable(),
    reference: TrendShape.nullable(),
    eight: TrendShape.nullable(),
  }),
  /** What a change between two visits has to exceed, taped by the same therapist. */
  limitMl: z.number(),
  responses: z.array(CourseResponse).readonly(),
  medianResponseMl: z.number().nullable(),
  medianRetentionPercent: z.number().nullable(),
  retentions: z.number(),
  medianExcessRetentionPercent: z.number().nullable(),
  lowest: z
    .object({
      day: z.string(),
      ml: z.number(),
    })
    .nullable(),
  highest: z
    .object({
      day: z.string(),
      ml: z.number(),
    })
    .nullable(),
  /** Of the excess, from the first to the newest; null: none to reduce. */
  reductionPercent: z.number().nullable(),
  isLastChangeBeyond: z.boolean().nullable(),
  lastChangeMl: z.number().nullable(),
  firstChange: z
    .object({
      ml: z.number(),
      limitMl: z.number(),
      isBeyond: z.boolean(),
    })
    .nullable(),
  definition: z.object({
    short: z.string(),
    isMet: z.boolean().nullable(),
    value: z.number().nullable(),
  }),
});
export type LimbCourse = z.infer<typeof LimbCourse>;

export const CourseVisit = z.object({
  visitId: z.number(),
  date: z.string(),
  day: z.string(),
  work: z.string(),
  therapist: z.string(),
  steps: z.number().nullable(),
  /** Times that a home sheet was done between the visit before and this one; null where none was given yet. */
  homeTimes: z.number().nullable(),
  comfort: z.number().nullable(),
  pressure: z.number().nullable(),
  warmth: z.number().nullable(),
  relaxationGain: z.number().nullable(),
  rednessRise: z.number().nullable(),
  /** −1: not yet at the last look. */
  fadeMinutes: z.number().nullable(),
  rednessVerdict: z.enum(['none', 'expected', 'watch', 'reaction', 'unknown']),
  tightness: z.number().nullable(),
  heaviness: z.number().nullable(),
  pain: z.number().nullable(),
});
export type CourseVisit = z.infer<typeof CourseVisit>;

export const FeedbackLine = z.object({
  what: z.enum(['pressure', 'warmth', 'comfort', 'relaxation gain']),
  last: z.number().nullable(),
  median: z.number().nullable(),
  count: z.number(),
  preferred: z.number().nullable(),
});
export type FeedbackLine = z.infer<typeof FeedbackLine>;

/** What was felt, seen and asked, one row a visit; a cell is null where nothing was. */
export const SeenTable = z.object({
  columns: z.array(z.string()).readonly(),
  rows: z
    .array(
      z.object({
        visitId: z.number(),
        day: z.string(),
        cells: z.array(z.string().nullable()).readonly(),
      }),
    )
    .readonly(),
});
export type SeenTable = z.infer<typeof SeenTable>;

/** A sheet that the client was given, day by day. */
export const HomeCourse = z.object({
  title: z.string(),
  since: z.string(),
  isEnded: z.boolean(),
  asked: z.number(),
  done: z.number(),
  percent: z.number().nullable(),
  /** The last eight weeks, oldest first; null before the sheet and after its end. */
  days: z
    .array(
      z.object({
        day: z.string(),
        times: z.number().nullable(),
      }),
    )
    .readonly(),
});
export type HomeCourse = z.infer<typeof HomeCourse>;

/** What Progress begins with: how the swelling, the skin and the liking have gone over the visits. */
export const ProgressHead = z.object({
  client: ClientBrief,
  house: z.string(),
  today: z.string(),
  courses: z.array(LimbCourse).readonly(),
  /** Oldest first. */
  visits: z.array(CourseVisit).readonly(),
  feedback: z.array(FeedbackLine).readonly(),
  home: z.array(HomeCourse).readonly(),
});
export type ProgressHead = z.infer<typeof ProgressHead>;

/** What stands beneath it, and is asked for once the page stands. */
export const ProgressDetails = z.object({
  seen: SeenTable,
  /** Before and after of everything that is measured beside the tape. */
  changes: z.array(ChangeView).readonly(),
  pictures: PicturesView,
  /** Which work went together with what changed. */
  earned: EarnedView,
  /** What hands found over the last visits, the most present first. */
  remembered: z.array(RememberedView).readonly(),
});
export type ProgressDetails = z.infer<typeof ProgressDetails>;

/** All of it, as a report takes it. */
export type ProgressView = ProgressHead & ProgressDetails;
