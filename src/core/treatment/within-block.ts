import { unflushed } from '../library/flush';
import type { PlaceId } from '../anatomy/place';
import { directions, hasTrait, touches } from '../library/technique';
import type { TreatmentBlock } from './block';
import type { RuleSeverity, TreatmentRuleId } from './rules';
import { treatmentSays } from './treatment.says';

/** A rule that a block breaks within itself. */
export interface StepFault {
  readonly block: string;
  readonly step: string;
  readonly rule: TreatmentRuleId;
  readonly severity: RuleSeverity;
  readonly message: string;
}

/** The large bowel in the order in which it carries, as far as the body map tells it apart. */
const bowel = ['abdomen-lower.right', 'abdomen-upper.right', 'abdomen-upper.left', 'abdomen-lower.left'];

/**
 * Every rule that the steps of a block break.
 * @param heatless places of a limb that is swollen or at risk, and of its quarter of the trunk
 */
export function faultsWithin(block: TreatmentBlock, heatless: ReadonlySet<PlaceId> = new Set()): readonly StepFault[] {
  return [
    ...withoutFlush(block),
    ...againstTheClock(block),
    ...onTheSpine(block),
    ...heatOn(block, heatless),
    ...ungloved(block),
    ...unlightEnd(block),
  ];
}

/** Drops and resting hands may lie on the spine; strokes run beside it. */
function onTheSpine({ id, steps }: TreatmentBlock): readonly StepFault[] {
  return steps
    .filter(
      ({ technique }) =>
        hasTrait(technique, 'on-spine') &&
        !hasTrait(technique, 'neat-drops') &&
        !hasTrait(technique, 'press-hold') &&
        strokes.has(technique.direction),
    )
    .map(({ id: step, technique }) => ({
      ...{ block: id, step, rule: 'spine-beside-not-on', severity: 'error' },
      message: treatmentSays.strokesOnTheSpineRunIt(technique.name),
    }));
}

/** Directions in which the hand travels. */
const strokes: ReadonlySet<string> = new Set(directions.filter((direction) => direction !== 'none'));

/** Looked at once more after everything was judged, replaced and rearranged. */
function heatOn({ id, steps }: TreatmentBlock, heatless: ReadonlySet<PlaceId>): readonly StepFault[] {
  return steps
    .filter(({ technique, places }) => hasTrait(technique, 'heat') && places.some((place) => heatless.has(place)))
    .map(({ id: step, technique }) => ({
      ...{ block: id, step, rule: 'no-heat-on-swelling', severity: 'error' },
      message: treatmentSays.bringsHeatToALimbThat(technique.name),
    }));
}

/** Gloves go on before the first gloved step of a block and come off after the last: nothing bare lies between. */
function ungloved({ id, steps, hands }: TreatmentBlock): readonly StepFault[] {
  if (hands === 'gloved') return [];
  const needs = steps.map(({ technique }) => technique.hands === 'gloved');
  const [first, last] = [needs.indexOf(true), needs.lastIndexOf(true)];
  return steps
    .filter((_, i) => i > first && i < last && !needs[i])
    .map(({ id: step, technique }) => ({
      ...{ block: id, step, rule: 'gloves-on-off', severity: 'error' },
      message: treatmentSays.comesBetweenGlovedStepsFinishThe(technique.name),
    }));
}

function withoutFlush({ id, steps }: TreatmentBlock): readonly StepFault[] {
  return unflushed(steps, ({ technique }, trait) => hasTrait(technique, trait)).flatMap((i): StepFault[] => {
    const step = steps[i];
    if (!step) return [];
    return [
      {
        block: id,
        step: step.id,
        rule: 'flush-after-intense',
        severity: 'error',
        message: treatmentSays.isIntenseAndNothingSoothingFollows(step.technique.name),
      },
    ];
  });
}

/** Single strokes along the bowel have to follow it. */
function againstTheClock({ id, steps }: TreatmentBlock): readonly StepFault[] {
  const strokes = steps.filter(
    ({ technique, places }) => technique.direction === 'bowel-clockwise' && places.length === 1,
  );
  const at = strokes.map(({ places }) => bowel.indexOf(places[0] ?? ''));
  const i = at.findIndex((now, k) => k > 0 && now >= 0 && now < (at[k - 1] ?? -1));
  const wrong = strokes[i];
  if (!wrong) return [];
  return [
    {
      block: id,
      step: wrong.id,
      rule: 'belly-clockwise',
      severity: 'error',
      message: treatmentSays.thisStrokeRunsAgainstTheCourse,
    },
  ];
}

function unlightEnd({ id, steps }: TreatmentBlock): readonly StepFault[] {
  const last = steps.at(-1);
  if (!last || touches.indexOf(last.pressure) < touches.indexOf('firm')) return [];
  return [
    {
      block: id,
      step: last.id,
      rule: 'hands-off-last',
      severity: 'warning',
      message: treatmentSays.isFirmAndItEndsThe(last.technique.name),
    },
  ];
}
