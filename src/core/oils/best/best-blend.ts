import type { Drops, Percent } from '../../quantities';
import type { OilId } from '../../ids';
import { sumOf } from '../../statistics';
import type { OilBook } from '../book';
import { oilOf } from '../book';
import { guideOf } from '../client';
import { dropsText, percentText } from '../finding-words';
import {
  type BestBlendCase,
  blendProblem,
  type BlendProblem,
  brokenBy,
  isTargetAboveGuide,
  meritOf,
  totalShare,
} from './blend-problem';
import { neighbours } from './neighbours';
import { searchBest } from './search';
import { oilsSays } from '../oils.says';

export interface BestBlend {
  readonly parts: readonly { readonly oil: OilId; readonly drops: Drops }[];
  readonly objective: number;
  readonly totalPercent: Percent;
  /** Proven: every other blend was bounded or tried. */
  readonly optimal: true;
  /** What keeps a better one away, in words. */
  readonly binding: readonly string[];
}

/** Why there is no blend, and which field to change. */
export interface NoBlend {
  readonly path: string;
  readonly message: string;
}

export type BestBlendAnswer =
  { readonly kind: 'found'; readonly blend: BestBlend } | { readonly kind: 'none'; readonly why: NoBlend };

/**
 * The best blend in whole drops within every limit, for what is wanted of it. Exact.
 * @returns parts in the order of the candidates; percent of the finished blend, unrounded
 */
export function bestBlend(book: OilBook, input: BestBlendCase): BestBlendAnswer {
  if (isTargetAboveGuide(book, input)) {
    const { maxPercent, audience } = guideOf(book, input.client, input.area);
    return none(
      'targetPercent',
      oilsSays.isAboveTheUsualHereAim(percentText(input.targetPercent), percentText(maxPercent), audience),
    );
  }
  const problem = blendProblem(book, input);
  if (problem.most.every((drops) => drops === 0)) return none('candidates', oilsSays.noneOfTheseOilsMayBe);
  const best = searchBest(problem);
  if (!best) return none(...whyNothing(book, input, problem));
  return {
    kind: 'found',
    blend: {
      parts: best.drops.flatMap((drops, i) => (drops > 0 ? [{ oil: problem.oils[i] ?? '', drops }] : [])),
      objective: best.merit,
      totalPercent: totalShare(problem, best.drops) * input.targetPercent,
      optimal: true,
      binding: bindingOf(problem, best.drops).map((id) => bindingInWords(book, input, id)),
    },
  };
}

const none = (path: string, message: string): BestBlendAnswer => ({ kind: 'none', why: { path, message } });

function whyNothing(book: OilBook, input: BestBlendCase, problem: BlendProblem): [path: string, message: string] {
  const { volumeMl, targetPercent } = input;
  const able = problem.share.filter((_, i) => (problem.most[i] ?? 0) > 0);
  const drops = 1 / Math.min(...able);
  const wish = oilsSays.mlAt(volumeMl, percentText(targetPercent));
  if (drops < 2 && !able.some((share) => share >= 0.95 && share <= 1.05))
    return ['volumeMl', oilsSays.isLessThanMixMoreOr(wish, dropsText(2))];
  const ceiling = sumOf(problem.share.map((share, i) => share * (problem.most[i] ?? 0)));
  if (ceiling < 0.95) return ['candidates', oilsSays.thereAreNotEnoughDropsFor(wish)];
  const limited = problem.packings.map(({ kind, id }) => nameOf(book, kind, id));
  return [
    'candidates',
    limited.length > 0
      ? oilsSays.cannotBeReachedWithTheseOils(wish, [...new Set(limited)].join(', '))
      : oilsSays.cannotBeMetInWholeDrops(wish),
  ];
}

function nameOf(book: OilBook, kind: string, id: string): string {
  if (kind === 'sun') return oilsSays.sunSensitiveOils;
  return kind === 'oil' ? oilOf(book, id).name : (book.constituents.get(id)?.name ?? id);
}

/** Limits that alone stand between the blend and a better one that is a drop or an exchange of two drops away. */
function bindingOf(problem: BlendProblem, best: readonly number[]): readonly string[] {
  const merit = meritOf(problem, best);
  const binding = new Set<string>();
  for (const next of neighbours(best)) {
    if (meritOf(problem, next) <= merit) continue;
    const broken = brokenBy(problem, next);
    if (broken.length === 1) binding.add(broken[0] ?? '');
  }
  return [...binding];
}

function bindingInWords(book: OilBook, { maxOils, targetPercent }: BestBlendCase, id: string): string {
  const [kind = '', rest = ''] = id.split(':');
  switch (kind) {
    case 'total':
      return oilsSays.theTotalWhichWasAimedAt(percentText(targetPercent));
    case 'oils':
      return oilsSays.theWishForAtMostOils(maxOils);
    case 'stock':
      return oilsSays.theDropsOfThatThereAre(oilOf(book, rest).name);
    default:
      return oilsSays.theLimitOf(nameOf(book, kind, rest));
  }
}
