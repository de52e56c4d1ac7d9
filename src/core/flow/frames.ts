import type { Millilitres, Seconds } from '../quantities';
import type { PlaceId } from '../anatomy/place';
import type { Flow } from './flow';

/** What is seen at one moment of a replay: between two entries of the series it is drawn in a straight line. */
export interface Frame {
  readonly drainedMl: Millilitres;
  readonly ml: (place: PlaceId) => Millilitres;
}

/** @param second any moment; before the beginning the first entry, after the end the last one */
export function frameAt({ series, places }: Pick<Flow, 'series' | 'places'>, second: Seconds): Frame {
  const last = series.length - 1;
  const after = series.findIndex((entry) => entry.second > second);
  const to = after < 0 ? last : after;
  const from = Math.max(0, to - 1);
  const [a, b] = [series[from], series[to]];
  if (!a || !b) return { drainedMl: 0, ml: () => 0 };
  const share = b.second > a.second ? Math.min(1, Math.max(0, (second - a.second) / (b.second - a.second))) : 1;
  const between = (x: number, y: number) => x + (y - x) * share;
  return {
    drainedMl: between(a.drainedMl, b.drainedMl),
    ml: (place) => {
      const held = places[place];
      return held ? between(held[from] ?? 0, held[to] ?? 0) : 0;
    },
  };
}
