import { z } from 'zod';
import { languageIds } from '../core/language';
import { qualificationIds } from '../core/drainage/case';

export const SignInInput = z.object({
  login: z.string().trim().min(1, 'Write your sign-in name.').max(60),
  password: z.string().min(1, 'Write your password.').max(200),
});

export const DemoSignInInput = z.object({ staffId: z.number().int().positive() });
export const PinInput = z.object({ pin: z.string().max(20) });
export const HandInput = z.object({ visitId: z.number().int().positive() });
export const NewPinInput = z.object({ password: z.string().max(200), pin: z.string().max(20) });

const hours = z.tuple([
  z.string().regex(/^\d{1,2}:\d{2}$/, 'Write times such as 9:00.'),
  z.string().regex(/^\d{1,2}:\d{2}$/, 'Write times such as 17:30.'),
]);

export const StaffInput = z.object({
  name: z.string().trim().min(1, 'Write a name.').max(120),
  login: z
    .string()
    .trim()
    .toLowerCase()
    .regex(/^[a-z0-9._-]{2,40}$/, 'Use 2 to 40 small letters, digits, dots or dashes.'),
  title: z.string().trim().max(80).default(''),
  room: z.string().trim().max(40).default(''),
  role: z.enum(['owner', 'therapist', 'assistant']),
  qualifications: z.array(z.enum(qualificationIds)).max(20),
  hours: z.record(z.string().regex(/^[1-7]$/), hours).default({}),
  hasLeft: z.boolean().default(false),
  /** Empty: stays as it is. */
  password: z.string().max(200).default(''),
  pin: z.string().max(20).default(''),
});
export type StaffInput = z.infer<typeof StaffInput>;

const paragraphs = z
  .array(z.string().trim().min(1).max(2000, 'Keep a paragraph within 2000 characters.'))
  .max(30, 'Keep it within 30 paragraphs.');
export const WordingInput = z.object({
  paragraphs: paragraphs.min(1, 'Write what the client consents to.').readonly(),
  /** The same in the other languages of the house's clients; one left out is read in the house's own. */
  others: z.partialRecord(z.enum(languageIds), paragraphs.min(1).readonly()).default({}),
  /** The version that was edited. */
  basedOn: z.number().int().positive(),
});
export type WordingInput = z.infer<typeof WordingInput>;
