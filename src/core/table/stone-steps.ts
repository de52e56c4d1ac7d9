import { mostCarrySeconds } from '../stones/chain';
import type { StoneHabits } from '../stones/habits';
import type { StoneStep } from '../stones/step-times';
import type { StoneUseKind } from '../stones/use';
import { spanOf, type TableStep } from './table-step';

/** A hot stone is of use at least until it is so much cooler than at its first touch. */
const leastUseC = 4;

type StoneTableStep = Pick<TableStep, 'id' | 'seconds' | 'setupSeconds'> & {
  readonly told?:
    | {
        readonly stones?: StoneUseKind | undefined;
        readonly places?: readonly string[] | undefined;
      }
    | undefined;
};

/**
 * What a plan asks of hot or of cold stones. Hands do not change stones between strokes: a step goes on with those of
 * the one before it where its technique keeps them, and they are of the same stock and number.
 */
export function stoneStepsOf(
  steps: readonly StoneTableStep[],
  isCold: boolean,
  habits: StoneHabits,
  touchOf: (use: StoneUseKind, places: readonly string[]) => number,
  classOf: (use: StoneUseKind) => string,
): readonly StoneStep[] {
  const found: StoneStep[] = [];
  let clock = 0;
  for (const step of steps) {
    const startS = Math.round(clock + (step.setupSeconds ?? 0));
    clock += spanOf(step);
    const use = step.told?.stones;
    if (!use || use.isCold !== isCold) continue;
    const firstC = touchOf(use, step.told?.places ?? []);
    const asked: StoneStep = {
      id: step.id,
      startS,
      durationS: Math.max(1, Math.round(clock) - startS),
      class: classOf(use),
      count: use.count,
      mode: use.mode,
      flip: use.mode === 'moving',
      towelLayers: use.towelLayers,
      usefulC: isCold ? habits.usefulColdC : Math.min(habits.usefulHotC, firstC - leastUseC),
      firstContactC: firstC,
    };
    found.push({ ...asked, carry: goesOn(found.at(-1), asked, use.keep ?? false) });
  }
  return mildestOfChain(found, isCold);
}

const goesOn = (before: StoneStep | undefined, step: StoneStep, keep: boolean): boolean =>
  keep &&
  before !== undefined &&
  before.class === step.class &&
  before.count === step.count &&
  before.mode === step.mode &&
  step.startS >= before.startS + before.durationS &&
  step.startS - (before.startS + before.durationS) <= mostCarrySeconds;

/** One stone serves a whole chain: the mildest touch in it holds from the beginning. */
function mildestOfChain(steps: readonly StoneStep[], isCold: boolean): readonly StoneStep[] {
  const begins = steps.map(({ carry }, i) => (carry ? -1 : i));
  const chainOf = begins.map((_, i) => Math.max(...begins.slice(0, i + 1)));
  return steps.map((step, i) => {
    const chain = steps.filter((_, k) => chainOf[k] === chainOf[i]);
    const touches = chain.map(({ firstContactC }) => firstContactC);
    const useful = chain.map(({ usefulC }) => usefulC);
    return {
      ...step,
      firstContactC: isCold ? Math.max(...touches) : Math.min(...touches),
      usefulC: isCold ? Math.max(...useful) : Math.min(...useful),
    };
  });
}
