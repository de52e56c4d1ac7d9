import type { Drops } from '../quantities';
import type { OilId } from '../ids';
import { dropsPerMlOf, mlOf } from './amounts';
import type { BlendPart, EssentialOil, OilBook } from './book';
import { oilOf } from './book';
import { judge } from './check';
import type { BlendCase } from './blend-case';
import type { Candidate } from './best/blend-problem';
import { oilsSays } from './oils.says';

export interface Substitute {
  readonly oil: OilId;
  readonly drops: Drops;
  /** How close it comes (0–1). */
  readonly likeness: number;
  readonly why: readonly string[];
}

/** How alike two oils are: what they are taken for, when they are smelled, how they smell. */
function likenessOf(a: EssentialOil, b: EssentialOil): number {
  const shared = a.uses.filter((use) => b.uses.includes(use)).length;
  const uses = shared / Math.max(1, new Set([...a.uses, ...b.uses]).size);
  const scent = a.odourFamily === b.odourFamily ? 1 : wordsShared(a.odourFamily, b.odourFamily) ? 0.6 : 0;
  return 0.5 * uses + 0.25 * Number(a.note === b.note) + 0.25 * scent;
}

const wordsShared = (a: string, b: string) => a.split('-').some((word) => b.split('-').includes(word));

/**
 * What can stand in for an oil that is out, with drops that smell as strong and pass every limit.
 * @param stock what is on the shelf, with how much of it; the closest first
 */
export function substitutesFor(
  book: OilBook,
  input: BlendCase,
  missing: string,
  stock: readonly Candidate[],
): readonly Substitute[] {
  const part = input.parts.find(({ oil }) => oil === missing);
  if (!part) return [];
  const wanted = oilOf(book, missing);
  const others = input.parts.filter(({ oil }) => oil !== missing);
  return stock
    .filter(({ oil }) => oil !== missing && !others.some((other) => other.oil === oil))
    .flatMap((candidate): Substitute[] => {
      const oil = oilOf(book, candidate.oil);
      const likeness = likenessOf(wanted, oil);
      const strong = (mlOf(book, part) * wanted.odourIntensity) / oil.odourIntensity;
      let drops = Math.min(candidate.maxDrops, Math.max(1, Math.round(strong * dropsPerMlOf(book, candidate))));
      const holds = (count: number) => {
        const parts: BlendPart[] = [...others, { oil: oil.id, drops: count, dropsPerMl: candidate.dropsPerMl }];
        const { verdict, withinGuide } = judge(book, { ...input, parts });
        return verdict !== 'over' && withinGuide;
      };
      while (drops > 0 && !holds(drops)) drops -= 1;
      return drops === 0 || likeness < 0.2 ? [] : [{ oil: oil.id, drops, likeness, why: whyAlike(wanted, oil) }];
    })
    .sort((a, b) => b.likeness - a.likeness || a.oil.localeCompare(b.oil));
}

function whyAlike(a: EssentialOil, b: EssentialOil): readonly string[] {
  return [
    ...(a.uses.some((use) => b.uses.includes(use)) ? [oilsSays.takenForTheSame] : []),
    ...(a.note === b.note ? [oilsSays.noteToo(b.note)] : []),
    ...(wordsShared(a.odourFamily, b.odourFamily) ? [oilsSays.smells(b.odourFamily.replaceAll('-', ' and '))] : []),
  ];
}
