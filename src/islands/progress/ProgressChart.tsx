import { CustomChart, ScatterChart } from 'echarts/charts';
import { MarkAreaComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { LabelLayout } from 'echarts/features';
import { use as register } from 'echarts/core';
import { useMemo } from 'react';
import type { ChartOption } from '../../charts/course-options';
import type { Palette } from '../../charts/palette';
import Chart from '../../ui/charts/Chart';
import { useThemedPalette } from '../themed';

register([CustomChart, ScatterChart, MarkAreaComponent, MarkLineComponent, TooltipComponent, LabelLayout]);

interface Props {
  /** Makes the chart in the colours of the theme. */
  readonly make: (palette: Palette) => ChartOption;
  readonly label: string;
  readonly className: string;
}

/** A chart of the Progress view, with the parts of the chart library that only it needs. */
export default function ProgressChart({ make, label, className }: Props) {
  const palette = useThemedPalette();
  const option = useMemo(() => make(palette), [make, palette]);
  return <Chart option={option} label={label} className={className} />;
}
