import type { CoursePoint, CourseVisit, LimbCourse } from '../contracts/progress-views';
import { median } from '../core/statistics';
import { dayNumber } from '../core/calendar/days';
import type { Trend } from '../core/swelling/trend';
import { formatNumber } from '../core/units';
import { volumesIn } from '../core/volume-units';
import type { Palette } from './palette';
import { sizeAmong } from './size-among';

/** A chart as plain data, for the browser and for paper alike. */
export type ChartOption = Record<string, unknown>;

export const quantities = ['excess', 'volumes', 'eight'] as const;
export type Quantity = (typeof quantities)[number];

const pebble = 'path://M-13 1C-13 -7 -8 -10 -1 -11C7 -11 13 -7 13 -1C13 6 8 11 1 11C-7 11 -13 8 -13 1Z';
const dayMs = 86_400_000;

interface Line {
  readonly name: string;
  readonly colour: string;
  readonly values: readonly { readonly date: string; readonly value: number; readonly half: number | null }[];
  readonly trend: Trend | null;
}

/** Volume or length over time with its error band, the measuring error round the start, the trend, and the visits. */
export function courseOption(
  course: LimbCourse,
  visits: readonly CourseVisit[],
  what: Quantity,
  palette: Palette,
): ChartOption {
  const lines = linesOf(course, what, palette);
  const [first] = lines;
  const all = lines.flatMap((line) =>
    line.values.flatMap(({ value, half }) => [value - (half ?? 0), value + (half ?? 0)]),
  );
  const start = first?.values[0]?.value;
  const volumes = volumesIn(course.volumeUnit);
  const limit = what === 'eight' ? 1 : volumes.from(course.limitMl);
  const isBanded = what !== 'volumes' && start !== undefined;
  const known = isBanded ? [...all, start - limit, start + limit] : all;
  const scale = axisOf(known);
  const unit = what === 'eight' ? 'cm' : volumes.name;
  const decimals = what === 'eight' ? 1 : volumes.decimals;
  return {
    animation: false,
    grid: { left: 62, right: 96, top: 18, bottom: 34 },
    xAxis: timeAxis(palette, [...course.points.map(({ date }) => date), ...visits.map(({ date }) => date)]),
    yAxis: {
      type: 'value',
      ...scale,
      axisLabel: {
        fontFamily: palette.sans,
        fontSize: 13,
        color: palette.soft,
        formatter: (value: number) => `${formatNumber(value, decimals)} ${unit}`,
      },
      splitLine: { lineStyle: { color: palette.line } },
    },
    tooltip: tooltip(palette),
    series: [
      ...lines.flatMap((line, i) => [
        ...bandSeries(line, palette),
        lineSeries(line, {
          palette,
          decimals,
          isLabelled: i === 0,
          area: i === 0 && isBanded ? errorArea(start, limit, palette) : undefined,
        }),
      ]),
      visitMarks(visits, scale.min, palette),
    ],
  };
}

function linesOf(course: LimbCourse, what: Quantity, palette: Palette): readonly Line[] {
  const scaled = what === 'eight' ? (cm: number) => cm : volumesIn(course.volumeUnit).from;
  const line = (
    name: string,
    colour: string,
    trend: Trend | null,
    value: (point: CoursePoint) => number | null,
    sd: (point: CoursePoint) => number | null = () => null,
  ): Line => ({
    name,
    colour,
    trend: trend && { ...trend, slopePerWeek: scaled(trend.slopePerWeek) },
    values: course.points.flatMap((point) => {
      const at = value(point);
      const spread = sd(point);
      const half = spread === null ? null : scaled(1.96 * spread);
      return at === null ? [] : [{ date: point.date, value: scaled(at), half }];
    }),
  });
  const other = course.side === 'left' ? 'right' : 'left';
  switch (what) {
    case 'excess':
      return [
        course.points.some(({ excessMl }) => excessMl !== null)
          ? line(
              'excess',
              palette.river,
              course.trends.excess,
              (p) => p.excessMl,
              (p) => p.excessSdMl,
            )
          : line(
              course.side,
              palette.river,
              course.trends.affected,
              (p) => p.affectedMl,
              (p) => p.affectedSdMl,
            ),
      ];
    case 'volumes':
      return [
        line(
          course.side,
          palette.river,
          course.trends.affected,
          (p) => p.affectedMl,
          (p) => p.affectedSdMl,
        ),
        line(other, palette.soft, course.trends.reference, (p) => p.referenceMl),
      ].filter(({ values }) => values.length > 0);
    case 'eight':
      return [
        line(course.side, palette.river, course.trends.eight, (p) => p.eightCm),
        line(other, palette.soft, null, (p) => p.otherEightCm),
      ].filter(({ values }) => values.length > 0);
  }
}

/** Round ends and steps of a scale that holds all values, with room for the marks of the visits below. */
export function axisOf(values: readonly number[]): {
  readonly min: number;
  readonly max: number;
  readonly interval: number;
} {
  if (values.length === 0) return { min: 0, max: 100, interval: 20 };
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const spread = Math.max(most - least, Math.abs(most) * 0.02, 0.5);
  const raw = spread / 4;
  const power = 10 ** Math.floor(Math.log10(raw));
  const interval = [1, 2, 5, 10].map((step) => step * power).find((step) => step >= raw) ?? raw;
  return {
    min: Math.floor((least - spread * 0.12) / interval) * interval,
    max: Math.ceil((most + spread * 0.05) / interval) * interval,
    interval,
  };
}

export function timeAxis(palette: Palette, dates: readonly string[]): ChartOption {
  const days = dates.map((date) => Date.parse(`${date}T00:00:00`));
  const [from, to] = days.length > 0 ? [Math.min(...days), Math.max(...days)] : [0, dayMs];
  const room = Math.max(3 * dayMs, (to - from) * 0.03);
  return {
    type: 'time',
    min: from - room,
    max: to + room,
    axisLine: { lineStyle: { color: palette.line } },
    axisTick: { show: false },
    splitLine: { show: false },
    splitNumber: 5,
    axisLabel: {
      fontFamily: palette.sans,
      fontSize: 13,
      color: palette.soft,
      hideOverlap: true,
      formatter: { year: '{yyyy}', month: '{d} {MMM}', day: '{d} {MMM}' },
    },
  };
}

export const tooltip = (palette: Palette): ChartOption => ({
  trigger: 'item',
  backgroundColor: palette.ink,
  borderWidth: 0,
  textStyle: { color: '#fbf8f3', fontFamily: palette.sans, fontSize: 14 },
});

/** What the tape alone can err, as a tint round the line (95 %). */
function bandSeries(line: Line, palette: Palette): readonly ChartOption[] {
  if (line.values.some(({ half }) => half === null)) return [];
  const common = {
    type: 'line',
    stack: `band ${line.name}`,
    stackStrategy: 'all',
    symbol: 'none',
    silent: true,
    lineStyle: { opacity: 0 },
  };
  return [
    { ...common, data: line.values.map(({ date, value, half }) => [date, value - (half ?? 0)]) },
    {
      ...common,
      data: line.values.map(({ date, half }) => [date, 2 * (half ?? 0)]),
      areaStyle: { color: palette.riverSoft, opacity: 0.9 },
    },
  ];
}

interface LineLook {
  readonly palette: Palette;
  readonly decimals: number;
  readonly isLabelled: boolean;
  readonly area: ChartOption | undefined;
}

function lineSeries(line: Line, { palette, decimals, isLabelled, area }: LineLook): ChartOption {
  const trend = line.trend && line.trend.lowPerWeek !== null ? trendLine(line, line.trend) : undefined;
  return {
    type: 'line',
    name: line.name,
    data: line.values.map(({ date, value }) => [date, value]),
    symbol: 'circle',
    symbolSize: 8,
    z: 4,
    lineStyle: { color: line.colour, width: 3 },
    itemStyle: { color: line.colour },
    label: {
      show: isLabelled && line.values.length <= 16,
      position: 'top',
      distance: 7,
      formatter: ({ value }: { value: readonly [string, number] }) => formatNumber(value[1], decimals),
      fontFamily: palette.serif,
      fontWeight: 600,
      fontSize: 14,
      color: palette.ink,
    },
    endLabel: {
      show: !isLabelled || line.name !== 'excess',
      formatter: line.name,
      fontFamily: palette.sans,
      fontWeight: 700,
      fontSize: 14,
      color: line.colour,
      distance: 10,
    },
    tooltip: {
      formatter: ({ value }: { value: readonly [string, number] }) =>
        `${line.name}: ${formatNumber(value[1], decimals)}`,
    },
    ...(area ? { markArea: area } : {}),
    ...(trend
      ? {
          markLine: {
            silent: true,
            symbol: 'none',
            lineStyle: { color: palette.plum, width: 2, type: 'dashed' },
            label: {
              show: true,
              position: 'end',
              distance: 16,
              formatter: 'trend',
              color: palette.plum,
              fontFamily: palette.sans,
              fontWeight: 700,
              fontSize: 14,
            },
            data: [trend],
          },
        }
      : {}),
  };
}

/** The robust line: the slope is the trend's, the height the median of what remains. */
function trendLine({ values }: Line, trend: Trend): readonly [ChartOption, ChartOption] | undefined {
  const [first, last] = [values[0], values.at(-1)];
  if (!first || !last) return undefined;
  const origin = dayNumber(first.date);
  const perDay = trend.slopePerWeek / 7;
  const height = median(values.map(({ date, value }) => value - perDay * (dayNumber(date) - origin)));
  const at = (date: string) => ({ coord: [date, height + perDay * (dayNumber(date) - origin)] });
  return [at(first.date), at(last.date)];
}

/** Changes inside this band may be no change: noise looks like noise. */
function errorArea(start: number, limit: number, palette: Palette): ChartOption {
  return {
    silent: true,
    itemStyle: { color: palette.stone, opacity: 0.55 },
    label: {
      show: true,
      position: 'insideTopRight',
      color: palette.faint,
      fontFamily: palette.sans,
      fontSize: 13,
      formatter: 'measuring error round the start',
    },
    data: [[{ yAxis: start - limit }, { yAxis: start + limit }]],
  };
}

/** A pebble for each visit at the foot of the chart; what was done is told on pointing, and in the table. */
function visitMarks(visits: readonly CourseVisit[], y: number, palette: Palette): ChartOption {
  return {
    type: 'scatter',
    name: 'visits',
    data: visits.map((visit) => [visit.date, y]),
    symbol: pebble,
    symbolSize: [sizeAmong(visits.length, 13), sizeAmong(visits.length, 11)],
    symbolOffset: [0, -8],
    z: 3,
    itemStyle: { color: palette.plum, opacity: 0.75 },
    tooltip: {
      formatter: ({ dataIndex }: { dataIndex: number }) => {
        const visit = visits[dataIndex];
        return visit ? `${visit.day}: ${visit.work}${visit.steps === null ? '' : `, ${visit.steps} steps`}` : '';
      },
    },
  };
}
