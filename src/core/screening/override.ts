import type { FieldError } from '../result';
import type { ScreeningBook } from './book';
import { heldWith, missingOf } from './scope';
import type { ModalityAnswer, Screening } from './screen';
import { type Decision, type LimitKey, type Limits, pressures, worseOf } from './tables';
import { screeningSays } from './screening.says';

/** What may be done about a decision. `note`: only a valid written note lifts it. */
export type OverrideWay = 'free' | 'written-reason' | 'note' | 'never';

/** A decision or a limit that a therapist has set aside for one visit, with the reason in writing. */
export interface Override {
  readonly modality: string;
  /** `decision` for a stop; otherwise the limit that is loosened. */
  readonly key: 'decision' | LimitKey;
  /** The new value of a limit; null: the limit is lifted. For a decision it is `modify`. */
  readonly value: NonNullable<Limits[LimitKey]> | Decision | null;
  readonly reason: string;
}

export interface OverrideRules {
  /** Limits that nothing loosens. */
  readonly neverLoosened: readonly string[];
  /** Conditions behind red flags. */
  readonly redFlagConditions: ReadonlySet<string>;
}

/** How a modality's decision may be overridden, by whom; a qualification that is missing never is. */
export function wayToOverride(
  book: ScreeningBook,
  rules: OverrideRules,
  answer: ModalityAnswer,
  qualifications: readonly string[],
): OverrideWay {
  const worst = answer.reasons.filter((reason) => !reason.local && reason.decision === answer.decision);
  switch (answer.decision) {
    case 'ok':
      return 'free';
    case 'modify':
      return 'written-reason';
    case 'clear-first':
      return 'note';
    case 'refer':
      return 'never';
    case 'stop': {
      const modality = book.modalities.get(answer.modality);
      const isQualified = missingOf(modality?.requires, heldWith(book.qualifications, qualifications)).length === 0;
      const stops = worst.length > 0 ? worst : answer.reasons.filter((reason) => reason.decision === 'stop');
      const isFirm = stops.some((r) => r.confidence === 'high' || rules.redFlagConditions.has(r.condition));
      return isQualified && !isFirm ? 'written-reason' : 'never';
    }
  }
}

/** Why an override is refused, by field; empty when it may be made. */
export function overrideErrors(
  book: ScreeningBook,
  rules: OverrideRules,
  screening: Screening,
  override: Override,
  qualifications: readonly string[],
): readonly FieldError[] {
  const answer = screening.byModality.find((row) => row.modality === override.modality);
  if (!answer) return [{ path: 'modality', message: screeningSays.thereIsNoWorkCalled(override.modality) }];
  const errors: FieldError[] = [];
  if (override.reason.trim().length < 8)
    errors.push({ path: 'reason', message: screeningSays.writeTheReasonInASentence });
  const way = wayToOverride(book, rules, answer, qualifications);
  if (override.key === 'decision') {
    if (answer.decision !== 'stop' || way !== 'written-reason')
      errors.push({ path: 'key', message: cannotOverride[answer.decision] });
    return errors;
  }
  if (rules.neverLoosened.includes(override.key))
    errors.push({ path: 'key', message: screeningSays.thisLimitIsNeverLoosenedWhatever });
  else if (answer.decision !== 'modify') errors.push({ path: 'key', message: cannotOverride[answer.decision] });
  else if (answer.limits[override.key] === undefined)
    errors.push({ path: 'key', message: screeningSays.thereIsNoSuchLimitOn });
  else if (!isLooser(answer.limits[override.key], override.value))
    errors.push({ path: 'value', message: screeningSays.chooseAValueThatIsLooser });
  return errors;
}

const cannotOverride: Readonly<Record<Decision, string>> = {
  ok: screeningSays.nothingStandsInTheWayHere,
  modify: screeningSays.loosenOneLimitAtATime,
  'clear-first': screeningSays.onlyAValidWrittenNoteFrom,
  refer: screeningSays.someoneElseHasToLookOr,
  stop: screeningSays.thisStopIsFirmNoReason,
};

function isLooser(limit: Limits[LimitKey], value: Override['value']): boolean {
  if (value === null) return typeof limit !== 'number';
  if (typeof limit === 'number') return typeof value === 'number' && Number.isFinite(value) && value > limit;
  if (Array.isArray(limit))
    return Array.isArray(value) && value.length < limit.length && value.every((v) => limit.includes(v));
  const [old, next] = [limit, value].map((p) => pressures.indexOf(p as (typeof pressures)[number]));
  return old !== undefined && next !== undefined && old >= 0 && next > old;
}

/** A screening with the overrides of the day applied; reasons stay, so that all can see what was set aside. */
export function withOverrides(screening: Screening, overrides: readonly Override[]): Screening {
  if (overrides.length === 0) return screening;
  const before = new Map(screening.byModality.map((row) => [row.modality, row.limits]));
  const loosen = (modality: string, limits: Limits, isPlace: boolean): Limits =>
    overrides.reduce((left, { modality: of, key, value }) => {
      if (of !== modality || key === 'decision') return left;
      // A place that is stricter than the whole keeps its own limit.
      if (isPlace && JSON.stringify(left[key]) !== JSON.stringify(before.get(modality)?.[key])) return left;
      const rest = Object.entries(left).filter(([name]) => name !== key);
      return Object.fromEntries(value === null ? rest : [...rest, [key, value]]) as Limits;
    }, limits);
  const lifted = liftedBy(overrides);
  const byModality = screening.byModality.map((row) => ({
    ...row,
    decision: lifted.has(row.modality) ? ('modify' as const) : row.decision,
    limits: loosen(row.modality, row.limits, false),
  }));
  const regions = screening.regions.map((row) => ({
    ...row,
    // Places that fell with the kind of work come back with it; those that stop by themselves do not.
    decision: lifted.has(row.modality) ? worstLocal(row.reasons) : row.decision,
    limits: loosen(row.modality, row.limits, true),
  }));
  const overall = byModality.reduce<Decision>((worst, row) => worseOf(worst, row.decision), 'ok');
  return { ...screening, overall, byModality, regions };
}

/** Kinds of work whose stop was set aside. */
export const liftedBy = (overrides: readonly Override[]): ReadonlySet<string> =>
  new Set(overrides.filter(({ key }) => key === 'decision').map(({ modality }) => modality));

const worstLocal = (reasons: ModalityAnswer['reasons']) =>
  reasons.reduce<Decision>((worst, { decision }) => worseOf(worst, decision), 'modify');
