import type { Seconds } from '../quantities';
import type { PlaceId } from '../anatomy/place';
import type { Pressure } from '../screening/tables';
import type { RuleId } from './rules';

export const stepKinds = [
  'breathe',
  'clear',
  'prepare',
  'soften',
  'drain',
  'carry',
  'return',
  'close',
  'turn',
] as const;
export type StepKind = (typeof stepKinds)[number];

/** How the client lies; `side`: where lying face down is out. */
export const lyings = ['supine', 'prone', 'side'] as const;
export type Lying = (typeof lyings)[number];

/** Where a turn stands on the body: nowhere; maps show nothing for it, and answers say null. */
export const turnPlace: PlaceId = 'abdominal-deep.mid';

/** One thing to do with the hands, at one place, in one direction. */
export interface Step {
  readonly id: string;
  readonly kind: StepKind;
  /** How the client lies; steps of the library lie as their block does. */
  readonly position?: Lying | undefined;
  /** `turnPlace` for a turn. */
  readonly place: PlaceId;
  /** Where each stroke pushes; null where the hand works in place. */
  readonly toward: PlaceId | null;
  /** Places between `place` and `toward` of a long stroke. */
  readonly via: readonly PlaceId[];
  readonly pressure: Pressure;
  readonly repetitions: number;
  readonly placements: number;
  readonly seconds: Seconds;
  readonly rules: readonly RuleId[];
  /** The sentence that a therapist should read: why here. */
  readonly why: string;
  readonly cautions: readonly string[];
  /** Shared by two steps that both hands may do at once. */
  readonly pair?: string;
}

export interface Range {
  readonly min: number;
  readonly usual: number;
  readonly max: number;
}

/** Repetitions by kind; the usual ones are what therapists do when time is no concern. */
export const repetitionRanges: Readonly<Record<StepKind, Range>> = {
  breathe: { min: 5, usual: 10, max: 10 },
  clear: { min: 5, usual: 10, max: 15 },
  prepare: { min: 3, usual: 5, max: 10 },
  soften: { min: 5, usual: 10, max: 20 },
  drain: { min: 3, usual: 7, max: 15 },
  carry: { min: 1, usual: 2, max: 4 },
  return: { min: 1, usual: 1, max: 1 },
  close: { min: 3, usual: 5, max: 10 },
  turn: { min: 1, usual: 1, max: 1 },
};

/** Opening the terminus again between two limbs. */
export const againRange: Range = repetitionRanges.close;

/** Thickened skin gives way slowly: its draining is doubled, limits and all. */
export const thickenedDrainRange: Range = { min: 6, usual: 14, max: 30 };

export const basinPlacements = 2;
const findPlaceSeconds = 6;
const moveOnSeconds = 2;
const breathSeconds = 6;
const turnSeconds = 120;
/** The way round the outer side of the knee takes about so long before the first stroke on the shin (s). */
const kneeWaySeconds = 120;
const carryStretchSeconds = 2;
const returnStretchSeconds = 3;

/** Repetitions of the way round the knee, so that it takes its time whatever the placements. */
export function kneeWayRange(placements: number): Range {
  const usual = Math.round((kneeWaySeconds - findPlaceSeconds) / placements) - moveOnSeconds;
  return { min: Math.round(usual / 2), usual, max: usual };
}

/** Seconds of one repetition of a planned step over all its placements: what a repetition more or less takes. */
export function secondsPerRepetition({ kind, seconds, repetitions, placements }: Step): number {
  if (kind === 'turn') return turnSeconds;
  if (kind === 'breathe') return breathSeconds;
  if (kind === 'carry' || kind === 'return') return (seconds - findPlaceSeconds) / repetitions;
  return placements;
}

/**
 * How long a step takes (s): 6 s to find its place; then per placement one second a repetition and 2 s to move on,
 * or 6 s a breath, or 2 s (carrying) and 3 s (returning) for each stretch of the way.
 * @param stretches places from the start of a long stroke up to, not including, the group that it ends at
 */
export function stepSeconds(kind: StepKind, repetitions: number, placements: number, stretches: number): number {
  switch (kind) {
    case 'breathe':
      return findPlaceSeconds + repetitions * breathSeconds;
    case 'turn':
      return turnSeconds;
    case 'carry':
      return findPlaceSeconds + repetitions * stretches * carryStretchSeconds;
    case 'return':
      return findPlaceSeconds + repetitions * stretches * returnStretchSeconds;
    default:
      return findPlaceSeconds + placements * (repetitions + moveOnSeconds);
  }
}
