import type { Celsius, Seconds } from '../quantities';
import type { StonePhysics } from './book';

/** Rate at which the basal layer is harmed at a temperature (1/s), after Henriques 1947. */
export const damageRate = ({ damageLogPerS, damageJMol, gasJMolK, kelvin }: StonePhysics, basalC: Celsius): number =>
  Math.exp(damageLogPerS - damageJMol / (gasJMolK * (basalC + kelvin)));

/** Sums the rate over time by the trapezoidal rule. */
export function damageSum(physics: StonePhysics, startC: Celsius) {
  let omega = 0;
  let before = damageRate(physics, startC);
  return {
    add: (basalC: Celsius, seconds: Seconds) => {
      const now = damageRate(physics, basalC);
      omega += ((before + now) / 2) * seconds;
      before = now;
    },
    get omega() {
      return omega;
    },
  };
}
