import type { TapingView } from '../../contracts/visit-views';
import type { TapedExcess } from '../../core/flow/tape-start';
import { toCm } from '../../core/units';

/** What the tape run before the work found along the limb; null without one, or without the other side. */
export function tapedExcess(before: Pick<TapingView, 'limb' | 'side' | 'unit' | 'volume'> | null): TapedExcess | null {
  if (!before?.volume || before.volume.excessMl === null) return null;
  const { limb, side, unit, volume } = before;
  const stretches = volume.segments.map(({ from, to, excessMl }) => ({
    ...{ fromCm: toCm(from, unit), toCm: toCm(to, unit) },
    excessMl,
  }));
  return { limb, side, stretches };
}
