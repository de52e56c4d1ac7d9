import { type Anatomy, type PlaceId } from '../anatomy/place';
import type { ReadCase } from './case';
import { type DraftStep, writeCourse } from './course';
import { drainOrder } from './drain-order';
import { courseSeconds, fitEffort, settle } from './fit';
import { type Decision } from '../screening/tables';
import { decide, type Reason, timeReasons } from './reasons';
import type { Step } from './step';
import { type Exit, type Survey, surveyCase } from './survey';
import { rejectionInWords, wayInWords } from './wording';

/** A way out of the body, as it is answered. */
export interface PlannedExit {
  readonly to: PlaceId;
  readonly cost: number;
  /** Share of the time, 0–1 with two decimals; the shares of all exits sum to about 1. */
  readonly share: number;
  readonly path: readonly PlaceId[];
  readonly why: string;
}

export interface DrainagePlan {
  readonly decision: Decision;
  readonly reasons: readonly Reason[];
  readonly exits: readonly PlannedExit[];
  readonly rejected: readonly { readonly to: PlaceId; readonly why: string }[];
  readonly steps: readonly Step[];
  readonly totalSeconds: number;
  readonly fits: boolean;
  /** Focus that has to wait: for another visit, or because it may not be touched or led anywhere. */
  readonly waiting: readonly PlaceId[];
}

/**
 * Plans a drainage from the drain outwards: what is open, where fluid goes, what is done in which order, and how it fits.
 * The steps are written even when the decision forbids to carry them out, so that the reason can be seen on the body.
 * @param read a case that `readCase` has accepted
 */
export function planDrainage(anatomy: Anatomy, read: ReadCase): DrainagePlan {
  const fitted = fitToVisit(anatomy, read);
  const { survey } = fitted;
  const decided = decide(anatomy, read, survey);
  const steps = settle(anatomy, read, fitted.steps, fitted.effort);
  return {
    decision: decided.decision,
    reasons: [...decided.reasons, ...timeReasons(anatomy, fitted)],
    exits: shareTime(anatomy, survey.exits),
    rejected: survey.rejected.map((rejection) => ({ to: rejection.to, why: rejectionInWords(anatomy, rejection) })),
    steps,
    totalSeconds: steps.reduce((sum, step) => sum + step.seconds, 0),
    fits: fitted.shortBySeconds === 0,
    waiting: [...fitted.leftOut, ...survey.closed, ...survey.stranded],
  };
}

/** Inverse to cost: the nearer exit gets the more of the time. */
function shareTime(anatomy: Anatomy, exits: readonly Exit[]): readonly PlannedExit[] {
  const total = exits.reduce((sum, exit) => sum + 1 / exit.cost, 0);
  return exits.map((exit) => ({
    to: exit.to,
    cost: exit.cost,
    share: Math.round((100 / exit.cost / total) * (1 + 1e-12)) / 100,
    path: exit.path,
    why: exit.rerouted
      ? `Led ${wayInWords(anatomy, exit.path)}.`
      : `The natural way, ${wayInWords(anatomy, exit.path)}: its nodes are there and open.`,
  }));
}

export interface Fitted {
  readonly survey: Survey;
  readonly steps: readonly DraftStep[];
  readonly effort: number;
  readonly withoutReturn: boolean;
  readonly withoutSecondExit: boolean;
  /** By how much the whole focus would be too long at the least repetitions; 0 when everything fits. */
  readonly shortBySeconds: number;
  readonly leftOut: readonly PlaceId[];
}

/** Repetitions go first, then the return pass, then the second exit; what then still does not fit has to wait, far end first. */
function fitToVisit(anatomy: Anatomy, read: ReadCase): Fitted {
  const budgetSeconds = Math.min(read.minutes, read.screened?.maxMinutes ?? read.minutes) * 60;
  const ceiling = read.fill ? 1 : 0;
  const full = surveyCase(anatomy, read);
  let nearest: Survey | undefined;
  const withOneExit = () => (nearest ??= surveyCase(anatomy, read, 'one'));
  const attempts = [
    { survey: () => full, withReturn: true, withoutSecondExit: false },
    { survey: () => full, withReturn: false, withoutSecondExit: false },
    { survey: withOneExit, withReturn: false, withoutSecondExit: true },
  ];
  for (const { survey: make, withReturn, withoutSecondExit } of attempts) {
    const survey = make();
    const steps = writeCourse(anatomy, read, survey, { withReturn });
    const effort = fitEffort(steps, budgetSeconds, ceiling);
    if (effort === undefined) continue;
    const dropped = withoutSecondExit && survey.exits.length < full.exits.length;
    return {
      survey,
      steps,
      effort,
      withoutReturn: !withReturn,
      withoutSecondExit: dropped,
      shortBySeconds: 0,
      leftOut: [],
    };
  }
  const survey = withOneExit();
  const order = drainOrder(anatomy, survey);
  const short = courseSeconds(writeCourse(anatomy, read, survey, { withReturn: false }), -1) - budgetSeconds;
  const kept = mostThatFits(order.length, (count) => {
    const steps = writeCourse(anatomy, read, survey, { withReturn: false, leftOut: new Set(order.slice(count)) });
    return courseSeconds(steps, -1) <= budgetSeconds;
  });
  const leftOut = order.slice(kept);
  const steps = kept < 0 ? [] : writeCourse(anatomy, read, survey, { withReturn: false, leftOut: new Set(leftOut) });
  return {
    survey,
    steps,
    effort: -1,
    withoutReturn: true,
    withoutSecondExit: survey.exits.length < full.exits.length,
    shortBySeconds: short,
    leftOut: kept < 0 ? order : leftOut,
  };
}

/** @returns the greatest count from 0 to `most` that fits, or −1 when not even 0 does; fitting must not improve with count */
function mostThatFits(most: number, fits: (count: number) => boolean): number {
  let low = -1;
  let high = most;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (fits(middle)) low = middle;
    else high = middle - 1;
  }
  return low;
}
