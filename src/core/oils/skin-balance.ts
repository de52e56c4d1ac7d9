import type { Drops, Percent } from '../quantities';
import type { OilId } from '../ids';
import { dropsPerMlOf } from './amounts';
import { type BlendPart, type OilBook, oilOf } from './book';
import { judgedArea, type OilClient } from './client';
import { constituentLimit, constituentsOf, type Dose, oilLimit, phototoxicSum } from './limits';
import { oilsSays } from './oils.says';

/** One limit of a piece of skin: what it takes at most, what it has, and what each drop adds (% of the film). */
export interface BalanceLine {
  /** An oil, a constituent, the sun, or all oils together, in words. */
  readonly of: string;
  readonly limitPercent: Percent;
  readonly usedPercent: Percent;
  readonly perDrop: Readonly<Record<OilId, Percent>>;
}

/** All that drops straight onto the skin count against. It is plain figures, so that a table can go by it offline. */
export interface SkinBalance {
  readonly filmMl: number;
  readonly lines: readonly BalanceLine[];
}

/** Drops that have fallen, by oil. */
export type CountedDrops = Readonly<Record<OilId, Drops>>;

/** An oil that drops, as its own bottle counts; how strong it is in what it drops from, 100 where it is not diluted. */
export interface DroppingOil extends Pick<BlendPart, 'oil' | 'dropsPerMl'> {
  readonly strengthPercent?: Percent | undefined;
}

interface Skin {
  readonly filmMl: number;
  readonly client: OilClient;
  readonly oils: readonly DroppingOil[];
  /** What another blend of the visit brings to this skin. */
  readonly before: readonly Dose[];
  /** What this skin may have of all oils together; no bound without it. */
  readonly mostTogether?: Percent | undefined;
}

/**
 * What each drop of each oil takes of each limit of a piece of skin, judged as the body with the richest bottles. The
 * film does not grow with the drops: that would thin them only.
 * @throws RangeError for an oil that the book does not know
 */
export function skinBalance(book: OilBook, { filmMl, client, oils, before, mostTogether }: Skin): SkinBalance {
  const area = judgedArea(client, 'body');
  const drop = (part: Skin['oils'][number]): Dose => ({
    oil: part.oil,
    percent: (part.strengthPercent ?? undiluted) / (dropsPerMlOf(book, part) * filmMl),
  });
  const drops = oils.map(drop);
  const lineOf = (
    of: string,
    limitPercent: Percent | null,
    measure: (doses: readonly Dose[]) => Percent,
  ): readonly BalanceLine[] => {
    const perDrop = Object.fromEntries(
      drops.flatMap((dose) => (measure([dose]) > 0 ? [[dose.oil, measure([dose])]] : [])),
    );
    return limitPercent === null || Object.keys(perDrop).length === 0
      ? []
      : [{ of, limitPercent, usedPercent: measure(before), perDrop }];
  };
  const constituents = new Set(oils.flatMap(({ oil }) => oilOf(book, oil).constituents.map(({ id }) => id)));
  const all = (doses: readonly Dose[]) => doses.reduce((sum, { percent }) => sum + percent, 0);
  return {
    filmMl,
    lines: [
      ...oils.flatMap(({ oil }) =>
        lineOf(oilOf(book, oil).name, oilLimit(oilOf(book, oil), area), (doses) =>
          all(doses.filter((dose) => dose.oil === oil)),
        ),
      ),
      ...[...constituents].flatMap((id) => {
        const constituent = book.constituents.get(id);
        return constituent
          ? lineOf(
              constituent.name,
              constituentLimit(constituent, area),
              (doses) => constituentsOf(book, doses, area, 'max').find((one) => one.id === id)?.percent ?? 0,
            )
          : [];
      }),
      ...lineOf(oilsSays.oilsThatMakeSkinBurnIn, 100, (doses) => 100 * phototoxicSum(book, doses, area)),
      ...lineOf(oilsSays.allOilsTogether, mostTogether ?? null, all),
    ],
  };
}

const undiluted = 100;

const usedOf = ({ usedPercent, perDrop }: BalanceLine, counted: CountedDrops): Percent =>
  Object.entries(counted).reduce((sum, [oil, drops]) => sum + drops * (perDrop[oil] ?? 0), usedPercent);

/** How many more drops of an oil the skin may have, after those that have fallen; null where no limit is known. */
export function leftOn({ lines }: SkinBalance, counted: CountedDrops, oil: OilId): Drops | null {
  const left = lines.flatMap((line) => {
    const one = line.perDrop[oil];
    return one === undefined ? [] : [Math.floor((line.limitPercent - usedOf(line, counted)) / one + 1e-9)];
  });
  return left.length === 0 ? null : Math.max(0, Math.min(...left));
}

/** The limit that an oil comes to first, after what has fallen; undefined where it has none. */
export function tightestOf({ lines }: SkinBalance, counted: CountedDrops, oil: OilId): BalanceLine | undefined {
  const after = (line: BalanceLine) =>
    (line.limitPercent - usedOf(line, counted)) / (line.perDrop[oil] ?? Number.MIN_VALUE);
  return lines.filter(({ perDrop }) => oil in perDrop).toSorted((a, b) => after(a) - after(b))[0];
}

/** How full a limit is after what has fallen: 1 is at it. */
export const shareUsed = (line: BalanceLine, counted: CountedDrops): number =>
  line.limitPercent > 0 ? usedOf(line, counted) / line.limitPercent : 1;
