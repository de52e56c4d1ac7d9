import type { Celsius, Seconds } from '../quantities';
import { diffusivityOf, type Medium, type StonePhysics } from './book';
import type { StoneShape } from './shape';

const terms = 24;
const bisections = 60;

/**
 * Share of the gap to a bath that a stone's centre still has, after so many seconds: lumped where the stone conducts
 * well against its size, else the product of three slab series.
 */
function gapLeft(shape: StoneShape, stone: Medium, bathWM2K: number, lumpedBiot: number): (seconds: Seconds) => number {
  const biot = (bathWM2K * shape.lengthM) / stone.conductivityWMK;
  if (biot <= lumpedBiot) {
    const tau = shape.heatJK / (bathWM2K * shape.surfaceM2);
    return (seconds) => Math.exp(-seconds / tau);
  }
  const scale = shape.lengthM * shape.halfM.reduce((sum, half) => sum + 1 / half, 0);
  const alpha = diffusivityOf(stone);
  const sides = shape.halfM.map((half) => {
    const x = scale * half;
    const roots = slabRoots((bathWM2K * x) / stone.conductivityWMK);
    return roots.map((zeta) => ({
      factor: (4 * Math.sin(zeta)) / (2 * zeta + Math.sin(2 * zeta)),
      ratePerS: (zeta * zeta * alpha) / (x * x),
    }));
  });
  return (seconds) =>
    seconds <= 0
      ? 1
      : sides.reduce(
          (product, series) =>
            product * series.reduce((sum, { factor, ratePerS }) => sum + factor * Math.exp(-ratePerS * seconds), 0),
          1,
        );
}

/** Positive roots of ζ·tan ζ = Bi, one in each interval ((n−1)π, (n−1)π + π/2). */
function slabRoots(biot: number): readonly number[] {
  return Array.from({ length: terms }, (_, n) => {
    let [low, high] = [n * Math.PI, n * Math.PI + Math.PI / 2];
    for (let i = 0; i < bisections; i += 1) {
      const middle = (low + high) / 2;
      if (middle * Math.tan(middle) > biot) high = middle;
      else low = middle;
    }
    return (low + high) / 2;
  });
}

/** Seconds until the centre of a stone lies within the tolerance of a held bath; 0 where it does already. */
export function readySeconds(
  shape: StoneShape,
  stone: Medium,
  physics: StonePhysics,
  { startC, bathC, toleranceC }: { readonly startC: Celsius; readonly bathC: Celsius; readonly toleranceC: Celsius },
): number {
  const gap = Math.abs(startC - bathC);
  if (gap <= toleranceC) return 0;
  const left = gapLeft(shape, stone, physics.bathWM2K, physics.lumpedBiot);
  const goal = toleranceC / gap;
  let high = 1;
  while (left(high) > goal) high *= 2;
  let low = high / 2;
  if (high === 1) low = 0;
  for (let i = 0; i < bisections; i += 1) {
    const middle = (low + high) / 2;
    if (left(middle) > goal) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Seconds of a lumped body in air from one temperature to another; undefined where the air cannot bring it there. */
export function airSeconds(
  shape: StoneShape,
  physics: StonePhysics,
  fromC: Celsius,
  toC: Celsius,
  ambientC: Celsius,
): number | undefined {
  const ratio = (fromC - ambientC) / (toC - ambientC);
  if (!(ratio >= 1)) return undefined;
  return (shape.heatJK / (physics.airWM2K * shape.surfaceM2)) * Math.log(ratio);
}

export interface BathLoad {
  readonly count: number;
  readonly startC: Celsius;
  readonly bathC: Celsius;
  readonly waterLitres: number;
  readonly heaterW: number;
}

/** How far the bath sinks when the stones go in, without heating (K); negative in a cold bath, which warms. */
export function dipC(heatJK: number, { waterJLK }: StonePhysics, load: BathLoad): number {
  const stones = load.count * heatJK;
  return (stones * (load.bathC - load.startC)) / (stones + waterJLK * load.waterLitres);
}

/** Seconds for the heater to bring in the stones' heat; null where it cannot. */
export function recoverSeconds(heatJK: number, physics: StonePhysics, load: BathLoad): number | null {
  const dip = dipC(heatJK, physics, load);
  if (dip === 0) return 0;
  const spareW = load.heaterW - physics.bathLossWK * (load.bathC - physics.ambientC);
  if (dip < 0 || spareW <= 0) return null;
  return (load.count * heatJK * (load.bathC - load.startC)) / spareW;
}

/** When a whole batch is ready, on the slow side of the coupled warming. */
export const batchSeconds = (ready: number, recover: number): number => Math.max(ready + 0.2 * recover, recover);
