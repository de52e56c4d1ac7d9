import { careKinds } from '../core/stones/care';
import { z } from 'zod';
import { carryErrors } from '../core/stones/chain';
import { materialIds, type SizeId, sizeIds, skinIds } from '../core/stones/book';

/** Shapes of what is calculated about stones. Temperatures °C, times s, lengths mm, masses g. */

const number = (least: number, most: number, unit: string, why = '') =>
  z
    .number(`Give a number in ${unit}.`)
    .min(least, `At least ${least} ${unit}.`)
    .max(most, `At most ${most} ${unit}.${why === '' ? '' : ` ${why}`}`);
const whole = (least: number, most: number, what: string) =>
  z
    .number(`Give ${what}.`)
    .int(`${what}: a whole number.`)
    .min(least, `At least ${least}.`)
    .max(most, `At most ${most}.`);

const tooHot = 'Hotter stones burn whatever lies between; a bath for stones stays below.';
const stoneC = number(-10, 75, '°C', tooHot);
const bathC = number(0, 75, '°C', tooHot);
const toleranceC = number(0.1, 5, '°C');
const ambientC = number(5, 40, '°C');
const material = z.enum(materialIds, `One of ${materialIds.join(', ')}.`);
/** Stones that may go into water. */
const wetMaterial = material.refine((id) => id !== 'selenite', 'Selenite dissolves: it never goes into water.');
const side = number(10, 200, 'mm');
const massG = number(1, 5000, 'g').optional();

export const StoneContactRequest = z.object({
  material,
  thicknessMm: number(4, 60, 'mm'),
  startC: stoneC,
  mode: z.enum(['still', 'moving'], 'still or moving.').default('still'),
  towelLayers: whole(0, 6, 'layers of towel').default(0),
  seconds: whole(1, 1800, 'seconds'),
  skin: z.enum(skinIds, 'normal, thin or thick.').default('normal'),
  skinStartC: number(20, 38, '°C').default(33),
  ambientC: ambientC.default(24),
});
export type StoneContactRequest = z.infer<typeof StoneContactRequest>;

export const StoneContactResponse = z.object({
  interfaceC: z.number(),
  skinSurfacePeakC: z.number(),
  basalPeakC: z.number(),
  basalPeakAtS: z.number(),
  omega: z.number(),
  burnRisk: z.enum(['none', 'caution', 'stop']),
  curve: z.array(z.object({ s: z.number(), stoneC: z.number(), surfaceC: z.number(), basalC: z.number() })),
});

export const StoneBathRequest = z.object({
  material: wetMaterial,
  lengthMm: side,
  widthMm: side,
  thicknessMm: number(4, 80, 'mm'),
  startC: stoneC,
  bathC,
  toleranceC,
  waterLitres: number(0.5, 60, 'litres'),
  count: whole(1, 80, 'stones'),
  heaterW: number(0, 3000, 'W'),
  massG,
});
export type StoneBathRequest = z.infer<typeof StoneBathRequest>;

export const StoneBathResponse = z.object({
  massG: z.number(),
  readyS: z.number(),
  bathDipC: z.number(),
  recoverS: z.number().nullable(),
});

export const StoneGlideRequest = z.object({
  material,
  lengthMm: side,
  widthMm: side,
  thicknessMm: number(4, 80, 'mm'),
  startC: stoneC,
  usefulC: stoneC,
  flip: z.boolean('true or false.').default(false),
  massG,
});
export type StoneGlideRequest = z.infer<typeof StoneGlideRequest>;

export const StoneGlideResponse = z.object({
  usefulS: z.number().nullable(),
  curve: z.array(z.object({ s: z.number(), contactC: z.number(), otherC: z.number(), faceC: z.number() })),
});

/** The size that a stock is of: its name, or what stands before a mark, as in `palm-marble`. */
export function sizeOfClass(name: string): SizeId | undefined {
  return sizeIds.find((id) => name === id || new RegExp(`^${id}[^a-z]`).test(name));
}

const className = z.string('Give a size.').min(1, 'Give a size.').max(40, 'At most 40 characters.');
const longestS = 14_400;

export const StoneRotationRequest = z
  .object({
    bathC,
    toleranceC: toleranceC.default(1),
    ambientC: ambientC.default(24),
    stock: z
      .array(
        z.object({
          class: className.refine(
            (name) => sizeOfClass(name) !== undefined,
            `One of ${sizeIds.join(', ')}; more than one stock of a size is told apart as in palm-marble.`,
          ),
          material: wetMaterial,
          count: whole(0, 80, 'stones'),
        }),
        'Give the stock.',
      )
      .max(20, 'At most 20 stocks.'),
    steps: z
      .array(
        z.object({
          id: z.string('Give an id.').min(1, 'Give an id.').max(120, 'At most 120 characters.'),
          startS: whole(0, longestS, 'seconds'),
          durationS: whole(1, longestS, 'seconds'),
          class: className,
          count: whole(1, 20, 'stones'),
          mode: z.enum(['moving', 'still'], 'moving or still.'),
          flip: z.boolean('true or false.').default(true),
          towelLayers: whole(0, 6, 'layers of towel').default(1),
          usefulC: stoneC,
          firstContactC: stoneC,
          usefulS: number(0, longestS, 's').optional(),
          reheatS: number(0, longestS, 's').optional(),
          restS: number(0, longestS, 's').optional(),
          /** It goes on with the stones of the step before it. */
          carry: z.boolean('true or false.').default(false),
        }),
        'Give the steps.',
      )
      .max(40, 'At most 40 steps.'),
  })
  .superRefine(({ stock, steps }, context) => {
    const twice = (names: readonly string[], path: string, field: string) =>
      names.forEach((name, i) => {
        if (names.indexOf(name) < i)
          context.addIssue({ code: 'custom', path: [path, i, field], message: `“${name}” stands there twice.` });
      });
    twice(
      stock.map((one) => one.class),
      'stock',
      'class',
    );
    twice(
      steps.map(({ id }) => id),
      'steps',
      'id',
    );
    for (const { path, message } of carryErrors(steps))
      context.addIssue({ code: 'custom', path: path.split('.'), message });
  });
export type StoneRotationRequest = z.infer<typeof StoneRotationRequest>;

export const StoneRotationResponse = z.object({
  feasible: z.boolean(),
  stonesInPlay: z.record(z.string(), z.number()),
  swaps: z.number(),
  timing: z.array(
    z.object({
      step: z.string(),
      takeC: z.number(),
      usefulS: z.number(),
      reheatS: z.number(),
      restS: z.number(),
      runs: z.number(),
    }),
  ),
  uses: z.array(
    z.object({
      step: z.string(),
      slot: z.number(),
      run: z.number(),
      stone: z.string(),
      missing: z.boolean(),
      outS: z.number(),
      fromS: z.number(),
      toS: z.number(),
      readyS: z.number(),
    }),
  ),
  shortages: z.array(z.object({ class: z.string(), short: z.number(), fromS: z.number(), toS: z.number() })),
  blocked: z.array(z.object({ step: z.string(), reason: z.enum(['no-stock', 'window', 'rest', 'short-lived']) })),
});

/** One stone of the house. */
export const StoneInput = z.object({
  size: z.enum(sizeIds, `One of ${sizeIds.join(', ')}.`),
  material: wetMaterial,
  lengthMm: side,
  widthMm: side,
  thicknessMm: number(4, 80, 'mm'),
  massG: number(1, 5000, 'g').nullable().default(null),
  state: z.enum(['in-use', 'chipped', 'retired']).default('in-use'),
  note: z.string().trim().max(200, 'At most 200 characters.').default(''),
  /** How many like it, when they are added. */
  count: whole(1, 24, 'stones').default(1),
});
export type StoneInput = z.infer<typeof StoneInput>;

export const StoneCareInput = z.object({
  what: z.enum(careKinds, `One of ${careKinds.join(', ')}.`),
  /** None: all stones in use, and the bath. */
  stones: z.array(z.number().int().positive()).max(200).default([]),
});
export type StoneCareInput = z.infer<typeof StoneCareInput>;

/** How warm the house works with stones. */
export const StoneHabitsInput = z.object({
  hotBathC: number(38, 60, '°C', 'A bath for stones stays below 60: a stone is lifted out by hand.'),
  coldBathC: number(0, 20, '°C'),
  toleranceC,
  waterLitres: number(0.5, 60, 'litres'),
  heaterW: number(0, 3000, 'W'),
  usefulHotC: number(36, 50, '°C'),
  usefulColdC: number(5, 30, '°C'),
  coldBodyC: number(0, 25, '°C'),
  coldFaceC: number(0, 25, '°C'),
});
export type StoneHabitsInput = z.infer<typeof StoneHabitsInput>;

/** What is done to the simulated bath. */
export const BathDeviceInput = z.object({
  isOn: z.boolean().optional(),
  setC: bathC.optional(),
  stones: whole(0, 80, 'stones').optional(),
  fault: z.enum(['none', 'drift', 'text', 'nan', 'stops']).optional(),
  /** Simulated seconds that pass at once. */
  skipS: number(0, 7200, 's').optional(),
});
export type BathDeviceInput = z.infer<typeof BathDeviceInput>;
