/** What a figure did at one visit. */
interface FigureChange {
  readonly change: number | null;
  readonly isBetter: boolean | null;
}

/**
 * How much better a figure was after each visit at which it was taken both times: above 0 better, below 0 worse.
 * @returns undefined where neither way is better: nothing is told of such a figure, nor of the visits at which it stayed
 */
export function betterBy<V extends FigureChange>(
  visits: readonly V[],
): readonly { readonly visit: V; readonly by: number }[] | undefined {
  if (visits.some(({ change, isBetter }) => change !== null && change !== 0 && isBetter === null)) return undefined;
  return visits.flatMap((visit) =>
    visit.change === null ? [] : [{ visit, by: Math.abs(visit.change) * (visit.isBetter === false ? -1 : 1) }],
  );
}

/** The excess of one limb before the work and after it, mL. */
export interface ExcessTaken {
  readonly excessMl: number | null;
  readonly afterExcessMl: number | null;
}

/** By how much the excess was less after the work (mL); undefined unless it was taped both times. */
export const excessTakenMl = ({ excessMl, afterExcessMl }: ExcessTaken): number | undefined =>
  excessMl === null || afterExcessMl === null ? undefined : excessMl - afterExcessMl;

/**
 * The same over all limbs of a visit, in per cent of what they held before: means the same with every client.
 * @returns undefined unless there was an excess that was taped both times
 */
export function excessTakenPercent(limbs: readonly ExcessTaken[]): number | undefined {
  const taped = limbs.filter((limb) => excessTakenMl(limb) !== undefined && (limb.excessMl ?? 0) > 0);
  const before = taped.reduce((sum, { excessMl }) => sum + (excessMl ?? 0), 0);
  const taken = taped.reduce((sum, limb) => sum + (excessTakenMl(limb) ?? 0), 0);
  return before > 0 ? (100 * taken) / before : undefined;
}
