import { slack } from '../../statistics';
import { type BlendProblem, merits, totalRange } from './blend-problem';
import { type Found, same } from './found';
import { type Relaxed, relax } from './relax';
import { drift, SetSearch } from './set-search';

/** Oils that are in, and those that may still come in; what is in neither stays out. */
interface Node {
  readonly taken: readonly number[];
  readonly open: readonly number[];
  /** No blend with all of the taken oils and any of the open ones is better. */
  readonly bound: number;
  readonly line: Relaxed['line'];
}

/**
 * The best blend in whole drops, proven: branch and bound over which oils are in it. What the open oils could still do
 * is bounded by divided drops; the most promising oil is decided next, and a set that is decided is searched drop by
 * drop. What cannot beat the best so far is passed over (Land, Doig (1960), Econometrica 28:497–520).
 * @returns undefined when nothing fits
 */
export function searchBest(problem: BlendProblem): Found | undefined {
  const cap = capsOf(problem);
  const able = problem.oils.map((_, i) => i).filter((i) => (cap[i] ?? 0) >= 1);
  let best: Found | undefined;
  const isHopeless = (bound: number) => best !== undefined && bound < best.merit - same - drift;

  const nodeOf = (taken: readonly number[], open: readonly number[]): Node | undefined => {
    const usable = taken.length < problem.maxOils ? open : [];
    const oils = [...taken, ...usable];
    const box = {
      oils,
      least: oils.map((_, k) => (k < taken.length ? 1 : 0)),
      most: oils.map((i) => cap[i] ?? 0),
    };
    const relaxed = oils.length === 0 ? undefined : relax(problem, box, taken.length);
    return relaxed && { taken, open: usable, bound: relaxed.value - merits.oil * taken.length, line: relaxed.line };
  };

  const visit = (node: Node): void => {
    if (isHopeless(node.bound)) return;
    const { taken, open, line } = node;
    if (open.length === 0) {
      if (taken.length === 0) return;
      const sorted = [...taken].sort((a, b) => a - b);
      const exact = taken.length === 0 ? undefined : relax(problem, boxOf(sorted, cap));
      if (!exact || isHopeless(exact.value - merits.oil * sorted.length)) return;
      best = new SetSearch(problem, boxOf(sorted, cap), exact.line, best).search();
      return;
    }
    const gain = (i: number) => (line.perDrop[i] ?? 0) / (problem.share[i] ?? 1);
    const next = open.reduce((most, i) => (gain(i) > gain(most) ? i : most));
    const rest = open.filter((i) => i !== next);
    const children = [nodeOf([...taken, next], rest), nodeOf(taken, rest)].flatMap((child) => child ?? []);
    for (const child of children.sort((a, b) => b.bound - a.bound)) visit(child);
  };

  const root = nodeOf([], able);
  if (root) visit(root);
  return best;
}

const boxOf = (oils: readonly number[], cap: readonly number[]) => ({
  oils,
  least: oils.map(() => 1),
  most: oils.map((i) => cap[i] ?? 0),
});

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
