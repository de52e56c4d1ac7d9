import type { OilId } from '../ids';
import { type Area, areas } from '../oils/book';
import { checkBlend } from '../oils/check';
import { mlOf } from '../oils/amounts';
import { guideOf, type OilClient, reasonsToAvoid } from '../oils/client';
import { oilOf } from '../oils/book';
import type { Millilitres, Percent } from '../quantities';
import type { Drill, DrillFault, TrainingBooks } from './drill';
import { scoreOf } from './drill';
import { isBelievableForOils } from './believable';
import { bottleInWords } from './case-words';
import { trainingSays } from './training.says';

interface DropsCase {
  readonly client: OilClient;
  readonly area: Area;
  readonly volumeMl: Millilitres;
  readonly wishPercent: Percent;
  readonly oils: readonly OilId[];
  /** Undefined: none of it is for this client. */
  readonly best: { readonly drops: Drops; readonly totalPercent: Percent } | undefined;
}

type Drops = Readonly<Record<OilId, number>>;

export interface DropsQuestion {
  readonly words: string;
  readonly client: OilClient;
  readonly area: Area;
  readonly volumeMl: Millilitres;
  readonly wishPercent: Percent;
  readonly oils: readonly { readonly id: OilId; readonly name: string }[];
}

/** Whole drops of each oil, at least one of each; or the blend is not for this client. One of the two. */
export interface DropsAnswer {
  readonly drops?: Drops | undefined;
  readonly notForClient?: true | undefined;
}

const mostOfOne = 14;
const sameP = 0.05;

/** Whole drops of given oils for a client, as near to what is wished as the limits let it. */
export const dropsDrill: Drill<DropsCase, DropsQuestion, DropsAnswer> = {
  make: (books, draw, level) => {
    const ids = [...books.oils.oils.keys()];
    const oils = draw.some(ids, level === 1 ? 1 : 2);
    const age = level === 1 ? 40 : draw.pick([5, 9, 28, 44, 63, 81]);
    const known = [...books.oils.conditions.keys()].filter((id) => isBelievableForOils(id, age));
    const client: OilClient = {
      age,
      conditions: level === 1 ? [] : draw.some(known, draw.whole(0, level - 1)),
      skin: level >= 2 && draw.isLikely(0.3) ? 'sensitive' : 'normal',
    };
    const area = draw.pick(level === 1 ? (['body'] as const) : areas.filter((one) => one !== 'bath'));
    const of = {
      ...{ client, area, oils },
      volumeMl: draw.pick([10, 15, 20, 30]),
      wishPercent: draw.pick([1, 1.5, 2, 3]),
    };
    return { ...of, best: bestDrops(books, of) };
  },
  ask: ({ oils: book }, { client, area, volumeMl, wishPercent, oils }) => ({
    words: bottleInWords(client, {
      conditions: client.conditions.map((id) => book.conditions.get(id) ?? id),
      ...{ area, volumeMl, wishPercent },
    }),
    ...{ client, area, volumeMl, wishPercent },
    oils: oils.map((id) => ({ id, name: oilOf(book, id).name })),
  }),
  errors: (_books, { oils }, answer) => {
    const { drops } = answer;
    if (!drops) return [];
    return [
      ...Object.keys(drops)
        .filter((id) => !oils.includes(id))
        .map((id) => ({ path: `drops.${id}`, message: trainingSays.noSuchOil(id) })),
      ...oils
        .filter((id) => drops[id] === undefined)
        .map((id) => ({ path: `drops.${id}`, message: trainingSays.giveDropsOf(id) })),
    ];
  },
  judge: (books, of, answer) => {
    const { drops } = answer;
    if (!drops) {
      if (!of.best) return { score: 1, faults: [] };
      return { score: 0.2, faults: [{ rule: 'exclusion', text: trainingSays.wouldSuit }] };
    }
    const excluded = of.oils.flatMap((id) =>
      reasonsToAvoid(oilOf(books.oils, id), of.client, of.area, books.oils).slice(0, 1),
    );
    if (excluded.length > 0 || !of.best)
      return {
        score: 0,
        faults: [{ rule: 'exclusion', text: trainingSays.notForThis(excluded[0] ?? trainingSays.noDropFits) }],
      };
    const faults: DrillFault[] = of.oils
      .filter((id) => (drops[id] ?? 0) < 1)
      .map((id) => ({ rule: 'each-oil', text: trainingSays.leftOutOil(oilOf(books.oils, id).name) }));
    const check = checked(books, of, drops);
    if (!check) return { score: 0, faults: [{ rule: 'bottle', text: trainingSays.doesNotFit }] };
    const over = check.findings.filter(({ severity }) => severity === 'over');
    faults.push(...over.map(({ code, text }) => ({ rule: code, text })));
    if (!check.withinGuide && over.length === 0)
      faults.push({ rule: 'guide', text: trainingSays.overGuide(check.guide.maxPercent) });
    const [own, right] = [check.totalPercent, of.best.totalPercent];
    if (faults.length > 0) return { score: scoreOf(own > right ? 0.1 : 0.4), faults };
    const off = Math.abs(own - of.wishPercent) - Math.abs(right - of.wishPercent);
    if (off <= sameP) return { score: 1, faults: [] };
    return {
      score: scoreOf(0.95 - off / Math.max(right, 0.5) / 2),
      faults: [{ rule: 'dilution', text: trainingSays.nearer(own.toFixed(2), right.toFixed(2)) }],
    };
  },
  best: (_books, { best }) => (best ? { drops: best.drops } : { notForClient: true }),
  skills: (_books, { best }) => (best ? ['within-limits', 'near-the-wish', 'for-whom'] : ['for-whom']),
};

type Asked = Omit<DropsCase, 'best'>;

const checked = ({ oils: book }: TrainingBooks, { oils, client, area, volumeMl }: Asked, drops: Drops) =>
  checkBlend(book, {
    ...{ client, area, volumeMl, basis: 'max' },
    parts: oils.map((oil) => ({ oil, drops: drops[oil] ?? 0 })),
  });

/** Every number of drops is tried: nearest to the wish, of equals the weaker, then the more even one. */
function bestDrops(books: TrainingBooks, of: Asked): DropsCase['best'] {
  const { oils, client, area, wishPercent } = of;
  if (oils.some((id) => reasonsToAvoid(oilOf(books.oils, id), client, area, books.oils).length > 0)) return undefined;
  if (guideOf(books.oils, client, area).maxPercent <= 0) return undefined;
  const [first = '', second] = oils;
  const counts = Array.from({ length: mostOfOne }, (_, i) => i + 1);
  const tries = counts.flatMap((a): readonly Drops[] =>
    second === undefined ? [{ [first]: a }] : counts.map((b) => ({ [first]: a, [second]: b })),
  );
  const ranked = tries
    .map((drops) => {
      const ml = oils.reduce((sum, oil) => sum + mlOf(books.oils, { oil, drops: drops[oil] ?? 0 }), 0);
      const percent = (100 * ml) / of.volumeMl;
      const uneven = second === undefined ? 0 : Math.abs((drops[first] ?? 0) - (drops[second] ?? 0));
      return { drops, rank: Math.abs(percent - wishPercent) + 1e-4 * percent + 1e-6 * uneven };
    })
    .sort((a, b) => a.rank - b.rank);
  for (const { drops } of ranked) {
    const check = checked(books, of, drops);
    if (check && check.verdict !== 'over' && check.withinGuide) return { drops, totalPercent: check.totalPercent };
  }
  return undefined;
}
