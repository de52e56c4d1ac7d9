import type { HomeStep } from '../../core/homecare/sheet';
import type { TableStep } from '../../core/table/table-step';

/** A step at home in the shape that beat and pace are drawn from; its words stay in the client’s own table. */
export function asTableStep(step: HomeStep): TableStep {
  const base = {
    ...{
      id: step.id,
      kind: step.kind,
      place: step.places[0] ?? 'abdominal-deep.mid',
      toward: step.toward,
      via: step.via,
    },
    ...{ repetitions: step.repetitions, placements: step.placements, seconds: step.seconds },
    ...{ pressure: 'feather' as const, rules: [], why: '', cautions: [] },
  };
  if (!step.act.startsWith('technique:')) return base;
  const count = step.count === 'times' ? ('repetitions' as const) : step.count;
  return { ...base, told: { title: '', how: '', cue: '', note: '', block: '', count, places: step.places } };
}
