import type { Anatomy, PlaceId } from '../anatomy/place';
import type { FieldError } from '../result';
import type { ReadCase } from './case';
import { type ArrangedStep, stepFaults, WayIndex } from './legality';
import { findPrecedences, type Precedence, type Severity } from './precedence';
import type { RuleId } from './rules';
import { planDrainage } from './plan';
import { surveyCase } from './survey';
import { list } from './wording';
import { isNamedAsMany, shortLabel, theLabel } from '../anatomy/place-labels';
import { drainageSays } from './drainage.says';

/** Moving a step behind another one (null: to the very start), or taking it out. */
export type Fix = { readonly move: string; readonly after: string | null } | { readonly remove: string };

export interface Violation {
  readonly step: string;
  readonly rule: RuleId;
  readonly severity: Severity;
  readonly text: string;
  /** What would mend it; absent when only another stroke or place would. */
  readonly fix?: Fix;
}

/**
 * Checks a course as a therapist arranged it against every rule.
 * @param steps any order, every id once and every place known
 * @param waiting what the planner would leave for another visit, where a plan is at hand
 * @returns violations in the order of the steps, errors before warnings on the same step; empty when all is well
 */
export function checkCourse(
  anatomy: Anatomy,
  read: ReadCase,
  steps: readonly ArrangedStep[],
  waiting: ReadonlySet<PlaceId> = waitingOf(anatomy, read),
): readonly Violation[] {
  const survey = surveyCase(anatomy, read);
  const ways = new WayIndex(survey);
  const violations: Violation[] = [];
  for (const step of steps) {
    for (const fault of stepFaults(anatomy, read, ways, step)) {
      const isHopeless =
        fault.rule === 'no-blocked-target' ||
        fault.rule === 'closed-wound-only' ||
        fault.rule === 'kept-off' ||
        fault.rule === 'no-scar-crossing';
      violations.push({
        step: step.id,
        rule: fault.rule,
        severity: 'error',
        text: fault.text,
        ...(isHopeless ? { fix: { remove: step.id } } : {}),
      });
    }
  }
  const { precedences, missing } = findPrecedences(anatomy, read, survey, steps, waiting);
  for (const { step, rule, place, severity } of missing) {
    violations.push({ step: step.id, rule, severity, text: missingText(anatomy, rule, place) });
  }
  violations.push(...orderViolations(anatomy, steps, precedences));
  return sortViolations(steps, violations);
}

/** What the planner itself would leave for another visit: it is no fault of a course to leave it out. */
const waitingOf = (anatomy: Anatomy, read: ReadCase): ReadonlySet<PlaceId> =>
  new Set(planDrainage(anatomy, read).waiting);

interface Mend {
  readonly kind: 'late' | 'early';
  readonly mover: ArrangedStep;
  /** Broken precedences that it settles. */
  readonly settles: Precedence[];
}

/**
 * Groups broken precedences by the step whose move settles most: one that others wait for and that came too late, or one
 * that came too early. Of the two, the move that leaves fewer precedences broken is offered.
 */
function orderViolations(
  anatomy: Anatomy,
  steps: readonly ArrangedStep[],
  precedences: readonly Precedence[],
): readonly Violation[] {
  const at = new Map(steps.map((step, index) => [step.id, index]));
  const place = (step: ArrangedStep) => at.get(step.id) ?? 0;
  const broken = precedences.filter(({ first, then }) => place(first) > place(then));
  if (broken.length === 0) return [];
  const mends = new Map<string, Mend>();
  const offer = (kind: Mend['kind'], mover: ArrangedStep, precedence: Precedence) => {
    const key = `${kind} ${mover.id}`;
    const mend = mends.get(key) ?? { kind, mover, settles: [] };
    mend.settles.push(precedence);
    mends.set(key, mend);
  };
  for (const precedence of broken) {
    offer('late', precedence.first, precedence);
    offer('early', precedence.then, precedence);
  }
  const fixOf = (mend: Mend): { readonly move: string; readonly after: string | null } => {
    if (mend.kind === 'late') {
      const earliest = Math.min(...mend.settles.map((p) => place(p.then)));
      return { move: mend.mover.id, after: steps[earliest - 1]?.id ?? null };
    }
    const latest = Math.max(...mend.settles.map((p) => place(p.first)));
    return { move: mend.mover.id, after: steps[latest]?.id ?? null };
  };
  const ofStep = byStep(precedences);
  const leaves = new Map([...mends].map(([key, mend]) => [key, brokenAfter(at, ofStep, fixOf(mend))]));
  const groups = new Map<string, Precedence[]>();
  for (const precedence of broken) {
    const [late, early] = [`late ${precedence.first.id}`, `early ${precedence.then.id}`];
    const best = (leaves.get(late) ?? 0) < (leaves.get(early) ?? 0) ? late : early;
    const key = `${best} ${precedence.rule}`;
    groups.set(key, [...(groups.get(key) ?? []), precedence]);
  }
  return [...groups].map(([key, group]): Violation => {
    const mend = mends.get(key.slice(0, key.lastIndexOf(' '))) as Mend;
    const [{ rule }] = group as [Precedence, ...Precedence[]];
    const others = unique(group.map((p) => (mend.kind === 'late' ? p.then : p.first))).sort(
      (a, b) => place(a) - place(b),
    );
    const text =
      mend.kind === 'late' ? lateText(anatomy, rule, mend.mover, others) : earlyText(anatomy, rule, mend.mover, others);
    const severity: Severity = group.some((p) => p.severity === 'error') ? 'error' : 'warning';
    return { step: mend.mover.id, rule, severity, text, fix: fixOf(mend) };
  });
}

/** The precedences of each step, on either side of them. */
function byStep(precedences: readonly Precedence[]): ReadonlyMap<string, readonly Precedence[]> {
  const found = new Map<string, Precedence[]>();
  for (const precedence of precedences)
    for (const { id } of [precedence.first, precedence.then]) {
      const known = found.get(id);
      if (known) known.push(precedence);
      else found.set(id, [precedence]);
    }
  return found;
}

/** By how many more or fewer precedences are broken once a step has been moved: only its own can change. */
function brokenAfter(
  at: ReadonlyMap<string, number>,
  precedences: ReadonlyMap<string, readonly Precedence[]>,
  { move, after }: { readonly move: string; readonly after: string | null },
): number {
  // Between the step that it is put behind and the next one.
  const there = after === null ? -0.5 : (at.get(after) ?? 0) + 0.5;
  const [was, is] = [at.get(move) ?? 0, there];
  return (precedences.get(move) ?? []).reduce((sum, { first, then }) => {
    const other = at.get(first.id === move ? then.id : first.id) ?? 0;
    const isBroken = (own: number) => (first.id === move ? own > other : other > own);
    return sum + Number(isBroken(is)) - Number(isBroken(was));
  }, 0);
}

function unique(steps: readonly ArrangedStep[]): ArrangedStep[] {
  return [...new Map(steps.map((step) => [step.id, step])).values()];
}

function sortViolations(steps: readonly ArrangedStep[], violations: readonly Violation[]): readonly Violation[] {
  const at = new Map(steps.map((step, index) => [step.id, index]));
  const weight = (violation: Violation) => (at.get(violation.step) ?? 0) * 2 + (violation.severity === 'error' ? 0 : 1);
  return violations
    .map((violation, index) => ({ violation, index }))
    .sort((a, b) => weight(a.violation) - weight(b.violation) || a.index - b.index)
    .map(({ violation }) => violation);
}

function placesInWords(anatomy: Anatomy, steps: readonly ArrangedStep[]): string {
  const names = [...new Set(steps.map((step) => drainageSays.the(shortLabel(anatomy, step.place))))];
  return names.length > 3 ? drainageSays.andMore(names.slice(0, 2).join(', '), names.length - 2) : list(names);
}

function earlyText(anatomy: Anatomy, rule: RuleId, then: ArrangedStep, firsts: readonly ArrangedStep[]): string {
  const others = placesInWords(anatomy, firsts);
  const [first] = firsts;
  const isOne = new Set(firsts.map(({ place }) => place)).size === 1;
  const are = isOne && first && !isNamedAsMany(anatomy, first.place) ? 'is' : 'are';
  switch (rule) {
    case 'start-at-terminus':
      return drainageSays.tooEarlyTheHollowAboveThe;
    case 'deep-before-lower':
      return drainageSays.tooEarlyBreatheFirstSoThat;
    case 'basin-before-skin':
      return drainageSays.tooEarlyNotOpenYetSo(others, are);
    case 'route-before-region':
      return drainageSays.tooEarlyStillFullSoFluid(others, are);
    case 'near-before-far':
      return drainageSays.tooEarlyStillFullSoFluid2(others, are);
    case 'sound-side-first':
      return drainageSays.theSoundSideFirstClearedBefore(others, are);
    case 'soften-thickened':
      return drainageSays.tooEarlyIsThickenedAndHas(theLabel(anatomy, then.place));
    case 'stimulate-last':
      return drainageSays.tooEarlyToBePreparedBefore(others, are);
    case 'close-with-breath':
      return drainageSays.thisBelongsToTheEndRe;
    default:
      return drainageSays.tooEarlyItComesAfter(others);
  }
}

function lateText(anatomy: Anatomy, rule: RuleId, first: ArrangedStep, thens: readonly ArrangedStep[]): string {
  const here = theLabel(anatomy, first.place);
  const others =
    thens.length === 1
      ? placesInWords(anatomy, thens)
      : drainageSays.stepsBeforeItFromOn(thens.length, placesInWords(anatomy, thens.slice(0, 1)));
  if (rule === 'sound-side-first')
    return drainageSays.tooLateTheSoundSidesCome(shortLabel(anatomy, first.place), others);
  if (rule === 'close-with-breath') return drainageSays.tooLateAlreadyCloseTheVisit(others);
  return drainageSays.tooLateNeedOpenFirst(others, here);
}

function missingText(anatomy: Anatomy, rule: RuleId, place: Precedence['first']['place']): string {
  const here = theLabel(anatomy, place);
  switch (rule) {
    case 'start-at-terminus':
      return drainageSays.theCourseDoesNotClearEverything(here);
    case 'deep-before-lower':
      return drainageSays.theCourseHasNoBellyBreathing;
    case 'basin-before-skin':
      return drainageSays.theCourseDoesNotClearAnd(here);
    case 'route-before-region':
      return drainageSays.theCourseDoesNotPrepareWhich(here);
    case 'soften-thickened':
      return drainageSays.theCourseDoesNotSoftenWhich(here);
    case 'sound-side-first':
      return drainageSays.theCourseDoesNotClearThe(here);
    case 'focus-untouched':
      return drainageSays.nothingDrainsWhichIsInFocus(here);
    case 'exit-not-closed':
      return drainageSays.theCourseDoesNotClearOnce(here);
    case 'close-with-breath':
      return drainageSays.theCourseDoesNotEndWith;
    default:
      return drainageSays.theCourseLacksAStepAt(here);
  }
}

/** Applies one mend to a course; unknown ids leave it as it is. */
export function applyFix<S extends { readonly id: string }>(steps: readonly S[], fix: Fix): readonly S[] {
  if ('remove' in fix) return steps.filter((step) => step.id !== fix.remove);
  const moved = steps.find((step) => step.id === fix.move);
  if (!moved || fix.after === fix.move) return steps;
  const rest = steps.filter((step) => step.id !== fix.move);
  const index = fix.after === null ? 0 : rest.findIndex((step) => step.id === fix.after) + 1;
  if (fix.after !== null && index === 0) return steps;
  return [...rest.slice(0, index), moved, ...rest.slice(index)];
}

/**
 * Puts a course into an order that keeps every precedence and otherwise stays as close as it can to how it was arranged:
 * at each turn the first step of the arrangement whose needs are met.
 */
export function mendCourse<S extends ArrangedStep>(
  anatomy: Anatomy,
  read: ReadCase,
  steps: readonly S[],
): readonly S[] {
  const { precedences } = findPrecedences(anatomy, read, surveyCase(anatomy, read), steps);
  const needs = new Map<string, Set<string>>(steps.map((step) => [step.id, new Set<string>()]));
  for (const { first, then } of precedences) needs.get(then.id)?.add(first.id);
  const left = [...steps];
  const mended: S[] = [];
  while (left.length > 0) {
    const ready = left.findIndex((step) => needs.get(step.id)?.size === 0);
    const [next] = left.splice(Math.max(0, ready), 1) as [S];
    mended.push(next);
    for (const set of needs.values()) set.delete(next.id);
  }
  return mended;
}

/** Steps that cannot be checked at all: a place that does not exist, or an id that stands twice. */
export function stepErrors(anatomy: Anatomy, steps: readonly ArrangedStep[]): readonly FieldError[] {
  const exists = (id: string) => anatomy.territories.has(id) || anatomy.basins.has(id);
  const seen = new Set<string>();
  return steps.flatMap((step, index): FieldError[] => {
    const at = `steps.${index}`;
    const unknown = (id: string, path: string) =>
      exists(id) ? [] : [{ path, message: drainageSays.thereIsNoPlaceOnThe(id) }];
    const twice = seen.has(step.id)
      ? [{ path: `${at}.id`, message: drainageSays.theIdStandsTwiceEveryStep(step.id) }]
      : [];
    seen.add(step.id);
    return [
      ...twice,
      ...unknown(step.place, `${at}.place`),
      ...(step.toward === null ? [] : unknown(step.toward, `${at}.toward`)),
      ...step.via.flatMap((id, i) => unknown(id, `${at}.via.${i}`)),
    ];
  });
}
