import { CustomChart, LineChart, ScatterChart } from 'echarts/charts';
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { LabelLayout } from 'echarts/features';
import { SVGRenderer } from 'echarts/renderers';
import type { ChartOption } from '../../charts/course-options';

register([
  CustomChart,
  LineChart,
  ScatterChart,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  LabelLayout,
  SVGRenderer,
]);

/** Draws a chart as an SVG, without a browser: on paper it stays sharp at every size. */
export function chartSvg(option: ChartOption, width: number, height: number): string {
  const chart = init(null, null, { renderer: 'svg', ssr: true, width, height });
  try {
    chart.setOption({ ...option, tooltip: undefined });
    return chart.renderToSVGString();
  } finally {
    chart.dispose();
  }
}
