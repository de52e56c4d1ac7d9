import { isIn, type PlaceId, sideOf } from '../anatomy/place';
import { groupsAhead, nextGroup } from '../drainage/outlets';
import { hasTrait, type Technique, type Touch, touches } from '../library/technique';
import type { Source } from '../screening/screen';
import { type Limits, rankOf } from '../screening/tables';
import { carriesHazard } from './hazards';
import { type Judgement, type KindJudgement, skinUnder } from './judgement';
import type { JudgementReason, TrainingNeed } from './reasons';

/** A step as it is asked about: a technique at some places, in a block of some kind of work. */
export interface StepAsked {
  readonly modality: string;
  readonly technique: Technique;
  readonly places: readonly PlaceId[];
  readonly pressure: Touch;
}

/** What is decided at one place of a step. */
export interface PlaceVerdict {
  readonly place: PlaceId;
  /** Why the step is not given there; absent when it is. */
  readonly out?: JudgementReason;
  /** Whether another technique could stand in for it: only what was refused as a technique is replaced. */
  readonly mayBeReplaced: boolean;
  readonly pressure: Touch;
  readonly isReversed: boolean;
  /** Ends at the root of its limb, since the group ahead is closed. */
  readonly endsAtRoot: boolean;
  /** What changed it, by rule. */
  readonly cautions: readonly JudgementReason[];
}

const isOff = (decision: Parameters<typeof rankOf>[0]) => rankOf(decision) >= rankOf('clear-first');

/** Limits of other kinds of work that never bind a step: minutes, oil and how often. */
const notOfOthers: ReadonlySet<string> = new Set([
  'maxMinutes',
  'maxPerWeek',
  'noOil',
  'noScent',
  'dilutionMaxPercent',
  'avoidOils',
  'patchTest',
]);

const withoutThose = (limits: Limits): Limits =>
  Object.fromEntries(Object.entries(limits).filter(([key]) => !notOfOthers.has(key)));

/** A limit that holds at a place, with the kind of work that it comes from. */
interface Binding {
  readonly kind: KindJudgement;
  readonly limits: Limits;
  readonly place: PlaceId | undefined;
}

/**
 * Judges a step place by place, as the kind of work of its block and as every other kind that its technique is judged
 * as; the strictest holds. The kind of work itself must be allowed, see `judgeKindOfWork`.
 * @returns one verdict a place, in the order asked
 */
export function judgeStep(judgement: Judgement, step: StepAsked): readonly PlaceVerdict[] {
  const everywhere = refusedEverywhere(judgement, step);
  return step.places.map((place): PlaceVerdict => {
    const base = {
      place,
      mayBeReplaced: false,
      pressure: step.pressure,
      isReversed: false,
      endsAtRoot: false,
      cautions: [],
    };
    if (everywhere) return { ...base, ...everywhere };
    const off = placeOff(judgement, step, place) ?? towardsClosed(judgement, step, place);
    if (off) return { ...base, out: off };
    const bindings = bindingsAt(judgement, step, place);
    const refused = refusedTechnique(step.technique, bindings) ?? irritated(judgement, step, place);
    if (refused) return { ...base, out: refused, mayBeReplaced: true };
    return { ...base, ...changedAt(judgement, step, place, bindings) };
  });
}

/** Every kind that a step is judged as besides that of its block. */
const otherKinds = (judgement: Judgement, { technique, modality }: StepAsked): readonly KindJudgement[] =>
  technique.judgedAs.flatMap((id) => (id === modality ? [] : (judgement.kind(id) ?? [])));

/** Training that is missing, and whole kinds of work that are out and whose danger the technique carries. */
function refusedEverywhere(
  judgement: Judgement,
  step: StepAsked,
): Pick<PlaceVerdict, 'out' | 'mayBeReplaced'> | undefined {
  const need = missingTraining(step.technique, judgement.qualifications);
  if (need) return { out: { kind: 'training', rule: 'scope', need }, mayBeReplaced: false };
  for (const kind of otherKinds(judgement, step)) {
    if (!isOff(kind.found.decision)) continue;
    if (!carriesHazard(judgement.anatomy, kind.modality, step.technique, step.places)) continue;
    const rule = kind.found.source?.reason.condition ?? 'screening';
    return { out: { kind: 'finding', rule, modality: kind.modality, isLocal: false }, mayBeReplaced: true };
  }
  return undefined;
}

function missingTraining(technique: Technique, held: ReadonlySet<string>): TrainingNeed | undefined {
  if (hasTrait(technique, 'licensed') && !held.has('manual-medicine-licence')) return 'manual-medicine';
  if (hasTrait(technique, 'inside-mouth') && !held.has('intraoral')) return 'inside-mouth';
  if (hasTrait(technique, 'guarded') && !held.has('aromatherapy-clinical')) return 'clinical-aromatherapy';
  const isAdvanced = hasTrait(technique, 'advanced') && !held.has('manual-medicine-licence') && !held.has('massage');
  return isAdvanced ? 'advanced' : undefined;
}

/** Why a place is not touched at all in this work: its row, the row of another kind, or a margin. */
function placeOff(judgement: Judgement, step: StepAsked, place: PlaceId): JudgementReason | undefined {
  const skin = judgement.anatomy.territories.has(place) ? [place] : skinUnder(judgement.book, place);
  const isGroup = !judgement.anatomy.territories.has(place);
  const found = (kind: KindJudgement, off: (one: PlaceId) => JudgementReason | undefined) => {
    const reach = judgement.book.reach.get(kind.modality);
    const touched = skin.filter((one) => reach?.has(one));
    const reasons = touched.map(off);
    // A node group is left alone when nothing of the skin over it may be touched.
    if (isGroup && !reasons.every((one) => one !== undefined)) return undefined;
    return reasons.find((one) => one !== undefined);
  };
  const own = judgement.kind(step.modality);
  const ownRow = own && found(own, (one) => rowOff(own, one));
  if (ownRow) return ownRow;
  for (const kind of otherKinds(judgement, step)) {
    const local = found(kind, (one) => localOff(kind, one));
    if (local) return local;
  }
  if (isGroup) return undefined;
  for (const kind of [...(own ? [own] : []), ...otherKinds(judgement, step)]) {
    const source = kind.margins.get(place);
    if (source)
      return {
        kind: 'margin',
        rule: source.reason.condition,
        modality: kind.modality,
        cm: source.limits.keepAwayCm ?? 0,
      };
  }
  return undefined;
}

/** Territories that are not touched in a kind of work by techniques that are judged so, each with its reason. */
export function placesOff(
  judgement: Judgement,
  modality: string,
  technique: Technique,
): ReadonlyMap<PlaceId, JudgementReason> {
  const off = new Map<PlaceId, JudgementReason>();
  for (const place of judgement.anatomy.territories.keys()) {
    const reason = placeOff(judgement, { modality, technique, places: [place], pressure: technique.pressure }, place);
    if (reason) off.set(place, reason);
  }
  return off;
}

function rowOff(kind: KindJudgement, place: PlaceId): JudgementReason | undefined {
  const row = kind.rows.get(place);
  if (!row || !isOff(row.decision)) return undefined;
  const rule = row.reasons[0]?.condition ?? 'screening';
  return { kind: 'finding', rule, modality: kind.modality, isLocal: true };
}

function localOff(kind: KindJudgement, place: PlaceId): JudgementReason | undefined {
  const local = kind.at(place);
  if (!local || !isOff(local.decision)) return undefined;
  const rule = local.source?.reason.condition ?? 'screening';
  return { kind: 'finding', rule, modality: kind.modality, isLocal: true };
}

/** Whether a technique moves fluid towards the group that its place drains to. */
export const leadsToNode = (technique: Pick<Technique, 'traits' | 'direction'>): boolean =>
  technique.traits.includes('to-node') || technique.direction === 'towards-node';

/**
 * Clearing a closed group, or one that empties into it alone; and strokes towards it, on the skin that it takes from
 * or where the step itself names it.
 */
function towardsClosed(judgement: Judgement, step: StepAsked, place: PlaceId): JudgementReason | undefined {
  const { closedGroups, anatomy } = judgement;
  if (closedGroups.size === 0) return undefined;
  const { technique } = step;
  const reason = (group: PlaceId): JudgementReason => ({
    kind: 'closed-group',
    rule: 'no-blocked-target',
    group,
    cause: closedGroups.get(group) ?? 'removed',
  });
  const works = technique.traits.includes('on-node') || leadsToNode(technique);
  if (!works) return undefined;
  if (anatomy.basins.has(place)) {
    if (closedGroups.has(place)) return reason(place);
    const onward = nextGroup(anatomy, place);
    return onward !== undefined && closedGroups.has(onward) && isIn(anatomy, 'limb-stations', place)
      ? reason(onward)
      : undefined;
  }
  if (!leadsToNode(technique)) return undefined;
  const ahead = groupsAhead(anatomy, place).find((group) => closedGroups.has(group));
  if (ahead) return reason(ahead);
  const named = step.places.find(
    (one) => anatomy.basins.has(one) && closedGroups.has(one) && sideOf(one) === sideOf(place),
  );
  return named === undefined ? undefined : reason(named);
}

function bindingsAt(judgement: Judgement, step: StepAsked, place: PlaceId): readonly Binding[] {
  const own = judgement.kind(step.modality);
  const bindings: Binding[] = [];
  if (own) {
    bindings.push({ kind: own, limits: own.answer.limits, place: undefined });
    const row = own.rows.get(place);
    if (row) bindings.push({ kind: own, limits: row.limits, place });
  }
  for (const kind of otherKinds(judgement, step)) {
    if (carriesHazard(judgement.anatomy, kind.modality, step.technique, step.places))
      bindings.push({ kind, limits: withoutThose(kind.found.limits), place: undefined });
    const local = kind.at(place);
    if (local) bindings.push({ kind, limits: withoutThose(local.limits), place });
  }
  return bindings;
}

/** The finding behind a limit: the first whose effect sets it; `baseline` where the kind of work always has it. */
export function ruleOf(kind: KindJudgement, place: PlaceId | undefined, sets: (limits: Limits) => boolean): string {
  const holds = ({ where }: Source) => where === 'whole' || (place !== undefined && where.includes(place));
  const local = kind.sources.find((one) => one.where !== 'whole' && holds(one) && sets(one.limits));
  return (local ?? kind.sources.find((one) => holds(one) && sets(one.limits)))?.reason.condition ?? 'baseline';
}

/** Practices of screening that no technique is called by, and what stands for them. */
const practices: Readonly<Record<string, (technique: Technique) => boolean>> = {
  'stone-on-bare-skin-at-rest': ({ family, hands }) => family === 'stone-rest' && hands !== 'cloth',
  'undiluted-oil': ({ traits }) => traits.includes('neat-drops'),
};

/** Why a technique is not given there: a limit names it, a practice that it is, heat, or cold. */
function refusedTechnique(technique: Technique, bindings: readonly Binding[]): JudgementReason | undefined {
  for (const { kind, limits, place } of bindings) {
    const limit = (key: 'skipTechniques' | 'noHeat' | 'noCold', sets: (one: Limits) => boolean): JudgementReason => ({
      kind: 'limit',
      rule: ruleOf(kind, place, sets),
      modality: kind.modality,
      limit: key,
    });
    for (const id of limits.skipTechniques ?? []) {
      if (id !== technique.id && !practices[id]?.(technique)) continue;
      const refused = limit('skipTechniques', (one) => one.skipTechniques?.includes(id) ?? false);
      // What a kind of work never does, such as neat drops, says how a technique is done, not that it is left out.
      if (id === technique.id || refused.rule !== 'baseline') return refused;
    }
    if (limits.noHeat && hasTrait(technique, 'heat')) return limit('noHeat', (one) => one.noHeat === true);
    if (limits.noCold && hasTrait(technique, 'cold')) return limit('noCold', (one) => one.noCold === true);
  }
  return undefined;
}

/** Skin that is red, bruised, or reacts to much: nothing that stimulates it. */
function irritated(judgement: Judgement, { technique }: StepAsked, place: PlaceId): JudgementReason | undefined {
  if (!hasTrait(technique, 'stimulating')) return undefined;
  const here = judgement.irritated.get(place);
  if (here) return { kind: 'irritated', ...here };
  const part = judgement.anatomy.territories.get(place)?.part;
  if (judgement.reactiveFace.length > 0 && part === 'head')
    return { kind: 'irritated', rule: 'reactive-skin', grade: 0 };
  return undefined;
}

/** Lighter, turned round, or ending earlier: how a step is given that may be given. */
function changedAt(
  judgement: Judgement,
  step: StepAsked,
  place: PlaceId,
  bindings: readonly Binding[],
): Pick<PlaceVerdict, 'pressure' | 'isReversed' | 'endsAtRoot' | 'cautions'> {
  const cautions: JudgementReason[] = [];
  let pressure = step.pressure;
  const press = (most: Touch, caution: JudgementReason) => {
    if (touches.indexOf(most) >= touches.indexOf(pressure)) return;
    pressure = most;
    cautions.push(caution);
  };
  for (const { kind, limits, place: at } of bindings) {
    const most = limits.maxPressure;
    if (most === undefined) continue;
    const rule = ruleOf(kind, at, (one) => one.maxPressure === most);
    press(most, { kind: 'limit', rule, modality: kind.modality, limit: 'maxPressure' });
  }
  const home = judgement.anatomy.territories.get(place)?.home;
  const endsAtRoot =
    step.technique.direction === 'towards-heart' && home !== undefined && judgement.closedGroups.has(home);
  if (endsAtRoot && home) {
    const cause = judgement.closedGroups.get(home) ?? 'removed';
    const caution = { kind: 'closed-group', rule: 'no-blocked-target', group: home, cause } as const;
    press('feather', caution);
    if (!cautions.includes(caution)) cautions.push(caution);
  }
  const spine = isAlongSpine(step.technique) ? downwardBy(judgement) : undefined;
  if (spine) cautions.push(spine);
  return { pressure, isReversed: spine !== undefined, endsAtRoot, cautions };
}

const isAlongSpine = (technique: Technique) => hasTrait(technique, 'beside-spine') || hasTrait(technique, 'on-spine');

/** Whether strokes along this client's spine run from the skull down, and what asks for it. */
function downwardBy(judgement: Judgement): JudgementReason | undefined {
  for (const { modality, limits } of judgement.screening.byModality) {
    if (limits.spineDirection !== 'downward') continue;
    const kind = judgement.kind(modality);
    const rule = kind ? ruleOf(kind, undefined, (one) => one.spineDirection === 'downward') : 'screening';
    return { kind: 'limit', rule, modality, limit: 'spineDirection' };
  }
  return undefined;
}
