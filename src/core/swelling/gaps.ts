/** A girth that may not have been measured. */
export type Girth = number | null;

/** A limb with its single gaps filled. */
export interface FilledLimb {
  /** Null only outside the measured stretch. */
  readonly girthsCm: readonly Girth[];
  readonly interpolated: readonly number[];
  readonly firstMeasured: number;
  readonly lastMeasured: number;
}

export type GapRefusal = 'too-few-points' | 'gap-too-wide';

/**
 * Fills interior gaps of one point linearly by position. Ends are never extrapolated.
 * @returns a refusal for fewer than two measured points, or for two or more neighbouring points missing inside
 */
export function fillGaps(positionsCm: readonly number[], girthsCm: readonly Girth[]): FilledLimb | GapRefusal {
  const firstMeasured = girthsCm.findIndex((girth) => girth !== null);
  const lastMeasured = girthsCm.findLastIndex((girth) => girth !== null);
  if (lastMeasured <= firstMeasured) return 'too-few-points';
  const filled = [...girthsCm];
  const interpolated: number[] = [];
  for (let i = firstMeasured + 1; i < lastMeasured; i += 1) {
    if (girthsCm[i] !== null) continue;
    const below = girthsCm[i - 1];
    const above = girthsCm[i + 1];
    if (below === null || below === undefined || above === null || above === undefined) return 'gap-too-wide';
    const w = gapWeight(positionsCm, i);
    filled[i] = (1 - w) * below + w * above;
    interpolated.push(i);
  }
  return { girthsCm: filled, interpolated, firstMeasured, lastMeasured };
}

/** How far point `i` lies from its lower to its upper neighbour (0–1). */
export function gapWeight(positionsCm: readonly number[], i: number): number {
  const [below = 0, here = 0, above = 0] = [positionsCm[i - 1], positionsCm[i], positionsCm[i + 1]];
  return (here - below) / (above - below);
}

/**
 * Standard deviation of a volume from independent tape errors, to first order: σ·√ΣG². A filled point has no error of
 * its own, so its share is handed on to its two neighbours first, also to one outside the common stretch.
 * @param gradient ∂V/∂C for the points from `from` on
 */
export function volumeSdMl(
  positionsCm: readonly number[],
  limb: FilledLimb,
  from: number,
  gradient: readonly number[],
  sigmaCm: number,
): number {
  const shares = positionsCm.map(() => 0);
  const add = (i: number, amount: number) => {
    shares[i] = (shares[i] ?? 0) + amount;
  };
  gradient.forEach((g, k) => {
    const i = from + k;
    const w = limb.interpolated.includes(i) ? gapWeight(positionsCm, i) : undefined;
    if (w === undefined) add(i, g);
    else {
      add(i - 1, (1 - w) * g);
      add(i + 1, w * g);
    }
  });
  return sigmaCm * Math.sqrt(shares.reduce((sum, g) => sum + g * g, 0));
}
