import { roundTo } from '../core/units';

/** Girths (cm) of a made-up sound limb along the usual points. */
const soundGirthsCm = {
  leg: [21.6, 23.6, 26.7, 30.2, 33.4, 35.6, 36.3, 37.2, 38.9, 39.6, 41.2, 43.4, 46.0, 48.5, 50.9, 53.0, 55.0, 56.6],
  arm: [16.2, 17.6, 20.1, 22.8, 24.6, 25.4, 25.9, 26.8, 28.0, 29.1, 30.2],
} as const;

/** Where fluid sits: most below the knee or elbow, little at the top. */
const fluidShape = {
  leg: [0.5, 0.8, 1.05, 1.2, 1.25, 1.2, 1.15, 1.1, 1, 0.95, 0.9, 0.85, 0.8, 0.72, 0.65, 0.58, 0.5, 0.45],
  arm: [0.8, 1.05, 1.2, 1.25, 1.2, 1.1, 1, 0.9, 0.8, 0.7, 0.6],
} as const;

/**
 * Both sides of a taping with about the wished excess.
 * @param excess share of the sound limb's volume, 0.2 for 20 %
 */
export function makeGirths(
  limb: 'arm' | 'leg',
  excess: number,
  random: () => number,
): { readonly affected: number[]; readonly reference: number[] } {
  const tapeError = () => (random() + random() + random() - 1.5) * 0.25;
  const reference = soundGirthsCm[limb].map((girth) => roundTo(girth + tapeError(), 1));
  const affected = soundGirthsCm[limb].map((girth, i) => {
    const share = excess * (fluidShape[limb][i] ?? 1);
    return roundTo(girth * Math.sqrt(1 + share) + tapeError(), 1);
  });
  return { affected, reference };
}
