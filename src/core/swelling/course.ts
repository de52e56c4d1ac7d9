import { toCm } from '../units';
import { fillGaps } from './gaps';
import type { LimbVolume } from './limb-volume';
import type { VolumeSettings } from './settings';
import { tapingVolume } from './taping';
import type { ComparedTaping } from './compare-tapings';

/** Why a taping is not part of a series. */
export type LeftOut = 'other-points' | 'too-short' | 'too-few-points';

export interface SeriesPoint<T> {
  readonly taping: T;
  /** Over the stretch that the whole series shares, in cm. */
  readonly volume: LimbVolume;
}

export interface TapingSeries<T> {
  readonly points: readonly SeriesPoint<T>[];
  readonly leftOut: readonly { readonly taping: T; readonly why: LeftOut }[];
  readonly fromCm: number;
  readonly toCm: number;
}

/** A taping that covers less than this share of the protocol's length would cut the whole series short. */
const leastShare = 0.75;

const pointsOf = (taping: ComparedTaping) => taping.positions.map((x) => Math.round(toCm(x, taping.unit) * 100) / 100);

/**
 * One series of a limb's tapings, all worked out with one method over one stretch: the points of the newest taping,
 * between the highest first and the lowest last measured one. Tapings by other points, or too short, are named apart.
 * @param tapings of one limb and side, oldest first
 * @returns undefined without any that can be used
 */
export function seriesOf<T extends ComparedTaping>(
  tapings: readonly T[],
  settings: VolumeSettings,
): TapingSeries<T> | undefined {
  const newest = tapings.at(-1);
  if (!newest) return undefined;
  const positions = pointsOf(newest);
  const length = (positions.at(-1) ?? 0) - (positions[0] ?? 0);
  const leftOut: { taping: T; why: LeftOut }[] = [];
  const fit: { taping: T; first: number; last: number }[] = [];
  for (const taping of tapings) {
    if (JSON.stringify(pointsOf(taping)) !== JSON.stringify(positions)) {
      leftOut.push({ taping, why: 'other-points' });
      continue;
    }
    const stretch = measuredStretch(taping, positions);
    if (!stretch) leftOut.push({ taping, why: 'too-few-points' });
    else if ((positions[stretch.last] ?? 0) - (positions[stretch.first] ?? 0) < leastShare * length)
      leftOut.push({ taping, why: 'too-short' });
    else fit.push({ taping, ...stretch });
  }
  if (fit.length === 0) return undefined;
  const first = Math.max(...fit.map((one) => one.first));
  const last = Math.min(...fit.map((one) => one.last));
  const isCompared = fit.every(({ taping }) => hasReference(taping));
  const points = fit.flatMap(({ taping }): SeriesPoint<T>[] => {
    const volume = volumeWithin(taping, positions, first, last, isCompared, settings);
    return volume ? [{ taping, volume }] : [];
  });
  return { points, leftOut, fromCm: positions[first] ?? 0, toCm: positions[last] ?? 0 };
}

const hasReference = (taping: ComparedTaping) => taping.reference.some((girth) => girth !== null);

const inCm = (taping: ComparedTaping, side: 'affected' | 'reference') =>
  taping[side].map((girth) => (girth === null ? null : toCm(girth, taping.unit)));

/** Indices of the first and last point that are measured, or filled in, on every limb that was taped. */
function measuredStretch(taping: ComparedTaping, positions: readonly number[]) {
  const sides = hasReference(taping) ? (['affected', 'reference'] as const) : (['affected'] as const);
  let [first, last] = [0, positions.length - 1];
  for (const side of sides) {
    const filled = fillGaps(positions, inCm(taping, side));
    if (typeof filled === 'string') return undefined;
    first = Math.max(first, filled.firstMeasured);
    last = Math.min(last, filled.lastMeasured);
  }
  return last > first ? { first, last } : undefined;
}

function volumeWithin(
  taping: ComparedTaping,
  positions: readonly number[],
  first: number,
  last: number,
  isCompared: boolean,
  settings: VolumeSettings,
): LimbVolume | undefined {
  const cut = (girths: readonly (number | null)[]) => girths.slice(first, last + 1);
  const affected = cut(inCm(taping, 'affected'));
  const result = tapingVolume(
    {
      limb: taping.limb,
      side: taping.side,
      unit: 'cm',
      positions: positions.slice(first, last + 1),
      affected,
      reference: isCompared ? cut(inCm(taping, 'reference')) : affected.map(() => null),
    },
    settings,
  );
  return result.ok ? result.value : undefined;
}
