import { z } from 'zod';
import { longestVisitMinutes, purposes, qualificationIds } from '../core/drainage/case';
import { languageIds } from '../core/language';
import { messageWishes } from '../core/messages/reach';
import { pressures } from '../core/screening/tables';
import { isDate } from '../core/screening/time';
import { plainContext, tapingPhases, tapingTicks } from '../core/swelling/taping-context';
import { TreatmentHolds } from './treatment';
import { SchoolSchema } from './drainage';
import { LimbVolumeRequest } from './limb-volume';

/** A real calendar date written YYYY-MM-DD. */
const dateOnly = z.iso.date('Write a real date as year-month-day.');
const today = () => new Date().toISOString().slice(0, 10);
/** Some time zones are a day ahead of UTC, so one day of grace. */
const notInTheFuture = (date: string) => date <= new Date(Date.parse(today()) + 86_400_000).toISOString().slice(0, 10);
const pastDate = dateOnly
  .refine(notInTheFuture, 'This date lies in the future.')
  .refine((date) => date >= '1900-01-01', 'This date lies too far back.');

const longestName = 120;
const name = z
  .string()
  .trim()
  .min(1, 'Write a name.')
  .max(longestName, `Keep the name within ${longestName} characters.`);
export const longestNote = 4000;
const note = z.string().max(longestNote, `Keep the note within ${longestNote} characters.`);
const place = z.string().min(1).max(60);

/** A date that may be known only to the year or the month; not in the future. */
const eventDate = z
  .string()
  .trim()
  .refine((text) => isDate(text, true), 'Write a real date: a year, a year and month, or a whole date.')
  .refine((text) => notInTheFuture(text), 'This date lies in the future.')
  .refine((text) => text >= '1900', 'This date lies too far back.');

const line = (most: number, what: string) =>
  z.string().trim().max(most, `Keep ${what} within ${most} characters.`).default('');

/** What a client likes and does not; free of diagnoses. */
export const LikesInput = z.object({
  pressure: z.enum(['', 'lighter', 'usual', 'firmer']).default(''),
  warmth: z.enum(['', 'cooler', 'usual', 'warmer']).default(''),
  music: z.enum(['', 'on', 'off']).default(''),
  scentsLiked: line(200, 'this'),
  scentsDisliked: line(200, 'this'),
  sides: line(400, 'this'),
  other: line(400, 'this'),
});
export type LikesInput = z.infer<typeof LikesInput>;

export const ClientInput = z.object({
  name,
  bornOn: pastDate.nullable().default(null),
  phone: z.string().trim().max(40, 'Keep the phone number within 40 characters.').default(''),
  email: z.union([z.literal(''), z.email('Write an address such as name@house.example.')]).default(''),
  address: line(300, 'the address'),
  emergencyContact: line(200, 'this'),
  dueOn: dateOnly.nullable().default(null),
  /** In which a client reads; '': as the house does. */
  language: z.enum(['', ...languageIds]).default(''),
  /** By which way they would like messages on their visits; '': not asked. */
  messagesBy: z.enum(messageWishes).default(''),
  heightCm: z
    .number('Give the height in cm.')
    .min(40, 'At least 40 cm.')
    .max(250, 'At most 250 cm.')
    .nullable()
    .default(null),
  medicines: z.string().max(2000, 'Keep the medicines within 2000 characters.').default(''),
  likes: LikesInput.default({
    pressure: '',
    warmth: '',
    music: '',
    scentsLiked: '',
    scentsDisliked: '',
    sides: '',
    other: '',
  }),
  note: note.default(''),
});
/** A correction: the whole of the data, and the version that it started from. */
const few = z.string().trim().max(120, 'Keep it within 120 characters.').default('');

/** A person as far as they have been typed. In a body and not in an address: addresses are written into logs. */
export const PersonInput = z.object({
  name: few,
  bornOn: dateOnly.nullable().default(null),
  phone: few,
  email: few,
});

export const ClientChangeInput = ClientInput.extend({ basedOn: z.number().int().positive() });
export type ClientChangeInput = z.infer<typeof ClientChangeInput>;
export type ClientInput = z.infer<typeof ClientInput>;

/** ISO time, UTC; within some years of today, so that a slip of the year is seen. */
const visitStart = z.iso
  .datetime('Write the time as an ISO time in UTC.')
  .refine(
    (time) => !(Math.abs(Date.parse(time) - Date.now()) >= 10 * 366 * 86_400_000),
    'Check the year: at most ten away.',
  );

export const VisitInput = z.object({
  clientId: z.number().int().positive(),
  therapistId: z.number().int().positive(),
  startsAt: visitStart,
  minutes: z
    .number()
    .int()
    .min(10, 'A visit lasts at least 10 minutes.')
    .max(longestVisitMinutes, `A visit lasts at most ${longestVisitMinutes} minutes.`),
  focus: z.array(place).min(1, 'Choose what is to be drained.').max(20),
  purpose: z.enum(purposes),
  /** More than drainage, or something else. */
  holds: TreatmentHolds.optional(),
  /** A row of visits: so many times, so many days apart; on closed days the next open one. */
  repeat: z
    .object({
      everyDays: z.number().int('Give whole days.').min(1, 'At least a day apart.').max(84, 'At most 84 days apart.'),
      times: z.number().int().min(1).max(20, 'Book at most 20 visits at once.'),
    })
    .optional(),
});
export const BookingChangeInput = z.object({
  startsAt: visitStart,
  therapistId: z.number().int().positive(),
});
export type BookingChangeInput = z.infer<typeof BookingChangeInput>;
export const ReminderInput = z.union([
  z.object({ kind: z.literal('send-due') }),
  z.object({ kind: z.enum(['send', 'fail']), id: z.number().int().positive() }),
]);
export type VisitInput = z.infer<typeof VisitInput>;

/** A finding as it is placed on the body map. */
export const PlacedFindingInput = z.object({
  /** A condition of the screening, or `thickened` from the assessment. */
  id: z.string().min(1).max(60),
  side: z.enum(['left', 'right', 'both']).optional(),
  regions: z.array(place).max(60).optional(),
  crosses: z.array(z.array(place).length(2)).max(20).optional(),
  sinceOn: eventDate.nullable().default(null),
  note: z.string().max(400, 'Keep this within 400 characters.').default(''),
  /** Nobody is sure: counts as so until it has been cleared up. */
  isUnsure: z.boolean().default(false),
  answers: z.record(z.string().max(60), z.string().max(400)).default({}),
});
export type PlacedFindingInput = z.infer<typeof PlacedFindingInput>;

/** A corrected finding takes the place of the old one, which stays in the history with who and when. */
export const FindingChangeInput = PlacedFindingInput.extend({
  reason: z.string().trim().max(400, 'Keep the reason within 400 characters.').default(''),
});
export type FindingChangeInput = z.infer<typeof FindingChangeInput>;

/** A written note of a treating professional. */
export const ClearanceInput = z.object({
  date: dateOnly.refine(notInTheFuture, 'This date lies in the future.'),
  modalities: z.union([
    z.literal('all'),
    z.array(z.string().max(60)).min(1, 'Choose the work that the note is about.'),
  ]),
  writtenBy: z.string().trim().min(1, 'Say who wrote it: name and role.').max(120),
  words: z.string().trim().min(1, 'Copy the words of the note.').max(2000),
  /** What the note itself limits; of note and table the stricter wins. */
  limits: z
    .object({
      maxPressure: z.enum(pressures).optional(),
      maxMinutes: z.number().int().min(1, 'At least a minute.').max(480, 'At most 480 minutes.').optional(),
      noHeat: z.literal(true).optional(),
    })
    .default({}),
});
export type ClearanceInput = z.infer<typeof ClearanceInput>;

export const intakeAnswers = ['yes', 'no', 'unsure'] as const;
export type IntakeAnswer = (typeof intakeAnswers)[number];
export const IntakeInput = z.object({
  answers: z
    .array(z.object({ condition: z.string().min(1).max(60), answer: z.enum(intakeAnswers) }))
    .max(200)
    .default([]),
  /** Free text; absent: as it was. */
  medicines: z.string().max(2000, 'Keep the medicines within 2000 characters.').optional(),
  dueOn: dateOnly.nullable().optional(),
  /** Asked for when the birthday is not known: some work depends on the age. */
  bornOn: pastDate.optional(),
});
export type IntakeInput = z.infer<typeof IntakeInput>;

export const ConsentInput = z.object({
  areas: z.array(z.enum(['breast', 'groin', 'buttocks', 'belly', 'mouth'])).max(5),
  signer: z.enum(['client', 'guardian']),
  name,
  /** The drawn name as the `d` of a path in a box of 600 by 160; null: typed. */
  drawing: z
    .string()
    .max(60_000, 'That drawing is too large; draw the name more simply.')
    .regex(/^[ML0-9 .]*$/, 'That is not a drawn name.')
    .nullable()
    .default(null),
  wordingVersion: z.number().int().positive(),
  /** In which it was read. */
  language: z.enum(languageIds).default('en'),
});
export type ConsentInput = z.infer<typeof ConsentInput>;

export const OverrideInput = z.object({
  modality: z.string().max(60),
  key: z.string().max(40),
  value: z.union([z.string().max(60), z.number(), z.array(z.string().max(60)).max(60), z.null()]),
  reason: z.string().trim().max(400, 'Keep the reason within 400 characters.'),
});
export type OverrideInput = z.infer<typeof OverrideInput>;

export const VisitCheckInput = z.object({
  answers: z.record(z.string().max(80), z.enum(['yes', 'no'])),
});
export type VisitCheckInput = z.infer<typeof VisitCheckInput>;

const taped = (limb: string) =>
  z
    .number('Type a number.')
    .gt(0, 'A girth is more than 0.')
    .lt(400, `No ${limb} is that big: check the unit or the decimal point.`)
    .nullable();
const pass = z.object({ affected: z.array(taped('limb')).max(40), reference: z.array(taped('limb')).max(40) });

/** Under what a taping was taken; lengths in the unit of the taping. */
const Context = z.object({
  eight: z.object({ affected: taped('hand'), reference: taped('hand') }).default({ affected: null, reference: null }),
  weightKg: z
    .number('Type a number.')
    .min(25, 'At least 25 kg: check the unit.')
    .max(350, 'At most 350 kg: check the unit.')
    .nullable()
    .default(null),
  restMinutes: z.number().int().min(0).max(120, 'At most 120 minutes.').nullable().default(null),
  marks: z.enum(['fresh', 'left-on']).nullable().default(null),
  ticks: z.array(z.enum(tapingTicks)).max(4).default([]),
  note: z.string().max(400, 'Keep this within 400 characters.').default(''),
  confirmed: z.array(z.string().max(80)).max(80).default([]),
});

export const TapingInput = LimbVolumeRequest.pick({ limb: true, unit: true, method: true }).extend({
  phase: z.enum(tapingPhases),
  side: z.enum(['left', 'right']),
  protocol: z.string().max(40).default(''),
  positions: z.array(z.number().min(0).max(120)).min(2).max(40),
  /** First readings as typed. */
  affected: pass.shape.affected,
  reference: pass.shape.reference,
  /** Readings of the second pass, and of the third where the two disagree. */
  second: pass.nullable().default(null),
  third: pass.nullable().default(null),
  context: Context.default({ ...plainContext, ticks: [], confirmed: [] }),
  source: z.enum(['typed', 'tape']).default('typed'),
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
  /** Groups that closed ways shall go to, or not go to; lawful ones only. */
  use: z.array(z.string().min(1).max(60)).max(6).default([]),
  refuse: z.array(z.string().min(1).max(60)).max(6).default([]),
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

export const MergeInput = z.object({
  dropId: z.number().int().positive(),
  keepVersion: z.number().int().positive(),
  dropVersion: z.number().int().positive(),
});

export const HandOverInput = z.object({ therapistId: z.number().int().positive() });

export const HouseInput = z.object({
  name,
  therapistName: name,
  login: z
    .string()
    .trim()
    .toLowerCase()
    .regex(/^[a-z0-9._-]{2,40}$/, 'Use 2 to 40 small letters, digits, dots or dashes.'),
  password: z.string().max(200),
  pin: z.string().max(20),
  qualifications: z.array(z.enum(qualificationIds)).max(20),
});
export type HouseInput = z.infer<typeof HouseInput>;
