import { z } from 'zod';
import { decisions } from '../core/screening/tables';
import { changeVerdicts } from '../core/training/change';
import { type DrillKind, drillKinds, levels } from '../core/training/kinds';

const greatestSeed = 4_294_967_295;
const id = z.string('Give an id.').min(1, 'Give an id.').max(80, 'At most 80 characters.');

export const kind = z.enum(drillKinds, `One of ${drillKinds.join(', ')}.`);
export const level = z.literal(levels, `A level is ${levels.join(', ')}.`);
export const seed = z
  .number('Give a whole number.')
  .int('A seed is a whole number.')
  .min(0, 'Not below 0.')
  .max(greatestSeed, `At most ${greatestSeed}.`);

export const DrillRequest = z.object({ kind, level, seed });

/** What is shown of a case: of the shape of its kind. */
export const DrillResponse = z.object({ question: z.record(z.string(), z.unknown()), key: z.string() });

const drops = z.number('Give whole drops.').int('Drops are whole.').min(0, 'Not fewer than no drops.').max(1000);

/** The answer of each kind of drill. */
const answers = {
  order: z.object({ order: z.array(id, 'Give the steps in their order.').max(200, 'At most 200 steps.') }),
  route: z.object({
    open: z.array(id, 'Give the groups that are opened.').max(20, 'At most 20 groups.'),
    path: z.array(id, 'Give the way, place by place.').max(60, 'At most 60 places.'),
  }),
  direction: z.object({
    degrees: z.number('Give degrees.').min(-360, 'At least −360°.').max(360, 'At most 360°.'),
  }),
  pace: z.object({
    taps: z
      .array(z.number('Give milliseconds.').min(0, 'Not below 0.').max(36e5, 'At most an hour.'), 'Give the taps.')
      .max(2000, 'At most 2,000 taps.'),
  }),
  count: z.object({
    stops: z
      .array(
        z.number('Give whole strokes.').int('Strokes are whole.').min(0, 'Not below 0.').max(1000),
        'Give the strokes.',
      )
      .max(20, 'At most 20 places.'),
  }),
  heat: z.object({
    firstC: z.number('Give °C.').min(0, 'Not below 0 °C.').max(100, 'At most 100 °C.'),
    seconds: z.number('Give seconds.').min(0, 'Not below 0 s.').max(3600, 'At most an hour.'),
  }),
  drops: z
    .object({
      drops: z.record(id, drops, 'Give drops by oil.').optional(),
      notForClient: z.literal(true, 'true, or leave it out and give drops.').optional(),
    })
    .refine((given) => (given.drops === undefined) !== (given.notForClient === undefined), {
      path: ['drops'],
      message: 'Give drops by oil, or notForClient: one of the two.',
    }),
  screen: z.object({
    decisions: z.record(
      id,
      z.enum(decisions, `One of ${decisions.join(', ')}.`),
      'Give a decision for each kind of work.',
    ),
    limit: id.nullable().default(null),
  }),
  change: z.object({ verdict: z.enum(changeVerdicts, `One of ${changeVerdicts.join(', ')}.`) }),
} as const satisfies Readonly<Record<DrillKind, z.ZodType>>;

/** The answer of a kind of drill, or null: given up. Errors: of another shape; each names its field. */
export const answerOf = (one: DrillKind): z.ZodType => answers[one].nullable();

/** null: given up. */
export const DrillAnswerRequest = z.discriminatedUnion(
  'kind',
  drillKinds.map((one) => z.object({ kind: z.literal(one), level, seed, answer: answers[one].nullable() })) as never,
  `One of ${drillKinds.join(', ')}.`,
) as unknown as z.ZodType<z.infer<typeof DrillRequest> & { readonly answer: unknown }>;

export const DrillAnswerResponse = z.object({
  score: z.number().min(0).max(1),
  faults: z.array(z.object({ rule: z.string(), text: z.string() })).readonly(),
  best: z.record(z.string(), z.unknown()),
});
