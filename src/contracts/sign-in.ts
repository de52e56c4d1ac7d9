import { z } from 'zod';
import { languageIds } from '../core/language';
import { qualificationIds } from '../core/drainage/case';

export const SignInInput = z.object({
  login: z.string().trim().min(1, 'Write your sign-in name.').max(60),
  password: z.string().min(1, 'Write your password.').max(200),
  /** Of the second factor, or one of its recovery codes; empty where none is asked for. */
  code: z.string().max(40).default(''),
});

/** A code of the second factor that is being set up. */
export const FactorInput = z.object({ code: z.string().max(40) });

export const FactorView = z.object({
  isOn: z.boolean(),
  /** The house asks for one, and there is none yet. */
  isOwed: z.boolean(),
  codesLeft: z.number(),
});
export type FactorView = z.infer<typeof FactorView>;

/** What an authenticator takes: as a picture, as an address, or typed. */
export const FactorSetUp = z.object({ secret: z.string(), uri: z.string(), qrSvg: z.string() });
export type FactorSetUp = z.infer<typeof FactorSetUp>;

/** Shown this once. */
export const RecoveryCodes = z.object({ codes: z.array(z.string()).readonly() });
export type RecoveryCodes = z.infer<typeof RecoveryCodes>;

export const factorRules = ['nobody', 'owners', 'everybody'] as const;
export const FactorRuleInput = z.object({ secondFactor: z.enum(factorRules) });

/** The owner’s way back in by the printed code. */
export const RecoverInput = z.object({
  login: z.string().trim().min(1, 'Write your sign-in name.').max(60),
  code: z.string().trim().min(1, 'Write the code from the paper.').max(40),
  password: z.string().max(200),
});
export type RecoverInput = z.infer<typeof RecoverInput>;

export const DemoSignInInput = z.object({ staffId: z.number().int().positive() });
/** A device on which somebody is signed in. */
export const DeviceView = z.object({
  name: z.string(),
  device: z.string(),
  since: z.string(),
  seen: z.string(),
  isThis: z.boolean(),
});
export type DeviceView = z.infer<typeof DeviceView>;

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
  /** Plans of theirs keep to the library's pace. */
  isLearning: z.boolean().default(false),
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
