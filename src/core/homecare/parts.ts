import { nameOf } from '../anatomy/place';
import { isOfHead } from '../anatomy/head';
import type { HomePart, HomePartId, HomeStep } from './sheet';

const limbs: readonly (readonly [RegExp, HomePartId])[] = [
  [/^thigh-upper/, 'thigh-upper'],
  [/^(thigh-lower|knee|popliteal)/, 'thigh-lower'],
  [/^(shin|calf)/, 'lower-leg'],
  [/^(ankle|foot|heel|sole|toes)/, 'foot'],
  [/^(shoulder-cap|upper-arm|elbow|cubital)/, 'upper-arm'],
  [/^forearm/, 'forearm'],
  [/^(wrist|hand|palm|fingers)/, 'hand'],
];

const neck = /^(neck|nape|submental|submandibular|cervical)/;

function placePart({ places }: HomeStep): HomePartId {
  const name = nameOf(places[0] ?? '');
  return limbs.find(([pattern]) => pattern.test(name))?.[1] ?? (isOfHead(name) || neck.test(name) ? 'head' : 'trunk');
}

/** Opening and breathing before the work, the way that is prepared, the work limb by limb in quarters, the close. */
function partOf(step: HomeStep, isAfterWork: boolean, before: HomePartId | undefined): HomePartId {
  // A long stroke carries on what was done just before it.
  if (step.kind === 'carry' && !step.act.startsWith('technique:') && before !== undefined) return before;
  if (step.act === 'technique:node-clear') return isAfterWork ? 'close' : 'open';
  if (step.act.startsWith('technique:') && step.kind !== 'breathe') return placePart(step);
  if (step.kind === 'close' || step.kind === 'return' || (step.kind === 'breathe' && isAfterWork)) return 'close';
  if (step.kind === 'breathe') return 'open';
  if (step.kind === 'clear') return isAfterWork ? 'close' : 'open';
  if (step.kind === 'prepare' || step.kind === 'carry') return 'way';
  return placePart(step);
}

const isWork = ({ act, kind }: HomeStep) =>
  act !== 'technique:node-clear' &&
  (kind === 'drain' || kind === 'soften' || (act.startsWith('technique:') && kind !== 'breathe'));

/** Steps in stretches of one part each, in their order. */
export function inParts(steps: readonly HomeStep[]): readonly HomePart[] {
  const lastWork = steps.findLastIndex(isWork);
  const parts: { id: HomePartId; steps: HomeStep[] }[] = [];
  steps.forEach((step, i) => {
    const last = parts.at(-1);
    const id = partOf(step, lastWork >= 0 && i > lastWork, last?.id);
    if (last?.id === id) last.steps.push(step);
    else parts.push({ id, steps: [step] });
  });
  return parts;
}
