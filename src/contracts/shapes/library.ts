import { z } from 'zod';
import { directions, families, handNeeds, standings, touches, traits } from '../../core/library/technique';
import { stepSides } from '../../core/library/protocol';
import { handStates, positions, tablePlaces } from '../../core/sequencing/block';
import type { Repetitions, StoneWish, Technique } from '../../core/library/technique';
import type { Protocol, ProtocolBlock, ProtocolStep, StepLayer } from '../../core/library/protocol';

export const RepetitionsShape: z.ZodType<Repetitions> = z.object({
  min: z.number(),
  usual: z.number(),
  max: z.number(),
});
export const StoneWishShape: z.ZodType<StoneWish> = z.object({
  size: z.string(),
  count: z.number(),
  keep: z.boolean(),
});
export const TechniqueShape: z.ZodType<Technique> = z.object({
  id: z.string(),
  name: z.string(),
  family: z.enum(families),
  hands: z.enum(handNeeds),
  pressure: z.enum(touches),
  secondsPerRepetition: z.number(),
  repetitions: RepetitionsShape,
  placements: z.number(),
  isPerRegion: z.boolean(),
  direction: z.enum(directions),
  therapist: z.enum(standings),
  traits: z.array(z.enum(traits)).readonly(),
  judgedAs: z.array(z.string()).readonly(),
  cues: z.array(z.string()).readonly(),
  turnedCue: z.string().optional(),
  why: z.string(),
  never: z.string(),
  feel: z.string(),
  words: z.array(z.string()).readonly(),
  stones: StoneWishShape.optional(),
});
export const StepLayerShape: z.ZodType<StepLayer> = z.object({
  use: z.string(),
  drops: z.array(z.number()).readonly(),
});
export const ProtocolStepShape: z.ZodType<ProtocolStep> = z.object({
  technique: z.string(),
  regions: z.array(z.string()).readonly(),
  side: z.enum(stepSides),
  repetitions: z.number().optional(),
  note: z.string().optional(),
  why: z.string().optional(),
  layer: StepLayerShape.optional(),
  stones: StoneWishShape.optional(),
});
export const ProtocolBlockShape: z.ZodType<ProtocolBlock> = z.object({
  id: z.string(),
  position: z.enum(positions),
  hands: z.enum(handStates),
  therapist: z.enum(tablePlaces),
  twin: z.string().optional(),
  isShortForm: z.boolean().optional(),
  isOptional: z.boolean().optional(),
  after: z.array(z.string()).readonly().optional(),
  steps: z.array(ProtocolStepShape).readonly(),
});
export const ProtocolShape: z.ZodType<Protocol> = z.object({
  id: z.string(),
  name: z.string(),
  modality: z.string(),
  school: z.string(),
  usualMinutes: z.number(),
  about: z.string(),
  source: z.enum(['steps', 'planner']),
  keepOrder: z.boolean().optional(),
  pairs: z.array(z.array(z.string()).readonly()).readonly().optional(),
  blocks: z.array(ProtocolBlockShape).readonly(),
});
