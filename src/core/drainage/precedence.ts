import { type Anatomy, getTerritory, limbOf, mirrorOf, nameOf, type PlaceId, sideOf } from '../anatomy/place';
import type { ReadCase } from './case';
import { segmentOf } from './drain-order';
import { isNeckExcluded } from './hindrance';
import { type ArrangedStep, isStimulation, pathOf } from './legality';
import type { RuleId } from './rules';
import { affectedSides, type Survey } from './survey';

export type Severity = 'error' | 'warning';

/** `first` has to come before `then`. */
export interface Precedence {
  readonly first: ArrangedStep;
  readonly then: ArrangedStep;
  readonly rule: RuleId;
  readonly severity: Severity;
}

/** Something that `step` needs and that no step of the course does. */
export interface Missing {
  readonly step: ArrangedStep;
  readonly rule: RuleId;
  readonly severity: Severity;
  readonly place: PlaceId;
}

/**
 * Reads the ordering rules off a case for the steps at hand, in their arranged order.
 * @param waiting focus that waits for another visit; all of it when only the order is looked at
 */
export function findPrecedences(
  anatomy: Anatomy,
  read: ReadCase,
  survey: Survey,
  steps: readonly ArrangedStep[],
  waiting: ReadonlySet<PlaceId> = new Set(survey.routes.keys()),
): { readonly precedences: readonly Precedence[]; readonly missing: readonly Missing[] } {
  const precedences: Precedence[] = [];
  const missing: Missing[] = [];
  const lack = (step: ArrangedStep | undefined, rule: RuleId, place: PlaceId, severity: Severity = 'error') => {
    if (step) missing.push({ step, rule, place, severity });
  };
  const require = (first: ArrangedStep | undefined, then: ArrangedStep, rule: RuleId, severity: Severity = 'error') => {
    if (first && first.id !== then.id) precedences.push({ first, then, rule, severity });
  };
  const firstOf = (kind: ArrangedStep['kind'], place: PlaceId) =>
    steps.find((s) => s.kind === kind && s.place === place && !isStimulation(read, s));
  const isTerminus = (step: ArrangedStep) => step.kind === 'clear' && nameOf(step.place) === 'terminus';
  const hands = steps.filter((step) => step.kind !== 'breathe' && step.kind !== 'turn');
  const breaths = steps.filter((step) => step.kind === 'breathe');
  const prepares = steps.filter((step) => step.kind === 'prepare');
  const drains = steps.filter((step) => step.kind === 'drain' && survey.routes.has(step.place));

  for (const side of ['left', 'right'] as const) {
    const id = `terminus.${side}`;
    if (isNeckExcluded(read.hindrances, side) || read.hindrances.blocked.has(id)) continue;
    const open = firstOf('clear', id);
    const others = hands.filter((step) => !isTerminus(step));
    if (!open) lack(others[0], 'start-at-terminus', id);
    for (const step of others) require(open, step, 'start-at-terminus');
  }

  for (const groin of steps.filter((step) => step.kind === 'clear' && nameOf(step.place) === 'inguinal')) {
    if (breaths[0]) require(breaths[0], groin, 'deep-before-lower');
    else lack(groin, 'deep-before-lower', 'abdominal-deep.mid');
  }

  for (const step of hands) {
    for (const group of pathOf(step).slice(1)) {
      if (!anatomy.basins.has(group) || read.hindrances.blocked.has(group) || step.kind === 'close') continue;
      const open = firstOf('clear', group);
      if (open) require(open, step, 'basin-before-skin');
      else lack(step, 'basin-before-skin', group);
    }
  }

  for (const step of prepares) {
    const nearer = step.toward === null ? undefined : firstOf('prepare', step.toward);
    require(nearer, step, 'route-before-region');
  }
  const carriedTo = new Set(steps.filter((step) => step.kind === 'carry').map((step) => step.toward));
  for (const drain of drains) {
    for (const place of waysOf(anatomy, survey, drain.place, carriedTo)) {
      if (survey.routes.has(place) || anatomy.basins.has(place)) continue;
      const prepare = firstOf('prepare', place);
      if (prepare) require(prepare, drain, 'route-before-region');
      else lack(drain, 'route-before-region', place);
    }
  }
  for (const carry of steps.filter((step) => step.kind === 'carry' || step.kind === 'return')) {
    for (const place of carry.via) require(firstOf('prepare', place), carry, 'route-before-region');
  }

  for (const nearer of drains) {
    for (const farther of drains) {
      const severity = nearBeforeFar(anatomy, survey, nearer.place, farther.place);
      if (severity) require(nearer, farther, 'near-before-far', severity);
    }
  }

  // What waits is not touched: its side asks for no clearing of the other.
  const drained = new Set(drains.map((step) => step.place));
  const affected = affectedSides(read, {
    ...survey,
    rerouted: new Set([...survey.rerouted].filter((id) => drained.has(id))),
  });
  if (affected.size === 1) {
    const homes = new Set(drains.map((step) => mirrorOf(getTerritory(anatomy, step.place).home)));
    const touching = hands.filter((step) => affected.has(sideOf(step.place)) && !isTerminus(step));
    for (const home of homes) {
      if (affected.has(sideOf(home)) || nameOf(home) === 'terminus') continue;
      const sound = firstOf('clear', home);
      if (!sound && !read.hindrances.blocked.has(home)) lack(drains[0], 'sound-side-first', home, 'warning');
      for (const step of touching) require(sound, step, 'sound-side-first', 'warning');
    }
  }

  for (const drain of drains) {
    if (!read.hindrances.thickened.has(drain.place)) continue;
    const soften = firstOf('soften', drain.place);
    if (soften) require(soften, drain, 'soften-thickened');
    else lack(drain, 'soften-thickened', drain.place);
  }
  for (const stimulate of steps.filter((step) => isStimulation(read, step))) {
    // The way round a knee is prepared only when the leg has come so far.
    for (const prepare of prepares) if (!isOnLeg(anatomy, prepare.place)) require(prepare, stimulate, 'stimulate-last');
  }

  const working = hands.filter((step) => step.kind !== 'close');
  for (const close of steps.filter((step) => step.kind === 'close')) {
    for (const step of working) require(step, close, 'close-with-breath', 'warning');
  }
  if (drains.length > 0) {
    for (const place of toBeClosed(read, survey, steps))
      if (!steps.some((step) => step.kind === 'close' && step.place === place))
        lack(steps.at(-1), 'exit-not-closed', place, 'warning');
    if (breaths.length < 2) lack(steps.at(-1), 'close-with-breath', 'abdominal-deep.mid', 'warning');
  }
  const worked = new Set(steps.filter(({ kind }) => kind === 'drain').map(({ place }) => place));
  for (const place of survey.routes.keys())
    if (!worked.has(place) && !waiting.has(place)) lack(steps.at(-1), 'focus-untouched', place, 'warning');
  const last = breaths.length > 1 ? breaths.at(-1) : undefined;
  if (last) for (const step of steps) require(step, last, 'close-with-breath', 'warning');
  return { precedences, missing };
}

const isOnLeg = (anatomy: Anatomy, place: PlaceId) => anatomy.territories.get(place)?.part === 'leg';

/** Groups that are cleared once more at the end: the exits that something was led to, and both termini. */
function toBeClosed(read: ReadCase, survey: Survey, steps: readonly ArrangedStep[]): readonly PlaceId[] {
  const reached = new Set(
    steps.flatMap((step) =>
      step.kind === 'carry' || step.kind === 'drain' ? [step.toward, survey.routes.get(step.place)?.to] : [],
    ),
  );
  const termini = (['left', 'right'] as const)
    .filter((side) => !isNeckExcluded(read.hindrances, side) && !read.hindrances.blocked.has(`terminus.${side}`))
    .map((side) => `terminus.${side}`);
  const exits = survey.exits.map(({ to }) => to).filter((to) => reached.has(to) && nameOf(to) !== 'terminus');
  return [...new Set([...exits, ...termini])];
}

/** Places on the way of a focus territory and, on a rerouted limb, on every way out that the course carries fluid to. */
function waysOf(
  anatomy: Anatomy,
  survey: Survey,
  id: PlaceId,
  carriedTo: ReadonlySet<PlaceId | null>,
): ReadonlySet<PlaceId> {
  const places = new Set(survey.routes.get(id)?.path.slice(1) ?? []);
  if (!survey.rerouted.has(id) || segmentOf(anatomy, survey, id) === 0) return places;
  const territory = getTerritory(anatomy, id);
  const limb = survey.limbs.find((l) => l.limb === (limbOf(territory) ?? `leg.${territory.side}`));
  for (const exit of limb?.exits ?? [])
    if (carriedTo.has(exit.to)) for (const place of exit.path.slice(1)) places.add(place);
  return places;
}

/** Error when fluid would meet a full part or skip a segment; warning when only the finer order by cost is broken. */
function nearBeforeFar(anatomy: Anatomy, survey: Survey, nearer: PlaceId, farther: PlaceId): Severity | undefined {
  if (nearer === farther) return undefined;
  const way = survey.routes.get(farther);
  if (way?.path.slice(1).includes(nearer)) return 'error';
  const [a, b] = [getTerritory(anatomy, nearer), getTerritory(anatomy, farther)];
  const [segmentA, segmentB] = [segmentOf(anatomy, survey, nearer), segmentOf(anatomy, survey, farther)];
  if (a.side !== b.side || segmentA === 0 || segmentB === 0 || (a.part === 'arm') !== (b.part === 'arm'))
    return undefined;
  if (segmentA < segmentB) return 'error';
  const isDearer = limbOf(a) && limbOf(b) && (survey.routes.get(nearer)?.cost ?? 0) < (way?.cost ?? 0);
  return segmentA === segmentB && isDearer ? 'warning' : undefined;
}
