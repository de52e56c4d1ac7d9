import { slack } from '../../statistics';
import { noteIds } from '../book';
import { type BlendProblem, merits, totalRange } from './blend-problem';
import { maximise } from './simplex';

/** Oils that are taken, and how many drops of each at least and at most. */
export interface Box {
  readonly oils: readonly number[];
  readonly least: readonly number[];
  readonly most: readonly number[];
}

/** A straight line above the merit, apart from what each oil costs by being there: f(d) ≤ constant + Σ perDrop·d. */
export interface Line {
  readonly constant: number;
  /** Of each candidate. */
  readonly perDrop: readonly number[];
}

export interface Relaxed {
  /** No blend of the box is better. */
  readonly value: number;
  readonly line: Line;
}

/** Falling short of the least total costs so much that no blend would. */
const shortfallPrice = 20;

type Row = { readonly by: readonly number[]; readonly bound: number };

/**
 * The best that a box of oils could be if drops could be divided. Each bend of the merit is a variable of its own under
 * two rows: min(1, s/½) is z ≤ 1, z ≤ 2s; |x − w| is x + w − 2a with a ≤ x, a ≤ w. Prices of the rows give the line.
 * @param taken the first so many oils are in for certain; each drop of another one bears its part of what an oil costs
 *   by being there
 * @returns undefined where the least drops are already too much
 */
export function relax(problem: BlendProblem, box: Box, taken = box.oils.length): Relaxed | undefined {
  const { oils, least, most } = box;
  const { weights, wishedNotes, share, cost, note, uses, packings } = problem;
  const ofUse = weights.map((_, u) => oils.map((i) => (uses[i]?.includes(u) ? (share[i] ?? 0) : 0)));
  const ofNote = noteIds.map((_, n) => oils.map((i) => (note[i] === n ? (share[i] ?? 0) : 0)));
  const ofAll = oils.map((i) => share[i] ?? 0);
  const notes = wishedNotes ?? [];
  const width = oils.length + weights.length + notes.length + 2;
  const fixed = (by: readonly number[]) => by.reduce((sum, x, k) => sum + x * (least[k] ?? 0), 0);
  /** A row over drops beyond the least ones, and perhaps one other variable. */
  const row = (by: readonly number[] | null, other: number, bound: number, factor = 1): Row => {
    const all = new Array<number>(width).fill(0);
    by?.forEach((x, k) => (all[k] = factor * x));
    if (other >= 0) all[other] = 1;
    return { by: all, bound: bound - factor * (by ? fixed(by) : 0) };
  };
  const use = (u: number) => oils.length + u;
  const met = (n: number) => oils.length + weights.length + n;
  const whole = oils.length + weights.length + notes.length;
  const bends: Row[] = [
    ...weights.flatMap((_, u) => [row(null, use(u), 1), row(ofUse[u] ?? [], use(u), 0, -1 / merits.useSaturation)]),
    ...notes.flatMap((wish, n) => [row(null, met(n), wish), row(ofNote[n] ?? [], met(n), 0, -1)]),
    row(null, whole, 1),
    row(ofAll, whole, 0, -1),
    row(null, whole + 1, totalRange.least),
    row(ofAll, whole + 1, 0, -1),
    ...packings.map(({ perDrop }) =>
      row(
        oils.map((i) => perDrop[i] ?? 0),
        -1,
        1 + slack,
      ),
    ),
  ];
  const edges: Row[] = [
    row(ofAll, -1, totalRange.most + slack),
    ...oils.map((_, k) =>
      row(
        oils.map((__, other) => (other === k ? 1 : 0)),
        -1,
        most[k] ?? 0,
      ),
    ),
  ];
  const rows = [...bends, ...edges];
  if (rows.some(({ bound }) => bound < 0)) return undefined;
  const perNote = wishedNotes ? merits.note : 0;
  const presence = (k: number) => (k < taken ? 0 : merits.oil / Math.max(1, most[k] ?? 1));
  const drop = oils.map(
    (i, k) => -(perNote + merits.total) * (share[i] ?? 0) - merits.cost * (cost[i] ?? 0) - presence(k),
  );
  const gain = [...drop, ...weights, ...notes.map(() => 2 * merits.note), 2 * merits.total, shortfallPrice];
  const start =
    -notes.reduce((sum, wish) => sum + merits.note * wish, 0) - merits.total - shortfallPrice * totalRange.least;
  const { value, prices } = maximise({ gain, rows });
  // The line over drops from none on: what the rows give back for the least drops belongs to it.
  const slopes = oils.map((_, k) =>
    bends.reduce((sum, { by }, r) => sum - (prices[r] ?? 0) * (by[k] ?? 0), drop[k] ?? 0),
  );
  const perDrop = share.map(() => 0);
  oils.forEach((i, k) => (perDrop[i] = slopes[k] ?? 0));
  const bent = bends.reduce((sum, { bound }, r) => sum + (prices[r] ?? 0) * bound, start);
  const constant = bent + fixed(drop) - fixed(slopes);
  return { value: value + start + fixed(drop), line: { constant, perDrop } };
}
