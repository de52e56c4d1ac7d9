import { sumOf } from '../statistics';
import { t975 } from './student';

/** What was really done at a visit, and what was different after it. */
export interface WorkedVisit {
  /** By kind of work and part of the body: seconds of it, as the table measured them. */
  readonly seconds: ReadonlyMap<string, number>;
  /** By what was measured before and after: so much better (above 0) or worse. */
  readonly better: ReadonlyMap<string, number>;
}

/** Visits with more of a kind of work, beside those with less of it. */
export interface WentTogether {
  readonly work: string;
  readonly figure: string;
  /** Visits at which the figure was measured both times. */
  readonly visits: number;
  readonly more: Half;
  readonly less: Half;
  /** How much better visits with more of it went (below 0: worse), with the ends of its 95 % interval. */
  readonly difference: number;
  readonly low: number;
  readonly high: number;
  /** The interval leaves out nothing-at-all. */
  readonly isApart: boolean;
}

interface Half {
  readonly visits: number;
  readonly meanSeconds: number;
  readonly meanBetter: number;
}

/** Fewer visits say nothing; nor does a half of fewer than three, or halves that hardly differ in time. */
export const leastVisits = 8;
const leastOfHalf = 3;
const leastApartSeconds = 60;

/**
 * Which work went together with what changed: visits with more than the middle of its seconds against the others. It is
 * a comparison, never a cause: the work was chosen by how the client came.
 * @returns the surest first; empty for fewer than eight visits
 */
export function wentTogether(visits: readonly WorkedVisit[]): readonly WentTogether[] {
  const works = [...new Set(visits.flatMap(({ seconds }) => [...seconds.keys()]))];
  const figures = [...new Set(visits.flatMap(({ better }) => [...better.keys()]))];
  return figures
    .flatMap((figure) => {
      const measured = visits.flatMap(({ seconds, better }) => {
        const by = better.get(figure);
        return by === undefined ? [] : [{ seconds, by }];
      });
      if (measured.length < leastVisits) return [];
      return works.flatMap((work) => {
        const found = compared(measured.map(({ seconds, by }) => ({ seconds: seconds.get(work) ?? 0, by })));
        return found ? [{ work, figure, visits: measured.length, ...found }] : [];
      });
    })
    .sort((a, b) => surenessOf(b) - surenessOf(a));
}

const surenessOf = ({ difference, low, high }: WentTogether) => Math.abs(difference) / Math.max(1e-9, high - low);

interface Seen {
  readonly seconds: number;
  readonly by: number;
}

function compared(seen: readonly Seen[]): Omit<WentTogether, 'work' | 'figure' | 'visits'> | undefined {
  // What was the same after every visit went with nothing.
  if (seen.every(({ by }) => by === seen[0]?.by)) return undefined;
  const [more, less] = halvesOf(seen);
  if (more.length < leastOfHalf || less.length < leastOfHalf) return undefined;
  const [upper, lower] = [halfOf(more), halfOf(less)];
  if (upper.meanSeconds - lower.meanSeconds < leastApartSeconds) return undefined;
  const difference = upper.meanBetter - lower.meanBetter;
  const margin = marginOf(
    more.map(({ by }) => by),
    less.map(({ by }) => by),
  );
  const [low, high] = [difference - margin, difference + margin];
  return { more: upper, less: lower, difference, low, high, isApart: low > 0 || high < 0 };
}

/** Parted where the seconds leap most within the middle half of the visits: equal ones stay together. */
function halvesOf(seen: readonly Seen[]): readonly [more: readonly Seen[], less: readonly Seen[]] {
  const sorted = [...seen].sort((a, b) => a.seconds - b.seconds);
  const [from, to] = [Math.max(leastOfHalf, Math.floor(sorted.length / 4)), Math.ceil((sorted.length * 3) / 4)];
  let [cut, leap] = [0, 0];
  for (let at = from; at <= Math.min(to, sorted.length - leastOfHalf); at += 1) {
    const step = (sorted[at]?.seconds ?? 0) - (sorted[at - 1]?.seconds ?? 0);
    if (step > leap) [cut, leap] = [at, step];
  }
  return cut === 0 ? [[], sorted] : [sorted.slice(cut), sorted.slice(0, cut)];
}

const meanOf = (values: readonly number[]) => sumOf(values) / values.length;

function halfOf(seen: readonly Seen[]): Half {
  return {
    visits: seen.length,
    meanSeconds: meanOf(seen.map(({ seconds }) => seconds)),
    meanBetter: meanOf(seen.map(({ by }) => by)),
  };
}

function varianceOf(values: readonly number[]): number {
  const mean = meanOf(values);
  return sumOf(values.map((value) => (value - mean) ** 2)) / (values.length - 1);
}

/** Half of the 95 % interval of a difference of means whose spreads may differ (Welch). */
function marginOf(a: readonly number[], b: readonly number[]): number {
  const [va, vb] = [varianceOf(a) / a.length, varianceOf(b) / b.length];
  if (va + vb === 0) return 0;
  const freedom = (va + vb) ** 2 / (va ** 2 / (a.length - 1) + vb ** 2 / (b.length - 1));
  return t975(freedom) * Math.sqrt(va + vb);
}

/** The same comparison of one client, for the house. */
export interface OfClient {
  readonly work: string;
  readonly figure: string;
  readonly difference: number;
}

/** What went together over many clients. */
export interface OfHouse {
  readonly work: string;
  readonly figure: string;
  readonly clients: number;
  /** Mean of the clients' differences, with the ends of its 95 % interval. */
  readonly difference: number;
  readonly low: number;
  readonly high: number;
  readonly isApart: boolean;
}

/** In fewer clients somebody might be recognised. */
export const leastClients = 10;

/** Each client counts once, whatever the number of visits. @returns only what ten clients and more say, the surest first */
export function togetherInHouse(clients: readonly (readonly OfClient[])[]): readonly OfHouse[] {
  const found = new Map<string, OfClient[]>();
  for (const own of clients)
    for (const one of own) {
      const key = `${one.work}\n${one.figure}`;
      found.set(key, [...(found.get(key) ?? []), one]);
    }
  return [...found.values()]
    .filter((all) => all.length >= leastClients)
    .flatMap((all) => {
      const differences = all.map(({ difference }) => difference);
      const mean = meanOf(differences);
      const margin = t975(all.length - 1) * Math.sqrt(varianceOf(differences) / all.length);
      const [first] = all;
      if (!first) return [];
      const [low, high] = [mean - margin, mean + margin];
      return [
        {
          ...{ work: first.work, figure: first.figure, clients: all.length },
          ...{ difference: mean, low, high, isApart: low > 0 || high < 0 },
        },
      ];
    })
    .sort((a, b) => Math.abs(b.difference) / (b.high - b.low || 1) - Math.abs(a.difference) / (a.high - a.low || 1));
}
