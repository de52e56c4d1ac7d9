import { list } from '../drainage/wording';
import { type BestBlendCase, blendProblem, brokenBy, meritOf } from './best/blend-problem';
import { neighbours } from './best/neighbours';
import type { BlendPart, OilBook, UseId } from './book';
import { oilOf } from './book';
import { dropsText } from './finding-words';
import { type Change, type Mended, mendedBy } from './mend';
import { useWords } from './words';
import { capitalise } from '../wording/capitalise';
import { oilsSays } from './oils.says';

/**
 * The one drop more, less or exchanged that does a blend most good and passes no limit.
 * @param parts the blend as it is; each of its oils stands among the candidates
 * @returns null when no single drop makes it better
 */
export function makeBetter(book: OilBook, parts: readonly BlendPart[], input: BestBlendCase): Mended | null {
  const problem = blendProblem(book, input);
  const now = input.candidates.map(({ oil }) => parts.find((part) => part.oil === oil)?.drops ?? 0);
  const isOff = (drops: readonly number[]) => brokenBy(problem, drops).filter((id) => id !== 'total').length > 0;
  const isOutside = (drops: readonly number[]) => brokenBy(problem, drops).includes('total');
  const wasOutside = isOutside(now);
  let best: { readonly drops: readonly number[]; readonly merit: number } | undefined;
  for (const drops of neighbours(now)) {
    if (isOff(drops) || (!wasOutside && isOutside(drops))) continue;
    const merit = meritOf(problem, drops);
    if (merit > (best?.merit ?? meritOf(problem, now) + 1e-9)) best = { drops, merit };
  }
  if (!best) return null;
  const { drops } = best;
  const after = input.candidates.map(({ oil, dropsPerMl }, i) => ({ oil, drops: drops[i] ?? 0, dropsPerMl }));
  const mended = mendedBy(book, parts, after);
  return { ...mended, words: `${stepWords(book, mended.changes)}${goodFor(book, mended.changes, input)}.` };
}

function stepWords(book: OilBook, changes: readonly Change[]): string {
  const more = changes.filter(({ from, to }) => to > from);
  const less = changes.filter(({ from, to }) => to < from);
  const name = ({ oil }: Change) => oilOf(book, oil).name;
  const [up] = more;
  const [down] = less;
  if (up && down) return oilsSays.ofInsteadOf(capitalise(dropsText(1)), name(up), name(down));
  if (up) return oilsSays.ofMore(capitalise(dropsText(up.to - up.from)), name(up));
  return down ? oilsSays.ofLess(capitalise(dropsText(down.from - down.to)), name(down)) : oilsSays.noChange;
}

/** What the change serves, by what is wanted. */
function goodFor(book: OilBook, changes: readonly Change[], { wanted }: BestBlendCase): string {
  const gained = changes.filter(({ from, to }) => to > from).flatMap(({ oil }) => oilOf(book, oil).uses);
  const uses = wanted.map(({ use }) => use).filter((use: UseId) => gained.includes(use));
  return uses.length > 0
    ? oilsSays.wouldServeBetterAndKeepEvery(list(uses.map((use) => useWords[use])))
    : oilsSays.wouldBalanceItBetterAndKeep;
}
