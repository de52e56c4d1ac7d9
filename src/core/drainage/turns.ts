import { type Anatomy, getTerritory, isIn, limbOf, type PlaceId } from '../anatomy/place';
import type { ReadCase } from './case';
import type { DraftStep } from './draft-step';
import { type Lying, repetitionRanges, turnPlace } from './step';
import type { Survey } from './survey';

/** A step of a course that knows how the client lies. */
export type PlacedStep = DraftStep & { readonly position: Lying };

/**
 * Says how the client lies at each step, and puts a turn wherever that changes. Limbs, seat, neck and head are worked
 * lying on the back all round; skin of the trunk's back asks for face down, or for the side where that is out. The steps
 * stand in the order of the rules; within it everything that can be done as the client lies is done before a turn, so
 * that there are as few as can be.
 */
export function withTurns(
  anatomy: Anatomy,
  read: ReadCase,
  survey: Survey,
  steps: readonly DraftStep[],
): readonly PlacedStep[] {
  const over: Lying = read.screened?.avoidPosition?.includes('prone') ? 'side' : 'prone';
  const isOver = ({ kind, place }: DraftStep) => worked.has(kind) && isIn(anatomy, 'back', place);
  if (!steps.some(isOver)) return steps.map((step): PlacedStep => ({ ...step, position: 'supine' }));
  const placed: PlacedStep[] = [];
  let lies: Lying = 'supine';
  let left: readonly DraftStep[] = steps;
  const turnTo = (position: Lying) => {
    placed.push({ ...turnStep(position), position });
    lies = position;
  };
  while (left.length > 0) {
    const wanted: Lying = lies;
    const { now, later } = reachable(anatomy, survey, left, (step) => (isOver(step) ? over : 'supine') === wanted);
    placed.push(...now.map((step): PlacedStep => ({ ...step, position: wanted })));
    left = later;
    if (left.length > 0) turnTo(lies === 'supine' ? over : 'supine');
  }
  return placed;
}

const worked: ReadonlySet<DraftStep['kind']> = new Set(['prepare', 'soften', 'drain']);

const turnStep = (position: Lying): DraftStep => ({
  kind: 'turn',
  place: turnPlace,
  toward: null,
  via: [],
  pressure: 'feather',
  placements: 1,
  range: repetitionRanges.turn,
  stretches: 0,
  rules: [],
  because: { kind: position === 'supine' ? 'turn-back' : position === 'side' ? 'turn-aside' : 'turn-over' },
});

/**
 * What can be done as the client lies, and what has to wait. A step waits when it asks for the other way of lying, when
 * its way runs through a place that waits, when a nearer part of its limb does, or when everything has to be over first.
 */
function reachable(
  anatomy: Anatomy,
  survey: Survey,
  steps: readonly DraftStep[],
  lies: (step: DraftStep) => boolean,
): { readonly now: readonly DraftStep[]; readonly later: readonly DraftStep[] } {
  const now: DraftStep[] = [];
  const later: DraftStep[] = [];
  const waits = new Set<PlaceId>();
  const limbs = new Set<string>();
  for (const step of steps) {
    // The way out is prepared before the limb that it serves: only what is drained waits for its limb.
    const limb =
      step.kind === 'drain' || step.kind === 'soften' || step.kind === 'carry' ? limbOfStep(anatomy, step) : undefined;
    const isEnding = step.kind === 'return' || step.kind === 'close' || step.kind === 'breathe';
    const mustWait =
      !lies(step) ||
      (isEnding && later.length > 0) ||
      (step.kind === 'carry' && step.via.some((place) => waits.has(place))) ||
      (limb !== undefined && limbs.has(limb)) ||
      (waits.size > 0 && worked.has(step.kind) && isAhead(survey, step, limb, waits));
    if (!mustWait) now.push(step);
    else {
      later.push(step);
      if (worked.has(step.kind)) waits.add(step.place);
      if (limb) limbs.add(limb);
    }
  }
  return { now, later };
}

/** Whether a way of a step runs through a place that waits: its own, and on a limb that is led round every way out of it. */
function isAhead(
  survey: Survey,
  { place, toward }: DraftStep,
  limb: string | undefined,
  waits: ReadonlySet<PlaceId>,
): boolean {
  if (waits.has(place) || (toward !== null && waits.has(toward))) return true;
  if (survey.routes.get(place)?.path.some((id) => waits.has(id))) return true;
  if (!survey.rerouted.has(place)) return false;
  return survey.limbs.some(
    (one) => one.limb === limb && one.exits.some(({ path }) => path.some((id) => waits.has(id))),
  );
}

function limbOfStep(anatomy: Anatomy, { place }: DraftStep): string | undefined {
  if (!anatomy.territories.has(place)) return undefined;
  const territory = getTerritory(anatomy, place);
  return limbOf(territory) ?? (territory.name === 'buttock' ? `leg.${territory.side}` : undefined);
}
