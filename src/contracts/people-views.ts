import { stages } from '../core/visit/stage';
import { z } from 'zod';
import { qualificationIds } from '../core/drainage/case';
import { LocatableShape } from './shapes/screening';
import { ClearanceView } from './screening-views';
import { FindingShape } from './shapes/drainage';

/** What pages hand to islands: plain data, times as ISO UTC text, clock times in the house’s own zone as `14:00`. */

export const Stage = z.enum(stages);
export type Stage = z.infer<typeof Stage>;

export const StageOrEnd = z.union([z.enum(stages), z.enum(['done', 'stopped'])]);
export type StageOrEnd = z.infer<typeof StageOrEnd>;

export const TherapistView = z.object({
  id: z.number(),
  name: z.string(),
  initials: z.string(),
  title: z.string(),
  room: z.string(),
  qualifications: z.array(z.enum(qualificationIds)).readonly(),
});
export type TherapistView = z.infer<typeof TherapistView>;

/** The person signed in. */
export const MeView = z.object({
  id: z.number(),
  name: z.string(),
  initials: z.string(),
  title: z.string(),
  role: z.enum(['owner', 'therapist', 'assistant']),
  hasPin: z.boolean(),
  /** In the demo house: everybody, to go in as by one click; empty elsewhere. */
  people: z
    .array(
      z.object({
        id: z.number(),
        name: z.string(),
        title: z.string(),
      }),
    )
    .readonly(),
});
export type MeView = z.infer<typeof MeView>;

export const ClientBrief = z.object({
  id: z.number(),
  name: z.string(),
  age: z.number().nullable(),
  /** A few words that fit a glance; neutral. */
  about: z.string(),
});
export type ClientBrief = z.infer<typeof ClientBrief>;

/** A finding on the record, in the words of screening. */
export const PlacedFinding = z.object({
  key: z.number(),
  /** A condition of the screening, or `thickened` from the assessment. */
  id: z.string(),
  label: z.string(),
  /** A few words with side and places. */
  words: z.string(),
  locatable: LocatableShape,
  side: z.enum(['left', 'right', 'both']).optional(),
  regions: z.array(z.string()).readonly().optional(),
  crosses: z.array(z.array(z.string()).readonly()).readonly().optional(),
  /** A year, a year and month, or a whole date. */
  sinceOn: z.string().nullable(),
  note: z.string(),
  isUnsure: z.boolean(),
  source: z.enum(['therapist', 'client']),
  answers: z.record(z.string(), z.string()),
  clearance: ClearanceView.nullable(),
  /** What the planner of drainage makes of it; null: nothing. */
  drainage: FindingShape.nullable(),
});
export type PlacedFinding = z.infer<typeof PlacedFinding>;
