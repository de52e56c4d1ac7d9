import { z } from 'zod';
import { findingIds, longestVisitMinutes, purposes, qualificationIds } from '../core/drainage/case';
import { visitQuestionIds } from '../core/visit/visit-check';
import { ArrangedStepSchema, SchoolSchema, StepSchema } from './drainage';
import { LimbVolumeRequest } from './limb-volume';

/** A real calendar date written YYYY-MM-DD. */
export const dateOnly = z.iso.date('Write a real date as year-month-day.');
const today = () => new Date().toISOString().slice(0, 10);
/** Some time zones are a day ahead of UTC, so one day of grace. */
const notInTheFuture = (date: string) => date <= new Date(Date.parse(today()) + 86_400_000).toISOString().slice(0, 10);
const pastDate = dateOnly
  .refine(notInTheFuture, 'This date lies in the future.')
  .refine((date) => date >= '1900-01-01', 'This date lies too far back.');

export const longestName = 120;
const name = z
  .string()
  .trim()
  .min(1, 'Write a name.')
  .max(longestName, `Keep the name within ${longestName} characters.`);
export const longestNote = 4000;
const note = z.string().max(longestNote, `Keep the note within ${longestNote} characters.`);
const place = z.string().min(1).max(60);

export const ClientInput = z.object({
  name,
  bornOn: pastDate.nullable().default(null),
  phone: z.string().trim().max(40, 'Keep the phone number within 40 characters.').default(''),
  note: note.default(''),
});
export type ClientInput = z.infer<typeof ClientInput>;

export const VisitInput = z.object({
  clientId: z.number().int().positive(),
  therapistId: z.number().int().positive(),
  /** ISO time, UTC. */
  startsAt: z.iso.datetime('Write the time as an ISO time in UTC.'),
  minutes: z
    .number()
    .int()
    .min(10, 'A visit lasts at least 10 minutes.')
    .max(longestVisitMinutes, `A visit lasts at most ${longestVisitMinutes} minutes.`),
  focus: z.array(place).min(1, 'Choose what is to be drained.').max(20),
  purpose: z.enum(purposes),
});
export type VisitInput = z.infer<typeof VisitInput>;

/** A finding as it is placed on the body map. */
export const PlacedFindingInput = z.object({
  id: z.enum(findingIds),
  side: z.enum(['left', 'right', 'both']).optional(),
  regions: z.array(place).max(60).optional(),
  crosses: z.array(z.array(place).length(2)).max(20).optional(),
  sinceOn: pastDate.nullable().default(null),
  note: z.string().max(400, 'Keep this within 400 characters.').default(''),
});
export type PlacedFindingInput = z.infer<typeof PlacedFindingInput>;

export const VisitCheckInput = z.object({
  answers: z.partialRecord(z.enum(visitQuestionIds), z.enum(['yes', 'no'])),
});
export type VisitCheckInput = z.infer<typeof VisitCheckInput>;

const taped = (limb: string) =>
  z
    .number('Type a number.')
    .gt(0, 'A girth is more than 0.')
    .lt(400, `No ${limb} is that big: check the unit or the decimal point.`)
    .nullable();
export const TapingInput = LimbVolumeRequest.pick({ limb: true, unit: true, method: true }).extend({
  phase: z.enum(['before', 'after']),
  side: z.enum(['left', 'right']),
  positions: z.array(z.number().min(0).max(120)).min(2).max(40),
  affected: z.array(taped('limb')).max(40),
  reference: z.array(taped('limb')).max(40),
  /** The version that was edited; 0 for the first save. A newer one on the server is not overwritten. */
  basedOn: z.number().int().min(0),
});
export type TapingInput = z.infer<typeof TapingInput>;

/** What a therapist may change of a plan before it is made again. */
export const PlanWishInput = z.object({
  school: SchoolSchema,
  minutes: z
    .number()
    .min(1, 'A visit lasts at least 1 minute.')
    .max(longestVisitMinutes, `A visit lasts at most ${longestVisitMinutes} minutes.`),
  fill: z.boolean(),
  basedOn: z.number().int().min(0),
});
export type PlanWishInput = z.infer<typeof PlanWishInput>;

/** A course as rearranged: the order of the ids of the plan that it is based on, some perhaps taken out. */
export const CourseInput = z.object({
  order: z.array(z.string().min(1).max(60)).min(1, 'A course needs at least one step.').max(1000),
  basedOn: z.number().int().positive(),
  /** Why a broken rule is kept; required when an error is left standing. */
  reason: z.string().trim().max(400, 'Keep the reason within 400 characters.').default(''),
});
export type CourseInput = z.infer<typeof CourseInput>;

export const tableEventKinds = ['start', 'end', 'skip', 'back', 'pause', 'resume', 'finish'] as const;
export const TableEventInput = z.object({
  /** Made by the device, so that sending twice stores once. */
  id: z.string().min(8).max(60),
  kind: z.enum(tableEventKinds),
  stepId: z.string().min(1).max(60).nullable(),
  at: z.iso.datetime(),
  planVersion: z.number().int().positive(),
});
export type TableEventInput = z.infer<typeof TableEventInput>;
export const TableEventsInput = z.object({ events: z.array(TableEventInput).min(1).max(500) });

export const ClosingInput = z.object({
  /** −1 lighter, 0 just right, 1 deeper; null: not asked. */
  pressure: z.union([z.literal(-1), z.literal(0), z.literal(1)]).nullable(),
  /** 0–10; null: not asked. */
  comfort: z.number().int().min(0).max(10).nullable(),
  /** 0 none … 4 very strong; null: not looked at. */
  redness: z.number().int().min(0).max(4).nullable(),
  note: note.default(''),
  basedOn: z.number().int().min(0),
});
export type ClosingInput = z.infer<typeof ClosingInput>;

export const CourseCheckInput = z.object({ steps: z.array(ArrangedStepSchema).max(1000) });
export const StoredStep = StepSchema;

export const HandOverInput = z.object({ therapistId: z.number().int().positive() });

export const HouseInput = z.object({
  name,
  therapistName: name,
  qualifications: z.array(z.enum(qualificationIds)).max(20),
});
export type HouseInput = z.infer<typeof HouseInput>;
