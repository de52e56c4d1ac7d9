import type { RegionGroup, RegionGroups } from '../anatomy/place';
import { facialModalities } from '../library/protocol';
import { hasTrait, hotStoneFamilies, lymphFamilies, type Technique } from '../library/technique';
import { placesOf, type TreatmentBlock } from './block';
import type { BlockRule, RuleSeverity, TreatmentRuleId } from './rules';

/** The group of a limb's root, opened before the limb's own skin. */
const limbOutlets = [
  { basin: 'axillary', limb: 'arm' },
  { basin: 'inguinal', limb: 'leg' },
] as const satisfies readonly { basin: string; limb: RegionGroup }[];

const touches = (block: TreatmentBlock, regions: ReadonlySet<string>) =>
  block.steps.some((step) => step.regions.some((region) => regions.has(region)));
const everyStep = (block: TreatmentBlock, holds: (technique: Technique) => boolean) =>
  block.steps.every(({ technique }) => holds(technique));
const someStep = (block: TreatmentBlock, holds: (technique: Technique) => boolean) =>
  block.steps.some(({ technique }) => holds(technique));

const isScalp = (groups: RegionGroups, block: TreatmentBlock) =>
  block.steps.every((step) => step.regions.every((region) => groups.scalp.has(region)));
const isOiled = ({ hands }: TreatmentBlock) => hands === 'oiled' || hands === 'stone';
const isRest = (block: TreatmentBlock) => everyStep(block, ({ id }) => id === 'rest');
const isHot = (block: TreatmentBlock) => someStep(block, ({ family }) => hotStoneFamilies.has(family));
const isCool = (block: TreatmentBlock) => everyStep(block, ({ family }) => family === 'stone-cool');
const isBroad = ({ family, pressure }: Technique) =>
  (family === 'effleurage' || family === 'stone-glide') && (pressure === 'feather' || pressure === 'light');
const drains = (block: TreatmentBlock) => someStep(block, ({ family }) => lymphFamilies.has(family));

export interface RulesBetween {
  readonly rules: readonly BlockRule[];
  /** Errors that no order can obey: such blocks cannot be given in one treatment. */
  readonly conflicts: readonly BlockRule[];
}

/** What one block asks of another, block by block; the same pair may be asked for by several rules. */
export function rulesBetween(groups: RegionGroups, blocks: readonly TreatmentBlock[]): RulesBetween {
  const rules: BlockRule[] = [...orderWithin(blocks), ...sideBySide(blocks)];
  for (const first of blocks)
    for (const then of blocks) {
      if (first === then) continue;
      for (const [rule, severity] of asked(groups, first, then))
        rules.push({ first: first.id, then: then.id, rule, severity });
    }
  return withoutContradictions(blocks, rules);
}

function asked(
  groups: RegionGroups,
  first: TreatmentBlock,
  then: TreatmentBlock,
): readonly (readonly [TreatmentRuleId, RuleSeverity])[] {
  const opensNeck = (block: TreatmentBlock) => touches(block, groups['neck-outlets']);
  const isFaceOrNeck = touches(first, groups.face) || touches(first, groups.neck);
  const list: [TreatmentRuleId, RuleSeverity][] = [];
  const isShared = shares(first, then);
  if (isRest(then) && !isRest(first)) list.push(['rest-last', 'error']);
  if (isShared && first.hands === 'brush' && then.hands !== 'brush') list.push(['brush-before-oil', 'error']);
  if (isShared && first.hands === 'dry' && isOiled(then)) list.push(['dry-before-oil', 'error']);
  if (isShared && isHot(first) && isCool(then)) list.push(['hot-then-cool', 'error']);
  if (first.choice !== then.choice && isShared && isWarming(first) && isDeep(then) && !isWarming(then))
    list.push(['warm-before-deep', 'warning']);
  if (opensNeck(first) && !opensNeck(then) && touches(then, groups.face) && first.choice !== then.choice)
    list.push(['outlet-before-inflow', then.school === 'forehead-first' ? 'warning' : 'error']);
  if (opensLimb(groups, first, then)) list.push(['outlet-before-inflow', 'error']);
  if (
    touches(first, groups['before-eyes']) &&
    !touches(first, groups.eyes) &&
    touches(then, groups.eyes) &&
    isFacial(then)
  )
    list.push(['lower-before-eyes', 'warning']);
  if (isScalp(groups, then) && then.hands === 'oiled' && isFaceOrNeck && !isScalp(groups, first))
    list.push(['scalp-last-if-oiled', 'warning']);
  return list;
}

const isFacial = ({ modality }: TreatmentBlock) => facialModalities.has(modality);
const isWarming = (block: TreatmentBlock) => someStep(block, isBroad);
const isDeep = (block: TreatmentBlock) => someStep(block, (technique) => hasTrait(technique, 'intense'));

function shares(a: TreatmentBlock, b: TreatmentBlock): boolean {
  const places = placesOf(b);
  return [...placesOf(a)].some((place) => places.has(place));
}

/** The trunk is opened before the limb whose fluid it takes, for work that moves fluid. */
function opensLimb(groups: RegionGroups, first: TreatmentBlock, then: TreatmentBlock): boolean {
  if (!drains(then) || first.choice === then.choice) return false;
  return limbOutlets.some(
    ({ basin, limb }) =>
      touches(first, new Set([basin])) && !touches(then, new Set([basin])) && touches(then, groups[limb]),
  );
}

/** The order that a protocol gives its own parts. */
function orderWithin(blocks: readonly TreatmentBlock[]): readonly BlockRule[] {
  return blocks.flatMap((then, i): BlockRule[] => {
    const previous = blocks[i - 1];
    const isNext = previous !== undefined && previous.choice === then.choice && then.isOrdered;
    const firsts = new Set([...then.after, ...(isNext ? [previous.id] : [])]);
    return blocks
      .filter(({ id }) => firsts.has(id))
      .map((first) => ({ first: first.id, then: then.id, rule: 'protocol-order', severity: 'error' }));
  });
}

/** Of a pair of one-sided blocks, the one that the protocol names first. */
function sideBySide(blocks: readonly TreatmentBlock[]): readonly BlockRule[] {
  return blocks.flatMap((first, i): BlockRule[] => {
    const twin = blocks
      .slice(i + 1)
      .find(
        (then) =>
          first.side !== 'both' &&
          then.side !== 'both' &&
          then.side !== first.side &&
          then.choice === first.choice &&
          then.twin !== undefined &&
          then.twin === first.twin,
      );
    const isOneSided = someStep(first, (technique) => hasTrait(technique, 'both-hands-one-side'));
    return twin && isOneSided
      ? [{ first: first.id, then: twin.id, rule: 'one-side-then-other', severity: 'warning' }]
      : [];
  });
}

/**
 * Where two rules ask for opposite orders, errors go before warnings, and a protocol's own order before what is asked
 * between its parts; warnings that would close a ring are dropped.
 */
function withoutContradictions(blocks: readonly TreatmentBlock[], rules: readonly BlockRule[]): RulesBetween {
  const kept: BlockRule[] = [];
  const conflicts: BlockRule[] = [];
  const after = new Map(blocks.map(({ id }) => [id, new Set<string>()]));
  const rank = ({ rule, severity }: BlockRule) => (rule === 'protocol-order' ? 0 : severity === 'error' ? 1 : 2);
  for (const rule of [...rules].sort((a, b) => rank(a) - rank(b))) {
    if (reaches(after, rule.first, rule.then)) {
      if (rule.severity === 'error') conflicts.push(rule);
      continue;
    }
    after.get(rule.then)?.add(rule.first);
    kept.push(rule);
  }
  return { rules: kept, conflicts };
}

/** Whether `from` already has to come after `to`. */
function reaches(after: ReadonlyMap<string, ReadonlySet<string>>, from: string, to: string): boolean {
  const open = [from];
  const seen = new Set<string>();
  while (open.length > 0) {
    const id = open.pop() ?? '';
    if (id === to) return true;
    if (seen.has(id)) continue;
    seen.add(id);
    open.push(...(after.get(id) ?? []));
  }
  return false;
}
