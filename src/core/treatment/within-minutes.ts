import type { Seconds } from '../quantities';
import { hasTrait, touches } from '../library/technique';
import { secondsAt } from '../sequencing/time-fit';
import type { TreatmentBlock, TreatmentStep } from './block';
import { toFitStep } from './fit-blocks';
import { type LeftOut, stepOut } from './left-out';

/**
 * Kinds of work that may only take so many minutes. What opens, what soothes and the closing drain are kept longest;
 * what stimulates, what is firm and what comes again go first. Whole steps go before a step falls below its least
 * repetitions; how many repetitions the rest gets is the time fit's business.
 * @param mostSeconds by kind of work
 */
export function withinMinutes(
  blocks: readonly TreatmentBlock[],
  mostSeconds: ReadonlyMap<string, number>,
): { readonly blocks: readonly TreatmentBlock[]; readonly leftOut: readonly LeftOut[] } {
  let kept = blocks;
  const leftOut: LeftOut[] = [];
  for (const [modality, most] of mostSeconds) {
    const own = kept.filter((block) => block.modality === modality);
    const gone = stepsToLose(own, most);
    if (gone.size === 0) continue;
    const reason = { kind: 'minutes', rule: 'max-minutes', modality, minutes: most / 60 } as const;
    for (const block of own)
      for (const step of block.steps) if (gone.has(step.id)) leftOut.push(stepOut(block, step, step.places, reason));
    kept = kept.flatMap((block) => {
      if (block.modality !== modality) return [block];
      const steps = block.steps.filter(({ id }) => !gone.has(id));
      return steps.length === 0 ? [] : [steps.length === block.steps.length ? block : { ...block, steps }];
    });
  }
  return { blocks: kept, leftOut };
}

/** Steps that stay or go together: what is done on one side is done on the other. */
interface Unit {
  readonly steps: readonly TreatmentStep[];
  readonly leastSeconds: Seconds;
  readonly rank: number;
  readonly at: number;
}

function stepsToLose(blocks: readonly TreatmentBlock[], mostSeconds: Seconds): ReadonlySet<string> {
  const units = unitsOf(blocks);
  let total = units.reduce((sum, { leastSeconds }) => sum + leastSeconds, 0);
  const gone: Unit[] = [];
  // Of equal rank the later goes first: what has been begun is finished.
  for (const one of [...units].sort((a, b) => a.rank - b.rank || b.at - a.at)) {
    if (total <= mostSeconds) break;
    total -= one.leastSeconds;
    gone.push(one);
  }
  const lost = new Set(gone);
  // What soothes after work that is gone soothes nothing: its minutes go to what is done.
  for (const one of idleUnits(blocks, units, lost)) {
    total -= one.leastSeconds;
    lost.add(one);
  }
  // Something long may have gone for little: what was of more worth, and still fits, comes back.
  for (const one of [...gone].reverse()) {
    if (total + one.leastSeconds > mostSeconds) continue;
    total += one.leastSeconds;
    lost.delete(one);
  }
  return new Set([...lost].flatMap(({ steps }) => steps.map(({ id }) => id)));
}

/** Units that only soothe, in blocks of which nothing else is left although there was more. */
function idleUnits(
  blocks: readonly TreatmentBlock[],
  units: readonly Unit[],
  lost: ReadonlySet<Unit>,
): readonly Unit[] {
  const unitOf = new Map(units.flatMap((unit) => unit.steps.map(({ id }) => [id, unit] as const)));
  const isIdle = ({ steps }: TreatmentBlock) => {
    const own = steps.flatMap(({ id }) => unitOf.get(id) ?? []);
    const left = own.filter((unit) => !lost.has(unit));
    return left.length > 0 && left.length < own.length && left.every(({ rank }) => rank === soothingRank);
  };
  const idle = new Set(blocks.filter(isIdle).flatMap(({ steps }) => steps.map(({ id }) => id)));
  return units.filter((unit) => !lost.has(unit) && unit.steps.every(({ id }) => idle.has(id)));
}

const soothingRank = 5;

function unitsOf(blocks: readonly TreatmentBlock[]): readonly Unit[] {
  const closing = closingDrain(blocks);
  const seen = new Set<string>();
  const counts = new Map<string, number>();
  const units = new Map<string, Unit>();
  const all = blocks.flatMap((block) => block.steps.map((step) => ({ block, step })));
  all.forEach(({ block, step }, at) => {
    const work = `${block.choice} ${step.technique.id} ${[...step.regions].sort().join()}`;
    const isSided = step.side === 'left' || step.side === 'right';
    const nth = counts.get(`${work} ${step.side}`) ?? 0;
    counts.set(`${work} ${step.side}`, nth + 1);
    const key = isSided ? `${work} ${nth}` : step.id;
    const isAgain = seen.has(`${work} ${step.side}`);
    seen.add(`${work} ${step.side}`);
    const fit = toFitStep(block, step);
    const known = units.get(key);
    const rank = rankOf(block.modality, step, closing.has(step.id), isAgain);
    units.set(key, {
      steps: [...(known?.steps ?? []), step],
      leastSeconds: (known?.leastSeconds ?? 0) + secondsAt(fit, fit.min),
      rank: Math.max(known?.rank ?? 0, rank),
      at: known?.at ?? at,
    });
  });
  return [...units.values()];
}

/** What goes first has the lowest rank. */
function rankOf(modality: string, step: TreatmentStep, isClosing: boolean, isAgain: boolean): number {
  const { technique, pressure } = step;
  if (isClosing) return 7;
  if (hasTrait(technique, 'stimulating')) return 0;
  if (hasTrait(technique, 'intense') || touches.indexOf(pressure) >= touches.indexOf('firm')) return 1;
  if (hasTrait(technique, 'opens')) return 6;
  if (isAgain) return 2;
  if (hasTrait(technique, 'soothing')) return soothingRank;
  // What the work is named after goes after what stands round it.
  return technique.judgedAs.includes(modality) ? 4 : 3;
}

/** The last strokes of each choice that lead to a node group. */
function closingDrain(blocks: readonly TreatmentBlock[]): ReadonlySet<string> {
  const closing = new Set<string>();
  for (const choice of new Set(blocks.map((block) => block.choice))) {
    const steps = blocks.filter((block) => block.choice === choice).flatMap((block) => block.steps);
    const last = steps.findLast(
      ({ technique }) =>
        !hasTrait(technique, 'stimulating') && (hasTrait(technique, 'to-node') || hasTrait(technique, 'on-node')),
    );
    if (last) closing.add(last.id);
  }
  return closing;
}
