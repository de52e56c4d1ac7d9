import type { Percent } from '../quantities';
import { exceeds } from '../statistics';

export interface AbdomenGirth {
  /** Above the navel's height, negative below (cm). */
  readonly heightCm: number;
  readonly girthCm: number;
  /** Taken over a dressing or binder: not compared. */
  readonly isCovered?: boolean;
}

export interface AbdomenRow {
  readonly heightCm: number;
  readonly changeCm: number;
  readonly changePercent: Percent;
  readonly isBeyondError: boolean;
}

export interface AbdomenChange {
  readonly rows: readonly AbdomenRow[];
  readonly meanCm: number;
  readonly largestFall: AbdomenRow | null;
  readonly largestRise: AbdomenRow | null;
}

const mostHeightMismatchCm = 0.5;

/**
 * Change of girths at fixed heights above the floor since the first taping; no volume is worked out.
 * @param errorCm minimal detectable change of one girth
 * @returns undefined when no height was taken both times
 */
export function abdomenChange(
  first: readonly AbdomenGirth[],
  now: readonly AbdomenGirth[],
  errorCm: number,
): AbdomenChange | undefined {
  const rows = now.flatMap((girth): AbdomenRow[] => {
    const was = first.find((other) => !exceeds(Math.abs(other.heightCm - girth.heightCm), mostHeightMismatchCm));
    if (!was || was.isCovered || girth.isCovered) return [];
    const changeCm = girth.girthCm - was.girthCm;
    return [
      {
        heightCm: girth.heightCm,
        changeCm,
        changePercent: (100 * changeCm) / was.girthCm,
        isBeyondError: Math.abs(changeCm) > errorCm,
      },
    ];
  });
  if (rows.length === 0) return undefined;
  const byChange = [...rows].sort((a, b) => a.changeCm - b.changeCm);
  const [lowest, highest] = [byChange[0], byChange.at(-1)];
  return {
    rows,
    meanCm: rows.reduce((sum, row) => sum + row.changeCm, 0) / rows.length,
    largestFall: lowest && lowest.changeCm < 0 ? lowest : null,
    largestRise: highest && highest.changeCm > 0 ? highest : null,
  };
}
