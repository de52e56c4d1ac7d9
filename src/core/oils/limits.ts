import type { Percent } from '../quantities';
import type { OilId } from '../ids';
import { exceeds, reaches } from '../statistics';
import type { Area, Basis, BlendPart, Constituent, EssentialOil, OilBook } from './book';
import { oilOf } from './book';

/** An oil's limit for an area (%): the smaller of its skin limit and, where the sun comes, its phototoxic one. */
export function oilLimit({ dermalMaxPercent: ofSkin, phototoxic }: EssentialOil, area: Area): number | null {
  // A bath rinses off: a skin limit that is there for the sun does not hold in it.
  const isForSun = area === 'bath' && phototoxic !== null && ofSkin === phototoxic.maxLeaveOnPercent;
  const dermalMaxPercent = isForSun ? null : ofSkin;
  const ofSun = area === 'bath' ? null : (phototoxic?.maxLeaveOnPercent ?? null);
  if (dermalMaxPercent === null) return ofSun;
  return ofSun === null ? dermalMaxPercent : Math.min(dermalMaxPercent, ofSun);
}

export const constituentLimit = ({ dermalMaxPercent, dermalMaxFacePercent }: Constituent, area: Area): number | null =>
  area === 'face' ? dermalMaxFacePercent : dermalMaxPercent;

/** How much of something is in a blend, beside its limit. */
export interface Share {
  readonly percent: Percent;
  readonly limitPercent: Percent | null;
  /** 1: at the limit; null where none is known. */
  readonly shareOfLimit: number | null;
}

export const shareOf = (percent: Percent, limitPercent: Percent | null): Share => ({
  percent,
  limitPercent,
  shareOfLimit:
    limitPercent === null ? null : limitPercent === 0 ? (percent > 0 ? Infinity : 0) : percent / limitPercent,
});

/** From here on it is worth a word. */
const near = 0.8;
export const isOver = ({ percent, limitPercent }: Share): boolean =>
  limitPercent !== null && exceeds(percent, limitPercent);
export const isNear = (share: Share): boolean =>
  share.shareOfLimit !== null && !isOver(share) && share.percent > 0 && reaches(share.shareOfLimit, near);

/** An oil in the blend, by percent. */
export interface Dose {
  readonly oil: OilId;
  readonly percent: Percent;
}

/** Constituents that come in through the oils, in the order in which they first appear. */
export function constituentsOf(
  book: OilBook,
  doses: readonly Dose[],
  area: Area,
  basis: Basis,
): readonly (Share & { readonly id: string })[] {
  const sums = new Map<string, number>();
  for (const { oil, percent } of doses)
    for (const { id, maxPercent, typicalPercent } of oilOf(book, oil).constituents) {
      const share = basis === 'max' ? maxPercent : typicalPercent;
      if (percent > 0 && share > 0) sums.set(id, (sums.get(id) ?? 0) + (percent * share) / 100);
    }
  return [...sums].map(([id, percent]) => {
    const constituent = book.constituents.get(id);
    return { id, ...shareOf(percent, constituent ? constituentLimit(constituent, area) : null) };
  });
}

/** Σ percent / limit over the oils that make skin burn in the sun; a bath rinses off and is not counted. */
export function phototoxicSum(book: OilBook, doses: readonly Dose[], area: Area): number {
  if (area === 'bath') return 0;
  return doses.reduce((sum, { oil, percent }) => {
    const { phototoxic } = oilOf(book, oil);
    return phototoxic ? sum + percent / phototoxic.maxLeaveOnPercent : sum;
  }, 0);
}

/** How long skin with them keeps out of the sun (h): the longest figure of those in the blend. */
export const hoursOutOfSun = (book: OilBook, parts: readonly Pick<BlendPart, 'oil'>[]): number =>
  Math.max(0, ...parts.map(({ oil }) => oilOf(book, oil).phototoxic?.hoursOutOfSun ?? 0));
