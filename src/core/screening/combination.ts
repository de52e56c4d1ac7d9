import type { PlaceId } from '../anatomy/place';
import type { LimbId, ScreeningBook } from './book';
import type { ReadScreening } from './read-request';
import type { FindingSubject, Subject } from './subject';
import type { CombinationRule } from './tables';

export interface FiredRule extends Subject {
  readonly matched: readonly FindingSubject[];
}

/** The combination rules that fit, in the order of the tables. */
export function firedRules(
  book: ScreeningBook,
  read: ReadScreening,
  findings: readonly FindingSubject[],
  held: ReadonlySet<string>,
): readonly FiredRule[] {
  return book.rules.flatMap((rule) => {
    if (!fits(rule, read, findings, held)) return [];
    const matched = findings.filter((f) => isMatched(rule, f));
    const limbs = rule.when.sameLimb ? commonLimbs(book, rule, matched) : undefined;
    if (limbs?.size === 0) return [];
    const marks = limbs ? new Set([...limbs].flatMap((id) => book.limbs.get(id)?.limb ?? [])) : marksTogether(matched);
    const isCleared = (modality: string) => matched.length > 0 && matched.every((f) => f.isCleared(modality));
    const common = { id: rule.id, kind: 'rule', of: rule, day: undefined, days: undefined, places: new Map() } as const;
    return [{ ...common, marks, sides: ['left', 'right'], isCleared, matched } satisfies FiredRule];
  });
}

function fits(
  { when }: CombinationRule,
  read: ReadScreening,
  findings: readonly FindingSubject[],
  held: ReadonlySet<string>,
): boolean {
  const has = (id: string) => findings.some((f) => f.id === id);
  const carried = (tag: string) => findings.some((f) => f.of.tags.includes(tag));
  return (
    (when.allOf ?? []).every(has) &&
    (!when.anyOf || when.anyOf.some(has)) &&
    (when.allTags ?? []).every(carried) &&
    (!when.anyTag || when.anyTag.some(carried)) &&
    (when.ageFrom === undefined || (read.age !== undefined && read.age >= when.ageFrom)) &&
    (when.ageUnder === undefined || (read.age !== undefined && read.age < when.ageUnder)) &&
    (when.modalitiesAll ?? []).every((id) => read.named.includes(id)) &&
    (when.lacks === undefined || !held.has(when.lacks))
  );
}

function isMatched({ when }: CombinationRule, finding: FindingSubject): boolean {
  const named = [...(when.allOf ?? []), ...(when.anyOf ?? [])];
  const tags = [...(when.allTags ?? []), ...(when.anyTag ?? [])];
  return named.includes(finding.id) || tags.some((tag) => finding.of.tags.includes(tag));
}

/** The marks of all matched findings; undefined as soon as one that has a place was not placed. */
function marksTogether(matched: readonly FindingSubject[]): ReadonlySet<PlaceId> | undefined {
  if (matched.some((f) => f.of.locatable !== 'no' && !f.marks)) return undefined;
  const marks = new Set(matched.flatMap((f) => [...(f.marks ?? [])]));
  return marks.size > 0 ? marks : undefined;
}

/** Limbs on which every tag of the rule is carried; a carrier whose place is not known counts for all of them. */
function commonLimbs(
  book: ScreeningBook,
  rule: CombinationRule,
  matched: readonly FindingSubject[],
): ReadonlySet<LimbId> {
  const limbsOf = (tag: string): ReadonlySet<LimbId> => {
    const carriers = matched.filter((f) => f.of.tags.includes(tag));
    if (carriers.some((f) => !f.marks)) return new Set(book.limbs.keys());
    return new Set(carriers.flatMap((f) => [...(f.marks ?? [])].flatMap((id) => book.limbOf.get(id) ?? [])));
  };
  const [first = new Set<LimbId>(), ...others] = (rule.when.allTags ?? []).map(limbsOf);
  return new Set([...first].filter((id) => others.every((set) => set.has(id))));
}
