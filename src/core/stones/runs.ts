import type { RotationHabits } from './book';
import type { StepTimes, StoneStep } from './step-times';

/** A stone away from the bath: from when it is taken out to when it is ready again (s, half open). */
export interface Span {
  readonly outS: number;
  readonly readyS: number;
}

export interface TimedStep {
  readonly step: StoneStep;
  readonly times: StepTimes;
}

/** Numbers of runs that a step may be cut into: the fewest, or a few more where each still lasts. */
export function runChoices({ step, times }: TimedStep, habits: RotationHabits): readonly number[] {
  const fewest = Math.ceil(step.durationS / times.usefulS - 1e-9);
  const choices = [fewest];
  for (let extra = 1; extra <= habits.extraRuns; extra += 1)
    if (step.durationS / (fewest + extra) >= habits.shortestExtraRunSeconds) choices.push(fewest + extra);
  return choices;
}

/** From when to when a run lasts; runs are equal but for whole seconds. */
export function runOf(
  { step }: TimedStep,
  runs: number,
  run: number,
): { readonly fromS: number; readonly toS: number } {
  const at = (j: number) => step.startS + Math.floor((j * step.durationS) / runs);
  return { fromS: at(run - 1), toS: at(run) };
}

/** What the runs of a step keep busy, one span a run; each is needed as often as the step has slots. */
export const spansOf = (timed: TimedStep, runs: number): readonly Span[] =>
  Array.from({ length: runs }, (_, i) => {
    const { fromS, toS } = runOf(timed, runs, i + 1);
    return { outS: fromS - timed.times.restS, readyS: toS + timed.times.reheatS };
  });

/** The most stones that are away at once. @param spans each with how many stones */
export function peakOf(spans: readonly (Span & { readonly stones: number })[]): number {
  const events = spans.flatMap(({ outS, readyS, stones }) => [
    { at: outS, by: stones },
    { at: readyS, by: -stones },
  ]);
  // At one moment those that come back go first: spans are half open.
  events.sort((a, b) => a.at - b.at || a.by - b.by);
  let [now, peak] = [0, 0];
  for (const { by } of events) {
    now += by;
    peak = Math.max(peak, now);
  }
  return peak;
}

/**
 * Numbers of runs for the steps of one class: least shortage, then least stones in play, then fewest swaps, then the
 * smallest numbers in the order of the steps. Exact: the rest of a choice is only left out when it cannot be better.
 */
export function chooseRuns(steps: readonly TimedStep[], stock: number, habits: RotationHabits): readonly number[] {
  const choices = steps.map((timed) => runChoices(timed, habits));
  const fewestSwaps = steps.map(({ step }, i) => step.count * ((choices[i]?.[0] ?? 1) - 1));
  /** However a step is cut, each of its slots keeps a stone busy from its first rest to its last warming. */
  const atLeast = steps.map(({ step, times }) => ({
    outS: step.startS - times.restS,
    readyS: step.startS + step.durationS + times.reheatS,
    stones: step.count,
  }));
  let best:
    | { readonly shortage: number; readonly peak: number; readonly swaps: number; readonly runs: readonly number[] }
    | undefined;
  const go = (runs: readonly number[], spans: readonly (Span & { stones: number })[], swaps: number): void => {
    const i = runs.length;
    const peak = peakOf([...spans, ...atLeast.slice(i)]);
    const shortage = Math.max(0, peak - stock);
    const least = swaps + fewestSwaps.slice(i).reduce((sum, one) => sum + one, 0);
    // Choices come in rising order, so that one that is only as good is lexicographically later.
    if (best && !isBetter({ shortage, peak, swaps: least }, best)) return;
    const timed = steps[i];
    if (!timed) {
      best = { shortage, peak, swaps, runs };
      return;
    }
    for (const count of choices[i] ?? []) {
      const own = spansOf(timed, count).map((span) => ({ ...span, stones: timed.step.count }));
      go([...runs, count], [...spans, ...own], swaps + timed.step.count * (count - 1));
    }
  };
  go([], [], 0);
  return best?.runs ?? [];
}

interface Worth {
  readonly shortage: number;
  readonly peak: number;
  readonly swaps: number;
}

const isBetter = (a: Worth, b: Worth): boolean =>
  a.shortage !== b.shortage ? a.shortage < b.shortage : a.peak !== b.peak ? a.peak < b.peak : a.swaps < b.swaps;
