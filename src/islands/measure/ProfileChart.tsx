import { useMemo } from 'react';
import Chart, { token } from '../../ui/charts/Chart';

interface Props {
  readonly positions: readonly number[];
  readonly affected: readonly (number | null)[];
  readonly reference: readonly (number | null)[];
  readonly last: readonly (number | null)[];
  readonly side: 'left' | 'right';
  readonly unit: string;
  readonly className: string;
}

/** Girth along the limb: both sides, last time as a dotted ghost; names stand at the lines. */
export default function ProfileChart({ positions, affected, reference, last, side, unit, className }: Props) {
  const option = useMemo(() => {
    const [ink, soft, faint, line, river] = ['ink', 'ink-soft', 'ink-faint', 'line', 'river'].map(token);
    const label = { fontFamily: 'Atkinson Hyperlegible', fontSize: 13, color: soft };
    const pairs = (values: readonly (number | null)[]) => positions.map((x, i) => [x, values[i] ?? null]);
    const endLabel = (text: string, color: string | undefined) => ({
      show: true,
      formatter: text,
      color,
      fontFamily: 'Atkinson Hyperlegible',
      fontWeight: 700,
      fontSize: 14,
      distance: 6,
    });
    const labelLayout = { moveOverlap: 'shiftY' };
    const known = [...affected, ...reference, ...last].filter((v): v is number => v !== null);
    return {
      animation: false,
      grid: { left: 34, right: 74, top: 12, bottom: 26 },
      xAxis: {
        type: 'value',
        min: 0,
        max: positions.at(-1),
        interval: (positions.at(-1) ?? 0) > 44 ? 20 : (positions.at(-1) ?? 0) > 20 ? 10 : 4,
        axisLabel: label,
        splitLine: { show: false },
        axisLine: { lineStyle: { color: line } },
      },
      yAxis: {
        type: 'value',
        min: known.length > 0 ? Math.floor(Math.min(...known) / 5) * 5 : 0,
        axisLabel: label,
        splitNumber: 4,
        splitLine: { lineStyle: { color: line } },
      },
      series: [
        {
          type: 'line',
          labelLayout,
          data: pairs(last),
          symbol: 'none',
          lineStyle: { color: faint, width: 2, type: 'dotted' },
          endLabel: endLabel('last time', faint),
          connectNulls: true,
        },
        {
          type: 'line',
          labelLayout,
          data: pairs(reference),
          symbol: 'circle',
          symbolSize: 4,
          lineStyle: { color: soft, width: 2.5 },
          itemStyle: { color: soft },
          endLabel: endLabel(side === 'left' ? 'right' : 'left', soft),
        },
        {
          type: 'line',
          labelLayout,
          data: pairs(affected),
          symbol: 'circle',
          symbolSize: 5,
          lineStyle: { color: river, width: 3 },
          itemStyle: { color: river },
          endLabel: endLabel(side, river),
          z: 3,
        },
      ],
      textStyle: { color: ink },
    };
  }, [affected, last, positions, reference, side]);
  return (
    <Chart option={option} className={className} label={`Girth along the limb in ${unit}, both sides and last time`} />
  );
}
