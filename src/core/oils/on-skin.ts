import type { Drops, Millilitres, Percent } from '../quantities';
import type { OilId } from '../ids';
import { exceeds } from '../statistics';
import { mlOf } from './amounts';
import type { Area, Basis, BlendPart, OilBook } from './book';
import { oilOf } from './book';
import { constituentsOf, type Dose, isOver, oilLimit, phototoxicSum, shareOf } from './limits';

/** Oils that lie on some skin already: layers, another blend, a house bottle. */
export interface OnSkin {
  readonly area: Area;
  readonly parts: readonly BlendPart[];
  /** What they were spread in; absent for drops by themselves, which share the film of what comes now. */
  readonly volumeMl?: Millilitres | undefined;
}

interface Now {
  readonly volumeMl: Millilitres;
  readonly area: Area;
  readonly parts: readonly BlendPart[];
  readonly already?: readonly OnSkin[] | undefined;
}

/** The film that all of it shares: skin takes one, so the larger of what was and what comes, not their sum. */
export const filmOf = ({ volumeMl, area, already = [] }: Now): Millilitres =>
  Math.max(volumeMl, ...already.filter((one) => one.area === area).map((one) => one.volumeMl ?? 0));

/** What of each oil lies on this area already, in percent of the film. */
export function alreadyOn(book: OilBook, now: Now): ReadonlyMap<OilId, Percent> {
  const filmMl = filmOf(now);
  const sums = new Map<OilId, number>();
  for (const { area, parts } of now.already ?? []) {
    if (area !== now.area) continue;
    for (const part of parts) sums.set(part.oil, (sums.get(part.oil) ?? 0) + (100 * mlOf(book, part)) / filmMl);
  }
  return sums;
}

/** Every oil on this skin, with what comes now, in percent; never less than the blend by itself. */
export function dosesOnSkin(book: OilBook, now: Now): readonly Dose[] {
  const before = alreadyOn(book, now);
  const filmMl = filmOf(now);
  const own = now.parts.map((part): Dose => {
    const ml = mlOf(book, part);
    return {
      oil: part.oil,
      percent: Math.max((100 * ml) / now.volumeMl, (100 * ml) / filmMl + (before.get(part.oil) ?? 0)),
    };
  });
  const names = new Set(now.parts.map(({ oil }) => oil));
  return [...own, ...[...before].flatMap(([oil, percent]) => (names.has(oil) ? [] : [{ oil, percent }]))];
}

/**
 * How many more drops of an oil this skin may have, with all that lies on it and comes now: found by trying, since what
 * a drop adds depends on the film that it falls into.
 * @returns null where no limit is reached by any bottle
 * @throws RangeError for an oil that the book does not know
 */
export function dropsLeft(book: OilBook, now: Now, oil: OilId, basis: Basis): Drops | null {
  const own = now.parts.find((part) => part.oil === oil) ?? { oil, drops: 0 };
  const others = now.parts.filter((part) => part.oil !== oil);
  const mayHave = (more: Drops) =>
    isWithin(book, { ...now, parts: [...others, { ...own, drops: own.drops + more }] }, oil, basis);
  if (!mayHave(0)) return 0;
  if (mayHave(mostDrops)) return null;
  let [may, mayNot] = [0, mostDrops];
  while (mayNot - may > 1) {
    const middle = Math.floor((may + mayNot) / 2);
    if (mayHave(middle)) may = middle;
    else mayNot = middle;
  }
  return may;
}

/** More than any bottle has. */
const mostDrops = 100_000;

/** Whether an oil and all that it brings along stay within their limits on this skin. */
function isWithin(book: OilBook, now: Now, oil: OilId, basis: Basis): boolean {
  const doses = dosesOnSkin(book, now);
  const essential = oilOf(book, oil);
  const percent = doses.find((dose) => dose.oil === oil)?.percent ?? 0;
  const brought = new Set(essential.constituents.map(({ id }) => id));
  return (
    !isOver(shareOf(percent, oilLimit(essential, now.area))) &&
    !constituentsOf(book, doses, now.area, basis).some((sum) => brought.has(sum.id) && isOver(sum)) &&
    (essential.phototoxic === null || !exceeds(phototoxicSum(book, doses, now.area), 1))
  );
}
