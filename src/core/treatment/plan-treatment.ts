import type { Minutes, Seconds } from '../quantities';
import type { RegionGroups } from '../anatomy/place';
import type { Setting } from '../sequencing/block';
import type { SetupChange } from '../sequencing/setup';
import { secondsAt, type TimeFit } from '../sequencing/time-fit';
import { repetitionSecondsOf, type TreatmentBlock, type TreatmentStep } from './block';
import { rulesBetween } from './cross-block';
import { fitBlocks, keepMostWorth, leastSecondsOf, toFitStep, trimSteps, usualSecondsOf } from './fit-blocks';
import type { JudgementReason } from '../judgement/reasons';
import { crossingsOf, fasterOrder, type FasterOrder, unordered } from './faster-order';
import { bestOrder, changesIn, orderFaults, type OrderFault, startFor, usualTurns } from './order';
import type { Judged } from './judge-blocks';
import { blockOut, type LeftOut, stepOut } from './left-out';
import { type BlockRule, treatmentRules } from './rules';
import { type Lean, type Leaning, leanOf } from './lean';
import { withinMinutes } from './within-minutes';
import { faultsWithin, type StepFault } from './within-block';
import { treatmentSays } from './treatment.says';

export interface PlannedStep extends TreatmentStep {
  readonly seconds: Seconds;
  /** Seconds from the beginning of the treatment. */
  readonly startsAt: number;
}

export interface PlannedBlock extends Omit<TreatmentBlock, 'steps'> {
  readonly steps: readonly PlannedStep[];
  /** What changes before it. */
  readonly changes: readonly SetupChange[];
  readonly startsAt: number;
  readonly seconds: Seconds;
  /** Why it stands here, a sentence for each rule. */
  readonly why: readonly string[];
}

export interface TreatmentPlan {
  readonly blocks: readonly PlannedBlock[];
  readonly start: Setting;
  readonly setupSeconds: Seconds;
  readonly isBestOrder: boolean;
  readonly lowerBoundSeconds: Seconds;
  /** An order that is faster, and what of the protocols it departs from. */
  readonly faster: FasterOrder | undefined;
  /** How often the therapist goes round the table to the other side. */
  readonly crossings: number;
  readonly totalSeconds: Seconds;
  readonly availableSeconds: Seconds;
  readonly usualSeconds: Seconds;
  readonly fits: boolean;
  readonly shortBySeconds: Seconds;
  readonly penalty: number;
  readonly leftOut: readonly LeftOut[];
  readonly faults: readonly OrderFault[];
  readonly stepFaults: readonly StepFault[];
  readonly rules: readonly BlockRule[];
  /** Pairs that no order allows. */
  readonly conflicts: readonly OrderFault[];
  /** What the tighter side gets of the other one (s); 0 where nothing leans. */
  readonly leanedSeconds: Seconds;
}

export interface TreatmentWish {
  readonly minutes: Minutes;
  /** Only what a protocol keeps in its short form, where it has one. */
  readonly isShort: boolean;
  readonly fill: boolean;
  /** The order of a protocol's parts is not kept, only what the rules ask for. */
  readonly isFree?: boolean | undefined;
  /** Ids of the blocks that the therapist wants, in that order; the best one when absent. */
  readonly order?: readonly string[] | undefined;
  /** Blocks that were made ready for it (`leaned`): repetitions go from the other side to this one. */
  readonly lean?: Lean | undefined;
}

/** Puts what may be given into the best order and fits it into the time, with a reason for every place and omission. */
export function planTreatment(groups: RegionGroups, allowed: Judged, wish: TreatmentWish): TreatmentPlan {
  const availableSeconds = wish.minutes * 60;
  const offered = wish.isShort ? shortForm(allowed.blocks) : allowed.blocks;
  const held = withinMinutes(offered, allowed.mostSeconds);
  const kept = wish.order
    ? held.blocks.filter(({ id }) => wish.order?.includes(id))
    : fitting(groups, held.blocks, availableSeconds);
  const start = startFor(kept);
  const { rules, conflicts } = rulesBetween(groups, wish.isFree ? kept.map(unordered) : kept);
  const best = bestOrder(wish.isFree ? kept.map(unordered) : kept, rules, start);
  const turns = Math.max(usualTurns, best.changes.filter(({ kind }) => kind === 'turn').length);
  const ordered = inOrder(kept, wish.order ?? best.order);
  const changes = changesIn(groups, ordered, start);
  const setupSeconds = secondsOf(changes);
  const movedSeconds = secondsOf(changes.filter(({ kind }) => kind !== 'wash'));
  const fit = fitBlocks(ordered, availableSeconds - setupSeconds, allowed.mostSeconds, wish.fill);
  const leaning = leaningOf(ordered, fit, wish.lean);
  const blocks = schedule(ordered, leaning, changes, rules);
  return {
    blocks,
    start,
    setupSeconds,
    isBestOrder: best.optimal && movedSeconds <= best.setupSeconds + 1e-9,
    faster: wish.order ? undefined : fasterOrder(groups, kept, start, best, wish.isFree ?? false),
    crossings: crossingsOf(start, ordered),
    lowerBoundSeconds: best.lowerBound,
    totalSeconds: fit.usedSeconds + setupSeconds,
    availableSeconds,
    usualSeconds: usualSecondsOf(kept) + setupSeconds,
    fits: fit.fits,
    shortBySeconds: fit.shortBySeconds,
    penalty: fit.penalty,
    leftOut: [...allowed.leftOut, ...held.leftOut, ...missing(held.blocks, kept, { kind: 'no-time', rule: 'time' })],
    faults: orderFaults(groups, ordered, rules, start, turns),
    stepFaults: ordered.flatMap((block) => faultsWithin(block, allowed.heatless)),
    rules,
    conflicts: conflicts.map((rule) => ({ ...rule, message: treatmentRules[rule.rule] })),
    leanedSeconds: leaning.movedSeconds,
  };
}

/** The repetitions of the fit, with what leans to the tighter side. */
function leaningOf(blocks: readonly TreatmentBlock[], fit: TimeFit, lean: Lean | undefined): Leaning {
  const fitted = new Map(fit.repetitions.map((one) => [one.id, one.repetitions]));
  if (!lean) return { repetitions: fitted, notes: new Map(), movedSeconds: 0 };
  const leaning = leanOf(blocks, fitted, lean, repetitionSecondsOf);
  return { ...leaning, repetitions: new Map([...fitted, ...leaning.repetitions]) };
}

const secondsOf = (changes: readonly SetupChange[]) => changes.reduce((sum, { seconds }) => sum + seconds, 0);

/** Protocols that have a short form are given in it. */
function shortForm(blocks: readonly TreatmentBlock[]): readonly TreatmentBlock[] {
  const short = new Set(blocks.filter(({ isShortForm }) => isShortForm).map(({ choice }) => choice));
  return blocks.filter(({ choice, isShortForm }) => isShortForm || !short.has(choice));
}

/** Whole blocks that fit; where not even one does, the first of them, cut down. */
function keepOrTrim(blocks: readonly TreatmentBlock[], seconds: Seconds): readonly TreatmentBlock[] {
  const kept = keepMostWorth(blocks, seconds);
  const [first] = blocks;
  if (kept.length > 0 || !first) return kept;
  const trimmed = trimSteps(first, seconds);
  return trimmed.steps.length > 0 ? [trimmed] : [];
}

/** What of some blocks is gone, as whole blocks and single steps. */
function missing(
  before: readonly TreatmentBlock[],
  after: readonly TreatmentBlock[],
  reason: JudgementReason,
): readonly LeftOut[] {
  return before.flatMap((block) => {
    const left = after.find(({ id }) => id === block.id);
    if (!left) return [blockOut(block, reason)];
    return block.steps
      .filter(({ id }) => !left.steps.some((step) => step.id === id))
      .map((step) => stepOut(block, step, step.places, reason));
  });
}

/** All blocks if their least repetitions fit with the changes between them, else those worth most. */
function fitting(
  groups: RegionGroups,
  blocks: readonly TreatmentBlock[],
  availableSeconds: Seconds,
): readonly TreatmentBlock[] {
  let kept = blocks;
  for (let round = 0; round <= blocks.length; round += 1) {
    const { setupSeconds } = bestOrder(kept, rulesBetween(groups, kept).rules, startFor(kept));
    if (leastSecondsOf(kept) + setupSeconds <= availableSeconds) return kept;
    const smaller = keepOrTrim(kept, availableSeconds - setupSeconds);
    if (smaller.length === 0) return kept;
    kept = smaller;
  }
  return kept;
}

function inOrder(blocks: readonly TreatmentBlock[], ids: readonly string[]): readonly TreatmentBlock[] {
  const named = ids.flatMap((id) => blocks.find((block) => block.id === id) ?? []);
  return [...named, ...blocks.filter((block) => !named.includes(block))];
}

function schedule(
  order: readonly TreatmentBlock[],
  { repetitions, notes }: Leaning,
  changes: readonly SetupChange[],
  rules: readonly BlockRule[],
): readonly PlannedBlock[] {
  const names = new Map(order.map(({ id, name }) => [id, name]));
  const secondTurns = new Set(
    changes
      .filter(({ kind }) => kind === 'turn')
      .slice(usualTurns)
      .map(({ before }) => before),
  );
  let clock = 0;
  return order.map((block) => {
    const own = changes.filter(({ before }) => before === block.id);
    const startsAt = clock;
    clock += own.reduce((sum, { seconds }) => sum + seconds, 0);
    const steps = block.steps.map((step): PlannedStep => {
      const times = repetitions.get(step.id) ?? step.repetitions;
      const seconds = secondsAt(toFitStep(block, step), times);
      const begins = clock;
      clock += seconds;
      const note = [step.note, notes.get(step.id)].filter(Boolean).join('; ');
      return { ...step, note, repetitions: times, seconds, startsAt: begins };
    });
    const why = rules
      .filter(({ then, rule }) => then === block.id && rule !== 'protocol-order')
      .map(({ first, rule }) => treatmentSays.after(names.get(first) ?? first, treatmentRules[rule]));
    const turn = secondTurns.has(block.id) ? [treatmentSays.anotherTurnWhatHasToCome] : [];
    return { ...block, steps, changes: own, startsAt, seconds: clock - startsAt, why: [...new Set([...turn, ...why])] };
  });
}
