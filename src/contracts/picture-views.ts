import { z } from 'zod';
import { pictureAnswers } from '../core/pictures/agreement';
import { poses } from '../core/pictures/poses';

/** Photographs of a client, and what they have said about them. */

export const PhotoView = z.object({
  id: z.number(),
  fileId: z.number(),
  pose: z.enum(poses),
  phase: z.enum(['before', 'after']),
  date: z.string(),
  takenAt: z.string(),
  visitId: z.number().nullable(),
  /** How light each half of it is, in per cent of white; null for what was kept before this was measured. */
  light: z.object({ leftPercent: z.number(), rightPercent: z.number() }).nullable(),
});
export type PhotoView = z.infer<typeof PhotoView>;

export const PicturesView = z.object({
  /** Null: nobody has asked yet. */
  answer: z.enum(pictureAnswers).nullable(),
  answeredOn: z.string().nullable(),
  /** The oldest first. */
  photos: z.array(PhotoView).readonly(),
});
export type PicturesView = z.infer<typeof PicturesView>;

export const PictureAnswerInput = z.object({
  answer: z.enum(pictureAnswers),
  /** With `refused`: what is on record goes too. */
  isErasing: z.boolean().default(false),
});
export type PictureAnswerInput = z.infer<typeof PictureAnswerInput>;
