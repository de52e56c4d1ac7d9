import type { Millilitres } from '../quantities';
import { type LengthUnit, toCm } from '../units';
import { judgeChange } from './change';
import type { Limb } from './entry-checks';
import type { Girth } from './gaps';
import { usualVolume, type VolumeSettings } from './settings';
import { tapingVolume } from './taping';

/** The raw girths of one taping. */
export interface ComparedTaping {
  readonly limb: Limb;
  readonly side: 'left' | 'right';
  readonly unit: LengthUnit;
  readonly positions: readonly number[];
  readonly affected: readonly Girth[];
  readonly reference: readonly Girth[];
}

export interface TapingChange {
  /** Excess over the other side where it was taped both times, else the affected limb alone. */
  readonly of: 'excess' | 'affected';
  readonly fromMl: Millilitres;
  readonly toMl: Millilitres;
  readonly ml: Millilitres;
  readonly beyond: boolean;
  readonly limitMl: Millilitres;
}

const sameMarkCm = 0.01;

/**
 * Change between two tapings (mL), both recomputed from raw girths with one method over the marks that both of them have.
 * @param mdcMl minimal detectable change; 0 within one visit with the marks left on
 * @param settings one set for both: a series never mixes methods or corrections
 * @returns undefined for different limbs or sides, or with fewer than two marks in common
 */
export function compareTapings(
  earlier: ComparedTaping,
  later: ComparedTaping,
  mdcMl: Millilitres,
  settings: VolumeSettings = usualVolume,
): TapingChange | undefined {
  if (earlier.limb !== later.limb || earlier.side !== later.side) return undefined;
  const marks = later.positions.flatMap((x, i) => {
    const cm = toCm(x, later.unit);
    const k = earlier.positions.findIndex((y) => Math.abs(toCm(y, earlier.unit) - cm) < sameMarkCm);
    return k < 0 ? [] : [{ cm, i, k }];
  });
  const isTaped = (taping: ComparedTaping, which: 'affected' | 'reference', at: number) =>
    (taping[which][at] ?? null) !== null;
  const affectedMarks = marks.filter(({ i, k }) => isTaped(later, 'affected', i) && isTaped(earlier, 'affected', k));
  const bothMarks = affectedMarks.filter(
    ({ i, k }) => isTaped(later, 'reference', i) && isTaped(earlier, 'reference', k),
  );
  const of = bothMarks.length >= 2 ? 'excess' : 'affected';
  const shared = of === 'excess' ? bothMarks : affectedMarks;
  const measure = (taping: ComparedTaping, at: readonly number[]) => {
    const girths = (which: 'affected' | 'reference') => at.map((i) => toCm(taping[which][i] ?? 0, taping.unit));
    const result = tapingVolume(
      {
        limb: later.limb,
        side: later.side,
        unit: 'cm',
        positions: shared.map(({ cm }) => cm),
        affected: girths('affected'),
        reference: of === 'excess' ? girths('reference') : shared.map(() => null),
      },
      settings,
    );
    if (!result.ok) return undefined;
    const { value } = result;
    return of === 'excess'
      ? { ml: value.excessMl ?? 0, sdMl: value.excessSdMl ?? 0 }
      : { ml: value.affectedMl, sdMl: value.affectedSdMl };
  };
  const from = measure(
    earlier,
    shared.map(({ k }) => k),
  );
  const to = measure(
    later,
    shared.map(({ i }) => i),
  );
  if (!from || !to) return undefined;
  const { limit, beyond } = judgeChange(to.ml - from.ml, from.sdMl, to.sdMl, mdcMl);
  return { of, fromMl: from.ml, toMl: to.ml, ml: to.ml - from.ml, beyond, limitMl: limit };
}
