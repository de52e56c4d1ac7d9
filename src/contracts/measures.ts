import { z } from 'zod';
import { deepest, faceDrawings, lineKinds } from '../core/facial/line';
import { definitionIds } from '../core/swelling/definitions';
import { measuredQuantities } from '../core/swelling/detectable';
import { confidences } from '../core/swelling/trend';
import { volumeMethods } from '../core/swelling/volume';
import { lengthUnits } from '../core/units';
import { volumeUnits } from '../core/volume-units';

/** What is measured, felt and seen beside the tape run, as it crosses from the views to the server and back. */

const whole = (least: number, most: number) =>
  z.number('Give a number.').int('Give a whole number.').min(least, `At least ${least}.`).max(most, `At most ${most}.`);
const between = (least: number, most: number, unit: string) =>
  z
    .number('Give a number.')
    .min(least, `At least ${least} ${unit}: check the unit and the decimal point.`)
    .max(most, `At most ${most} ${unit}: check the unit and the decimal point.`);
const words = (most: number) => z.string().trim().max(most, `Keep this within ${most} characters.`);
const tenths = whole(0, 10).nullable();

const faceLength = between(5, 25, 'cm').nullable();
const neckGirth = between(25, 70, 'cm').nullable();
const angle = whole(0, 120).nullable();

/** The shape of each kind's value. Lengths in cm, temperatures in °C. */
export const observationValues = {
  pitting: z.object({ depthMm: between(0, 30, 'mm'), reboundSeconds: between(0, 600, 's').nullable() }),
  texture: z.object({ texture: z.enum(['soft', 'doughy', 'firm', 'hard']) }),
  'limb-skin': z.object({
    marks: z
      .array(
        z.enum([
          'normal',
          'dry',
          'shiny',
          'weeping',
          'papilloma',
          'hyperkeratosis',
          'folds',
          'brown-staining',
          'broken',
        ]),
      )
      .min(1, 'Tick at least one.'),
    hasSmell: z.boolean().default(false),
  }),
  temperature: z.object({ hereC: between(20, 42, '°C'), mirrorC: between(20, 42, '°C') }),
  redness: z.object({ grade: whole(0, 4), isSpreading: z.boolean().default(false) }),
  bruising: z.object({ grade: whole(0, 3), sizeMm: whole(0, 500).nullable().default(null) }),
  spot: z.object({
    what: words(120).min(1, 'Say what it looks like.'),
    sizeMm: whole(0, 500).nullable().default(null),
  }),
  stage: z.object({ stage: z.enum(['0', 'I', 'II', 'III']) }),
  'skin-fold': z.object({
    site: z.enum(['toe', 'finger']),
    sign: z.enum(['negative', 'doubtful', 'positive', 'not tested']),
  }),
  tighter: z.object({ what: words(120) }),
  skin: z.object({
    type: z.enum(['I', 'II', 'III', 'IV', 'V', 'VI']).nullable().default(null),
    oil: whole(0, 4).nullable().default(null),
    hydration: whole(0, 4).nullable().default(null),
    sensitivity: whole(0, 3).nullable().default(null),
    fragility: whole(0, 3).nullable().default(null),
  }),
  reaction: z.object({ product: words(120), minutesToOnset: whole(0, 2880).nullable(), done: words(400) }),
  scores: z.object({
    tightness: tenths,
    heaviness: tenths,
    pain: tenths,
    movement: tenths,
    /** Pain or tenderness of one calf; asked about legs. */
    calfPain: tenths.default(null),
  }),
  face: z.object({
    rightCm: z.array(faceLength).length(7),
    leftCm: z.array(faceLength).length(7),
    neckCm: z.array(neckGirth).length(3),
    eyelids: z.record(z.string().max(20), whole(0, 4)).default({}),
  }),
  abdomen: z.object({
    navelHeightCm: between(40, 150, 'cm'),
    girths: z.array(z.object({ heightCm: between(-30, 30, 'cm'), girthCm: between(45, 220, 'cm') })).max(12),
    hipCm: between(45, 220, 'cm').nullable().default(null),
    isCovered: z.boolean().default(false),
    surgeonConsent: words(200).min(1, 'Only with the surgeon’s consent: write down whose and of when.'),
  }),
  'neck-range': z.object({
    flexion: angle,
    extension: angle,
    turnLeft: angle,
    turnRight: angle,
    bendLeft: angle,
    bendRight: angle,
    /** Which way the chin lies off the middle, at rest. */
    chin: z.enum(['left', 'mid', 'right']).nullable().default(null),
    /** On which side the bones of the neck stand out more under the fingers. */
    bones: z.enum(['left', 'even', 'right']).nullable().default(null),
    /** How the head follows the hands. */
    following: z.enum(['freely', 'held', 'not']).nullable().default(null),
  }),
  /** Between the edges of the front teeth, as far as the mouth opens by itself. */
  mouth: z.object({ openingMm: whole(5, 90).nullable() }),
  impedance: z.object({
    unaffectedOhm: z.number().gt(0, 'More than 0.').max(5000, 'At most 5000 ohm.'),
    affectedOhm: z.number().gt(0, 'More than 0.').max(5000, 'At most 5000 ohm.'),
  }),
  weight: z.object({ weightKg: between(25, 350, 'kg') }),
  lines: z.object({
    lines: z
      .array(
        z.object({
          id: z.string().min(1).max(40),
          kind: z.enum(lineKinds),
          side: z.enum(['left', 'right', 'mid']),
          drawing: z.enum(faceDrawings),
          profile: z.enum(['left', 'right']),
          points: z
            .array(z.tuple([z.number().min(0).max(600), z.number().min(0).max(720)]))
            .min(2, 'Draw the line a little longer.')
            .max(60, 'At most 60 points a line.'),
          depth: z.number().int('A whole grade.').min(0, 'From 0.').max(deepest, `To ${deepest}.`).optional(),
        }),
      )
      .max(40, 'At most 40 lines.'),
  }),
} as const;

export type ObservationKind = keyof typeof observationValues;
const observationKinds = Object.keys(observationValues) as ObservationKind[];
export type ObservationValue<K extends ObservationKind> = z.infer<(typeof observationValues)[K]>;

/** Kinds that belong to a place of the body. */
export const placedKinds: ReadonlySet<ObservationKind> = new Set([
  'pitting',
  'texture',
  'limb-skin',
  'temperature',
  'redness',
  'bruising',
  'spot',
  'tighter',
]);

const phase = z.enum(['before', 'after']).default('before');
const place = z.string().min(1).max(60).nullable().default(null);
const replaces = z.number().int().positive().nullable().default(null);

type Observed<Own extends z.ZodRawShape> = {
  [K in ObservationKind]: {
    readonly kind: K;
    readonly phase: 'before' | 'after';
    readonly place: string | null;
    readonly value: ObservationValue<K>;
  } & Readonly<z.infer<z.ZodObject<Own>>>;
}[ObservationKind];

/** An observation with fields of its own beside; the kind decides the shape of its value. */
export function observationOf<Own extends z.ZodRawShape>(own: Own): z.ZodType<Observed<Own>> {
  const [first, ...others] = observationKinds.map((kind) =>
    z.object({ kind: z.literal(kind), phase, place, value: observationValues[kind], ...own }),
  );
  if (!first) throw new RangeError('no kind of observation is described');
  // What each kind stands for is known by `observationValues`; a list that was mapped has forgotten it.
  return z.discriminatedUnion('kind', [first, ...others]) as z.ZodType as z.ZodType<Observed<Own>>;
}

export const ObservationInput = observationOf({ replaces });
export type ObservationInput = z.infer<typeof ObservationInput>;

export const MeasuringInput = z.object({
  unit: z.enum(lengthUnits),
  volumeUnit: z.enum(volumeUnits),
  method: z.enum(volumeMethods),
  tapeSigmaCm: z.number('Give a number.').min(0, 'At least 0.').max(2, 'At most 2 cm.'),
  dominanceCorrectionPercent: z.number('Give a number.').min(0, 'At least 0.').max(20, 'At most 20 %.'),
  definition: z.enum(definitionIds),
  readingsPerPoint: z.union([z.literal(1), z.literal(2)]),
  confidence: z.literal(confidences),
  isImpedanceShown: z.boolean(),
  detectable: z.partialRecord(
    z.enum(measuredQuantities),
    z.number('Give a number.').gt(0, 'More than 0.').max(5000, 'At most 5000.'),
  ),
});
export type MeasuringInput = z.infer<typeof MeasuringInput>;

export const ClientMeasuringInput = z.object({
  protocols: z.object({ arm: z.string().max(40).optional(), leg: z.string().max(40).optional() }),
  limb: z.enum(['arm', 'leg']).nullable(),
  side: z.enum(['left', 'right']).nullable(),
  hand: z.enum(['left', 'right', 'none']),
  order: z.enum(['one-side', 'side-by-side']),
  unit: z.enum(lengthUnits).nullable(),
  method: z.enum(volumeMethods).nullable(),
  navelHeightCm: between(40, 150, 'cm').nullable(),
  baselineOn: z.iso.date('Write a real date as year-month-day.').nullable(),
  wasAssessed: z.boolean().nullable(),
});
export type ClientMeasuringInput = z.infer<typeof ClientMeasuringInput>;

export const ProtocolInput = z.object({
  limb: z.enum(['arm', 'leg']),
  name: words(80).min(1, 'Give it a name.'),
  zero: words(120).min(1, 'Name the zero mark, so that everybody finds it.'),
  posture: words(300).min(1, 'Write down how the client lies or sits.'),
  stop: words(160).default(''),
  restMinutes: whole(0, 60),
  positionsCm: z.array(z.number('Give each point as a number.')),
  eight: z.enum(['hand', 'ankle']).nullable(),
});
export type ProtocolInput = z.infer<typeof ProtocolInput>;

export const FlagNoteInput = z.object({
  note: words(1000).min(1, 'Write down what was done: whom you called, what they said.'),
});
