import type { ConditionId } from '../ids';
import type { PlaceId } from '../anatomy/place';
import type { ScreeningBook } from './book';
import { firedRules } from './combination';
import { mergeLimits } from './limits';
import { missingClearances, openQuestions, type Question } from './questions';
import type { ReadScreening } from './read-request';
import { heldWith, missingOf, needsInWords } from './scope';
import { type Subject, subjectOf, territoriesOf } from './subject';
import { holdsAfter } from './time';
import { addDays } from '../calendar/days';
import { type Confidence, type Decision, type Effect, type Limits, type Modality, rankOf, worseOf } from './tables';

export interface ScreeningReason {
  /** A condition, a rule, or `scope`. */
  readonly condition: ConditionId;
  readonly decision: Decision;
  readonly text: string;
  readonly code: 'finding' | 'rule' | 'scope';
  /** Absent when the modality's own qualification is not held. */
  readonly confidence?: Confidence;
  /** Holds in places only. */
  readonly local?: true;
}

export interface ModalityAnswer {
  readonly modality: string;
  readonly decision: Decision;
  readonly limits: Limits;
  /** Worst first. */
  readonly reasons: readonly ScreeningReason[];
}

export interface RegionAnswer extends ModalityAnswer {
  readonly region: PlaceId;
}

export interface Screening {
  readonly overall: Decision;
  readonly byModality: readonly ModalityAnswer[];
  /** Only territories that a local effect touches; all others follow the limits of the modality. */
  readonly regions: readonly RegionAnswer[];
  readonly questions: readonly Question[];
}

/** An effect that holds, weighed for one modality. */
interface Held {
  readonly reason: ScreeningReason;
  readonly limits: Limits;
  /** Where the finding behind it was marked; undefined when its place is not known. */
  readonly marks: ReadonlySet<PlaceId> | undefined;
}

/** One effect that holds: what it decides and limits, and where; `whole` where it holds everywhere. */
export interface Source extends Held {
  readonly where: 'whole' | readonly PlaceId[];
}

/** The effects that one or more territories share. Most share theirs with the whole limb, and are weighed once. */
interface Cell {
  readonly entries: readonly Held[];
  readonly next: Map<Held, Cell>;
}

function cellWith(cell: Cell, entry: Held): Cell {
  const known = cell.next.get(entry);
  if (known) return known;
  const made: Cell = { entries: [...cell.entries, entry], next: new Map() };
  cell.next.set(entry, made);
  return made;
}

/**
 * Which work may be done on this body by this person: per modality and per territory the worst decision, the
 * strictest limits and every reason. Computed from the request alone; it diagnoses nothing and clears nobody.
 */
export function screen(book: ScreeningBook, read: ReadScreening): Screening {
  const { held, findings, rules, subjects } = subjectsOf(book, read);
  const byModality: ModalityAnswer[] = [];
  const regions: RegionAnswer[] = [];
  for (const id of read.modalities) {
    const modality = book.modalities.get(id);
    if (!modality) throw new RangeError(`no modality “${id}”`);
    const weighed = weigh(book, modality, subjects, held);
    const { answer, rows } = conclude(book, modality, weighed, held);
    byModality.push(answer);
    regions.push(...rows);
  }
  return {
    overall: byModality.reduce<Decision>((worst, row) => worseOf(worst, row.decision), 'ok'),
    byModality,
    regions,
    questions: [
      ...openQuestions(read, findings),
      ...missingClearances(findings, rules, (subject) =>
        read.modalities.filter((id) => asksForNote(book, id, subject)),
      ),
    ],
  };
}

function subjectsOf(book: ScreeningBook, read: ReadScreening) {
  const held = heldWith(book.qualifications, read.qualifications);
  const findings = read.conditions.map((input) => subjectOf(book, input, read.visitDate));
  const rules = firedRules(book, read, findings, held);
  return { held, findings, rules, subjects: [...findings, ...rules] as readonly Subject[] };
}

/**
 * Every effect that holds, by kind of work: the same that `screen` weighs, kept apart, so that a limit can be led back
 * to the finding that asks for it.
 */
export function sourcesOf(book: ScreeningBook, read: ReadScreening): ReadonlyMap<string, readonly Source[]> {
  const { held, subjects } = subjectsOf(book, read);
  return new Map(
    read.modalities.map((id) => [
      id,
      subjects.flatMap((subject) =>
        book.effectsOn(id, subject.of).flatMap((effect): Source[] => {
          const where = holdsAfter(effect.holds, subject.days) ? placeOf(book, id, effect, subject) : undefined;
          if (where === undefined) return [];
          return [{ ...heldFrom(effect, subject, subject.isCleared(id), held), where }];
        }),
      ),
    ]),
  );
}

interface Weighed {
  readonly whole: readonly Held[];
  readonly local: ReadonlyMap<PlaceId, Cell>;
  /** Everything that holds in places, as it came. */
  readonly inPlaces: readonly Held[];
}

function weigh(
  book: ScreeningBook,
  modality: Modality,
  subjects: readonly Subject[],
  held: ReadonlySet<string>,
): Weighed {
  const whole: Held[] = [];
  const local = new Map<PlaceId, Cell>();
  const inPlaces: Held[] = [];
  const untouched: Cell = { entries: [], next: new Map() };
  for (const subject of subjects) {
    for (const effect of book.effectsOn(modality.id, subject.of)) {
      if (!holdsAfter(effect.holds, subject.days)) continue;
      const place = placeOf(book, modality.id, effect, subject);
      if (place === undefined) continue;
      const entry = heldFrom(effect, subject, subject.isCleared(modality.id), held);
      if (place === 'whole') whole.push(entry);
      else {
        inPlaces.push(entry);
        for (const id of place) local.set(id, cellWith(local.get(id) ?? untouched, entry));
      }
    }
  }
  return { whole, local, inPlaces };
}

/** Where an effect holds within the reach of a modality; undefined: nowhere, so that it has no influence. */
function placeOf(
  book: ScreeningBook,
  modality: string,
  effect: Effect,
  subject: Subject,
): 'whole' | readonly PlaceId[] | undefined {
  if (effect.where === 'whole') return 'whole';
  const reach = book.reach.get(modality) ?? new Set<PlaceId>();
  if (typeof effect.where === 'string' && !subject.marks)
    return effect.onlyIfPlaced || reach.size === 0 ? undefined : 'whole';
  const places = territoriesOf(book, effect.where, subject).filter((id) => reach.has(id));
  return places.length > 0 ? places : undefined;
}

function heldFrom(effect: Effect, subject: Subject, isCleared: boolean, held: ReadonlySet<string>): Held {
  const judged = effect.decision === 'clear-first' && isCleared ? 'modify' : effect.decision;
  const isInScope = missingOf(effect.requires, held).length === 0;
  const waitsFor = effect.holds?.untilDay;
  return {
    marks: subject.marks,
    reason: {
      condition: subject.id,
      decision: isInScope ? judged : worseOf(judged, 'refer'),
      text: effect.why,
      code: isInScope ? subject.kind : 'scope',
      confidence: effect.confidence,
    },
    limits: {
      ...effect.limits,
      ...(waitsFor !== undefined && subject.day !== undefined ? { waitUntil: addDays(subject.day, waitsFor) } : {}),
    },
  };
}

function conclude(
  book: ScreeningBook,
  modality: Modality,
  { whole, local, inPlaces }: Weighed,
  held: ReadonlySet<string>,
): { readonly answer: ModalityAnswer; readonly rows: readonly RegionAnswer[] } {
  const missing = missingOf(modality.requires, held);
  const scope: readonly ScreeningReason[] =
    missing.length === 0
      ? []
      : [{ condition: 'scope', decision: 'refer', text: needsInWords(missing, book.qualifications), code: 'scope' }];
  const merge = (into: Limits, list: readonly Held[]) =>
    list.reduce((limits, entry) => mergeLimits(book.limitKeys, limits, entry.limits), into);
  const limits = merge(mergeLimits(book.limitKeys, {}, modality.baseline), whole);
  const wholeBody = worstOf([...whole.map((entry) => entry.reason), ...scope]);

  const reach = book.reach.get(modality.id) ?? new Set<PlaceId>();
  let worstLocal: Decision = 'ok';
  let mildestLocal: Decision = local.size > 0 && local.size === reach.size ? 'stop' : 'ok';
  const weighed = new Map<Cell, Pick<RegionAnswer, 'decision' | 'limits' | 'reasons'>>();
  for (const cell of new Set(local.values())) {
    const here = worstOf(cell.entries.map((entry) => entry.reason));
    worstLocal = worseOf(worstLocal, here);
    if (rankOf(here) < rankOf(mildestLocal)) mildestLocal = here;
    weighed.set(cell, {
      decision: worseOf(here, wholeBody),
      limits: merge(limits, cell.entries),
      reasons: sorted(cell.entries.map((entry) => entry.reason)),
    });
  }
  const rows: RegionAnswer[] = [];
  if (local.size > 0) {
    for (const region of reach) {
      const cell = local.get(region);
      const row = cell && weighed.get(cell);
      if (row) rows.push({ region, modality: modality.id, ...row });
    }
  }
  const isChanged: Decision = worstLocal === 'ok' ? 'ok' : 'modify';
  return {
    answer: {
      modality: modality.id,
      decision: [isChanged, mildestLocal].reduce(worseOf, wholeBody),
      limits: rankOf(worstLocal) >= rankOf('clear-first') ? { ...limits, workAround: true } : limits,
      reasons: sorted([
        ...whole.map((entry) => entry.reason),
        ...scope,
        ...inPlaces.map(({ reason }) => ({ ...reason, local: true as const })),
      ]),
    },
    rows,
  };
}

function worstOf(reasons: readonly ScreeningReason[]): Decision {
  return reasons.reduce<Decision>((worst, reason) => worseOf(worst, reason.decision), 'ok');
}

/** Worst first, otherwise as they came; doubles once. */
function sorted(reasons: readonly ScreeningReason[]): readonly ScreeningReason[] {
  if (reasons.length < 2) return reasons;
  const seen = new Map(reasons.map((r) => [`${r.condition} ${r.decision} ${r.code} ${r.local ?? ''} ${r.text}`, r]));
  return [...seen.values()].sort((a, b) => rankOf(b.decision) - rankOf(a.decision));
}

/** Whether something that a note would lift holds for a modality. */
function asksForNote(book: ScreeningBook, modality: string, subject: Subject): boolean {
  return book
    .effectsOn(modality, subject.of)
    .some(
      (effect) =>
        effect.decision === 'clear-first' &&
        holdsAfter(effect.holds, subject.days) &&
        placeOf(book, modality, effect, subject) !== undefined,
    );
}
