import { measureWords } from './measure.words';
import type { LimbSegment } from '../../core/swelling/limb-volume';
import { formatNumber } from '../../core/units';
import type { ShownVolumes } from '../../core/volume-units';
import styles from './SegmentBars.module.css';

interface Props {
  readonly segments: readonly LimbSegment[];
  /** Ends of the limb, in the unit of the segments. */
  readonly from: number;
  readonly to: number;
  readonly unit: string;
  readonly volumes: ShownVolumes;
}

const width = 400;
const zeroY = 50;
const belowY = 20;
const inset = { left: 34, right: 74 };

/** Excess of each stretch along the limb against a zero line, under the profile and on its scale. */
export function SegmentBars({ segments, from, to, unit, volumes }: Props) {
  const values = segments.map(({ excessMl }) => excessMl ?? 0);
  const most = Math.max(10, ...values);
  const height = values.some((ml) => ml < 0) ? zeroY + belowY : zeroY + 2;
  const perMl = (zeroY - 14) / most;
  const plot = width - inset.left - inset.right;
  const x = (at: number) => inset.left + ((at - from) / (to - from)) * plot;
  const top = segments.reduce<LimbSegment | undefined>(
    (best, one) => ((one.excessMl ?? 0) > (best?.excessMl ?? 0) ? one : best),
    undefined,
  );
  const words = segments
    .map((one) => `${formatNumber(one.from)} to ${formatNumber(one.to)} ${unit}: ${volumes.signed(one.excessMl ?? 0)}`)
    .join(', ');
  return (
    <svg
      className={styles['bars']}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={measureWords.excessByStretch(words)}
      style={{ aspectRatio: `${width} / ${height}` }}
    >
      {segments.map((one) => {
        const ml = one.excessMl ?? 0;
        const h = Math.min(Math.abs(ml) * perMl, ml < 0 ? belowY : zeroY - 12);
        return (
          <rect
            key={one.from}
            x={x(one.from) + 1}
            width={Math.max(1, x(one.to) - x(one.from) - 2)}
            y={ml < 0 ? zeroY : zeroY - h}
            height={h}
            className={ml < 0 ? styles['below'] : styles['above']}
            data-top={one === top ? true : undefined}
          />
        );
      })}
      <line x1={inset.left} x2={width - inset.right} y1={zeroY} y2={zeroY} className={styles['zero']} />
      {top && (
        <text x={(x(top.from) + x(top.to)) / 2} y={zeroY - (top.excessMl ?? 0) * perMl - 4} className={styles['text']}>
          {volumes.signed(top.excessMl ?? 0)}
        </text>
      )}
    </svg>
  );
}
