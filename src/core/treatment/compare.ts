import type { Minutes } from '../quantities';
import { treatmentSays } from './treatment.says';
/** A treatment as it was or would be given, as far as two are compared. */
export interface GivenTreatment {
  readonly minutes: Minutes;
  readonly blocks: readonly GivenBlock[];
}

export interface GivenBlock {
  /** Of protocol and part, so that it is known again in another treatment. */
  readonly key: string;
  readonly name: string;
  readonly steps: readonly { readonly key: string; readonly title: string; readonly repetitions: number }[];
}

const mostNamed = 4;

/** How a treatment differs from an earlier one, in sentences; empty when it is the same. */
export function differencesFrom(before: GivenTreatment, now: GivenTreatment): readonly string[] {
  const earlier = new Map(before.blocks.map((block) => [block.key, block]));
  const later = new Map(now.blocks.map((block) => [block.key, block]));
  const added = now.blocks.filter(({ key }) => !earlier.has(key));
  const gone = before.blocks.filter(({ key }) => !later.has(key));
  const both = now.blocks.filter(({ key }) => earlier.has(key));
  const steps = both.flatMap((block) => stepDifferences(earlier.get(block.key) ?? block, block));
  return [
    ...(before.minutes === now.minutes ? [] : [treatmentSays.minutesInsteadOf(now.minutes, before.minutes)]),
    ...(added.length > 0 ? [treatmentSays.withWord(named(added.map(({ name }) => name)))] : []),
    ...(gone.length > 0 ? [treatmentSays.without(named(gone.map(({ name }) => name)))] : []),
    ...orderDifference(before, both),
    ...steps,
  ];
}

/** The first part that stands elsewhere among those that both have. */
function orderDifference(before: GivenTreatment, both: readonly GivenBlock[]): readonly string[] {
  const keys = new Set(both.map(({ key }) => key));
  const was = before.blocks.filter(({ key }) => keys.has(key));
  const at = both.findIndex(({ key }, i) => was[i]?.key !== key);
  const [moved, instead] = [both[at], was[at]];
  return moved && instead ? [treatmentSays.comesBefore(moved.name, instead.name)] : [];
}

function stepDifferences(before: GivenBlock, now: GivenBlock): readonly string[] {
  const earlier = new Map(before.steps.map((step) => [step.key, step]));
  const later = new Set(now.steps.map(({ key }) => key));
  const added = now.steps.filter(({ key }) => !earlier.has(key));
  const gone = before.steps.filter(({ key }) => !later.has(key));
  const changed = now.steps.flatMap((step) => {
    const was = earlier.get(step.key);
    return was && was.repetitions !== step.repetitions
      ? [`${step.title} ${was.repetitions} → ${step.repetitions} ×`]
      : [];
  });
  const parts = [
    ...(added.length > 0 ? [treatmentSays.withWord2(named(added.map(({ title }) => title)))] : []),
    ...(gone.length > 0 ? [treatmentSays.without2(named(gone.map(({ title }) => title)))] : []),
    ...(changed.length > 0 ? [named(changed)] : []),
  ];
  return parts.length > 0 ? [`In “${now.name}”: ${parts.join('; ')}.`] : [];
}

function named(list: readonly string[]): string {
  const shown = list.slice(0, mostNamed).join(', ');
  return list.length > mostNamed ? treatmentSays.andMore(shown, list.length - mostNamed) : shown;
}
