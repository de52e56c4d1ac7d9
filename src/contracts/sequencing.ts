import { z } from 'zod';
import { fillRounds } from '../core/sequencing/time-fit';
import { blockSides, handStates, positions, type SetupCosts, tablePlaces, usualCosts } from '../core/sequencing/block';
import { changeKinds } from '../core/sequencing/setup';

const id = z.string('Give it an id.').min(1, 'Give it an id.').max(120, 'Keep this within 120 characters.');
const seconds = z.number('Give seconds.').min(0, 'At least 0 seconds.').max(3600, 'At most an hour.');

/** More would take long to prove anything about. */
const mostBlocks = 60;

const SettingSchema = z.object({
  position: z.enum(positions).default('supine'),
  hands: z.enum(handStates).default('dry'),
  therapist: z.enum(tablePlaces).default('head'),
  side: z.enum(blockSides).default('both'),
});

const BlockSchema = z.object({
  id,
  minutes: z.number('Give minutes.').min(0, 'At least 0 minutes.').max(480, 'At most eight hours.').default(0),
  position: z.enum(positions, 'How the client lies: supine, prone, side-left, side-right or seated.'),
  hands: z.enum(handStates, 'What is on the hands: dry, oiled, gloved, stone, brush or tool.'),
  therapist: z.enum(tablePlaces, 'Where the therapist is: head, left, feet or right.'),
  side: z.enum(blockSides, 'The side of the region: left, right or both.').default('both'),
  after: z.array(id).max(mostBlocks).default([]),
});

/** Any of the usual seconds may be replaced; of the hands by `{"dry": {"oiled": 30}}`. */
export const CostsSchema = z.object({
  turn: seconds.optional(),
  drape: seconds.optional(),
  walk: z.union([seconds, z.object({ neighbour: seconds, across: seconds })]).optional(),
  hands: z.partialRecord(z.enum(handStates), z.partialRecord(z.enum(handStates), seconds)).optional(),
});

export const SequenceRequest = z.object({
  blocks: z.array(BlockSchema, 'Give a list of blocks.').max(mostBlocks, `At most ${mostBlocks} blocks.`),
  start: SettingSchema.default({ position: 'supine', hands: 'dry', therapist: 'head', side: 'both' }),
  costs: CostsSchema.default({}),
});

export const SequenceResponse = z.object({
  order: z.array(z.string()),
  setupSeconds: z.number(),
  lowerBound: z.number(),
  optimal: z.boolean(),
  /** How far the order may be from the best one, as a share of its setup time; 0 when it is proven best. */
  gap: z.number(),
  changes: z.array(z.object({ before: z.string(), kind: z.enum(changeKinds), seconds: z.number() })),
});

/** The usual costs with what is overridden laid over them; a walk across takes two to a neighbour. */
export function costsFrom({ turn, drape, walk, hands }: z.infer<typeof CostsSchema>): SetupCosts {
  const walks = typeof walk === 'number' ? { neighbour: walk, across: 2 * walk } : walk;
  return {
    turn: turn ?? usualCosts.turn,
    drape: drape ?? usualCosts.drape,
    walkToNeighbour: walks?.neighbour ?? usualCosts.walkToNeighbour,
    walkAcross: walks?.across ?? usualCosts.walkAcross,
    hands: (from, to) => (from === to ? 0 : (hands?.[from]?.[to] ?? usualCosts.hands(from, to))),
  };
}

const repetitions = z.number('Give a number.').int('Give a whole number.').max(1000, 'At most 1000.');

const FitStepSchema = z
  .object({
    id,
    secondsPerRepetition: z.number('Give seconds.').gt(0, 'More than 0 seconds.').max(3600, 'At most an hour.'),
    overheadSeconds: seconds.default(0),
    min: repetitions.min(1, 'At least 1; a step that may be left out is `optional`.'),
    usual: repetitions.min(1, 'At least 1.'),
    max: repetitions.min(1, 'At least 1.'),
    weight: z.number('Give a number.').min(0, 'At least 0.').max(1000, 'At most 1000.').default(1),
    optional: z.boolean().default(false),
    stretchable: z.boolean().default(false),
  })
  .superRefine(({ min, usual, max }, context) => {
    if (usual < min) context.addIssue({ code: 'custom', path: ['usual'], message: `Not below the least, ${min}.` });
    if (max < usual) context.addIssue({ code: 'custom', path: ['max'], message: `Not below the usual, ${usual}.` });
  });

/** From the least to the usual repetitions, over all steps; an hour of treatment has some hundred. */
const mostChoices = 6000;

/** Looking at so many rounds of time takes about a second. */
const mostFillRounds = 100_000_000;

export const TimeFitRequest = z
  .object({
    availableSeconds: z
      .number('Give seconds.')
      .min(0, 'At least 0 seconds.')
      .max(8 * 3600, 'At most eight hours.'),
    steps: z
      .array(FitStepSchema, 'Give a list of steps.')
      .max(200, 'At most 200 steps.')
      .superRefine((steps, context) => {
        const seen = new Set<string>();
        for (const [i, step] of steps.entries()) {
          if (seen.has(step.id))
            context.addIssue({
              code: 'custom',
              path: [i, 'id'],
              message: `“${step.id}” is given twice: each id once.`,
            });
          seen.add(step.id);
        }
      }),
    fill: z.boolean().default(false),
  })
  .superRefine(({ steps, availableSeconds, fill }, context) => {
    const repetitions = steps.reduce((sum, { min, usual }) => sum + usual - min + 1, 0);
    if (repetitions > mostChoices)
      context.addIssue({
        code: 'custom',
        path: ['steps'],
        message: `${repetitions} numbers of repetitions to choose from are too many: at most ${mostChoices} in all.`,
      });
    if (fill && fillRounds(steps, availableSeconds) > mostFillRounds)
      context.addIssue({
        code: 'custom',
        path: ['steps'],
        message: 'That is too much to fill so finely: give whole seconds, fewer steps, or less time.',
      });
  });

export const TimeFitResponse = z.object({
  fits: z.boolean(),
  shortBySeconds: z.number(),
  penalty: z.number(),
  usedSeconds: z.number(),
  repetitions: z.array(z.object({ id: z.string(), repetitions: z.number() })),
  leftOut: z.array(z.string()),
});
