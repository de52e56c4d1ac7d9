/** Two-sided 95 % points of Student's t, for 1, 2, 3 … degrees of freedom (tables). */
const points = [
  12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131, 2.12, 2.11,
  2.101, 2.093, 2.086, 2.08, 2.074, 2.069, 2.064, 2.06, 2.056, 2.052, 2.048, 2.045, 2.042,
] as const;

const normal = 1.96;

/**
 * How many standard errors a 95 % interval reaches to either side. Degrees of freedom are rounded down, which makes it
 * rather too wide than too narrow.
 */
export function t975(freedom: number): number {
  const whole = Math.max(1, Math.floor(freedom));
  return points[whole - 1] ?? normal + 2.46 / whole;
}
