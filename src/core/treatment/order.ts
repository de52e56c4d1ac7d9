import { type Block, type Setting, startSetting } from '../sequencing/block';
import type { RegionGroups } from '../anatomy/place';
import { facialModalities } from '../library/protocol';
import { type Sequence, sequenceBlocks } from '../sequencing/sequence';
import { changesOf, type SetupChange } from '../sequencing/setup';
import { usualCosts } from '../sequencing/block';
import type { TreatmentBlock } from './block';
import { type BlockRule, treatmentRules } from './rules';

/** A rule that an order of blocks breaks. */
export interface OrderFault extends BlockRule {
  readonly message: string;
}

/**
 * How the client lies down: on the back for drainage and faces, face down where everything wants it so or where oil and
 * stones come first.
 */
export function startFor(blocks: readonly TreatmentBlock[]): Setting {
  const wants = new Set(blocks.map(({ position }) => position));
  const isFaceOrDrainage = blocks.some(
    ({ modality, position }) => position === 'supine' && backLyingWork.has(modality),
  );
  if (wants.size === 0 || (wants.has('supine') && (isFaceOrDrainage || !wants.has('prone')))) return startSetting;
  const position = wants.has('prone') ? 'prone' : (blocks[0]?.position ?? 'supine');
  return { ...startSetting, position };
}

const backLyingWork: ReadonlySet<string> = new Set([
  'lymph-drainage',
  'reroute-drainage',
  'neck-mobilisation',
  ...facialModalities,
]);

/** The order that obeys every rule and takes the least setup time. */
export function bestOrder(blocks: readonly TreatmentBlock[], rules: readonly BlockRule[], start: Setting): Sequence {
  const sequence = sequenceBlocks(toSequence(blocks, rules), start);
  if (!sequence.ok) throw new Error(sequence.errors[0]?.message ?? 'no order');
  return sequence.value;
}

const toSequence = (blocks: readonly TreatmentBlock[], rules: readonly BlockRule[]): readonly Block[] =>
  blocks.map(({ id, position, hands, therapist, side }) => ({
    id,
    minutes: 0,
    position,
    hands,
    therapist,
    side,
    after: [...new Set(rules.filter(({ then }) => then === id).map(({ first }) => first))],
  }));

/** Changes of setting that an order asks for; draping only where skin is uncovered. */
export const changesIn = (
  groups: RegionGroups,
  order: readonly TreatmentBlock[],
  start: Setting,
): readonly SetupChange[] => {
  const bare = new Set(order.filter((block) => uncovers(groups, block)).map(({ id }) => id));
  return changesOf(start, order, usualCosts).filter(({ kind, before }) => kind !== 'drape' || bare.has(before));
};

/** Whether a block uncovers skin: trunk, limbs or feet, and not over cloth; never head, face, neck or hands alone. */
const uncovers = (groups: RegionGroups, { steps }: TreatmentBlock): boolean =>
  steps.some(
    ({ technique, regions }) =>
      technique.hands !== 'cloth' && regions.some((region) => !groups['never-draped'].has(region)),
  );

export const usualTurns = 1;

/**
 * Every rule that an order breaks, in the order in which it would be noticed; `one-turn` names the turn too many.
 * @param mostTurns as many as the rules between the blocks ask for, where that is more than one
 */
export function faultsOf(
  groups: RegionGroups,
  order: readonly TreatmentBlock[],
  rules: readonly BlockRule[],
  start: Setting,
  mostTurns = usualTurns,
): readonly OrderFault[] {
  const at = new Map(order.map(({ id }, i) => [id, i]));
  const broken = rules.filter(({ first, then }) => (at.get(first) ?? -1) > (at.get(then) ?? Infinity));
  const turns = changesIn(groups, order, start).filter(({ kind }) => kind === 'turn');
  const tooMany = turns.slice(mostTurns).map(({ before }): OrderFault => {
    const previous = order[(at.get(before) ?? 1) - 1]?.id ?? before;
    return {
      first: previous,
      then: before,
      rule: 'one-turn',
      severity: 'warning',
      message: treatmentRules['one-turn'],
    };
  });
  return [
    ...broken.map((rule) => ({ ...rule, message: treatmentRules[rule.rule] })),
    ...tooMany,
    ...interruptedGloves(order),
  ].sort((a, b) => (at.get(a.then) ?? 0) - (at.get(b.then) ?? 0));
}

/** Gloved blocks with bare hands between them: the later one would need gloves of its own, and washed hands. */
function interruptedGloves(order: readonly TreatmentBlock[]): readonly OrderFault[] {
  return order.flatMap((block, i): OrderFault[] => {
    const previous = order[i - 1];
    const isResumed =
      block.hands === 'gloved' &&
      previous !== undefined &&
      previous.hands !== 'gloved' &&
      order.slice(0, i).some(({ hands }) => hands === 'gloved');
    return isResumed
      ? [
          {
            ...{ first: previous.id, then: block.id, rule: 'gloves-on-off', severity: 'warning' },
            message: treatmentRules['gloves-on-off'],
          },
        ]
      : [];
  });
}

/** The order closest to the one given that obeys every rule: each block moves only behind what it has to wait for. */
export function mendOrder<B extends { readonly id: string }>(
  order: readonly B[],
  rules: readonly BlockRule[],
): readonly B[] {
  const waiting = [...order];
  const mended: B[] = [];
  const over = new Set<string>();
  const ids = new Set(order.map(({ id }) => id));
  while (waiting.length > 0) {
    const next = waiting.findIndex(({ id }) =>
      rules.every(({ first, then }) => then !== id || over.has(first) || !ids.has(first)),
    );
    const [block] = waiting.splice(Math.max(0, next), 1);
    if (!block) break;
    mended.push(block);
    over.add(block.id);
  }
  return mended;
}
