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
      `${percentText(input.targetPercent)} is above the ${percentText(maxPercent)} usual here (${audience}): aim at that at most.`,
    );
  }
  const problem = blendProblem(book, input);
  if (problem.most.every((drops) => drops === 0))
    return none('candidates', 'None of these oils may be used for this client: offer others.');
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
  const wish = `${volumeMl} mL at ${percentText(targetPercent)}`;
  if (drops < 2 && !able.some((share) => share >= 0.95 && share <= 1.05))
    return ['volumeMl', `${wish} is less than ${dropsText(2)}: mix more, or make it stronger.`];
  const ceiling = sumOf(problem.share.map((share, i) => share * (problem.most[i] ?? 0)));
  if (ceiling < 0.95) return ['candidates', `There are not enough drops for ${wish}: offer more oils, or mix less.`];
  const limited = problem.packings.map(({ kind, id }) => nameOf(book, kind, id));
  return [
    'candidates',
    limited.length > 0
      ? `${wish} cannot be reached with these oils inside the limits of ${[...new Set(limited)].join(', ')}: offer others, or aim lower.`
      : `${wish} cannot be met in whole drops of these oils: mix more, or offer others.`,
  ];
}

function nameOf(book: OilBook, kind: string, id: string): string {
  if (kind === 'sun') return 'sun-sensitive oils';
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
      return `the total, which was aimed at ${percentText(targetPercent)} give or take a twentieth of it`;
    case 'oils':
      return `the wish for at most ${maxOils} oils`;
    case 'stock':
      return `the drops of ${oilOf(book, rest).name} that there are`;
    default:
      return `the limit of ${nameOf(book, kind, rest)}`;
  }
}
