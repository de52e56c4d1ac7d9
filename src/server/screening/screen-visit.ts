import { log } from '../log';
import { screeningBook, vocabulary } from '../../catalogue/screening/screening';
import type { DecisionView, LimitView, OverrideView, ReasonView, ScreeningView } from '../../contracts/screening-views';
import { shortLabel } from '../../core/anatomy/place-labels';
import type { ScreenedDrainage } from '../../core/drainage/screened';
import { anatomy } from '../../catalogue/anatomy';
import { cautionsOf } from '../../core/screening/cautions';
import { type RecordedCondition, screenedDrainage } from '../../core/drainage/from-screening';
import { withNoteLimits } from '../../core/screening/notes';
import { type Override, type OverrideRules, wayToOverride, withOverrides } from '../../core/screening/override';
import { type ReadScreening, readScreening } from '../../core/screening/read-request';
import {
  type ModalityAnswer,
  type RegionAnswer,
  screen,
  type Screening,
  type ScreeningReason,
} from '../../core/screening/screen';
import { type LimitKey, type Limits, pressures, rankOf } from '../../core/screening/tables';
import { limitInWords, limitsInWords } from '../../core/screening/words';
import { dayInWords } from '../../core/visit/words';
import type { StoredFinding } from './findings.repository';
import { noteLimits, oilGroupLabel, placeNames, practiceLabel, toCondition } from './describe-finding';
import { screeningAnswers } from './screening.answers';

export const overrideRules: OverrideRules = {
  neverLoosened: vocabulary.neverOverride,
  redFlagConditions: new Set(screeningBook.redFlags.map((flag) => flag.condition)),
};

const names = { practice: practiceLabel, oilGroup: oilGroupLabel };

/** Who is on the table, who works, on which day, and what was found. */
export interface ScreeningCase {
  readonly visitDate: string;
  readonly age: number | null;
  readonly findings: readonly StoredFinding[];
  /** Conditions of red flags that had a yes today. */
  readonly flagged: readonly string[];
  readonly qualifications: readonly string[];
  readonly overrides: readonly Override[];
}

export function screenCase(input: ScreeningCase, modalities?: readonly string[]): Screening {
  const { read } = readCaseOf(input, modalities);
  const notes = noteLimits(input.findings, input.visitDate);
  return withOverrides(withNoteLimits(screeningBook, screen(screeningBook, read), notes), input.overrides);
}

/**
 * A case as screening reads it, with the conditions that it was read from. What is on record is always read: details
 * that cannot be, such as a date after the visit, are left out and the finding itself counts; an age that cannot be is
 * not known. A finding is left out only when the catalogue knows nothing of its kind.
 */
export function readCaseOf(
  input: ScreeningCase,
  modalities?: readonly string[],
): { readonly read: ReadScreening; readonly conditions: readonly RecordedCondition[] } {
  const known = input.findings.filter((finding) => finding.id !== 'thickened').map(toCondition);
  const flagged = input.flagged.filter((id) => !known.some((c) => c.id === id)).map((id) => ({ id }));
  const isAge = input.age !== null && input.age >= 0 && input.age <= 130;
  const readWith = (conditions: readonly RecordedCondition[]) =>
    readScreening(screeningBook, {
      visitDate: input.visitDate,
      ...(isAge ? { age: input.age } : {}),
      conditions,
      qualifications: input.qualifications,
      ...(modalities ? { modalities } : {}),
    });
  const whole: readonly RecordedCondition[] = [...known, ...flagged];
  const plain = whole.map(({ id, side, regions }) => ({ id, ...(side && { side }), ...(regions && { regions }) }));
  const catalogued = plain.filter(({ id }) => screeningBook.conditions.has(id)).map(({ id }) => ({ id }));
  for (const [i, conditions] of [whole, withoutFaults(whole, plain, readWith), plain, catalogued].entries()) {
    const read = readWith(conditions);
    if (read.ok) return { read: read.value, conditions };
    if (i === 0) log.warn({ details: read.errors.length }, 'a record has details that screening cannot read');
  }
  throw new Error(`the record cannot be screened on ${input.visitDate}`);
}

/** The conditions, plain where something is wrong with their details. */
function withoutFaults(
  whole: readonly RecordedCondition[],
  plain: readonly RecordedCondition[],
  readWith: (conditions: readonly RecordedCondition[]) => ReturnType<typeof readScreening>,
): readonly RecordedCondition[] {
  const read = readWith(whole);
  if (read.ok) return whole;
  const bad = new Set(read.errors.map(({ path }) => /^conditions\.(\d+)/.exec(path)?.[1]));
  return whole.map((one, i) => (bad.has(String(i)) ? (plain[i] ?? one) : one));
}

/** What the planner of drainage has to obey on that day. */
export function screenDrainage(input: ScreeningCase): ScreenedDrainage {
  return screenedDrainage(screenCase(input, ['lymph-drainage', 'reroute-drainage']));
}

/** The decisions as the Ask view shows them. */
export function viewScreening(
  screening: Screening,
  qualifications: readonly string[],
  overrides: readonly OverrideView[],
): ScreeningView {
  return {
    overall: screening.overall,
    decisions: screening.byModality.map((answer) =>
      decisionView(
        answer,
        screening.regions.filter((row) => row.modality === answer.modality),
        qualifications,
      ),
    ),
    cautions: cautionsOf(screening, { places: placeNames, oilGroup: oilGroupLabel }),
    questions: screening.questions,
    overrides,
  };
}

function decisionView(
  answer: ModalityAnswer,
  rows: readonly RegionAnswer[],
  qualifications: readonly string[],
): DecisionView {
  const modality = screeningBook.modalities.get(answer.modality);
  const baseline = modality?.baseline ?? {};
  const way = wayToOverride(screeningBook, overrideRules, answer, qualifications);
  const limits = limitsInWords(answer.limits, names).map((limit): LimitView => ({
    ...limit,
    words:
      limit.key === 'waitUntil'
        ? screeningAnswers.possibleFrom(dayInWords(answer.limits.waitUntil ?? ''))
        : limit.words,
    looser: answer.decision === 'modify' ? looserThan(answer.limits, limit.key, baseline) : [],
  }));
  const changed = limits.filter(({ key }) => JSON.stringify(answer.limits[key]) !== JSON.stringify(baseline[key]));
  return {
    modality: answer.modality,
    label: modality?.label ?? answer.modality,
    decision: answer.decision,
    line: lineOf(answer, rows, changed),
    limits,
    reasons: answer.reasons.map(reasonView),
    way,
    places: placesOf(rows, answer.limits),
  };
}

/** The one line that says most: why not, or what changes. */
function lineOf(answer: ModalityAnswer, rows: readonly RegionAnswer[], changed: readonly LimitView[]): string {
  const [worst] = answer.reasons.filter((reason) => !reason.local);
  const [wait] = changed.filter(({ key }) => key === 'waitUntil');
  if (rankOf(answer.decision) >= rankOf('clear-first')) {
    const reason = worst && worst.decision === answer.decision ? worst : answer.reasons[0];
    return [wait?.words, reason?.text].filter(Boolean).join(': ');
  }
  const off = rows.filter((row) => rankOf(row.decision) >= rankOf('clear-first')).map((row) => row.region);
  const parts = [
    ...(off.length > 0 ? [screeningAnswers.notOn(placeNames(off))] : []),
    ...changed.filter(({ key }) => key !== 'workAround' && key !== 'waitUntil').map(({ words }) => words),
  ];
  if (parts.length < 2) {
    for (const place of placesOf(rows, answer.limits))
      if (rankOf(place.decision) < rankOf('clear-first') && place.limits.length > 0)
        parts.push(`${place.limits.slice(0, 2).join(', ')} on ${place.words}`);
  }
  if (parts.length === 0 && rows.length > 0)
    return screeningAnswers.withCareAt(placeNames(rows.map((row) => row.region)));
  return parts.slice(0, 3).join('; ');
}

function reasonView(reason: ScreeningReason): ReasonView {
  const rule = screeningBook.rules.find((r) => r.id === reason.condition);
  const label = screeningBook.conditions.get(reason.condition)?.label ?? rule?.label ?? 'Qualification';
  return { what: label, text: reason.text, decision: reason.decision, isLocal: reason.local === true };
}

/** Places whose decision, limits and reasons are the same stand together. */
function placesOf(rows: readonly RegionAnswer[], whole: Limits): DecisionView['places'] {
  const alike = new Map<string, RegionAnswer[]>();
  for (const row of rows) {
    const key = JSON.stringify([row.decision, row.limits, row.reasons]);
    alike.set(key, [...(alike.get(key) ?? []), row]);
  }
  return [...alike.values()]
    .map((group) => {
      const [first] = group as [RegionAnswer];
      const regions = group.map((row) => row.region);
      const own = Object.fromEntries(
        Object.entries(first.limits).filter(
          ([key, value]) => JSON.stringify(whole[key as LimitKey]) !== JSON.stringify(value),
        ),
      ) as Limits;
      return {
        decision: first.decision,
        regions,
        words: regions.length === 1 ? shortLabel(anatomy, regions[0] ?? '') : placeNames(regions),
        limits: limitsInWords(own, names).map(({ words }) => words),
        reasons: first.reasons.map(reasonView),
      };
    })
    .sort((a, b) => rankOf(b.decision) - rankOf(a.decision));
}

/** What a limit may be loosened to for one visit; never past the modality's own baseline. */
function looserThan(limits: Limits, key: LimitKey, baseline: Limits): LimitView['looser'] {
  if (overrideRules.neverLoosened.includes(key)) return [];
  const value = limits[key];
  if (JSON.stringify(value) === JSON.stringify(baseline[key])) return [];
  if (key === 'maxPressure') {
    const most = pressures.indexOf(baseline.maxPressure ?? 'medium');
    return pressures
      .filter((_, i) => i > pressures.indexOf(limits.maxPressure ?? 'firm') && i <= most)
      .map((p) => ({ value: p, words: limitInWords({ maxPressure: p }, 'maxPressure', names) }));
  }
  if (typeof value === 'number') {
    const most = baseline[key];
    const steps = key === 'maxMinutes' ? [1.25, 1.5, 2] : key === 'dilutionMaxPercent' ? [1.5, 2] : [];
    const loosened = steps
      .map((factor) => Math.round(value * factor * 2) / 2)
      .filter((v) => typeof most !== 'number' || v <= most);
    return loosened.map((v) => ({ value: v, words: limitInWords({ [key]: v }, key, names) }));
  }
  return [{ value: null, words: screeningAnswers.liftItForThisVisit }];
}
