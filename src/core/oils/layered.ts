import type { Drops, Millilitres, Percent } from '../quantities';
import type { OilId } from '../ids';
import { totalMlOf } from './amounts';
import type { Area, BlendPart, OilBook } from './book';
import { oilOf } from './book';
import { judge } from './check';
import type { BlendJudgement } from './blend-case';
import { guideOf, judgedArea, type OilClient } from './client';
import { constituentLimit, oilLimit } from './limits';
import { dropsPerMlOf, mlOf } from './amounts';

/** What a massage leaves on the skin (mL on a cm²). */
export const filmMlPerCm2 = 0.001;
const bottleMl = 30;

export interface LayeredCase {
  readonly areaCm2: number;
  readonly carrierMl: Millilitres;
  readonly parts: readonly BlendPart[];
  readonly client: OilClient;
}

export interface DilutedEquivalent {
  readonly bottleMl: Millilitres;
  /** What whole drops come to (%). */
  readonly totalPercent: Percent;
  /** The strongest that every limit and the guide allow in these proportions (%). */
  readonly maxTotalPercent: Percent;
  readonly parts: readonly { readonly oil: OilId; readonly drops: Drops }[];
}

export interface Layered extends BlendJudgement {
  readonly filmMl: Millilitres;
  readonly dilutedEquivalent: DilutedEquivalent;
}

/**
 * What undiluted drops on the skin really come to: they spread in the film that an area takes, or in what is applied
 * when that is more. Judged as a leave-on blend for the body, with the richest bottles.
 */
export function layeredDrops(book: OilBook, input: LayeredCase): Layered {
  const { areaCm2, carrierMl, parts, client } = input;
  const filmMl = Math.max(areaCm2 * filmMlPerCm2, carrierMl + totalMlOf(book, parts));
  const judgement = judge(book, { volumeMl: filmMl, area: 'body', client, parts, basis: 'max' });
  return { ...judgement, filmMl, dilutedEquivalent: dilute(book, parts, client) };
}

/** The same oils in the same proportions, as strong as they may be, in a bottle of whole drops. */
export function dilute(book: OilBook, parts: readonly BlendPart[], client: OilClient): DilutedEquivalent {
  const allMl = totalMlOf(book, parts);
  const shares = parts.map((part) => (allMl > 0 ? mlOf(book, part) / allMl : 0));
  const maxTotalPercent = Math.min(
    ...ceilings(book, parts, shares, judgedArea(client, 'body')),
    guideOf(book, client, 'body').maxPercent,
  );
  const drops = parts.map((part, i) => ({
    ...part,
    drops: Math.floor((maxTotalPercent / 100) * bottleMl * (shares[i] ?? 0) * dropsPerMlOf(book, part) + 1e-9),
  }));
  return {
    bottleMl,
    totalPercent: (100 * totalMlOf(book, drops)) / bottleMl,
    maxTotalPercent,
    parts: drops.map((part) => ({ oil: part.oil, drops: part.drops })),
  };
}

/** Totals (%) at which one limit each is reached. */
function ceilings(
  book: OilBook,
  parts: readonly BlendPart[],
  shares: readonly number[],
  area: Area,
): readonly number[] {
  const oils = parts.map(({ oil }) => oilOf(book, oil));
  const sums = new Map<string, number>();
  oils.forEach(({ constituents }, i) => {
    for (const { id, maxPercent } of constituents)
      sums.set(id, (sums.get(id) ?? 0) + ((shares[i] ?? 0) * maxPercent) / 100);
  });
  const sun = oils.reduce(
    (sum, { phototoxic }, i) => sum + (phototoxic ? (shares[i] ?? 0) / phototoxic.maxLeaveOnPercent : 0),
    0,
  );
  const at = (limit: number | null, share: number) => (limit === null || share <= 0 ? [] : [limit / share]);
  return [
    ...oils.flatMap((oil, i) => at(oilLimit(oil, area), shares[i] ?? 0)),
    ...[...sums].flatMap(([id, share]) => {
      const constituent = book.constituents.get(id);
      return constituent ? at(constituentLimit(constituent, area), share) : [];
    }),
    ...at(1, sun),
  ];
}
