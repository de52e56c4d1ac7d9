import type { Seconds } from '../quantities';
import { repetitionRanges, secondsPerRepetition, thickenedDrainRange } from '../drainage/step';
import { type FitStep, fitTime, secondsAt, type TimeFit } from '../sequencing/time-fit';
import { type TableChange, noChange } from './table-event';
import { spanOf, type TableStep } from './table-step';
import { tableSays } from './table.says';

/** Something that can be done when clock and plan have drifted apart; it is offered, never done unasked. */
export interface CatchUp {
  readonly kind: 'evenly' | 'leave-out' | 'over' | 'stretch';
  readonly words: string;
  /** How much earlier the visit would end (s); below 0: later. */
  readonly savesSeconds: Seconds;
  /** All that would differ from the plan. */
  readonly change: TableChange;
}

export interface TableClock {
  /** Index of the step at hand. */
  readonly index: number;
  /** Running time of the step at hand and of the visit (s). */
  readonly stepSeconds: Seconds;
  readonly visitSeconds: Seconds;
  readonly availableSeconds: Seconds;
  /** Where the plan itself ends, if that is before the time is over: what is left then was meant to be. */
  readonly plannedSeconds?: Seconds | undefined;
}

const driftSeconds = 60;

/** Steps as they stand after what was changed: other repetitions with their seconds, none of what is left out. */
export function stepsAfter(steps: readonly TableStep[], change: TableChange): readonly TableStep[] {
  if (change === noChange) return steps;
  const out = new Set(change.leftOut);
  return steps
    .filter(({ id }) => !out.has(id))
    .map((step) => {
      const repetitions = change.repetitions[step.id];
      return repetitions === undefined ? step : withRepetitions(step, repetitions);
    });
}

const withRepetitions = (step: TableStep, repetitions: number): TableStep => ({
  ...step,
  repetitions,
  seconds: Math.round(secondsAt(toFitStep(step), repetitions) * 10) / 10,
});

/**
 * How far what is still to come goes beyond the time that is left (s); below 0 when time is left over.
 * @param steps as they stand after what was changed
 */
export function overrunSeconds(steps: readonly TableStep[], clock: TableClock, change: TableChange): number {
  const here = steps[clock.index];
  const rest = here ? Math.max(0, spanOf(here) - clock.stepSeconds) : 0;
  const ahead = steps.slice(clock.index + 1).reduce((sum, step) => sum + spanOf(step), 0);
  return clock.visitSeconds + rest + ahead - clock.availableSeconds - change.overSeconds;
}

/**
 * What can be done about it, once it is more than a minute; empty while all is well.
 * @param all the steps as planned
 * @param clock with the index of the step at hand among those that are left
 */
export function waysToCatchUp(all: readonly TableStep[], clock: TableClock, change: TableChange): readonly CatchUp[] {
  const now = secondsOf(stepsAfter(all, change));
  return offersFor(all, clock, change).map((way) => ({
    ...way,
    savesSeconds: Math.round(now - secondsOf(stepsAfter(all, way.change))),
  }));
}

const secondsOf = (steps: readonly TableStep[]) => steps.reduce((sum, step) => sum + spanOf(step), 0);

type Offer = Omit<CatchUp, 'savesSeconds'>;

function offersFor(all: readonly TableStep[], clock: TableClock, change: TableChange): readonly Offer[] {
  const steps = stepsAfter(all, change);
  const late = overrunSeconds(steps, clock, change);
  const meant = Math.min(clock.availableSeconds, clock.plannedSeconds ?? Infinity);
  // Late against the time there is, early against what was planned.
  const over = late > 0 ? late : Math.min(0, overrunSeconds(steps, { ...clock, availableSeconds: meant }, change));
  const ahead = steps.slice(clock.index + 1);
  if (ahead.length === 0 || Math.abs(over) <= driftSeconds) return [];
  const aheadSeconds = ahead.reduce((sum, { seconds }) => sum + seconds, 0);
  const left = Math.floor(aheadSeconds - over);
  if (over < 0) return stretchedOut(ahead, left, change);
  return [...shortenedEvenly(ahead, left, change), ...withoutSome(ahead, over, left, change), runOver(over, change)];
}

function stretchedOut(ahead: readonly TableStep[], left: number, change: TableChange): readonly Offer[] {
  const fit = fitTime(ahead.map(toFitStep), left, true);
  const next = changedBy(fit, ahead, change);
  return sameChange(next, change) ? [] : [{ kind: 'stretch', words: tableSays.useTheTimeLeftForWhat, change: next }];
}

function shortenedEvenly(ahead: readonly TableStep[], left: number, change: TableChange): readonly Offer[] {
  const fit = fitTime(ahead.map(toFitStep), left);
  if (!fit.fits) return [];
  return [{ kind: 'evenly', words: tableSays.shortenEvenly, change: changedBy(fit, ahead, change) }];
}

/** Whole parts first, the least that brings it in; single steps where no part does. */
function withoutSome(ahead: readonly TableStep[], over: number, left: number, change: TableChange): readonly Offer[] {
  const part = smallestPart(ahead, over);
  if (part) return [leaveOut(part.steps, `“${part.name}”`, change)];
  const fit = fitTime(
    ahead.map((step) => ({ ...toFitStep(step), min: step.repetitions, optional: isOptional(step, ahead) })),
    left,
  );
  const gone = ahead.filter(({ id }) => fit.leftOut.includes(id));
  if (!fit.fits || gone.length === 0) return [];
  return [leaveOut(gone, gone.length === 1 ? tableSays.oneStep : tableSays.steps(gone.length), change)];
}

const leaveOut = (gone: readonly TableStep[], what: string, change: TableChange): Offer => ({
  kind: 'leave-out',
  words: tableSays.leaveOut(what),
  change: { ...change, leftOut: [...change.leftOut, ...gone.map(({ id }) => id)] },
});

function runOver(over: number, change: TableChange): Offer {
  const minutes = Math.ceil(over / 60);
  return {
    kind: 'over',
    words: tableSays.runOverByMin(minutes),
    change: { ...change, overSeconds: change.overSeconds + minutes * 60 },
  };
}

/** The shortest part of the treatment that is still to come and long enough; the twins of left and right go together. */
function smallestPart(ahead: readonly TableStep[], over: number) {
  const parts = new Map<string, TableStep[]>();
  for (const step of ahead) {
    if (!step.told) continue;
    const part = step.told.twin ?? step.told.block;
    parts.set(part, [...(parts.get(part) ?? []), step]);
  }
  const [begun] = ahead;
  return [...parts]
    .map(([, steps]) => ({
      name: nameOfPart(steps),
      steps,
      seconds: steps.reduce((sum, step) => sum + spanOf(step), 0),
    }))
    .filter(({ steps, seconds }) => seconds >= over && !steps.some(isKept) && steps[0] !== begun)
    .sort((a, b) => a.seconds - b.seconds)[0];
}

/** Of the twins of left and right, both names. */
const nameOfPart = (steps: readonly TableStep[]) =>
  [...new Set(steps.flatMap(({ told }) => told?.block ?? []))].join('” and “');

/** What opens a way, and the rest at the end, is never proposed to be left out. */
const isKept = ({ told, kind }: TableStep) => told?.isOpening === true || kind === 'clear' || kind === 'prepare';

/** A step that nothing else leans on: no opening, nothing that soothes after something intense, no way for others. */
function isOptional(step: TableStep, ahead: readonly TableStep[]): boolean {
  if (isKept(step) || step.fit?.isStretchable) return false;
  if (step.told) return true;
  return step.kind === 'drain' && !ahead.some((other) => other !== step && other.toward === step.place);
}

/** Repetitions that differ from those that stand now, on top of what was changed before. */
function changedBy(fit: TimeFit, ahead: readonly TableStep[], change: TableChange): TableChange {
  const now = new Map(ahead.map(({ id, repetitions }) => [id, repetitions]));
  const differing = fit.repetitions.filter(({ id, repetitions }) => repetitions > 0 && now.get(id) !== repetitions);
  return {
    ...change,
    repetitions: { ...change.repetitions, ...Object.fromEntries(differing.map((one) => [one.id, one.repetitions])) },
  };
}

const sameChange = (a: TableChange, b: TableChange) => JSON.stringify(a) === JSON.stringify(b);

/** A step as the time fit sees it; what is planned now is what is wished. */
function toFitStep(step: TableStep): FitStep {
  const common = { id: step.id, usual: step.repetitions, weight: 1, optional: false };
  if (step.fit) {
    const { min, max, isStretchable } = step.fit;
    return {
      ...common,
      secondsPerRepetition: step.fit.secondsPerRepetition,
      overheadSeconds: Math.max(0, step.seconds - step.repetitions * step.fit.secondsPerRepetition),
      min: Math.min(min, step.repetitions),
      max: Math.max(max, step.repetitions),
      stretchable: isStretchable,
    };
  }
  const range =
    step.rules.includes('soften-thickened') && step.kind === 'drain'
      ? thickenedDrainRange
      : repetitionRanges[step.kind];
  const perRepetition = secondsPerRepetition(step);
  return {
    ...common,
    secondsPerRepetition: perRepetition,
    overheadSeconds: Math.max(0, step.seconds - step.repetitions * perRepetition),
    min: Math.min(range.min, step.repetitions),
    max: Math.max(range.max, step.repetitions),
    stretchable: step.kind === 'drain' || step.kind === 'carry',
  };
}
