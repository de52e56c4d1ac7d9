import type { Seconds } from '../quantities';
import type { Fitted } from './fitted';
import type { Anatomy, PlaceId } from '../anatomy/place';
import type { FieldError, Result } from '../result';
import { type Candidate, candidatesOf, whyNotUsed } from './candidates';
import { type DrainageCase, type ReadCase, readCase } from './case';
import { writeCourse } from './course';
import { drainOrder } from './drain-order';
import { courseSeconds, fitCourse, settle } from './fit';
import type { Decision } from '../screening/tables';
import { decide, type Reason, timeReasons } from './reasons';
import type { Step } from './step';
import { type Exit, type Survey, surveyCase } from './survey';
import { rejectionInWords, wayInWords } from './wording';
import { shortLabel } from '../anatomy/place-labels';
import { drainageSays } from './drainage.says';

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
  /** Every lawful way for what has lost its own. */
  readonly candidates: readonly Candidate[];
  readonly steps: readonly Step[];
  /** How often the client turns. */
  readonly turns: number;
  readonly totalSeconds: Seconds;
  readonly fits: boolean;
  /** Focus that has to wait: for another visit, or because it may not be touched or led anywhere. */
  readonly waiting: readonly PlaceId[];
}

/**
 * Reads a case and looks at the ways that the therapist chose.
 * Errors: as `readCase`, and `use` or `refuse` naming a group that is no lawful way, with the reason.
 */
export function readChosen(anatomy: Anatomy, input: DrainageCase): Result<ReadCase> {
  const read = readCase(anatomy, input);
  if (!read.ok || (!input.use?.length && !input.refuse?.length)) return read;
  const free = surveyCase(anatomy, { ...read.value, use: [], refuse: [] });
  const errors = (['use', 'refuse'] as const).flatMap((path) =>
    (input[path] ?? []).flatMap((id, i): FieldError[] => {
      const why = whyNotUsed(anatomy, read.value, free, id);
      return why === undefined
        ? []
        : [{ path: `${path}.${i}`, message: drainageSays.notThe(shortLabel(anatomy, id), why) }];
    }),
  );
  const both = (input.use ?? []).flatMap((id, i): FieldError[] =>
    input.refuse?.includes(id) ? [{ path: `use.${i}`, message: drainageSays.aWayIsUsedOrRefused }] : [],
  );
  return errors.length + both.length > 0 ? { ok: false, errors: [...errors, ...both] } : read;
}

/**
 * Plans a drainage from the drain outwards: what is open, where fluid goes, what is done in which order, and how it fits.
 * The steps are written even when the decision forbids to carry them out, so that the reason can be seen on the body.
 * @param read a case that `readCase` has accepted
 */
export function planDrainage(anatomy: Anatomy, read: ReadCase): DrainagePlan {
  const fitted = fitToVisit(anatomy, read);
  const { survey } = fitted;
  const decided = decide(anatomy, read, fitted.full);
  const steps = settle(anatomy, read, fitted.steps, fitted.repetitions);
  return {
    decision: decided.decision,
    reasons: [...decided.reasons, ...timeReasons(anatomy, fitted)],
    exits: shareTime(anatomy, survey.exits),
    rejected: survey.rejected.map((rejection) => ({ to: rejection.to, why: rejectionInWords(anatomy, rejection) })),
    candidates: candidatesOf(anatomy, fitted.full),
    steps,
    turns: steps.filter(({ kind }) => kind === 'turn').length,
    totalSeconds: steps.reduce((sum, step) => sum + step.seconds, 0),
    fits: fitted.shortBySeconds === 0,
    waiting: [...fitted.leftOut, ...fitted.full.closed, ...fitted.full.stranded],
  };
}

/** Inverse to cost: the nearer exit gets the more of the time; hundredths by largest remainder, so that they sum to 1. */
function shareTime(anatomy: Anatomy, exits: readonly Exit[]): readonly PlannedExit[] {
  const total = exits.reduce((sum, exit) => sum + 1 / exit.cost, 0);
  const hundredths = largestRemainders(
    exits.map((exit) => 100 / exit.cost / total),
    100,
  );
  return exits.map((exit, i) => ({
    to: exit.to,
    cost: exit.cost,
    share: (hundredths[i] ?? 0) / 100,
    path: exit.path,
    why: exit.rerouted
      ? drainageSays.led(wayInWords(anatomy, exit.path))
      : drainageSays.theNaturalWayItsNodesAre(wayInWords(anatomy, exit.path)),
  }));
}

/** Whole numbers that sum to `whole`, each as near to its part as can be; equal remainders go to the first. */
export function largestRemainders(parts: readonly number[], whole: number): readonly number[] {
  const floors = parts.map((part) => Math.floor(part + 1e-9));
  const left = whole - floors.reduce((sum, part) => sum + part, 0);
  const byRemainder = parts
    .map((part, i) => ({ i, remainder: part - (floors[i] ?? 0) }))
    .sort((a, b) => (Math.abs(b.remainder - a.remainder) < 1e-9 ? a.i - b.i : b.remainder - a.remainder));
  const raised = new Set(byRemainder.slice(0, parts.length === 0 ? 0 : left).map(({ i }) => i));
  return floors.map((part, i) => part + (raised.has(i) ? 1 : 0));
}

const leastOf = ({ min }: { readonly min: number }) => min;

/**
 * Repetitions go first, then the return pass, then the second exit; what then still does not fit has to wait, far end
 * first, and takes along the groups and ways that would serve nothing else.
 */
function fitToVisit(anatomy: Anatomy, read: ReadCase): Fitted {
  const budgetSeconds = Math.min(read.minutes, read.screened?.maxMinutes ?? read.minutes) * 60;
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
    const repetitions = fitCourse(steps, budgetSeconds, read.fill);
    if (repetitions === undefined) continue;
    return {
      ...{ full, survey, steps, repetitions, withoutReturn: !withReturn, shortBySeconds: 0, leftOut: [] },
      isShortened: steps.some(({ range }, i) => (repetitions[i] ?? 0) < range.usual),
      withoutSecondExit: withoutSecondExit && survey.exits.length < full.exits.length,
    };
  }
  const one = withOneExit();
  const order = drainOrder(anatomy, one);
  const short = courseSeconds(writeCourse(anatomy, read, one, { withReturn: false }), leastOf) - budgetSeconds;
  const withOnly = (count: number) => {
    const survey = surveyCase(anatomy, read, 'one', new Set(order.slice(count)));
    return { survey, steps: writeCourse(anatomy, read, survey, { withReturn: false }) };
  };
  const kept = mostThatFits(order.length, (count) => courseSeconds(withOnly(count).steps, leastOf) <= budgetSeconds);
  const { survey, steps } = kept < 0 ? { survey: withOnly(0).survey, steps: [] } : withOnly(kept);
  return {
    ...{ full, survey, steps, shortBySeconds: short, withoutReturn: true, isShortened: true },
    repetitions: fitCourse(steps, budgetSeconds, read.fill) ?? steps.map(({ range }) => range.min),
    withoutSecondExit: one.exits.length < full.exits.length,
    leftOut: kept < 0 ? order : order.slice(kept),
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
