import { z } from 'zod';
import { aftercareIds } from '../core/visit/aftercare';
import { NoteDocInput } from './note';
import { longestNote } from './record';

/** −1 lighter, 0 just right, 1 deeper. */
const pressureWish = z.union([z.literal(-1), z.literal(0), z.literal(1)]);
/** Comfort, and how relaxed somebody is. */
const outOfTen = z.number().int().min(0).max(10);
/** Warmth from −2 too cool to 2 too hot, a scent from −2 dislike to 2 love. */
const fiveSteps = z.number().int().min(-2).max(2);

/** What a client can answer alone, on the tablet. */
export const feedbackFields = [
  'pressure',
  'comfort',
  'warmth',
  'scent',
  'relaxationBefore',
  'relaxationAfter',
] as const;
export type FeedbackField = (typeof feedbackFields)[number];

/** Given by the client on the turned-round tablet, one answer or several. */
export const FeedbackInput = z.object({
  pressure: pressureWish.optional(),
  comfort: outOfTen.optional(),
  warmth: fiveSteps.optional(),
  scent: fiveSteps.optional(),
  relaxationBefore: outOfTen.optional(),
  relaxationAfter: outOfTen.optional(),
});

/** What is asked and seen at the end of a visit; null: not asked, not looked at. */
export const ClosingInput = z.object({
  pressure: pressureWish.nullable(),
  comfort: outOfTen.nullable(),
  /** 0 none … 4 very strong. */
  redness: z.number().int().min(0).max(4).nullable(),
  /** The same before the work. */
  rednessBefore: z.number().int().min(0).max(4).nullable().default(null),
  /** Minutes until it was back; −1: not yet at the last look; null: not looked. */
  fadeMinutes: z.number().int().min(-1).max(10_080).nullable().default(null),
  warmth: fiveSteps.nullable().default(null),
  scent: fiveSteps.nullable().default(null),
  relaxationBefore: outOfTen.nullable().default(null),
  relaxationAfter: outOfTen.nullable().default(null),
  note: z.string().max(longestNote, `Keep the note within ${longestNote} characters.`).default(''),
  /** The note with its form; where it is given, the plain note is read from it. */
  noteDoc: NoteDocInput.nullable().default(null),
  /** Answers that the client gave with their own hand. */
  byClient: z.array(z.enum(feedbackFields)).max(feedbackFields.length).readonly().default([]),
  /** Millilitres of oil that were really used; what is left out was used as planned. */
  oilMl: z
    .object({
      body: z.number().min(0, 'Not less than nothing.').max(500, 'At most 500 mL.').optional(),
      face: z.number().min(0, 'Not less than nothing.').max(100, 'At most 100 mL.').optional(),
    })
    .default({}),
  /** How many stones were really used; null: as planned. */
  stonesUsed: z.number().int().min(0).max(80, 'At most 80 stones.').nullable().default(null),
  /** What the client is told to mind; null: as proposed. */
  aftercare: z.array(z.enum(aftercareIds)).max(aftercareIds.length).readonly().nullable().default(null),
  basedOn: z.number().int().min(0),
});
export type ClosingInput = z.infer<typeof ClosingInput>;
