import { z } from 'zod';
import { measureSheets } from '../core/visit/first-sheet';
import { referralLevels } from '../core/swelling/referral';
import { DatedTaping, TapingView, VisitView } from './visit-views';
import { ClientMeasuringShape, MeasuringSettingsShape, TapeProtocolShape } from './shapes/swelling';
import { observationOf } from './measures';
import { PicturesView } from './picture-views';

/** What pages of measuring and looking back hand to islands. */

/** Something felt, seen or said; the kind decides the shape of its value. */
export const ObservationView = observationOf({
  key: z.number(),
  takenAt: z.string(),
  visitId: z.number().nullable(),
  by: z.number().nullable(),
});
export type ObservationView = z.infer<typeof ObservationView>;

export const FlagView = z.object({
  id: z.number(),
  rule: z.string(),
  level: z.enum(referralLevels),
  why: z.string(),
  raised: z.string(),
  isOfThisVisit: z.boolean(),
});
export type FlagView = z.infer<typeof FlagView>;

/** The error that the one who tapes has shown in pairs of readings; volumes in mL. */
export const OwnErrors = z.partialRecord(
  z.enum(['arm', 'leg']),
  z.object({
    pairs: z.number(),
    mdc95: z.number(),
    isShifted: z.boolean(),
  }),
);
export type OwnErrors = z.infer<typeof OwnErrors>;

/** Everything that the Measure view opens with. */
export const MeasureView = z.object({
  visit: VisitView,
  /** The sheet that its work asks for. */
  firstSheet: z.enum(measureSheets),
  house: MeasuringSettingsShape,
  client: ClientMeasuringShape,
  protocols: z.array(TapeProtocolShape).readonly(),
  /** Newest taping of each limb of this visit, before and after. */
  tapings: z.array(TapingView).readonly(),
  /** Earlier tapings before the work, newest first, one a limb. */
  lastTapings: z.array(DatedTaping).readonly(),
  /** Starting points: the first taping on record, or the one marked as baseline, one a limb. */
  baselines: z.array(DatedTaping).readonly(),
  observations: z.array(ObservationView).readonly(),
  /** The newest of each kind and place from earlier visits. */
  lastObservations: z.array(ObservationView).readonly(),
  /** The first of each kind and place, where the course began. */
  firstObservations: z.array(ObservationView).readonly(),
  pictures: PicturesView,
  flags: z.array(FlagView).readonly(),
  ownErrors: OwnErrors,
  /** What the skin did after the last visit, when it was more than expected. */
  lastReaction: z.string().nullable(),
  /** Body weight when it was last taken. */
  lastWeight: z
    .object({
      kg: z.number(),
      date: z.string(),
    })
    .nullable(),
});
export type MeasureView = z.infer<typeof MeasureView>;
