import { type Found, same } from './found';
import { slack } from '../../statistics';
import { type BlendProblem, merits, totalRange } from './blend-problem';
import { relax } from './relax';
import { drift, SetSearch } from './set-search';

/**
 * The best blend in whole drops, proven: every set of at most `maxOils` oils is bounded from above by what divided drops
 * could do, the most promising are searched drop by drop, and what cannot beat the best so far is passed over.
 * @returns undefined when nothing fits
 */
export function searchBest(problem: BlendProblem): Found | undefined {
  const cap = capsOf(problem);
  const able = problem.oils.map((_, i) => i).filter((i) => (cap[i] ?? 0) >= 1);
  const sets = setsOf(able, problem.maxOils)
    .flatMap((oils) => {
      const box = { oils, least: oils.map(() => 1), most: oils.map((i) => cap[i] ?? 0) };
      const relaxed = relax(problem, box);
      return relaxed ? [{ box, line: relaxed.line, bound: relaxed.value - merits.oil * oils.length }] : [];
    })
    .sort((a, b) => b.bound - a.bound);
  let best: Found | undefined;
  for (const { box, line, bound } of sets) {
    if (best && bound < best.merit - same - drift) break;
    best = new SetSearch(problem, box, line, best).search();
  }
  return best;
}

/** The most drops of each oil by itself. */
const capsOf = ({ most, share, packings }: BlendProblem): readonly number[] =>
  most.map((drops, i) =>
    Math.min(
      drops,
      Math.floor((totalRange.most + slack) / (share[i] ?? 1)),
      ...packings.map(({ perDrop }) =>
        (perDrop[i] ?? 0) > 0 ? Math.floor((1 + slack) / (perDrop[i] ?? 1)) : Infinity,
      ),
    ),
  );

/** Sets of oils that can be taken together, by index. */
function setsOf(oils: readonly number[], maxOils: number): readonly (readonly number[])[] {
  const sets: number[][] = [];
  const grow = (set: readonly number[], from: number) => {
    for (let at = from; at < oils.length; at += 1) {
      const next = [...set, oils[at] ?? 0];
      sets.push(next);
      if (next.length < maxOils) grow(next, at + 1);
    }
  };
  grow([], 0);
  return sets;
}
