import type { PlaceId } from '../anatomy/place';
import type { FieldError, Result } from '../result';
import type { ScreeningBook } from './book';
import { isDate } from './time';
import type { Condition } from './tables';
import { screeningSays } from './screening.says';

export interface Clearance {
  /** The day on which the note was written, YYYY-MM-DD. */
  readonly date: string;
  readonly modalities: 'all' | readonly string[];
}

/** A condition of one client, as it was recorded. An id may occur more than once, such as two scars. */
export interface PresentCondition {
  readonly id: string;
  readonly side?: 'left' | 'right' | 'both';
  /** Territories or node groups. */
  readonly regions?: readonly PlaceId[];
  /** YYYY, YYYY-MM or YYYY-MM-DD. */
  readonly date?: string;
  readonly clearance?: Clearance;
  /** Follow-up id → answer. */
  readonly answers?: Readonly<Record<string, string | number | boolean>>;
}

export interface ScreeningRequest {
  readonly visitDate: string;
  /** Whole years; absent: not known. */
  readonly age?: number;
  readonly conditions: readonly PresentCondition[];
  readonly qualifications?: readonly string[];
  /** Absent or empty: all of them. */
  readonly modalities?: readonly string[];
}

export interface ReadCondition extends PresentCondition {
  readonly condition: Condition;
}

/** A request of which every id exists, with the conditions that the age implies. */
export interface ReadScreening {
  readonly visitDate: string;
  readonly age: number | undefined;
  readonly conditions: readonly ReadCondition[];
  readonly qualifications: readonly string[];
  readonly modalities: readonly string[];
  /** What was asked for by name; empty when nothing was. */
  readonly named: readonly string[];
}

/** Errors: an unknown id, place or side, a malformed date, an age outside 0–130; each names its field. */
export function readScreening(book: ScreeningBook, input: ScreeningRequest): Result<ReadScreening> {
  const errors: FieldError[] = [];
  const fail = (path: string, message: string) => errors.push({ path, message });
  if (!isDate(input.visitDate)) fail('visitDate', screeningSays.writeTheDayOfTheVisit);
  if (input.age !== undefined && !(input.age >= 0 && input.age <= 130)) fail('age', screeningSays.giveTheAgeInYears0);
  const conditions: ReadCondition[] = [];
  input.conditions.forEach((present, index) => {
    const at = `conditions.${index}`;
    const condition = book.conditions.get(present.id);
    if (!condition) fail(`${at}.id`, screeningSays.thereIsNoCondition(present.id));
    else conditions.push({ ...present, condition });
    if (present.side !== undefined && !['left', 'right', 'both'].includes(present.side))
      fail(`${at}.side`, screeningSays.aSideIsLeftRightOr);
    if (present.date !== undefined && !isDate(present.date, true))
      fail(`${at}.date`, screeningSays.writeARealDateAsYyyy);
    present.regions?.forEach((id, i) => {
      if (!book.anatomy.territories.has(id) && !book.anatomy.basins.has(id))
        fail(`${at}.regions.${i}`, screeningSays.thereIsNoPlaceOnThe(id));
    });
    if (present.clearance && !isDate(present.clearance.date))
      fail(`${at}.clearance.date`, screeningSays.writeTheDayOfTheNote);
    const cleared = present.clearance?.modalities;
    if (cleared && cleared !== 'all') {
      cleared.forEach((id, i) => {
        if (!book.modalities.has(id)) fail(`${at}.clearance.modalities.${i}`, screeningSays.thereIsNoModality(id));
      });
    }
  });
  const known = new Set(book.qualifications.map((q) => q.id));
  input.qualifications?.forEach((id, i) => {
    if (!known.has(id)) fail(`qualifications.${i}`, screeningSays.thereIsNoQualification(id));
  });
  input.modalities?.forEach((id, i) => {
    if (!book.modalities.has(id)) fail(`modalities.${i}`, screeningSays.thereIsNoModality(id));
  });
  if (errors.length > 0) return { ok: false, errors };
  const named = [...new Set(input.modalities ?? [])];
  return {
    ok: true,
    value: {
      visitDate: input.visitDate,
      age: input.age,
      conditions: [...conditions, ...impliedBy(book, input.age, conditions)],
      qualifications: input.qualifications ?? [],
      modalities: named.length > 0 ? named : [...book.modalities.keys()],
      named,
    },
  };
}

function impliedBy(book: ScreeningBook, age: number | undefined, present: readonly ReadCondition[]): ReadCondition[] {
  if (age === undefined) return [];
  const there = new Set(present.map((p) => p.id));
  return [...book.conditions.values()].flatMap((condition) => {
    const { ageUnder, ageFrom } = condition.impliedWhen ?? {};
    const fits = (ageUnder !== undefined && age < ageUnder) || (ageFrom !== undefined && age >= ageFrom);
    return fits && !there.has(condition.id) ? [{ id: condition.id, condition }] : [];
  });
}
