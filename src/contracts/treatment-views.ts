import { z } from 'zod';
import { handStates, positions, tablePlaces } from '../core/sequencing/block';
import { SetupChangeShape } from './shapes/sequencing';
import { BlockRuleShape, OrderFaultShape, ProposalShape, StepFaultShape, TreatmentLoadShape } from './shapes/treatment';
import { OilNeedsShape, RoomItemShape } from './shapes/room';
import { FaceLineShape } from './shapes/facial';
import { LayersShape } from './shapes/oils';
import { TreatmentHolds, TreatmentInput } from './treatment';

/** A stretch of the treatment as the plan shows it. */
export const BlockView = z.object({
  id: z.string(),
  choice: z.string(),
  protocol: z.string(),
  name: z.string(),
  /** The protocol that it belongs to, in words. */
  of: z.string(),
  position: z.enum(positions),
  hands: z.enum(handStates),
  therapist: z.enum(tablePlaces),
  side: z.enum(['left', 'right', 'both']),
  changes: z.array(SetupChangeShape).readonly(),
  changeWords: z.array(z.string()).readonly(),
  startsAt: z.number(),
  seconds: z.number(),
  why: z.array(z.string()).readonly(),
  /** Which of the visit's blends it is worked with; left out where no oil is. */
  oil: z.enum(['body', 'face']).optional(),
  /** The part that is the same work on the other side, where that was not chosen. */
  otherSide: z.string().optional(),
  /** Ids of its steps in the course. */
  steps: z.array(z.string()).readonly(),
});
export type BlockView = z.infer<typeof BlockView>;

/** Something that was chosen and is not given, or not everywhere, in words. */
export const LeftOutView = z.object({
  choice: z.string(),
  block: z.string().nullable(),
  /** Name of the step with its side and place, of the part, or of the kind of work. */
  what: z.string(),
  why: z.string(),
  /** What is done in its place. */
  instead: z.string().nullable(),
  /** Left out in plans of before the judgement named them. */
  rule: z.string().optional(),
  technique: z.string().nullable().optional(),
  places: z.array(z.string()).readonly().optional(),
});
export type LeftOutView = z.infer<typeof LeftOutView>;

/** What a plan asks of hot or of cold stones, what is wrong with that, and what would mend it. */
export const StoneNote = z.object({
  isCold: z.boolean(),
  bathC: z.number(),
  /** How often hands take other stones. */
  changes: z.number(),
  /** Class of stones → how many are in play. */
  inPlay: z.record(z.string(), z.number()),
  /** Stones of a near size that stand in for others. */
  standIns: z.array(z.string()).readonly(),
  /** Of which stones more would save changes; absent in plans of before it was told. */
  spared: z.array(z.string()).readonly().optional(),
  trouble: z.array(z.string()).readonly(),
  ways: z
    .array(
      z.object({
        words: z.string(),
        /** Stones of steps, by their ids; empty where something else is to be changed. */
        stones: TreatmentHolds.shape.stones.unwrap(),
      }),
    )
    .readonly(),
});
export type StoneNote = z.infer<typeof StoneNote>;

/** The therapist's own seconds in a plan; only techniques of this plan that they were measured in. */
export const PaceView = z.object({
  /** The therapist whose hands were measured. */
  therapist: z.number(),
  whose: z.string(),
  isOwn: z.boolean(),
  techniques: z
    .array(
      z.object({
        name: z.string(),
        /** Seconds of a repetition: the therapist's, and the library's. */
        ownSeconds: z.number(),
        librarySeconds: z.number(),
        /** From so many steps. */
        times: z.number(),
      }),
    )
    .readonly(),
});
export type PaceView = z.infer<typeof PaceView>;

/** The side that hands found tighter at earlier visits, and what the plan makes of it. */
export const LeanView = z.object({
  side: z.enum(['left', 'right']),
  /** `Tighter at the right shoulder: 4 of 5 visits; tighter at the right jaw line: 1 of 5 visits` */
  found: z.string(),
  answer: z.enum(['offered', 'taken', 'refused']),
  /** Where it is taken: what that side gets of the other one (s), and whether work of one side begins there. */
  movedSeconds: z.number(),
  beginsThere: z.boolean(),
});
export type LeanView = z.infer<typeof LeanView>;

/** What a visit holds beside or instead of drainage, put into order and time. */
export const TreatmentView = z.object({
  wish: TreatmentInput.omit({ basedOn: true, reason: true }),
  blocks: z.array(BlockView).readonly(),
  choices: z
    .array(
      z.object({
        id: z.string(),
        protocol: z.string(),
        name: z.string(),
        isGiven: z.boolean(),
      }),
    )
    .readonly(),
  /** Left out where the therapist has none of their own, and in plans of before it was measured. */
  pace: PaceView.optional(),
  /** Left out where neither side was tighter, or nothing of the plan has sides; and in plans of before. */
  lean: LeanView.optional(),
  setupSeconds: z.number(),
  lowerBoundSeconds: z.number(),
  isBestOrder: z.boolean(),
  /** A faster order, and what of the protocols it departs from, in words; left out where there is none. */
  faster: z.object({ savesSeconds: z.number(), departs: z.array(z.string()).readonly() }).optional(),
  /** How often the therapist goes to the other side of the table; left out in plans of before it was counted. */
  crossings: z.number().optional(),
  totalSeconds: z.number(),
  usualSeconds: z.number(),
  availableSeconds: z.number(),
  fits: z.boolean(),
  shortBySeconds: z.number(),
  leftOut: z.array(LeftOutView).readonly(),
  faults: z.array(OrderFaultShape).readonly(),
  stepFaults: z.array(StepFaultShape).readonly(),
  conflicts: z.array(OrderFaultShape).readonly(),
  rules: z.array(BlockRuleShape).readonly(),
  proposals: z.array(ProposalShape).readonly(),
  load: TreatmentLoadShape,
  /** What it asks of the stones, hot and cold apart; left out in plans of before it was told. */
  stones: z.array(StoneNote).readonly().optional(),
  /** What to heat, blend and lay out, counted back from the appointment. */
  room: z.array(RoomItemShape).readonly(),
  /** How much oil it takes for body and face. Left out in plans of before oils were counted. */
  oil: OilNeedsShape.optional(),
  /** Drops straight onto the skin: which oil in which step, and what the skin may have. */
  layers: LayersShape.extend({
    /** Names of the oils that may drop. */
    names: z.record(z.string(), z.string()),
    /** What fell on this client's skin in the seven days before, by visit. */
    lately: z.array(z.object({ date: z.string(), words: z.string() })).readonly(),
  }).optional(),
  /** The client's lines as they were drawn when it was planned. */
  lines: z.array(FaceLineShape).readonly(),
  /** Ids of those that nothing works, where the face is worked at all. */
  openLines: z.array(z.string()).readonly(),
  /** How it differs from the last treatment that was given; null without one. */
  sinceLast: z
    .object({
      date: z.string(),
      words: z.array(z.string()).readonly(),
    })
    .nullable(),
  /** What screening said when it was planned, to see whether it still says so. */
  screened: z.string(),
});
export type TreatmentView = z.infer<typeof TreatmentView>;

export const ReadyTreatment = z.object({
  id: z.string(),
  kind: z.enum(['last', 'usual', 'house']),
  name: z.string(),
  minutes: z.number(),
  holds: TreatmentHolds,
});
export type ReadyTreatment = z.infer<typeof ReadyTreatment>;

/** A protocol that may be chosen. */
export const OfferedProtocol = z.object({
  id: z.string(),
  name: z.string(),
  about: z.string(),
  modality: z.string(),
  school: z.string(),
  minutes: z.number(),
  /** Worked out from the case. */
  isPlanned: z.boolean(),
  /** Stones have to be warmed for it. */
  hasHeat: z.boolean(),
  parts: z
    .array(
      z.object({
        id: z.string(),
        name: z.string(),
        minutes: z.number(),
      }),
    )
    .readonly(),
});
export type OfferedProtocol = z.infer<typeof OfferedProtocol>;

/** What may be chosen for a visit. */
export const TreatmentOffers = z.object({
  /** Whole treatments: as last time, what is usual for the client, those of the house. */
  ready: z.array(ReadyTreatment).readonly(),
  protocols: z.array(OfferedProtocol).readonly(),
});
export type TreatmentOffers = z.infer<typeof TreatmentOffers>;
