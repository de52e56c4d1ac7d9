import { clientWords } from './client.words';
import { useMemo } from 'react';
import type { HistoryEntry } from '../../contracts/client-views';
import { formatNumber } from '../../core/units';
import type { ShownVolumes } from '../../core/volume-units';
import Chart from '../../ui/charts/Chart';
import { useThemedPalette } from '../themed';

/** Excess over the other side at each visit, with the tape's error as a band (95 %). */
export default function ExcessChart({
  history,
  volumes,
  className,
}: {
  readonly history: readonly HistoryEntry[];
  readonly volumes: ShownVolumes;
  readonly className: string;
}) {
  const points = useMemo(() => history.filter((entry) => entry.excessMl !== null).reverse(), [history]);
  const palette = useThemedPalette();
  const option = useMemo(() => {
    const values = points.map((entry) => volumes.from(entry.excessMl ?? 0));
    const half = points.map((entry) => volumes.from(1.96 * (entry.excessSdMl ?? 0)));
    const lows = values.map((value, i) => value - (half[i] ?? 0));
    const highs = values.map((value, i) => value + (half[i] ?? 0));
    const spread = Math.max(volumes.from(80), Math.max(...highs) - Math.min(...lows));
    const step = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000].find((size) => spread / size <= 4) ?? 2000;
    const { ink, soft, line, river, riverSoft: tint } = palette;
    const label = { fontFamily: 'Atkinson Hyperlegible', fontSize: 13, color: soft };
    return {
      animation: false,
      grid: { left: 52, right: 28, top: 18, bottom: 26 },
      xAxis: {
        type: 'category',
        data: points.map((entry) => entry.date.replace(/ \d{4}$/, '')),
        axisLine: { lineStyle: { color: line } },
        axisTick: { show: false },
        axisLabel: label,
      },
      yAxis: {
        type: 'value',
        min: Math.floor(Math.min(...lows) / step) * step,
        max: Math.ceil((Math.max(...highs) + spread * 0.2) / step) * step,
        interval: step,
        axisLabel: { ...label, formatter: (value: number) => `${formatNumber(value)} ${volumes.name}` },
        splitLine: { lineStyle: { color: line } },
      },
      series: [
        { type: 'line', data: lows, stack: 'error', lineStyle: { opacity: 0 }, symbol: 'none', silent: true },
        {
          type: 'line',
          data: highs.map((high, i) => high - (lows[i] ?? 0)),
          stack: 'error',
          lineStyle: { opacity: 0 },
          areaStyle: { color: tint, opacity: 0.9 },
          symbol: 'none',
          silent: true,
        },
        {
          type: 'line',
          data: values,
          symbol: 'circle',
          symbolSize: 8,
          lineStyle: { color: river, width: 3 },
          itemStyle: { color: river },
          label: {
            show: true,
            position: 'top',
            distance: 8,
            formatter: ({ value }: { value: number }) => formatNumber(value, volumes.decimals),
            fontFamily: 'Fraunces Variable',
            fontWeight: 600,
            fontSize: 14,
            color: ink,
          },
        },
      ],
    };
  }, [palette, points, volumes]);
  const words = points.map((entry) => `${entry.date}: ${volumes.text(entry.excessMl ?? 0)}`).join(', ');
  return <Chart option={option} className={className} label={clientWords.excessOverTheOtherSide(words)} />;
}
