import { sideOf } from '../anatomy/place';
import { hasTrait } from '../library/technique';
import type { TreatmentBlock, TreatmentStep } from './block';
import { treatmentSays } from './treatment.says';

/** Where the client was tighter: that side comes first there, and gets more of the time. */
export interface Lean {
  readonly side: 'left' | 'right';
  /** Names of regions, without their side. */
  readonly regions: readonly string[];
}

const other = { left: 'right', right: 'left' } as const;

/** So much of a step's repetitions goes from the other side, and so much more comes to the tighter one; at least one. */
const mostTaken = 1 / 4;
const mostGiven = 1 / 2;

/**
 * Blocks that can lean: work of one side after the other begins on the tighter side, and a step that takes the sides in
 * turn becomes two, so that they may differ. What it takes at its usual repetitions stays as it was.
 */
export function leaned(blocks: readonly TreatmentBlock[], lean: Lean): readonly TreatmentBlock[] {
  return tighterFirst(blocks, lean).map((block) => ({
    ...block,
    steps: block.steps.flatMap((step) => (isInTurn(step) && isThere(step, lean) ? sidesApart(step, lean) : [step])),
  }));
}

/** Twin blocks change their places where the tighter side would come second; what stood by the one stands by the other. */
function tighterFirst(blocks: readonly TreatmentBlock[], { side }: Lean): readonly TreatmentBlock[] {
  const swapped = new Map<string, string>();
  blocks.forEach((first, i) => {
    const then = blocks.slice(i + 1).find((block) => isTwin(first, block));
    if (!then || first.side !== other[side] || then.side !== side) return;
    swapped.set(first.id, then.id);
    swapped.set(then.id, first.id);
  });
  const named = (id: string) => swapped.get(id) ?? id;
  const byId = new Map(blocks.map((block) => [block.id, block]));
  return blocks.map((place) => ({
    ...(byId.get(named(place.id)) ?? place),
    follows: place.follows === undefined ? undefined : named(place.follows),
    after: place.after.map(named),
  }));
}

const isTwin = (a: TreatmentBlock, b: TreatmentBlock): boolean =>
  a.twin !== undefined && a.twin === b.twin && a.choice === b.choice;

/** One side after the other, each for itself; drops that were counted for both are not counted twice. */
const isInTurn = ({ side, places, layer }: TreatmentStep): boolean =>
  side === 'each' && layer === undefined && places.every((place) => sideOf(place) !== 'mid');

const isThere = ({ regions }: TreatmentStep, lean: Lean): boolean =>
  regions.some((region) => lean.regions.includes(region));

function sidesApart(step: TreatmentStep, { side }: Lean): readonly TreatmentStep[] {
  const on = (one: 'left' | 'right', id: string): TreatmentStep => ({
    ...step,
    ...{ id, side: one, places: step.places.filter((place) => sideOf(place) === one) },
  });
  return [on(side, step.id), on(other[side], `${step.id}/2`)];
}

export interface Leaning {
  /** By step: what it gets instead of what the fit gave it. */
  readonly repetitions: ReadonlyMap<string, number>;
  /** By step: what the table says of it. */
  readonly notes: ReadonlyMap<string, string>;
  /** What the tighter side gets of the other one (s). */
  readonly movedSeconds: number;
}

/** A step that gives up repetitions, or gets some: so many at most, one by one. */
interface Share {
  readonly step: TreatmentStep;
  readonly fitted: number;
  readonly most: number;
  readonly secondsEach: number;
  moved: number;
}

/**
 * Moves time from the steps of the other side to those of the tighter side, by whole repetitions. No step goes below
 * what its technique asks for at least, or above its most; the whole takes as long as before, or less by a part of one
 * repetition.
 * @param fitted by step, its repetitions before
 * @param secondsOf what a repetition of a step takes
 */
export function leanOf(
  blocks: readonly TreatmentBlock[],
  fitted: ReadonlyMap<string, number>,
  lean: Lean,
  secondsOf: (step: TreatmentStep) => number,
): Leaning {
  const pairs = pairsOf(blocks, lean);
  const shareOf = (step: TreatmentStep, most: (fitted: number) => number): Share => {
    const now = fitted.get(step.id) ?? 0;
    return { step, fitted: now, most: now < 1 ? 0 : Math.max(0, most(now)), secondsEach: secondsOf(step), moved: 0 };
  };
  const givers: Share[] = [];
  const takers: Share[] = [];
  // A kind of work may only take so long on a day: time stays within it.
  for (const kind of new Set(pairs.map(([{ modality }]) => modality))) {
    const own = pairs.filter(([{ modality }]) => modality === kind);
    const give = own.map(([, { step }]) => shareOf(step, (now) => mostOf(now, mostTaken, now - leastOf(step))));
    const take = own.map(([{ step }]) =>
      shareOf(step, (now) => mostOf(now, mostGiven, step.technique.repetitions.max - now)),
    );
    moveTime(give, take);
    givers.push(...give);
    takers.push(...take);
  }
  const repetitions = new Map<string, number>();
  for (const { step, fitted: now, moved } of givers) if (moved > 0) repetitions.set(step.id, now - moved);
  for (const { step, fitted: now, moved } of takers) if (moved > 0) repetitions.set(step.id, now + moved);
  const notes = new Map<string, string>();
  const timesOf = (step: TreatmentStep) => repetitions.get(step.id) ?? fitted.get(step.id) ?? step.repetitions;
  for (const [{ step: tight }, { step: slack }] of pairs) {
    if (!repetitions.has(tight.id) && !repetitions.has(slack.id)) continue;
    notes.set(tight.id, treatmentSays.theTighterSide(other[lean.side], timesOf(slack)));
    notes.set(slack.id, treatmentSays.theOtherSideIsTighter(lean.side, timesOf(tight)));
  }
  return { repetitions, notes, movedSeconds: takers.reduce((sum, one) => sum + one.moved * one.secondsEach, 0) };
}

const mostOf = (now: number, share: number, room: number) => Math.min(room, Math.max(1, Math.floor(now * share)));
const leastOf = ({ technique, repetitions }: TreatmentStep) =>
  Math.max(1, Math.min(technique.repetitions.min, repetitions));

/** Each repetition is given where least has been given so far, and paid for where least has been taken. */
function moveTime(givers: readonly Share[], takers: readonly Share[]): void {
  let pool = 0;
  const full = new Set<Share>();
  for (;;) {
    const taker = leastMoved(takers.filter((one) => !full.has(one)));
    if (!taker) break;
    for (let giver = leastMoved(givers); giver && pool < taker.secondsEach; giver = leastMoved(givers)) {
      giver.moved += 1;
      pool += giver.secondsEach;
    }
    if (pool < taker.secondsEach) full.add(taker);
    else {
      taker.moved += 1;
      pool -= taker.secondsEach;
    }
  }
  // What nobody can use goes back.
  for (const giver of givers)
    while (giver.moved > 0 && giver.secondsEach <= pool) {
      giver.moved -= 1;
      pool -= giver.secondsEach;
    }
}

const leastMoved = (shares: readonly Share[]): Share | undefined =>
  shares
    .filter(({ moved, most }) => moved < most)
    .reduce<Share | undefined>(
      (least, one) => (least && shareMoved(least) <= shareMoved(one) ? least : one),
      undefined,
    );

const shareMoved = ({ moved, fitted }: Share) => moved / fitted;

interface Placed {
  readonly step: TreatmentStep;
  readonly modality: string;
  readonly work: string;
}

/** The same step on either side, the tighter one first: the nth of its kind with the nth. */
function pairsOf(blocks: readonly TreatmentBlock[], lean: Lean): readonly (readonly [tight: Placed, slack: Placed])[] {
  const steps = blocks.flatMap((block) =>
    block.steps.map((step): Placed => ({ step, modality: block.modality, work: workOf(block, step) })),
  );
  const waiting = steps.filter(({ step }) => step.side === other[lean.side]);
  return steps
    .filter(({ step }) => step.side === lean.side && isThere(step, lean) && canDiffer(step))
    .flatMap((tight) => {
      const at = waiting.findIndex(({ work }) => work === tight.work);
      const [slack] = at < 0 ? [] : waiting.splice(at, 1);
      return slack ? [[tight, slack] as const] : [];
    });
}

const workOf = ({ choice }: TreatmentBlock, { technique, regions }: TreatmentStep): string =>
  `${choice} ${technique.id} ${[...regions].sort().join()}`;

/** How often was not said by the therapist, and it neither opens a way nor only looks. */
const canDiffer = ({ isSet, technique }: TreatmentStep): boolean =>
  !isSet && !hasTrait(technique, 'assessing') && !hasTrait(technique, 'opens') && !hasTrait(technique, 'on-node');

/** Whether leaning changes anything of it: another side first, or time that can move at the usual repetitions. */
export function canLean(
  blocks: readonly TreatmentBlock[],
  lean: Lean,
  secondsOf: (step: TreatmentStep) => number,
): boolean {
  const ready = leaned(blocks, lean);
  if (ready.some((block, i) => block.id !== blocks[i]?.id)) return true;
  const usual = new Map(ready.flatMap(({ steps }) => steps.map((step) => [step.id, step.repetitions] as const)));
  return leanOf(ready, usual, lean, secondsOf).movedSeconds > 0;
}
