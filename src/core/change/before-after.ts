import type { Percent } from '../quantities';
import { type Figure, isBeyond } from './figures';

/** A visit with what was measured before its work and after it. */
export interface MeasuredVisit<V> {
  readonly visit: V;
  readonly before: readonly Figure[];
  readonly after: readonly Figure[];
}

/** One figure at one visit. */
export interface FigureAt<V> {
  readonly visit: V;
  readonly before: number | null;
  readonly after: number | null;
  /** After less before; null unless both were taken. */
  readonly change: number | null;
  /** More than the error of measuring; null without a change. */
  readonly isBeyond: boolean | null;
  /** For the better, for the worse, or neither; null without a change, and where neither is aimed at. */
  readonly isBetter: boolean | null;
  /** Of what was gained, how much was still there before the next work; null where nothing real was gained or it is not known. */
  readonly heldPercent: Percent | null;
}

/** What became of one figure over the visits, the oldest first; visits at which it was not taken are left out. */
export interface FigureCourse<V> extends Omit<Figure, 'value'> {
  readonly visits: readonly FigureAt<V>[];
}

/**
 * Everything that was measured before and after, with what was gained, whether that is beyond its measuring error, and
 * what of it held until the next time it was measured before the work.
 * @param visits the oldest first
 */
export function coursesOfFigures<V>(visits: readonly MeasuredVisit<V>[]): readonly FigureCourse<V>[] {
  // Taken by key in one go, without a copy of each reading: a client of years has thousands of them.
  const pairs = new Map<string, Pair<V>[]>();
  const last = new Map<string, Figure>();
  for (const { visit, before, after } of visits) {
    const here = new Map<string, Pair<V>>();
    const take = (figure: Figure, phase: 'before' | 'after') => {
      last.set(figure.key, figure);
      let pair = here.get(figure.key);
      if (!pair) {
        pair = { visit, before: undefined, after: undefined };
        here.set(figure.key, pair);
        const known = pairs.get(figure.key);
        if (known) known.push(pair);
        else pairs.set(figure.key, [pair]);
      }
      // What was written down last counts.
      pair[phase] = figure;
    };
    for (const figure of before) take(figure, 'before');
    for (const figure of after) take(figure, 'after');
  }
  return [...last.values()].map(({ value: _value, ...figure }) => ({
    ...figure,
    visits: comparedAll(pairs.get(figure.key) ?? []),
  }));
}

/** Each visit with what of it held until the next time it was measured before the work; from the last one back. */
function comparedAll<V>(pairs: readonly Pair<V>[]): readonly FigureAt<V>[] {
  let nextBefore: number | null = null;
  const backwards = pairs.toReversed().map((pair) => {
    const one = compared(pair, nextBefore);
    nextBefore = pair.before?.value ?? nextBefore;
    return one;
  });
  return backwards.toReversed();
}

interface Pair<V> {
  readonly visit: V;
  before: Figure | undefined;
  after: Figure | undefined;
}

function compared<V>({ visit, before: was, after: is }: Pair<V>, next: number | null): FigureAt<V> {
  const [before, after] = [was?.value ?? null, is?.value ?? null];
  if (!was || before === null || after === null)
    return { visit, before, after, change: null, isBeyond: null, isBetter: null, heldPercent: null };
  const change = after - before;
  const isReal = isBeyond(was, change);
  return {
    visit,
    before,
    after,
    change,
    isBeyond: isReal,
    isBetter: isBetter(was, change),
    heldPercent: isReal && next !== null ? (100 * (next - before)) / change : null,
  };
}

/** Whether it changed for the better; null where it stayed as good as it was, or nothing is aimed at. */
function isBetter({ aim, value, target = 0 }: Figure, change: number): boolean | null {
  if (aim === 'none' || change === 0) return null;
  if (aim !== 'target') return change < 0 === (aim === 'less');
  const nearer = Math.abs(value - target) - Math.abs(value + change - target);
  return nearer === 0 ? null : nearer > 0;
}
