import { type Anatomy, type PlaceId, sideOf } from '../anatomy/place';
import type { ReadCase } from './case';
import { edgeKey, isNeverPassed } from './hindrance';
import type { RuleId } from './rules';
import { lighterOf } from '../screening/limits';
import { allowedPressure } from './screened';
import type { Step } from './step';
import type { Survey } from './survey';
import { theLabel } from '../anatomy/place-labels';
import { capitalise } from '../wording/capitalise';
import { drainageSays } from './drainage.says';

/** A step as a therapist arranged it; what only the planner fills in may be missing. */
export interface ArrangedStep {
  readonly id: string;
  readonly kind: Step['kind'];
  readonly place: PlaceId;
  readonly toward: PlaceId | null;
  readonly via: readonly PlaceId[];
  readonly pressure?: Step['pressure'] | undefined;
}

export interface Fault {
  readonly rule: RuleId;
  readonly text: string;
}

/** What is wrong with a step wherever it stands; empty when it may be done. */
export function stepFaults(anatomy: Anatomy, read: ReadCase, ways: WayIndex, step: ArrangedStep): readonly Fault[] {
  if (step.kind === 'breathe' || step.kind === 'turn') return [];
  const { hindrances } = read;
  const path = pathOf(step);
  const faults: Fault[] = [];
  const add = (rule: RuleId, text: string) => faults.push({ rule, text });

  const blocked = path.find((id) => hindrances.blocked.has(id));
  if (blocked && !isStimulation(read, step))
    add('no-blocked-target', drainageSays.areClosedNoStrokeMayEnd(capitalise(theLabel(anatomy, blocked))));
  const closed = path.find((id) => hindrances.closed.has(id));
  if (closed && hindrances.keptOff.has(closed))
    add('kept-off', drainageSays.screeningKeepsOffItIsNot(theLabel(anatomy, closed)));
  else if (closed) add('closed-wound-only', drainageSays.thereIsOpenSkinAtIt(theLabel(anatomy, closed)));
  for (let i = 0; i + 1 < path.length; i += 1) {
    const [from = '', to = ''] = [path[i], path[i + 1]];
    if (hindrances.scarred.has(edgeKey(from, to))) {
      add('no-scar-crossing', drainageSays.aScarLiesBetweenAndLead(theLabel(anatomy, from), theLabel(anatomy, to)));
    }
  }
  const entered = path.slice(1).find((id) => isNeverPassed(hindrances, id) && !hindrances.blocked.has(id));
  if (entered) add('bypass-knee', drainageSays.notOverOrIntoGoRound(theLabel(anatomy, entered)));
  if (faults.length === 0 && isStroke(step) && !ways.leads(path)) add('always-towards', awayText(anatomy, step));
  if (
    step.pressure &&
    step.pressure !== 'feather' &&
    path.some((id) => id !== step.toward && hindrances.irradiated.has(id))
  ) {
    add('feather-on-irradiated', drainageSays.wasIrradiatedFeatherLightOnly(capitalise(theLabel(anatomy, step.place))));
  }
  const allowed = allowedPressure(
    read.screened,
    path.filter((id) => id !== step.toward),
  );
  if (step.pressure && allowed && lighterOf(step.pressure, allowed) !== step.pressure)
    add('screened-pressure', drainageSays.screeningAllowsAtMostAt(allowed, theLabel(anatomy, step.place)));
  return faults;
}

/** All places that a step touches or enters, in order. */
export function pathOf(step: ArrangedStep): readonly PlaceId[] {
  return step.toward === null ? [step.place] : [step.place, ...step.via, step.toward];
}

/** The one gentle clearing of what is left of a removed group, where the school asks for it. */
export function isStimulation(read: ReadCase, step: ArrangedStep): boolean {
  return (
    step.kind === 'clear' &&
    step.toward === null &&
    read.school.removedSide === 'reroute-and-stimulate' &&
    read.hindrances.blocked.get(step.place) === 'removed' &&
    !read.hindrances.irradiated.has(step.place)
  );
}

function isStroke(step: ArrangedStep): boolean {
  return step.kind === 'prepare' || step.kind === 'drain' || step.kind === 'carry' || step.kind === 'return';
}

function awayText(anatomy: Anatomy, step: ArrangedStep): string {
  const here = theLabel(anatomy, step.place);
  if (step.toward === null) return drainageSays.sayWhereDrainsToEveryStroke(here);
  return drainageSays.fromToLeadsAwayFromThe(here, theLabel(anatomy, step.toward));
}

/** Answers whether a stroke follows one of the ways that fluid takes in this case. */
export class WayIndex {
  readonly #pairs = new Set<string>();

  constructor(survey: Survey) {
    const ways = [...survey.routes.values(), ...survey.exits, ...survey.limbs.flatMap((limb) => limb.exits)];
    for (const { seat } of survey.limbs)
      if (seat !== undefined) this.#pairs.add(edgeKey(seat, `flank-lower.${sideOf(seat)}`));
    for (const { path } of ways) {
      for (let i = 0; i + 1 < path.length; i += 1) this.#pairs.add(edgeKey(path[i] ?? '', path[i + 1] ?? ''));
    }
  }

  leads(path: readonly PlaceId[]): boolean {
    if (path.length < 2) return false;
    return path.every((id, i) => i === 0 || this.#pairs.has(edgeKey(path[i - 1] ?? '', id)));
  }
}
