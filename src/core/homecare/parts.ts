import { type Anatomy, isIn, type RegionGroup } from '../anatomy/place';
import type { HomePart, HomePartId, HomeStep } from './sheet';

const limbs = [
  ['upper-thigh', 'thigh-upper'],
  ['lower-thigh', 'thigh-lower'],
  ['lower-leg', 'lower-leg'],
  ['foot', 'foot'],
  ['upper-arm', 'upper-arm'],
  ['forearm', 'forearm'],
  ['hand', 'hand'],
] as const satisfies readonly (readonly [RegionGroup, HomePartId])[];

function placePart(anatomy: Anatomy, { places }: HomeStep): HomePartId {
  const [place = ''] = places;
  const limb = limbs.find(([group]) => isIn(anatomy, group, place));
  if (limb) return limb[1];
  const isHead = anatomy.territories.get(place)?.part === 'head' || isIn(anatomy, 'head-and-neck-home', place);
  return isHead ? 'head' : 'trunk';
}

/** Opening and breathing before the work, the way that is prepared, the work limb by limb in quarters, the close. */
function partOf(anatomy: Anatomy, step: HomeStep, isAfterWork: boolean, before: HomePartId | undefined): HomePartId {
  // A long stroke carries on what was done just before it.
  if (step.kind === 'carry' && !step.act.startsWith('technique:') && before !== undefined) return before;
  if (step.act === 'technique:node-clear') return isAfterWork ? 'close' : 'open';
  if (step.act.startsWith('technique:') && step.kind !== 'breathe') return placePart(anatomy, step);
  if (step.kind === 'close' || step.kind === 'return' || (step.kind === 'breathe' && isAfterWork)) return 'close';
  if (step.kind === 'breathe') return 'open';
  if (step.kind === 'clear') return isAfterWork ? 'close' : 'open';
  if (step.kind === 'prepare' || step.kind === 'carry') return 'way';
  return placePart(anatomy, step);
}

const isWork = ({ act, kind }: HomeStep) =>
  act !== 'technique:node-clear' &&
  (kind === 'drain' || kind === 'soften' || (act.startsWith('technique:') && kind !== 'breathe'));

/** Steps in stretches of one part each, in their order. */
export function inParts(anatomy: Anatomy, steps: readonly HomeStep[]): readonly HomePart[] {
  const lastWork = steps.findLastIndex(isWork);
  const parts: { id: HomePartId; steps: HomeStep[] }[] = [];
  steps.forEach((step, i) => {
    const last = parts.at(-1);
    const id = partOf(anatomy, step, lastWork >= 0 && i > lastWork, last?.id);
    if (last?.id === id) last.steps.push(step);
    else parts.push({ id, steps: [step] });
  });
  return parts;
}
