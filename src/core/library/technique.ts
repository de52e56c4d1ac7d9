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
  /** Taken out by sensitive skin, rosacea and the like. */
  'stimulating',
  'both-hands-one-side',
  'advanced',
  'licensed',
  /** Passes the oil limits first. */
  'guarded',
  'inside-the-mouth',
  'by-the-client',
] as const;
export type Trait = (typeof traits)[number];

export interface Repetitions {
  readonly min: number;
  readonly usual: number;
  readonly max: number;
}

export interface Technique {
  readonly id: string;
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
  /** Short sentences for the table. */
  readonly cues: readonly string[];
}

export const hasTrait = ({ traits: own }: Pick<Technique, 'traits'>, trait: Trait) => own.includes(trait);

const findPlaceSeconds = 8;

/** Seconds that come with a step whatever its repetitions: finding the place. */
export const stepOverheadSeconds = findPlaceSeconds;

/**
 * Seconds of one repetition over all that a step covers: each placement, each side, and each region where the technique
 * is repeated there.
 */
export function repetitionSeconds(technique: Technique, regions: number, isEachSide: boolean): number {
  const times = technique.placements * (isEachSide ? 2 : 1) * (technique.isPerRegion ? regions : 1);
  return technique.secondsPerRepetition * times;
}
