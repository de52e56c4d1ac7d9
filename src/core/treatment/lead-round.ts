import { nameOf, type PlaceId, sideOf } from '../anatomy/place';
import type { Step } from '../drainage/step';
import type { Judgement } from '../judgement/judgement';
import { judgeStep } from '../judgement/judge-step';
import type { Library } from '../library/protocol';
import { type Technique, touches } from '../library/technique';
import { rankOf } from '../screening/tables';
import type { TreatmentBlock, TreatmentStep } from './block';
import { sideOfSteps } from './expand';
import { isForPlanner, type WayRound } from './way-round';
import type { LeftOut } from './left-out';

/** What a step of the planner's course is done with. */
const techniqueOf: Readonly<Partial<Record<Step['kind'], string>>> = {
  breathe: 'belly-breath',
  clear: 'node-clear',
  prepare: 'skin-stretch',
  drain: 'skin-stretch',
};

/**
 * Puts the planner's way round in the place of strokes that would lead fluid to a closed group: the exits that no
 * earlier step has cleared, the way prepared from the exit outward, then the skin that lost its group, nearest first,
 * each towards the next place on its way.
 */
export function leadRound(
  library: Library,
  judgement: Judgement,
  asked: readonly TreatmentBlock[],
  kept: readonly TreatmentBlock[],
  leftOut: readonly LeftOut[],
  wayRound: WayRound,
): { readonly blocks: readonly TreatmentBlock[]; readonly leftOut: readonly LeftOut[] } {
  const techniqueAt = ({ technique }: LeftOut) => (technique === null ? undefined : library.techniques.get(technique));
  const lost = leftOut.filter((one) => {
    const technique = techniqueAt(one);
    return technique !== undefined && one.modality === 'lymph-drainage' && isForPlanner(technique, one);
  });
  const territories = [...new Set(lost.flatMap(({ places }) => places))].filter((place) =>
    judgement.anatomy.territories.has(place),
  );
  if (territories.length === 0) return { blocks: kept, leftOut };
  const plan = wayRound(territories);
  if (!plan || rankOf(plan.decision) >= rankOf('clear-first'))
    return {
      blocks: kept,
      leftOut: leftOut.map((one) => (lost.includes(one) && isUnqualified(judgement) ? unledBy(one) : one)),
    };
  const [first] = lost;
  const home = asked.find(({ id }) => id === first?.block);
  if (!home) return { blocks: kept, leftOut };
  const before = asked.slice(0, asked.indexOf(home));
  const isCleared = (place: PlaceId) =>
    kept.some(
      (block) =>
        before.some(({ id }) => id === block.id) &&
        block.steps.some(({ technique, places }) => technique.traits.includes('on-node') && places.includes(place)),
    );
  const drained = plan.steps.filter(({ kind, place }) => kind === 'drain' && territories.includes(place));
  const led = plan.steps.flatMap((step, i): TreatmentStep[] => {
    const technique = library.techniques.get(techniqueOf[step.kind] ?? '');
    const isWanted =
      step.kind === 'drain'
        ? drained.includes(step)
        : step.kind === 'clear'
          ? !isCleared(step.place)
          : step.kind === 'prepare' && !territories.includes(step.place);
    return technique && isWanted ? [ledStep(home, step, technique, i)] : [];
  });
  const lawful = led.filter(
    ({ technique, places, pressure, toward }) =>
      toward !== undefined ||
      judgeStep(judgement, { modality: home.modality, technique, places, pressure }).every(({ out }) => !out),
  );
  const blocks = insertAt(kept, asked, home, lawful, first);
  const names = new Set(lost);
  return {
    blocks,
    leftOut: leftOut.map((one) =>
      names.has(one) && one.places.every((place) => drained.some((step) => step.place === place))
        ? { ...one, instead: 'skin-stretch' }
        : one,
    ),
  };
}

const isUnqualified = ({ qualifications }: Judgement) => !qualifications.has('lymphoedema-certified');

const unledBy = (one: LeftOut): LeftOut => ({ ...one, reason: { kind: 'no-way-round', rule: 'qualification' } });

function ledStep(block: TreatmentBlock, step: Step, technique: Technique, i: number): TreatmentStep {
  const side = sideOf(step.place);
  const lightest = touches.indexOf(step.pressure) < touches.indexOf(technique.pressure);
  return {
    id: `${block.id}/round-${i + 1}`,
    technique,
    regions: [nameOf(step.place)],
    side: side === 'mid' ? 'both' : side,
    places: [step.place],
    repetitions: Math.min(technique.repetitions.max, Math.max(technique.repetitions.min, step.repetitions)),
    pressure: lightest ? step.pressure : technique.pressure,
    note: '',
    toward: step.toward ?? undefined,
    cautions: step.kind === 'drain' ? [{ kind: 'led-round', rule: 'no-blocked-target' }] : [],
  };
}

/** The steps stand where the first of those that they replace stood, in its block or in one of their own. */
function insertAt(
  kept: readonly TreatmentBlock[],
  asked: readonly TreatmentBlock[],
  home: TreatmentBlock,
  steps: readonly TreatmentStep[],
  first: LeftOut | undefined,
): readonly TreatmentBlock[] {
  const at = home.steps.findIndex(
    ({ technique, places }) =>
      technique.id === first?.technique && places.some((place) => first.places.includes(place)),
  );
  const order = new Map(home.steps.map(({ id }, i) => [id, i]));
  const own = kept.find(({ id }) => id === home.id);
  const baseOf = (id: string) => [...order].find(([known]) => id === known || id.startsWith(`${known}/`))?.[1] ?? 0;
  const isBefore = ({ id }: TreatmentStep) => baseOf(id) < at;
  const had = own?.steps ?? [];
  const together = [...had.filter(isBefore), ...steps, ...had.filter((step) => !isBefore(step))];
  const made: TreatmentBlock = { ...(own ?? home), steps: together, side: sideOfSteps(together) };
  const position = new Map(asked.map(({ id }, i) => [id, i]));
  return [...kept.filter(({ id }) => id !== home.id), made]
    .filter((block) => block.steps.length > 0)
    .sort((a, b) => (position.get(a.id) ?? 0) - (position.get(b.id) ?? 0));
}
