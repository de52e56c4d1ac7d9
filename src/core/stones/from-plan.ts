import { spanOf, type TableStep } from '../table/table-step';
import type { SkinId, StoneLimits } from './book';
import { hottestC } from './burn-risk';
import type { StoneStep } from './step-times';
import type { StoneUseKind } from './use';

/** How warm and how cool a house works with stones. */
export interface StoneHabits {
  readonly hotBathC: number;
  readonly coldBathC: number;
  readonly toleranceC: number;
  readonly waterLitres: number;
  readonly heaterW: number;
  /** Cooler than this a hot stone is swapped. */
  readonly usefulHotC: number;
  /** Warmer than this a cold one is. */
  readonly usefulColdC: number;
  /** First touch of a cold stone on the body and on the face: not cooler. */
  readonly coldBodyC: number;
  readonly coldFaceC: number;
}

export const usualHabits: StoneHabits = {
  hotBathC: 54,
  coldBathC: 8,
  toleranceC: 1,
  waterLitres: 6,
  heaterW: 500,
  usefulHotC: 42,
  usefulColdC: 18,
  coldBodyC: 8,
  coldFaceC: 12,
};

/** What of a client bears on stones. */
export interface StoneClient {
  readonly skin: SkinId;
  /** The warmest that screening allows at the first touch. */
  readonly mostC: number | null;
  readonly likes: '' | 'cooler' | 'usual' | 'warmer';
  /** Remark at the last visit: −2 too cool … 2 too hot. */
  readonly lastRemark: number | null;
}

/** The first touch for a client, and each thing that moved it. */
export interface FirstTouch {
  readonly firstC: number;
  readonly why: readonly string[];
}

const milderC = 3;
const perRemarkC = 1;
/** A hot stone is of use at least until it is so much cooler than at its first touch. */
const leastUseC = 4;

/** How warm a stone may be at the first touch: the limit of practice for this skin, then screening, liking and last time. */
export function firstTouchOf(
  limits: StoneLimits,
  client: StoneClient,
  mode: 'moving' | 'still',
  towelLayers: number,
): FirstTouch {
  const practice = hottestC(limits, mode, towelLayers, client.skin) ?? limits.bareStopC;
  const cap = Math.min(practice, client.mostC ?? Infinity);
  const why = [
    client.mostC !== null && client.mostC < practice
      ? `Screening allows ${client.mostC}° at most.`
      : `${practice}° is the most for ${client.skin} skin ${mode === 'moving' ? 'in moving work' : 'at rest'}.`,
  ];
  let wish = cap;
  if (client.likes === 'cooler') {
    wish -= milderC;
    why.push(`Likes it mild: ${milderC}° less.`);
  }
  if (client.lastRemark !== null && client.lastRemark > 0) {
    wish -= client.lastRemark * perRemarkC;
    why.push(`Found it too warm last time: ${client.lastRemark * perRemarkC}° less.`);
  }
  if (client.lastRemark !== null && client.lastRemark < 0 && client.likes !== 'cooler' && wish < cap) {
    wish = Math.min(cap, wish - client.lastRemark * perRemarkC);
    why.push('Found it too cool last time: back up within the limit.');
  }
  return { firstC: wish, why };
}

/**
 * How warm the bath is set for a visit: a stone that is taken out is then right for the first touch and need not wait in
 * the air. Never warmer than the house's own setting.
 */
export const bathForVisit = (houseC: number, steps: readonly StoneStep[], pickupDropC: number): number =>
  Math.min(houseC, Math.max(...steps.map(({ firstContactC }) => firstContactC)) + pickupDropC);

type StoneTableStep = Pick<TableStep, 'id' | 'seconds' | 'setupSeconds'> & {
  readonly told?:
    | {
        readonly block: string;
        readonly stones?: StoneUseKind | undefined;
        readonly places?: readonly string[] | undefined;
      }
    | undefined;
};

/**
 * What a plan asks of hot or of cold stones: steps on end in one part that take the same stones are one, so that they are
 * not swapped between strokes.
 */
export function stoneStepsOf(
  steps: readonly StoneTableStep[],
  isCold: boolean,
  habits: StoneHabits,
  touchOf: (use: StoneUseKind, places: readonly string[]) => number,
  classOf: (use: StoneUseKind) => string,
): readonly StoneStep[] {
  const found: StoneStep[] = [];
  let [clock, before] = [0, ''];
  for (const step of steps) {
    const startS = clock + (step.setupSeconds ?? 0);
    clock += spanOf(step);
    const use = step.told?.stones;
    const firstC = use ? touchOf(use, step.told?.places ?? []) : 0;
    const key = use ? `${step.told?.block} ${use.size} ${use.mode}` : '';
    if (!use || use.isCold !== isCold) {
      before = '';
      continue;
    }
    const last = found.at(-1);
    if (last && key === before) {
      // One stone serves them all: the mildest touch holds.
      const firstContactC = isCold ? Math.max(last.firstContactC, firstC) : Math.min(last.firstContactC, firstC);
      const usefulC = isCold ? last.usefulC : Math.min(last.usefulC, firstContactC - leastUseC);
      found[found.length - 1] = { ...last, firstContactC, usefulC, durationS: Math.round(clock) - last.startS };
      continue;
    }
    before = key;
    found.push({
      id: step.id,
      startS: Math.round(startS),
      durationS: Math.max(1, Math.round(clock) - Math.round(startS)),
      class: classOf(use),
      count: use.count,
      mode: use.mode,
      flip: use.mode === 'moving',
      towelLayers: use.towelLayers,
      usefulC: isCold ? habits.usefulColdC : Math.min(habits.usefulHotC, firstC - leastUseC),
      firstContactC: firstC,
    });
  }
  return found;
}
