import { fromCm, type LengthUnit, toCm } from '../units';
import type { Limb } from './entry-checks';
import type { Girth } from './gaps';
import { limbVolume, type LimbVolumeResult } from './limb-volume';
import { settleReadings } from './readings';
import { dominantLimb, type VolumeSettings } from './settings';

/** One pass over both limbs; one entry a position, null: not measured. */
export interface Pass {
  readonly affected: readonly Girth[];
  readonly reference: readonly Girth[];
}

/** Raw readings of one taping, all in one unit, as they were typed. */
export interface RawTaping {
  readonly limb: Limb;
  readonly side: 'left' | 'right';
  readonly unit: LengthUnit;
  readonly positions: readonly number[];
  readonly first: Pass;
  readonly second: Pass | null;
  readonly third: Pass | null;
}

/** The girths that count, in the unit of the taping, and points whose two readings disagree. */
export interface SettledTaping extends Pass {
  readonly unresolved: Readonly<Record<'affected' | 'reference', readonly number[]>>;
}

/** Settles every point from its one to three readings. */
export function settleTaping({ unit, positions, first, second, third }: RawTaping): SettledTaping {
  const settle = (side: 'affected' | 'reference') => {
    const unresolved: number[] = [];
    const girths = positions.map((_, i): Girth => {
      const typed = [first, second, third].map((pass) => pass?.[side][i] ?? null);
      const taken = typed.filter((reading) => reading !== null);
      // One reading counts as it was typed: no conversion there and back.
      if (taken.length < 2) return taken[0] ?? null;
      const [a = null, b, c] = taken.map((reading) => toCm(reading, unit));
      const settled = settleReadings([a, b, c]);
      if (settled.unresolved) unresolved.push(i);
      return settled.value === null ? null : fromCm(settled.value, unit);
    });
    return { girths, unresolved };
  };
  const [affected, reference] = [settle('affected'), settle('reference')];
  return {
    affected: affected.girths,
    reference: reference.girths,
    unresolved: { affected: affected.unresolved, reference: reference.unresolved },
  };
}

interface Measured extends Pass {
  readonly limb: Limb;
  readonly side: 'left' | 'right';
  readonly unit: LengthUnit;
  readonly positions: readonly number[];
}

/** Volume of a taping under one set of settings; a side without any girth counts as “no other limb”. */
export function tapingVolume(taping: Measured, settings: VolumeSettings): LimbVolumeResult {
  const hasReference = taping.reference.some((girth) => girth !== null);
  return limbVolume({
    limb: taping.limb,
    unit: taping.unit,
    method: settings.method,
    positions: taping.positions,
    affected: taping.affected,
    reference: hasReference ? taping.reference : null,
    dominant: taping.limb === 'arm' ? dominantLimb(settings.hand, taping.side) : 'none',
    dominanceCorrectionPercent: settings.dominanceCorrectionPercent,
    tapeSigmaCm: settings.tapeSigmaCm,
  });
}

/** Pairs of first and second readings of whole-limb volumes (mL), for the house's own error: one pair a limb. */
export function duplicateVolumes(taping: RawTaping, settings: VolumeSettings): readonly (readonly [number, number])[] {
  const { second } = taping;
  if (!second) return [];
  const pairOf = (side: 'affected' | 'reference'): readonly (readonly [number, number])[] => {
    const both = taping.positions.flatMap((_, i) =>
      (taping.first[side][i] ?? null) !== null && (second[side][i] ?? null) !== null ? [i] : [],
    );
    // A pair says something about the limb only when both passes cover all of it.
    if (both.length < taping.positions.length) return [];
    const volume = (pass: Pass) =>
      tapingVolume({ ...taping, affected: pass[side], reference: pass[side].map(() => null) }, settings);
    const [a, b] = [volume(taping.first), volume(second)];
    return a.ok && b.ok ? [[a.value.affectedMl, b.value.affectedMl]] : [];
  };
  return [...pairOf('affected'), ...pairOf('reference')];
}
