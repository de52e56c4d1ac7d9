import type { StoneHabits } from '../stones/habits';
import { spanOf, type TableStep } from './table-step';
import type { StoneStep } from '../stones/step-times';
import type { StoneUseKind } from '../stones/use';

/** A hot stone is of use at least until it is so much cooler than at its first touch. */
const leastUseC = 4;

type StoneTableStep = Pick<TableStep, 'id' | 'seconds' | 'setupSeconds'> & {
  readonly told?:
    | {
        readonly block: string;
        readonly stones?: StoneUseKind | undefined;
        readonly places?: readonly string[] | undefined;
      }
    | undefined;
};

/**
 * What a plan asks of hot or of cold stones: steps on end in one part that take the same stones are one, so that they are
 * not swapped between strokes.
 */
export function stoneStepsOf(
  steps: readonly StoneTableStep[],
  isCold: boolean,
  habits: StoneHabits,
  touchOf: (use: StoneUseKind, places: readonly string[]) => number,
  classOf: (use: StoneUseKind) => string,
): readonly StoneStep[] {
  const found: StoneStep[] = [];
  let [clock, before] = [0, ''];
  for (const step of steps) {
    const startS = clock + (step.setupSeconds ?? 0);
    clock += spanOf(step);
    const use = step.told?.stones;
    const firstC = use ? touchOf(use, step.told?.places ?? []) : 0;
    const key = use ? `${step.told?.block} ${use.size} ${use.mode}` : '';
    if (!use || use.isCold !== isCold) {
      before = '';
      continue;
    }
    const last = found.at(-1);
    if (last && key === before) {
      // One stone serves them all: the mildest touch holds.
      const firstContactC = isCold ? Math.max(last.firstContactC, firstC) : Math.min(last.firstContactC, firstC);
      const usefulC = isCold ? last.usefulC : Math.min(last.usefulC, firstContactC - leastUseC);
      found[found.length - 1] = { ...last, firstContactC, usefulC, durationS: Math.round(clock) - last.startS };
      continue;
    }
    before = key;
    found.push({
      id: step.id,
      startS: Math.round(startS),
      durationS: Math.max(1, Math.round(clock) - Math.round(startS)),
      class: classOf(use),
      count: use.count,
      mode: use.mode,
      flip: use.mode === 'moving',
      towelLayers: use.towelLayers,
      usefulC: isCold ? habits.usefulColdC : Math.min(habits.usefulHotC, firstC - leastUseC),
      firstContactC: firstC,
    });
  }
  return found;
}
