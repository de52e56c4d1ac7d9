import { measureWords } from './measure.words';
import { useMemo } from 'react';
import Chart from '../../ui/charts/Chart';
import { useThemedPalette } from '../themed';

interface Props {
  readonly positions: readonly number[];
  readonly affected: readonly (number | null)[];
  readonly reference: readonly (number | null)[];
  readonly last: readonly (number | null)[];
  readonly side: 'left' | 'right';
  readonly unit: string;
  readonly className: string;
}

const plotHeightPx = 182;
const labelHeightPx = 17;

/** How far (px, downwards) names at the ends of lines must move so that none lies on another; in the order given. */
function shiftLabels(values: readonly (number | null | undefined)[], perPx: number): readonly number[] {
  const ends = values
    .flatMap((value, i) => (value === null || value === undefined ? [] : [{ i, y: -value / perPx }]))
    .sort((a, b) => a.y - b.y);
  const shifts = values.map(() => 0);
  let lowest = -Infinity;
  for (const { i, y } of ends) {
    const placed = Math.max(y, lowest + labelHeightPx);
    shifts[i] = placed - y;
    lowest = placed;
  }
  return shifts;
}

/** Girth along the limb: both sides, last time as a dotted ghost; names stand at the lines. */
export default function ProfileChart({ positions, affected, reference, last, side, unit, className }: Props) {
  const palette = useThemedPalette();
  const option = useMemo(() => {
    const { ink, soft, faint, line, river } = palette;
    const label = { fontFamily: 'Atkinson Hyperlegible', fontSize: 13, color: soft };
    const pairs = (values: readonly (number | null)[]) => positions.map((x, i) => [x, values[i] ?? null]);
    const known = [...affected, ...reference, ...last].filter((v): v is number => v !== null);
    const low = known.length > 0 ? Math.floor(Math.min(...known) / 5) * 5 : 0;
    const high = known.length > 0 ? Math.ceil(Math.max(...known) / 5) * 5 : 60;
    const shifts = shiftLabels([affected.at(-1), reference.at(-1), last.at(-1)], (high - low) / plotHeightPx);
    const endLabel = (text: string, color: string | undefined, shiftPx: number) => ({
      show: true,
      formatter: text,
      color,
      fontFamily: 'Atkinson Hyperlegible',
      fontWeight: 700,
      fontSize: 14,
      distance: 6,
      offset: [0, shiftPx],
    });
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
        min: low,
        max: high,
        axisLabel: label,
        splitNumber: 4,
        splitLine: { lineStyle: { color: line } },
      },
      series: [
        {
          type: 'line',
          data: pairs(last),
          symbol: 'none',
          lineStyle: { color: faint, width: 2, type: 'dotted' },
          endLabel: endLabel(measureWords.lastTime4, faint, shifts[2] ?? 0),
          connectNulls: true,
        },
        {
          type: 'line',
          data: pairs(reference),
          symbol: 'circle',
          symbolSize: 4,
          lineStyle: { color: soft, width: 2.5 },
          itemStyle: { color: soft },
          endLabel: endLabel(side === 'left' ? 'right' : 'left', soft, shifts[1] ?? 0),
        },
        {
          type: 'line',
          data: pairs(affected),
          symbol: 'circle',
          symbolSize: 5,
          lineStyle: { color: river, width: 3 },
          itemStyle: { color: river },
          endLabel: endLabel(side, river, shifts[0] ?? 0),
          z: 3,
        },
      ],
      textStyle: { color: ink },
    };
  }, [affected, last, palette, positions, reference, side]);
  return <Chart option={option} className={className} label={measureWords.girthAlongTheLimbInBoth(unit)} />;
}
