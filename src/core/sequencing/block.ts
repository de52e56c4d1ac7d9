import type { Minutes, Seconds } from '../quantities';
export const positions = ['supine', 'prone', 'side-left', 'side-right', 'seated'] as const;
export type Position = (typeof positions)[number];

export const handStates = ['dry', 'oiled', 'gloved', 'stone', 'brush', 'tool'] as const;
export type HandState = (typeof handStates)[number];

/** Where the therapist stands or sits, in the order of the ring round the table. */
export const tablePlaces = ['head', 'left', 'feet', 'right'] as const;
export type TablePlace = (typeof tablePlaces)[number];

export const blockSides = ['left', 'right', 'both'] as const;
export type BlockSide = (typeof blockSides)[number];

/** What has to be so while a block is worked: how the client lies, what is on the hands, where the therapist is. */
export interface Setting {
  readonly position: Position;
  readonly hands: HandState;
  readonly therapist: TablePlace;
  readonly side: BlockSide;
}

/** A stretch of a treatment that is worked without a change of setting. */
export interface Block extends Setting {
  readonly id: string;
  /** The setting that it ends in, where that is another than the one it begins in. */
  readonly leaves?: Setting | undefined;
  readonly minutes: Minutes;
  /** Blocks that have to be over before this one begins. */
  readonly after: readonly string[];
}

export const startSetting: Setting = { position: 'supine', hands: 'dry', therapist: 'head', side: 'both' };

/** Seconds that changes take. */
export interface SetupCosts {
  readonly turn: number;
  readonly drape: number;
  readonly walkToNeighbour: number;
  readonly walkAcross: number;
  readonly hands: (from: HandState, to: HandState) => number;
}

type HandsRow = readonly [from: readonly HandState[] | 'any', to: readonly HandState[] | 'any', seconds: Seconds];

/** The first row that fits counts; rows for washing, drying, gloving and taking up. */
const handsRows: readonly HandsRow[] = [
  [['dry'], ['oiled'], 20],
  [['oiled'], ['dry'], 90],
  ['any', ['gloved'], 45],
  [['gloved'], 'any', 60],
  [['dry', 'oiled'], ['stone'], 30],
  [['stone'], ['oiled'], 15],
  [['stone'], ['dry'], 90],
  ['any', ['brush'], 20],
  [['brush'], 'any', 20],
  ['any', ['tool'], 20],
  [['tool'], 'any', 20],
];

const fits = (row: readonly HandState[] | 'any', state: HandState) => row === 'any' || row.includes(state);

/** @returns seconds to go from one state of the hands to another; 0 without a change */
function usualHandsSeconds(from: HandState, to: HandState): number {
  if (from === to) return 0;
  return handsRows.find(([a, b]) => fits(a, from) && fits(b, to))?.[2] ?? 0;
}

export const usualCosts: SetupCosts = {
  turn: 120,
  drape: 15,
  walkToNeighbour: 10,
  walkAcross: 20,
  hands: usualHandsSeconds,
};
