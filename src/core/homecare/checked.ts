import type { CheckedStep } from '../judgement/violations';
import type { Library } from '../library/protocol';
import { type HomeRoutine, type HomeSheet, stepsOf } from './sheet';

/** A client's own hands press no harder than this. */
const ownPressure = 'feather';

/** A sheet from the library as the check looks at it; the planner's own course is checked by the rules of drainage. */
export function toCheckedSheet(library: Library, routine: HomeRoutine, sheet: HomeSheet): readonly CheckedStep[] {
  if (routine.from === 'planner') return [];
  const modality = library.protocols.get(routine.from.protocol)?.modality ?? routine.modality;
  return stepsOf(sheet).flatMap(({ id, act, places, toward, seconds }): CheckedStep[] => {
    const technique = library.techniques.get(act.replace('technique:', ''));
    return technique ? [{ id, modality, technique, places, toward, pressure: ownPressure, seconds }] : [];
  });
}
