import type { FoundOrder, OrderProblem } from './order-problem';

/** Sets and settings that are followed at each length; more are a little better and slower. */
const widthFor = (size: number) => (size <= 24 ? 300 : 120);

/** Bits of a word; the sets of more blocks take several. */
const wordBits = 30;

interface Track {
  /** Blocks that are over, `wordBits` to a word. */
  readonly over: readonly number[];
  readonly at: number;
  readonly seconds: number;
  readonly last: number;
  readonly before: Track | undefined;
}

/**
 * A good order, found by following the cheapest sets of blocks at each length instead of all of them: a beam through
 * the dynamic program. Two ways to the same set and setting are one, the cheaper stays. A setting that is still open
 * counts with the least that leads into it. Always gives the same answer.
 */
export function findBeamOrder(problem: OrderProblem): FoundOrder {
  const { size, classOf, between, before } = problem;
  const words = Math.ceil(size / wordBits);
  const none = Array.from({ length: words }, () => 0);
  const withBlock = (set: readonly number[], j: number) =>
    set.map((word, w) => (w === Math.floor(j / wordBits) ? word | (1 << (j % wordBits)) : word));
  const needs = before.map((all) => [...all].reduce(withBlock, none));
  const members = between.slice(0, -1).map((_, c) => {
    const own = classOf.flatMap((of, j) => (of === c ? [j] : []));
    return { all: own.reduce<readonly number[]>(withBlock, none), leastInto: leastInto(between, c) };
  });
  const isOver = (all: readonly number[], over: readonly number[]) =>
    all.every((word, w) => (word & ~(over[w] ?? 0)) === 0);
  const toCome = ({ over, at }: Track) =>
    members.reduce((sum, { all, leastInto: least }, c) => (c === at || isOver(all, over) ? sum : sum + least), 0);

  const start: Track = { over: none, at: between.length - 1, seconds: 0, last: -1, before: undefined };
  let tracks: readonly Track[] = [start];
  for (let length = 0; length < size; length += 1) {
    const next = new Map<number | string, Track>();
    for (const track of tracks)
      for (let j = 0; j < size; j += 1) {
        const word = track.over[Math.floor(j / wordBits)] ?? 0;
        if ((word & (1 << (j % wordBits))) !== 0 || !isOver(needs[j] ?? none, track.over)) continue;
        const at = classOf[j] ?? 0;
        const seconds = track.seconds + (between[track.at]?.[at] ?? 0);
        const over = withBlock(track.over, j);
        const key = words === 1 ? (over[0] ?? 0) * between.length + at : `${over.join(' ')} ${at}`;
        if ((next.get(key)?.seconds ?? Infinity) <= seconds) continue;
        next.set(key, { over, at, seconds, last: j, before: track });
      }
    tracks = [...next.values()]
      .map((track) => ({ track, whole: track.seconds + toCome(track) }))
      .sort((a, b) => a.whole - b.whole)
      .slice(0, widthFor(size))
      .map(({ track }) => track);
  }
  const best = tracks.toSorted((a, b) => a.seconds - b.seconds)[0];
  if (!best) throw new RangeError('no block follows: the precedences go round');
  return { order: orderOf(best), seconds: best.seconds };
}

const leastInto = (between: readonly (readonly number[])[], c: number) =>
  between.reduce((least, row, from) => (from === c ? least : Math.min(least, row[c] ?? Infinity)), Infinity);

function orderOf(track: Track): readonly number[] {
  const order: number[] = [];
  for (let at: Track | undefined = track; at?.before; at = at.before) order.push(at.last);
  return order.reverse();
}
