import type { Celsius, Seconds } from '../quantities';
import type { SkinId, StoneBook, StoneLimits } from './book';

export type BurnRisk = 'none' | 'caution' | 'stop';

interface Judged {
  readonly startC: Celsius;
  readonly mode: 'still' | 'moving';
  readonly towelLayers: number;
  readonly seconds: Seconds;
  readonly skin: SkinId;
  readonly skinStartC: Celsius;
}

interface Measured {
  readonly skinSurfacePeakC: Celsius;
  readonly basalPeakC: Celsius;
  readonly omega: number;
}

/** The hottest that a stone may be taken to the skin; undefined for one at rest on bare skin, which has limits of its own. */
export function hottestC(
  limits: StoneLimits,
  mode: 'still' | 'moving',
  towelLayers: number,
  skin: SkinId,
): number | undefined {
  if (mode === 'moving') return limits.firstContactC.moving[skin];
  if (towelLayers === 0) return undefined;
  return limits.firstContactC[towelLayers === 1 ? 'oneTowel' : 'moreTowels'][skin];
}

/** The worst that applies, by the limits of practice and what was calculated. */
export function burnRisk({ limits }: Pick<StoneBook, 'limits'>, input: Judged, measured: Measured): BurnRisk {
  return input.startC >= input.skinStartC ? hotRisk(limits, input, measured) : coldRisk(limits, input, measured);
}

function hotRisk(limits: StoneLimits, input: Judged, { basalPeakC, omega }: Measured): BurnRisk {
  const { startC, mode, towelLayers, skin } = input;
  const most = hottestC(limits, mode, towelLayers, skin);
  const isBare = most === undefined;
  if (
    startC > limits.capC ||
    (!isBare && startC > most) ||
    (isBare && startC > limits.bareStopC) ||
    basalPeakC >= limits.basalStopC ||
    omega >= limits.omegaStop
  )
    return 'stop';
  const isNear =
    (!isBare && startC > most - limits.nearC) ||
    (isBare && startC > limits.bareCautionC) ||
    basalPeakC >= limits.basalCautionC ||
    omega >= limits.omegaCaution;
  return isNear ? 'caution' : 'none';
}

function coldRisk(limits: StoneLimits, input: Judged, { skinSurfacePeakC }: Measured): BurnRisk {
  const { startC, mode, towelLayers, seconds, skin } = input;
  if (startC < limits.coldStartStopC || skinSurfacePeakC <= limits.coldSurfaceStopC[skin]) return 'stop';
  const isStill = mode === 'still';
  const isNear =
    skinSurfacePeakC <= limits.coldSurfaceCautionC[skin] ||
    (isStill && seconds > limits.coldCautionSeconds) ||
    (isStill && towelLayers === 0 && seconds > limits.coldBareCautionSeconds);
  return isNear ? 'caution' : 'none';
}
