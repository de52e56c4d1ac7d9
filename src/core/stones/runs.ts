import type { RotationHabits } from './book';
import type { StepTimes, StoneStep } from './step-times';

/** A stone away from the bath: from when it is taken out to when it is ready again (s, half open). */
export interface HeatSpan {
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

/** From when to when stones serve before they are changed (s). */
export interface Run {
  readonly fromS: number;
  readonly toS: number;
}

/** From when to when a run lasts; runs are equal but for whole seconds. */
export function runOf({ step }: TimedStep, runs: number, run: number): Run {
  const at = (j: number) => step.startS + Math.floor((j * step.durationS) / runs);
  return { fromS: at(run - 1), toS: at(run) };
}

/** The runs of a step, equally long. */
export const equalRuns = (timed: TimedStep, runs: number): readonly Run[] =>
  Array.from({ length: runs }, (_, i) => runOf(timed, runs, i + 1));

/** What runs keep busy, one span a run; each is needed as often as the step has slots. */
export const spansOfRuns = ({ times }: TimedStep, runs: readonly Run[]): readonly HeatSpan[] =>
  runs.map(({ fromS, toS }) => ({ outS: fromS - times.restS, readyS: toS + times.reheatS }));

export const spansOf = (timed: TimedStep, runs: number): readonly HeatSpan[] =>
  spansOfRuns(timed, equalRuns(timed, runs));

/** The most stones that are away at once. @param spans each with how many stones */
export function peakOf(spans: readonly (HeatSpan & { readonly stones: number })[]): number {
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
