import type { Seconds } from '../quantities';
import type { PlaceId } from '../anatomy/place';
import { groupsAhead } from '../drainage/outlets';
import type { Technique, Touch } from '../library/technique';
import type { Limits } from '../screening/tables';
import type { HandState, Position } from '../sequencing/block';
import { carriesHazard } from './hazards';
import { type Judgement, neighboursOf } from './judgement';

/** A step of anything that is made for a client: a treatment, a template used again, an imported protocol, a sheet. */
export interface CheckedStep {
  readonly id: string;
  readonly modality: string;
  readonly technique: Technique;
  readonly places: readonly PlaceId[];
  readonly toward?: PlaceId | null | undefined;
  readonly pressure: Touch;
  readonly isReversed?: boolean | undefined;
  readonly position?: Position | undefined;
  readonly hands?: HandState | undefined;
  readonly seconds: Seconds;
}

/** What is wrong with a product, by step; `step` is absent for what only the whole shows. */
export interface JudgementViolation {
  readonly step: string | null;
  readonly limit:
    | 'decision'
    | 'place'
    | 'margin'
    | 'closed-group'
    | 'maxPressure'
    | 'skipTechniques'
    | 'noHeat'
    | 'noCold'
    | 'noOil'
    | 'avoidPosition'
    | 'spineDirection'
    | 'maxMinutes'
    | 'maxPerWeek';
  readonly modality: string;
  readonly place: PlaceId | null;
}

const forbidden = new Set(['clear-first', 'refer', 'stop']);
const order: readonly string[] = ['none', 'feather', 'light', 'medium', 'firm'];

/**
 * Looks a finished product over against the judgement, without a line of the code that made it: it walks the rows of
 * the screening itself. Nothing with a violation is stored, shown, printed or sent as acceptable.
 * @returns empty when everything in it may be done
 */
export function violationsOf(steps: readonly CheckedStep[], judgement: Judgement): readonly JudgementViolation[] {
  const found: JudgementViolation[] = [];
  for (const step of steps) found.push(...stepViolations(step, judgement));
  const seconds = new Map<string, number>();
  for (const { modality, seconds: own } of steps) seconds.set(modality, (seconds.get(modality) ?? 0) + own);
  for (const [modality, total] of seconds) {
    const answer = judgement.screening.byModality.find((one) => one.modality === modality);
    const whole = (limit: JudgementViolation['limit']) => found.push({ step: null, limit, modality, place: null });
    const { maxMinutes, maxPerWeek } = answer?.limits ?? {};
    if (maxMinutes !== undefined && total > maxMinutes * 60 + 1e-6) whole('maxMinutes');
    const times = judgement.ledger.timesThisWeek.get(modality) ?? 0;
    if (maxPerWeek !== undefined && times >= maxPerWeek) whole('maxPerWeek');
  }
  return found;
}

function stepViolations(step: CheckedStep, judgement: Judgement): readonly JudgementViolation[] {
  const found: JudgementViolation[] = [];
  const { technique, modality } = step;
  const say = (limit: JudgementViolation['limit'], of: string, place: PlaceId | null = null) =>
    found.push({ step: step.id, limit, modality: of, place });

  const own = judgement.screening.byModality.find((answer) => answer.modality === modality);
  if (own && forbidden.has(own.decision)) say('decision', modality);
  if (own) {
    if (step.position && own.limits.avoidPosition?.includes(step.position)) say('avoidPosition', modality);
    if (step.hands === 'oiled' && own.limits.noOil) say('noOil', modality);
    for (const limit of brokenBy(step, own.limits)) say(limit, modality);
  }

  for (const kind of [modality, ...technique.judgedAs]) {
    const isOwn = kind === modality;
    const answer = judgement.screening.byModality.find((one) => one.modality === kind);
    if (!answer) continue;
    const isBound = isOwn || carriesHazard(judgement.anatomy, kind, technique, step.places);
    if (!isOwn && isBound) {
      const isOut = answer.reasons.some(
        (reason) => !reason.local && reason.condition !== 'scope' && forbidden.has(reason.decision),
      );
      if (isOut && !judgement.lifted.has(kind)) say('decision', kind);
    }
    for (const place of step.places) {
      const row = judgement.screening.regions.find((one) => one.modality === kind && one.region === place);
      const isOut = isOwn
        ? row && forbidden.has(row.decision)
        : row?.reasons.some(({ decision }) => forbidden.has(decision));
      if (isOut) say('place', kind, place);
      if (isOwn && row) for (const limit of brokenBy(step, row.limits)) say(limit, kind, place);
      if (isNearMark(judgement, kind, place)) say('margin', kind, place);
    }
  }
  for (const group of closedGroupsOf(step, judgement)) say('closed-group', modality, group);
  if (isUpward(step, judgement)) say('spineDirection', modality);
  return found;
}

/** Limits that a step breaks by itself; of what a kind of work always leaves out only techniques by name. */
function brokenBy(step: CheckedStep, limits: Limits): readonly JudgementViolation['limit'][] {
  const broken: JudgementViolation['limit'][] = [];
  const { technique } = step;
  if (limits.maxPressure && order.indexOf(step.pressure) > order.indexOf(limits.maxPressure))
    broken.push('maxPressure');
  if (limits.skipTechniques?.includes(technique.id)) broken.push('skipTechniques');
  if (limits.noHeat && technique.traits.includes('heat')) broken.push('noHeat');
  if (limits.noCold && technique.traits.includes('cold')) broken.push('noCold');
  return broken;
}

function isNearMark(judgement: Judgement, modality: string, place: PlaceId): boolean {
  if (!judgement.anatomy.territories.has(place)) return false;
  return (judgement.sources.get(modality) ?? []).some(({ limits, marks }) => {
    if (limits.keepAwayCm === undefined || !marks) return false;
    if (marks.has(place)) return true;
    return limits.keepAwayCm > 5 && neighboursOf(judgement.anatomy, place).some((near) => marks.has(near));
  });
}

/** Closed groups that a step works on, or leads fluid to. */
function closedGroupsOf(step: CheckedStep, { closedGroups, anatomy }: Judgement): readonly PlaceId[] {
  const { traits, direction } = step.technique;
  const touched = traits.includes('on-node') ? step.places.filter((place) => closedGroups.has(place)) : [];
  const isLed = step.toward !== undefined && step.toward !== null;
  if (isLed) return closedGroups.has(step.toward ?? '') ? [...touched, step.toward ?? ''] : touched;
  if (!traits.includes('to-node') && direction !== 'towards-node') return touched;
  const ahead = step.places
    .filter((place) => anatomy.territories.has(place))
    .flatMap((place) => groupsAhead(anatomy, place))
    .filter((group) => closedGroups.has(group));
  return [...touched, ...ahead];
}

/** Strokes along the spine from the base up, where they have to run down. */
function isUpward(step: CheckedStep, judgement: Judgement): boolean {
  const { traits } = step.technique;
  if (!traits.includes('beside-spine') && !traits.includes('on-spine')) return false;
  const isDown = judgement.screening.byModality.some(({ limits }) => limits.spineDirection === 'downward');
  if (!isDown) return false;
  const spine = [...judgement.anatomy.groups.spine];
  const at = step.places.map((place) => spine.indexOf(place.slice(0, place.lastIndexOf('.')))).filter((i) => i >= 0);
  return step.isReversed !== true || at.some((now, i) => i > 0 && now < (at[i - 1] ?? 0));
}
