import type { WayRound } from './way-round';
import { type Anatomy, nameOf, type PlaceId, sideOf } from '../anatomy/place';
import { judgeKindOfWork, judgeSetting } from '../judgement/judge-kind';
import { judgeStep, type PlaceVerdict } from '../judgement/judge-step';
import type { Judgement } from '../judgement/judgement';
import type { JudgementReason } from '../judgement/reasons';
import type { Library } from '../library/protocol';
import type { TreatmentBlock, TreatmentStep } from './block';
import { sideOfSteps } from './expand';
import { blockOut, type LeftOut, stepOut } from './left-out';
import { leadRound } from './lead-round';
import { standIn } from './replace';

export interface Judged {
  readonly blocks: readonly TreatmentBlock[];
  readonly leftOut: readonly LeftOut[];
  /** Seconds that a kind of work may take at most. */
  readonly mostSeconds: ReadonlyMap<string, number>;
  /** Places of a limb that is swollen or at risk, and of its quarter of the trunk: no heat at all. */
  readonly heatless?: ReadonlySet<PlaceId>;
}

/**
 * Takes out of a treatment what the judgement does not allow, changes what it limits, and leads round what is closed:
 * block by block, step by step, place by place. Everything that is gone or changed is named with its reason.
 */
export function judgeBlocks(
  library: Library,
  judgement: Judgement,
  blocks: readonly TreatmentBlock[],
  wayRound: WayRound,
): Judged {
  const leftOut: LeftOut[] = [];
  const refused = new Set<string>();
  const mostSeconds = new Map<string, number>();
  const kept = blocks.flatMap((block): TreatmentBlock[] => {
    const whole = judgeKindOfWork(judgement, block.modality);
    if (whole) {
      // A kind of work that is out altogether is named once a choice, not once a block.
      const key = `${block.choice} ${block.modality}`;
      if (!refused.has(key)) leftOut.push({ ...blockOut(block, whole), block: null });
      refused.add(key);
      return [];
    }
    const most = judgement.kind(block.modality)?.answer.limits.maxMinutes;
    if (most !== undefined) mostSeconds.set(block.modality, most * 60);
    const lawful = settingOf(judgement, block, leftOut);
    if (!lawful) return [];
    const steps = lawful.steps.flatMap((step) => judgeOne(library, judgement, lawful, step, leftOut));
    return steps.length > 0 ? [{ ...lawful, steps, side: sideOfSteps(steps) }] : [];
  });
  return {
    ...leadRound(library, judgement, blocks, kept, leftOut, wayRound),
    mostSeconds,
    heatless: heatlessPlaces(judgement),
  };
}

/** What screening says of hot stones on a limb at risk, for whatever brings heat. */
function heatlessPlaces(judgement: Judgement): ReadonlySet<PlaceId> {
  const rows = [...(judgement.kind('hot-stone')?.rows ?? [])];
  return new Set(
    rows.filter(([, { reasons }]) => reasons.some(({ condition }) => condition === limbAtRisk)).map(([place]) => place),
  );
}

const limbAtRisk = 'no-heat-limb-at-risk';

/** The block as it may be set up; of oiled work that has to be dry, what needs no oil is kept. */
function settingOf(judgement: Judgement, block: TreatmentBlock, leftOut: LeftOut[]): TreatmentBlock | undefined {
  const reason = judgeSetting(judgement, block.modality, block);
  if (!reason) return block;
  const isOil = reason.kind === 'limit' && reason.limit === 'noOil';
  const dry = isOil ? block.steps.filter(({ technique }) => needsNoOil.has(technique.hands)) : [];
  if (dry.length === 0) {
    leftOut.push(blockOut(block, reason));
    return undefined;
  }
  for (const step of block.steps) if (!dry.includes(step)) leftOut.push(stepOut(block, step, step.places, reason));
  return { ...block, hands: 'dry', steps: dry };
}

const needsNoOil: ReadonlySet<string> = new Set(['dry', 'cloth', 'none']);

function judgeOne(
  library: Library,
  judgement: Judgement,
  block: TreatmentBlock,
  step: TreatmentStep,
  leftOut: LeftOut[],
): readonly TreatmentStep[] {
  const { modality } = block;
  const { technique, places, pressure } = step;
  const verdicts = judgeStep(judgement, { modality, technique, places, pressure });
  const input = verdicts.filter(({ out }) => !out);
  const steps = splitStep(judgement.anatomy, step, input);
  for (const [reason, gone] of byReason(verdicts)) {
    const isPart = input.length > 0;
    const outPlaces = gone.map(({ place }) => place);
    const calm = gone.every(({ mayBeReplaced }) => mayBeReplaced)
      ? standIn(library, judgement, block, technique, outPlaces)
      : undefined;
    leftOut.push(stepOut(block, step, outPlaces, reason, { isPart, instead: calm?.id ?? null }));
    if (!calm) continue;
    const replaced: TreatmentStep = {
      ...step,
      id: `${step.id}/instead`,
      technique: calm,
      repetitions: calm.repetitions.usual,
      pressure: calm.pressure,
      note: '',
      places: outPlaces,
      cautions: [reason],
    };
    const lawful = judgeStep(judgement, { modality, technique: calm, places: outPlaces, pressure: calm.pressure });
    steps.push(...splitStep(judgement.anatomy, replaced, lawful));
  }
  return steps;
}

/** Places that are out, gathered by why. */
function byReason(verdicts: readonly PlaceVerdict[]): readonly (readonly [JudgementReason, readonly PlaceVerdict[]])[] {
  const groups = new Map<string, { readonly reason: JudgementReason; readonly list: PlaceVerdict[] }>();
  for (const verdict of verdicts) {
    if (!verdict.out) continue;
    const key = JSON.stringify(verdict.out);
    const group = groups.get(key) ?? { reason: verdict.out, list: [] };
    group.list.push(verdict);
    groups.set(key, group);
  }
  return [...groups.values()].map(({ reason, list }) => [reason, list]);
}

/**
 * A step as it is given: one where both sides are alike, otherwise one for each way in which it is given. Steps on both
 * sides are split where one side differs.
 */
function splitStep(anatomy: Anatomy, step: TreatmentStep, verdicts: readonly PlaceVerdict[]): TreatmentStep[] {
  const ways = new Map<string, PlaceVerdict[]>();
  for (const verdict of verdicts) {
    const key = `${verdict.pressure} ${verdict.isReversed} ${verdict.endsAtRoot}`;
    ways.set(key, [...(ways.get(key) ?? []), verdict]);
  }
  const steps: TreatmentStep[] = [];
  for (const way of ways.values()) {
    for (const [side, own] of bySide(step, way)) {
      const [first] = own;
      if (!first) continue;
      const places = own.map(({ place }) => place);
      const regions = step.regions.filter((region) => places.some((place) => nameOf(place) === region));
      const isReversed = first.isReversed && !runsDown(anatomy, step.regions);
      steps.push({
        ...step,
        id: steps.length === 0 ? step.id : `${step.id}/${side}${steps.length}`,
        side,
        regions: isReversed ? [...regions].reverse() : regions,
        places: isReversed ? [...places].reverse() : places,
        pressure: first.pressure,
        // What the note says of the way no longer holds where the way is another.
        note: first.endsAtRoot || isReversed ? '' : step.note,
        ...(side !== step.side && !hasOther(verdicts, side) ? { isOneSided: true } : {}),
        ...(first.isReversed ? { isReversed: true } : {}),
        ...(first.endsAtRoot ? { endsAtRoot: true } : {}),
        cautions: [...step.cautions, ...uniqueReasons(own.flatMap(({ cautions }) => cautions))],
      });
    }
  }
  return steps;
}

const hasOther = (verdicts: readonly PlaceVerdict[], side: TreatmentStep['side']) =>
  verdicts.some(({ place }) => sideOf(place) === (side === 'left' ? 'right' : 'left'));

/** Places along the spine that stand from the skull down already. */
function runsDown(anatomy: Anatomy, regions: readonly string[]): boolean {
  const fromSkullDown = [...anatomy.groups.spine];
  const at = regions.map((region) => fromSkullDown.indexOf(region)).filter((i) => i >= 0);
  return at.length > 1 && at.every((now, i) => i === 0 || now > (at[i - 1] ?? 0));
}

function bySide(
  step: TreatmentStep,
  way: readonly PlaceVerdict[],
): readonly (readonly [TreatmentStep['side'], readonly PlaceVerdict[]])[] {
  if (step.side === 'left' || step.side === 'right') return [[step.side, way]];
  const sidesOf = (region: string) =>
    new Set(way.filter(({ place }) => nameOf(place) === region).map(({ place }) => sideOf(place)));
  const asked = (region: string) =>
    new Set(step.places.filter((place) => nameOf(place) === region).map((place) => sideOf(place)));
  const isWhole = ({ place }: PlaceVerdict) => sidesOf(nameOf(place)).size === asked(nameOf(place)).size;
  const whole = way.filter(isWhole);
  const part = (side: 'left' | 'right') => way.filter((one) => !isWhole(one) && sideOf(one.place) === side);
  return (
    [
      [step.side, whole],
      ['left', part('left')],
      ['right', part('right')],
    ] as const
  ).filter(([, list]) => list.length > 0);
}

const uniqueReasons = (reasons: readonly JudgementReason[]): readonly JudgementReason[] => [
  ...new Map(reasons.map((reason) => [JSON.stringify(reason), reason])).values(),
];
