import type { Anatomy } from '../anatomy/place';
import type { Millilitres } from '../quantities';
import type { StartMl } from './model';

/** What a tape run found along a limb. */
export interface TapedExcess {
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  /** From the zero mark up, in cm; null where there is no other side to compare with. */
  readonly stretches: readonly {
    readonly fromCm: number;
    readonly toCm: number;
    readonly excessMl: Millilitres | null;
  }[];
}

/**
 * Where the segments of a limb begin, in cm from the zero mark of the tape: the tip of the outer ankle bone, the wrist.
 * Of a limb whose last mark lies at `usualTopCm`; a shorter or longer one is scaled once its upper part is taped.
 */
const limbs = {
  leg: {
    ...{ usualTopCm: 68, scaledFromCm: 48 },
    from: [
      [6, 0],
      [5, 6],
      [4, 20],
      [3, 34],
      [2, 44],
      [1, 56],
    ],
  },
  arm: {
    ...{ usualTopCm: 40, scaledFromCm: 28 },
    from: [
      [5, 0],
      [4, 3],
      [3, 22],
      [2, 28],
      [1, 41],
    ],
  },
} as const;

/** Nothing holds more in the model. */
const mostMl = 500;

/**
 * The start of a replay after a tape run: what each stretch holds more than the other side, spread over the territories
 * at that height by their hand placements. Hand and foot are not taped and begin empty; a stretch that is smaller than the
 * other side holds nothing.
 * @returns undefined where nothing was found to hold more
 */
export function startFromTape(anatomy: Anatomy, { limb, side, stretches }: TapedExcess): StartMl | undefined {
  const top = Math.max(0, ...stretches.map(({ toCm }) => toCm));
  const { usualTopCm, scaledFromCm, from } = limbs[limb];
  const scale = top >= scaledFromCm ? top / usualTopCm : 1;
  const start = new Map<string, Millilitres>();
  from.forEach(([segment, beginsCm], i) => {
    const band = {
      fromCm: i === 0 ? -Infinity : beginsCm * scale,
      toCm: (from[i + 1]?.[1] ?? Infinity) * scale,
    };
    const ml = stretches.reduce((sum, stretch) => sum + Math.max(0, stretch.excessMl ?? 0) * shareIn(band, stretch), 0);
    const here = [...anatomy.territories.values()].filter(
      (one) => one.part === limb && one.side === side && one.segment === segment,
    );
    const placements = here.reduce((sum, one) => sum + one.placements, 0);
    for (const { id, placements: own } of here) if (ml > 0) start.set(id, Math.min(mostMl, (ml * own) / placements));
  });
  return start.size > 0 ? Object.fromEntries(start) : undefined;
}

interface Stretch {
  readonly fromCm: number;
  readonly toCm: number;
}

/** How much of a stretch lies in a band, 0–1. */
function shareIn(band: Stretch, { fromCm, toCm }: Stretch): number {
  const within = Math.min(band.toCm, toCm) - Math.max(band.fromCm, fromCm);
  return toCm > fromCm ? Math.max(0, within) / (toCm - fromCm) : 0;
}
