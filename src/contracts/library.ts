import { z } from 'zod';
import { mostRepetitions } from '../core/library/check-library';
import { upgradeTechnique } from '../core/library/upgrade';
import { stepSides } from '../core/library/protocol';
import { directions, families, handNeeds, standings, touches, traits } from '../core/library/technique';
import { handStates, positions, tablePlaces } from '../core/sequencing/block';

/** Techniques and protocols as they leave and enter a house; `/api/library/schema` publishes the shape. */

const id = z
  .string('Give it an id.')
  .max(80, 'Keep this within 80 characters.')
  .regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'Use small letters, digits and single hyphens.');
const words = (most: number) => z.string().trim().max(most, `Keep this within ${most} characters.`);
const count = (most: number) =>
  z.number('Give a number.').int('Give a whole number.').min(1, 'At least 1.').max(most, `At most ${most}.`);

const StoneWishSchema = z.strictObject({ size: words(40).min(1), count: count(12), keep: z.boolean() });

export const TechniqueSchema = z.strictObject({
  id,
  name: words(80).min(1, 'Give it a name.'),
  family: z.enum(families),
  hands: z.enum(handNeeds),
  pressure: z.enum(touches),
  secondsPerRepetition: z.number('Give seconds.').gt(0, 'More than 0 seconds.').max(600, 'At most ten minutes.'),
  repetitions: z.strictObject({
    min: count(mostRepetitions),
    usual: count(mostRepetitions),
    max: count(mostRepetitions),
  }),
  placements: count(24),
  isPerRegion: z.boolean(),
  direction: z.enum(directions),
  therapist: z.enum(standings),
  traits: z
    .array(
      z.enum(traits, { error: ({ input }) => `There is no trait “${String(input)}”: take it out, or choose another.` }),
    )
    .max(traits.length),
  judgedAs: z.array(z.string().max(60)).min(1, 'Say which kinds of work it is judged as.').max(6),
  cues: z.array(words(200).min(1)).min(1, 'Write one short sentence for the table.').max(6),
  turnedCue: words(200).min(1).optional(),
  why: words(600),
  never: words(600),
  feel: words(600),
  words: z.array(words(60).min(1)).max(60),
  stones: StoneWishSchema.optional(),
});

const ProtocolStepSchema = z.strictObject({
  technique: id,
  regions: z.array(z.string().max(60)).min(1, 'Say where: at least one region.').max(24),
  side: z.enum(stepSides),
  repetitions: count(mostRepetitions).optional(),
  note: words(300).optional(),
  why: words(600).optional(),
  layer: z
    .strictObject({ use: words(200), drops: z.array(count(60)).length(2, 'From how many drops to how many.') })
    .optional(),
  stones: StoneWishSchema.optional(),
});

const ProtocolBlockSchema = z.strictObject({
  id,
  position: z.enum(positions),
  hands: z.enum(handStates),
  therapist: z.enum(tablePlaces),
  twin: id.optional(),
  isShortForm: z.boolean().optional(),
  isOptional: z.boolean().optional(),
  after: z.array(id).max(40).optional(),
  steps: z.array(ProtocolStepSchema).min(1, 'A block needs at least one step.').max(60),
});

export const ProtocolSchema = z.strictObject({
  id,
  name: words(80).min(1, 'Give it a name.'),
  modality: z.string().max(60),
  school: words(60),
  usualMinutes: z.number('Give minutes.').gt(0, 'More than 0 minutes.').max(480, 'At most eight hours.'),
  about: words(600),
  source: z.enum(['steps', 'planner']),
  keepOrder: z.boolean().optional(),
  pairs: z.array(z.array(id).length(2)).max(40).optional(),
  blocks: z.array(ProtocolBlockSchema).max(40),
});

/** The version that this program writes, and the newest that it reads. */
const libraryVersion = 1;

export const LibraryFile = z.strictObject({
  format: z.literal('velvet-stone-library', 'This is no library file.'),
  version: z
    .number('The file does not say its version.')
    .int()
    .min(1)
    .max(
      libraryVersion,
      `This file was written by a newer program: this one reads version ${libraryVersion}. Bring the program up to date first.`,
    ),
  techniques: z.array(z.preprocess(upgradeTechnique, TechniqueSchema)).max(2000),
  protocols: z.array(ProtocolSchema).max(500),
});
export type LibraryFile = z.infer<typeof LibraryFile>;

const basedOn = z.number().int().min(0);

/** One entry with the version that it was changed from; 0: what ships, or nothing. */
export const TechniqueInput = z.object({ value: TechniqueSchema, basedOn });
export const ProtocolEntryInput = z.object({ value: ProtocolSchema, basedOn });
