import type { Millilitres } from '../quantities';
import { segmentVolumes } from './volume';

export interface ErrorSources {
  /** Standard deviation of one girth (cm). */
  readonly tapeSigmaCm: number;
  /** Placing of each mark (cm). */
  readonly markSigmaCm: number;
  /** Placing of the zero mark (cm): it shifts all marks together. */
  readonly startSigmaCm: number;
  /** Relative error of the ruler. */
  readonly scaleFraction: number;
}

export interface ErrorBudget {
  readonly volumeMl: Millilitres;
  readonly tapeSdMl: Millilitres;
  readonly marksSdMl: Millilitres;
  readonly startSdMl: Millilitres;
  readonly scaleSdMl: Millilitres;
  readonly totalSdMl: Millilitres;
}

/**
 * Where the error of a limb volume comes from (frustum), to first order and each source on its own.
 * @param positionsCm strictly increasing, at least two
 * @param girthsCm one for each position
 */
export function errorBudget(
  positionsCm: readonly number[],
  girthsCm: readonly number[],
  sources: ErrorSources,
): ErrorBudget {
  const { segmentsMl, gradient } = segmentVolumes(positionsCm, girthsCm, 'frustum');
  const volumeMl = segmentsMl.reduce((sum, ml) => sum + ml, 0);
  const last = girthsCm.length - 1;
  const girth = (i: number) => girthsCm[i] ?? 0;
  const position = (i: number) => positionsCm[i] ?? 0;
  const taper = girthsCm.map((_, i) => {
    const [a, b] = [Math.max(0, i - 1), Math.min(last, i + 1)];
    return (girth(b) - girth(a)) / (position(b) - position(a));
  });
  const rootOfSquares = (values: readonly number[]) => Math.hypot(...values);
  const tapeSdMl = sources.tapeSigmaCm * rootOfSquares(gradient);
  const marksSdMl = sources.markSigmaCm * rootOfSquares(gradient.map((g, i) => g * (taper[i] ?? 0)));
  const startSdMl = (sources.startSigmaCm * Math.abs(girth(last) ** 2 - girth(0) ** 2)) / (4 * Math.PI);
  const scaleSdMl = sources.scaleFraction * volumeMl;
  const totalSdMl = rootOfSquares([tapeSdMl, marksSdMl, startSdMl, scaleSdMl]);
  return { volumeMl, tapeSdMl, marksSdMl, startSdMl, scaleSdMl, totalSdMl };
}
