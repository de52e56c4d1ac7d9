import type { TechniqueId } from '../ids';

/** Ways of moving, and how they are put together. */

export const families = [
  'breath',
  'lymph-stretch',
  'lymph-sweep',
  'stretch',
  'effleurage',
  'petrissage',
  'friction',
  'assessment',
  'hold',
  'facial',
  'ritual',
  'self-care',
  'intraoral',
  'roll',
  'scrape',
  'brush',
  'stone-glide',
  'stone-press',
  'stone-rest',
  'stone-cool',
  'spine-oil',
  'scalp',
  'pump',
] as const;
export type Family = (typeof families)[number];

/** Those that move lymph. */
export const lymphFamilies: ReadonlySet<string> = new Set<Family>(['lymph-stretch', 'lymph-sweep']);
/** Those that bring heat. */
export const hotStoneFamilies: ReadonlySet<string> = new Set<Family>(['stone-glide', 'stone-press', 'stone-rest']);

/** What a technique needs on the hands; `any`: as the block has it. */
export const handNeeds = ['dry', 'oiled', 'gloved', 'stone', 'brush', 'tool', 'cloth', 'any', 'none'] as const;
export type HandNeed = (typeof handNeeds)[number];

/** Lightest first. */
export const touches = ['none', 'feather', 'light', 'medium', 'firm'] as const;
export type Touch = (typeof touches)[number];

export const directions = [
  'towards-node',
  'towards-heart',
  'across-line',
  'along-muscle',
  'bowel-clockwise',
  'node-outward',
  'none',
] as const;
export type Direction = (typeof directions)[number];

export const standings = ['head', 'side', 'feet', 'any'] as const;
export type Standing = (typeof standings)[number];

export const traits = [
  /** Has to be followed by something soothing on the same region. */
  'intense',
  'soothing',
  /** Taken out by sensitive skin, rosacea and the like; the first to go when minutes are short. */
  'stimulating',
  'both-hands-one-side',
  'advanced',
  'licensed',
  /** Passes the oil limits first. */
  'guarded',
  'inside-mouth',
  'by-client',
  // What the hands do to whom: read by the judgement, never guessed from an id or a name.
  /** Works on a node group itself. */
  'on-node',
  /** Pushes towards the node group of its region. */
  'to-node',
  /** Opens the way for what follows; the last to go when minutes are short. */
  'opens',
  'traction',
  'turns-neck',
  'bends-neck',
  'pins',
  'over-throat',
  'compresses-chest',
  'deep-belly',
  'heat',
  'cold',
  'scrape',
  'scented',
  'neat-drops',
  'pinch',
  'press-hold',
  'friction',
  'breath-linked',
  'beside-spine',
  'on-spine',
  'across-line',
  'near-eye',
  // Whom it tires, and how the body stands or lies.
  'thumb-load',
  'uses-forearm',
  'standing',
  'seated-therapist',
  'one-side-at-a-time',
  'both-sides-at-once',
  'client-active',
  'client-turns-head',
  'lifts-leg',
  'lifts-arm',
  'assessing',
] as const;
export type Trait = (typeof traits)[number];

export interface Repetitions {
  readonly min: number;
  readonly usual: number;
  readonly max: number;
}

export interface Technique {
  readonly id: TechniqueId;
  readonly name: string;
  readonly family: Family;
  readonly hands: HandNeed;
  readonly pressure: Touch;
  readonly secondsPerRepetition: number;
  readonly repetitions: Repetitions;
  /** Places of the hand in one region. */
  readonly placements: number;
  /** Repeated in each region of a step; otherwise one movement takes them all. */
  readonly isPerRegion: boolean;
  readonly direction: Direction;
  readonly therapist: Standing;
  readonly traits: readonly Trait[];
  /** Kinds of work that it is judged as besides that of its block: risks only, no limits on minutes, oil or scope. */
  readonly judgedAs: readonly string[];
  /** Short sentences for the table. */
  readonly cues: readonly string[];
  /** What is said instead where strokes along the spine run from the skull down. */
  readonly turnedCue?: string | undefined;
  readonly why: string;
  /** What it is never done to, and never turned into. */
  readonly never: string;
  /** What tells the hands that it has worked. */
  readonly feel: string;
  /** Other words that it is looked for by. */
  readonly words: readonly string[];
  readonly stones?: StoneWish | undefined;
}

/** Stones of a step. */
export interface StoneWish {
  readonly size: string;
  readonly count: number;
  /** The stones of the step before serve on. */
  readonly keep: boolean;
}

export const hasTrait = ({ traits: own }: Pick<Technique, 'traits'>, trait: Trait) => own.includes(trait);

/** What of a technique says how long it takes. */
export type Paced = Pick<Technique, 'secondsPerRepetition' | 'placements' | 'isPerRegion'>;

const findPlaceSeconds = 6;
const moveOnSeconds = 2;

/** How often a technique is given in a step: once, or for each side, and for each region where it is repeated there. */
function roundsOf(technique: Pick<Technique, 'isPerRegion'>, regions: number, isEachSide: boolean): number {
  return (isEachSide ? 2 : 1) * (technique.isPerRegion ? regions : 1);
}

/** Seconds that come with a step whatever its repetitions: 6 s to find the first place, 2 s to move on to each other. */
export function stepOverheadSeconds(
  technique: Pick<Technique, 'isPerRegion'>,
  regions: number,
  isEachSide: boolean,
): number {
  return findPlaceSeconds + moveOnSeconds * Math.max(0, roundsOf(technique, regions, isEachSide) - 1);
}

/** Seconds of one repetition over all that a step covers, at the technique's own pace: each hand placement, side and region. */
export function repetitionSeconds(technique: Paced, regions: number, isEachSide: boolean): number {
  return technique.secondsPerRepetition * technique.placements * roundsOf(technique, regions, isEachSide);
}
