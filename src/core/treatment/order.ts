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

/**
 * The order that obeys every rule and takes the least setup time. Blocks that follow one another directly move as one;
 * where a rule between them and others forbids that, they may be parted.
 */
export function bestOrder(blocks: readonly TreatmentBlock[], rules: readonly BlockRule[], start: Setting): Sequence {
  const trains = trainsOf(blocks);
  const coupled = sequenceBlocks(toSequence(trains, rules), start);
  const single = blocks.map((block) => [block]);
  const [sequence, used] = coupled.ok ? [coupled, trains] : [sequenceBlocks(toSequence(single, rules), start), single];
  if (!sequence.ok) throw new Error(sequence.errors[0]?.message ?? 'no order');
  const { order, lowerBound, setupSeconds } = sequence.value;
  const ordered = order.flatMap((id) => used.find(([first]) => first?.id === id) ?? []);
  const changes = changesOf(start, ordered, usualCosts);
  const all = changes.reduce((sum, { seconds }) => sum + seconds, 0);
  return {
    ...sequence.value,
    ...{ changes, order: ordered.map(({ id }) => id), setupSeconds: all },
    lowerBound: lowerBound + all - setupSeconds,
  };
}

/** Blocks with those that follow them directly behind them. */
function trainsOf(blocks: readonly TreatmentBlock[]): readonly (readonly TreatmentBlock[])[] {
  const trains: TreatmentBlock[][] = [];
  for (const block of blocks) {
    const train = trains.find((one) => block.follows !== undefined && one.at(-1)?.id === block.follows);
    if (train) train.push(block);
    else trains.push([block]);
  }
  return trains;
}

const settingOf = ({ position, hands, therapist, side }: Setting): Setting => ({ position, hands, therapist, side });

function toSequence(trains: readonly (readonly TreatmentBlock[])[], rules: readonly BlockRule[]): readonly Block[] {
  const headOf = new Map(trains.flatMap((train) => train.map(({ id }) => [id, train[0]?.id ?? id] as const)));
  return trains.flatMap((train): Block[] => {
    const [first, last] = [train[0], train.at(-1)];
    if (!first || !last) return [];
    const before = rules
      .filter(({ then }) => headOf.get(then) === first.id)
      .flatMap((rule) => headOf.get(rule.first) ?? []);
    return [
      {
        ...{ id: first.id, minutes: 0, ...settingOf(first) },
        ...(train.length > 1 ? { leaves: settingOf(last) } : {}),
        after: [...new Set(before)].filter((id) => id !== first.id),
      },
    ];
  });
}

/** Changes of setting that an order asks for; draping only where skin is uncovered. */
export const changesIn = (
  groups: RegionGroups,
  order: readonly TreatmentBlock[],
  start: Setting,
): readonly SetupChange[] => {
  const bare = new Set(order.filter((block) => uncovers(groups, block)).map(({ id }) => id));
  const turned = new Set(order.filter((block) => turnsHead(groups, block)).map(({ id }) => id));
  const changes = changesOf(start, order, usualCosts).flatMap((change): SetupChange[] => {
    if (change.kind !== 'drape' || bare.has(change.before)) return [change];
    return turned.has(change.before) ? [{ ...change, kind: 'head', seconds: headSeconds }] : [];
  });
  return order.flatMap((block, i) => {
    const own = changes.filter(({ before }) => before === block.id);
    const isUnwashed = isFromFeetUp(groups, order[i - 1], block) && !own.some(({ kind }) => kind === 'hands');
    return isUnwashed ? [{ before: block.id, kind: 'wash', seconds: washSeconds }, ...own] : own;
  });
};

const washSeconds = 20;
const headSeconds = 5;

/** Whether a block works one side of face or neck: the head rolls away from it, nothing is uncovered. */
const turnsHead = (groups: RegionGroups, { side, steps }: TreatmentBlock): boolean =>
  side !== 'both' &&
  steps.some(({ regions }) => regions.some((region) => groups.face.has(region) || groups.neck.has(region)));

/** Hands that come from the feet are washed before they touch hands, neck or face. */
function isFromFeetUp(groups: RegionGroups, before: TreatmentBlock | undefined, block: TreatmentBlock): boolean {
  const regionsOf = ({ steps }: TreatmentBlock) => steps.flatMap(({ regions }) => regions);
  return (
    before !== undefined &&
    regionsOf(before).some((region) => groups.foot.has(region)) &&
    regionsOf(block).some((region) => groups.hand.has(region) || groups['head-and-neck-home'].has(region))
  );
}

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
export function orderFaults(
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
    ...partedPairs(order),
    ...interruptedGloves(order),
  ].sort((a, b) => (at.get(a.then) ?? 0) - (at.get(b.then) ?? 0));
}

/** Parts that the protocol has follow one another directly, with something between them. */
const partedPairs = (order: readonly TreatmentBlock[]): readonly OrderFault[] =>
  order.flatMap(({ id, follows }, i): OrderFault[] => {
    if (follows === undefined || order[i - 1]?.id === follows || !order.some((block) => block.id === follows))
      return [];
    const message = treatmentRules['one-after-the-other'];
    return [{ first: follows, then: id, rule: 'one-after-the-other', severity: 'warning', message }];
  });

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
