import type { Seconds } from '../quantities';
import type { FieldError } from '../result';
import type { StoneBook } from './book';
import { runOf, type Run, type TimedStep } from './runs';
import { type Bath, type Blocked, type StepTimes, stepTimes, type Stock, type StoneStep } from './step-times';
import { stonesSays } from './stones.says';

/** Steps that share their stones: each goes on with those of the one before it. */
export interface Chain {
  /** Under the first one's id, from the first start to the last end. */
  readonly step: StoneStep;
  /** When each of them ends (s). */
  readonly ends: readonly Seconds[];
  readonly members: readonly StoneStep[];
}

/** Hands that lie still longer than this put their stones down. */
export const mostCarrySeconds = 60;

/** Puts steps that carry on together; each other step is a chain of its own. */
export function chainsOf(steps: readonly StoneStep[]): readonly Chain[] {
  const chains: Chain[] = [];
  for (const step of steps) {
    const last = chains.at(-1);
    const endS = step.startS + step.durationS;
    if (!last || !step.carry) chains.push({ step, ends: [endS], members: [step] });
    else
      chains[chains.length - 1] = {
        step: { ...last.step, durationS: endS - last.step.startS },
        ends: [...last.ends, endS],
        members: [...last.members, step],
      };
  }
  return chains;
}

/** Why a step cannot go on with the stones of the one before it in the request. */
export function carryErrors(steps: readonly StoneStep[]): readonly FieldError[] {
  return steps.flatMap((step, i): FieldError[] => {
    if (!step.carry) return [];
    const message = carryTrouble(steps[i - 1], step);
    return message === undefined ? [] : [{ path: `steps.${i}.carry`, message }];
  });
}

function carryTrouble(before: StoneStep | undefined, step: StoneStep): string | undefined {
  if (!before) return stonesSays.thereIsNoStepBeforeIt;
  if (before.class !== step.class) return stonesSays.hasStonesOfAnotherClassBegin(before.id);
  if (before.count !== step.count) return stonesSays.hasAnotherNumberOfStonesBegin(before.id);
  if (before.mode !== step.mode) return stonesSays.isNotBeginWithFreshStones(before.id, step.mode);
  const pauseS = step.startS - (before.startS + before.durationS);
  if (pauseS < 0) return stonesSays.itBeginsBeforeHasEnded(before.id);
  return pauseS > mostCarrySeconds ? stonesSays.itBeginsSAfterHasEnded(pauseS, before.id, mostCarrySeconds) : undefined;
}

type Times = ReturnType<typeof stepTimes>;

const mostKnown = 400;
const knownOf = new WeakMap<StoneBook, Map<string, Times>>();

/** The same stones in the same bath take the same times, and a plan asks for few kinds of them over and over. */
function knownTimes(book: StoneBook, bath: Bath, stock: Stock | undefined, step: StoneStep): Times {
  if (!stock) return stepTimes(book, bath, stock, step);
  const { id: _, startS: __, carry: ___, ...what } = step;
  const key = JSON.stringify([bath.bathC, bath.toleranceC, bath.ambientC, stock.size, stock.material, what]);
  const known = knownOf.get(book) ?? new Map<string, Times>();
  knownOf.set(book, known);
  const times = known.get(key) ?? stepTimes(book, bath, stock, step);
  if (known.size >= mostKnown) known.clear();
  known.set(key, times);
  return times;
}

/** How the stones of a chain are taken: they serve as long as its shortest-lived step lets them, and rest as long as its mildest asks. */
export function chainTimes(
  book: StoneBook,
  bath: Bath,
  stock: Stock | undefined,
  { step, members }: Chain,
): { readonly times: StepTimes } | { readonly blocked: Blocked } {
  // Each for the whole span: stones that do not cool in a step need not be changed at its end.
  const all = members.map((member) => knownTimes(book, bath, stock, { ...member, durationS: step.durationS }));
  const blocked = all.find((one) => 'blocked' in one);
  if (blocked) return blocked;
  const times = all.flatMap((one) => ('times' in one ? one.times : []));
  const mildest = times.reduce((a, b) => (b.restS > a.restS ? b : a));
  return {
    times: {
      takeC: mildest.takeC,
      restS: mildest.restS,
      usefulS: Math.min(...times.map(({ usefulS }) => usefulS)),
      reheatS: Math.max(...times.map(({ reheatS }) => reheatS)),
    },
  };
}

/**
 * Runs of a chain whose changes fall on the end of one of its steps, where stones last: the latest such end; else
 * between two passes, as in a single step.
 */
export function runsOfChain(timed: TimedStep, ends: readonly Seconds[], runs: number): readonly Run[] {
  const { step, times } = timed;
  const endS = step.startS + step.durationS;
  const found: Run[] = [];
  let fromS = step.startS;
  for (let run = 1; run <= runs; run += 1) {
    const left = runs - run;
    const isReached = (toS: number) => toS <= fromS + times.usefulS && endS - toS <= left * times.usefulS;
    const atEnd = ends.filter((end) => end > fromS && end < endS - (left - 1) && isReached(end)).at(-1);
    const equal = runOf(timed, runs, run).toS;
    const usual =
      equal > fromS && isReached(equal) ? equal : Math.min(endS, fromS + Math.floor((endS - fromS) / (left + 1)));
    const toS = left === 0 ? endS : (atEnd ?? usual);
    found.push({ fromS, toS });
    fromS = toS;
  }
  return found;
}
