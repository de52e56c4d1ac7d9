import { limbVolume, type LimbVolume } from '../../core/swelling/limb-volume';
import type { TapingView } from '../../contracts/views';
import type { TapingRow } from '../db/schema';
import { toTaping } from '../repositories/visits';

type Girths = Pick<TapingView, 'limb' | 'unit' | 'method' | 'positions' | 'affected' | 'reference'>;

/** Volume of a taping as far as it has been taken: null while too few points are there. Positions are kept in cm. */
export function volumeOf(taping: Girths): LimbVolume | null {
  const reference = taping.reference.some((girth) => girth !== null) ? taping.reference : null;
  const result = limbVolume({
    ...taping,
    reference,
    dominant: 'none',
    dominanceCorrectionPercent: 0,
    tapeSigmaCm: 0.2,
  });
  if (result.ok) return result.value;
  if (!reference) return null;
  const alone = limbVolume({
    ...taping,
    reference: null,
    dominant: 'none',
    dominanceCorrectionPercent: 0,
    tapeSigmaCm: 0.2,
  });
  return alone.ok ? alone.value : null;
}

export function withVolume(row: TapingRow): TapingView {
  const taping = toTaping(row, null);
  return { ...taping, volume: volumeOf(taping) };
}
