import { LineChart } from 'echarts/charts';

import { AriaComponent, GridComponent, MarkPointComponent } from 'echarts/components';
import { init, use as register, type EChartsCoreOption, type EChartsType } from 'echarts/core';
import { LabelLayout } from 'echarts/features';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

register([LineChart, GridComponent, MarkPointComponent, AriaComponent, LabelLayout, SVGRenderer]);

interface Props {
  readonly option: EChartsCoreOption;
  readonly label: string;
  readonly className?: string;
}

/** Draws options made elsewhere; loaded only where a chart is shown. */
export default function Chart({ option, label, className }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType>(undefined);
  useEffect(() => {
    if (!host.current) return;
    const made = init(host.current, null, { renderer: 'svg' });
    chart.current = made;
    const watch = new ResizeObserver(() => made.resize());
    watch.observe(host.current);
    return () => {
      watch.disconnect();
      made.dispose();
      chart.current = undefined;
    };
  }, []);
  useEffect(() => chart.current?.setOption(option, { notMerge: true }), [option]);
  return <div ref={host} className={className} role="img" aria-label={label} />;
}
