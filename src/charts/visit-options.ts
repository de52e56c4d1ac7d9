import type { CourseVisit, LimbCourse } from '../contracts/progress-views';
import { formatNumber } from '../core/units';
import { volumesIn } from '../core/volume-units';
import { axisOf, type ChartOption, timeAxis, tooltip } from './course-options';
import type { Palette } from './palette';
import { sizeAmong } from './size-among';

/** What each visit took away, and how much of it was still gone at the next. */
export function responseOption(course: LimbCourse, palette: Palette): ChartOption {
  const volumes = volumesIn(course.volumeUnit);
  const responses = course.responses.map((one) => ({ ...one, response: volumes.from(one.responseMl) }));
  const label = { fontFamily: palette.sans, fontSize: 13, color: palette.soft };
  // Both scales have their zero at the same height: a quarter up.
  const heights = responses.map(({ response }) => Math.max(response, -3 * response));
  const { interval } = axisOf([0, ...heights]);
  const step = Math.max(1, Math.ceil(Math.max(0, ...heights) / 3 / (interval / 2))) * (interval / 2);
  const scale = { min: -step, max: 3 * step, interval: step };
  return {
    animation: false,
    grid: { left: 62, right: 96, top: 32, bottom: 26 },
    xAxis: timeAxis(
      palette,
      course.points.map(({ date }) => date),
    ),
    yAxis: [
      {
        type: 'value',
        ...scale,
        axisLabel: {
          ...label,
          formatter: (value: number) => `${formatNumber(value, volumes.decimals)} ${volumes.name}`,
        },
        splitLine: { lineStyle: { color: palette.line } },
      },
      {
        type: 'value',
        min: -50,
        max: 150,
        interval: 50,
        name: 'held',
        nameGap: 10,
        nameTextStyle: { color: palette.moss, fontFamily: palette.sans, fontWeight: 700, fontSize: 14 },
        axisLabel: { ...label, formatter: (value: number) => `${formatNumber(value)} %` },
        splitLine: { show: false },
      },
    ],
    tooltip: tooltip(palette),
    series: [
      {
        ...bars(
          responses.map(({ date, response, isBeyondError }) => ({
            date,
            value: response,
            colour: isBeyondError ? palette.river : palette.line,
          })),
        ),
        name: 'response',
        tooltip: {
          formatter: ({ dataIndex }: { dataIndex: number }) => {
            const one = responses[dataIndex];
            return one
              ? `${one.day}: ${volumes.signed(-one.responseMl)}${one.isBeyondError ? '' : ', within measuring error'}`
              : '';
          },
        },
      },
      {
        type: 'line',
        name: 'held',
        yAxisIndex: 1,
        data: responses.flatMap(({ date, retentionPercent }) =>
          retentionPercent === null ? [] : [[date, Math.max(-50, Math.min(150, retentionPercent))]],
        ),
        symbol: 'diamond',
        symbolSize: sizeAmong(responses.length, 10),
        lineStyle: { color: palette.moss, width: 2 },
        itemStyle: { color: palette.moss },
      },
    ],
  };
}

interface Bar {
  readonly date: string;
  readonly value: number;
  readonly colour: string;
}

interface DrawingApi {
  readonly value: (dimension: number) => number;
  readonly coord: (at: readonly [number, number]) => readonly [number, number];
}

const widestBar = 14;

/** Bars that stand on their dates: the library's own widen the time axis, so that two panels would not line up. */
function bars(list: readonly Bar[]): ChartOption {
  const barWidth = sizeAmong(list.length, widestBar);
  return {
    type: 'custom',
    data: list.map(({ date, value }) => [date, value]),
    encode: { x: 0, y: 1 },
    renderItem: ({ dataIndex }: { dataIndex: number }, api: DrawingApi) => {
      const [x, y] = api.coord([api.value(0), api.value(1)]);
      const [, zero] = api.coord([api.value(0), 0]);
      const height = Math.max(2, Math.abs(zero - y));
      return {
        type: 'rect',
        shape: { x: x - barWidth / 2, y: Math.min(y, zero), width: barWidth, height, r: Math.min(4, barWidth / 3) },
        style: { fill: list[dataIndex]?.colour },
      };
    },
  };
}

interface Track {
  readonly name: string;
  readonly pick: (visit: CourseVisit) => number | null;
}

export const feelings: readonly Track[] = [
  { name: 'heaviness', pick: (visit) => visit.heaviness },
  { name: 'tightness', pick: (visit) => visit.tightness },
  { name: 'pain', pick: (visit) => visit.pain },
];
export const likings: readonly Track[] = [
  { name: 'comfort', pick: (visit) => visit.comfort },
  { name: 'relaxation gain', pick: (visit) => visit.relaxationGain },
];

/** Scores of 0 to 10 over the visits, each named at its line. */
export function scoresOption(visits: readonly CourseVisit[], tracks: readonly Track[], palette: Palette): ChartOption {
  const colours = [palette.river, palette.plum, palette.ochre];
  const dashes = ['solid', 'dashed', 'dotted'];
  return {
    animation: false,
    grid: { left: 62, right: 120, top: 18, bottom: 34 },
    xAxis: timeAxis(
      palette,
      visits.map(({ date }) => date),
    ),
    yAxis: {
      type: 'value',
      min: 0,
      max: 10,
      interval: 2,
      axisLabel: { fontFamily: palette.sans, fontSize: 13, color: palette.soft },
      splitLine: { lineStyle: { color: palette.line } },
    },
    tooltip: tooltip(palette),
    series: tracks.map(({ name, pick }, i) => ({
      type: 'line',
      name,
      data: visits.flatMap((visit) => {
        const value = pick(visit);
        return value === null ? [] : [[visit.date, value]];
      }),
      symbol: 'circle',
      symbolSize: 7,
      lineStyle: { color: colours[i], width: 3, type: dashes[i] },
      itemStyle: { color: colours[i] },
      labelLayout: { moveOverlap: 'shiftY' },
      endLabel: {
        show: true,
        formatter: name,
        color: colours[i],
        fontFamily: palette.sans,
        fontWeight: 700,
        fontSize: 14,
        distance: 10,
      },
    })),
  };
}

/** Minutes until redness was gone; what had not gone by the last look stands at the top as such. */
export function fadeOption(visits: readonly CourseVisit[], palette: Palette): ChartOption {
  const seen = visits.filter(({ rednessRise }) => rednessRise !== null);
  const notYet = 60;
  return {
    animation: false,
    grid: { left: 62, right: 96, top: 18, bottom: 34 },
    xAxis: timeAxis(
      palette,
      visits.map(({ date }) => date),
    ),
    yAxis: {
      type: 'value',
      min: 0,
      max: notYet,
      interval: 15,
      axisLabel: {
        fontFamily: palette.sans,
        fontSize: 13,
        color: palette.soft,
        formatter: (value: number) => `${value} min`,
      },
      splitLine: { lineStyle: { color: palette.line } },
    },
    tooltip: tooltip(palette),
    series: [
      {
        ...bars(
          seen.map(({ date, fadeMinutes, rednessVerdict }) => ({
            date,
            value: fadeMinutes === -1 ? notYet : (fadeMinutes ?? 0),
            colour: rednessVerdict === 'reaction' || rednessVerdict === 'watch' ? palette.ochre : palette.river,
          })),
        ),
        name: 'minutes to fade',
        markLine: {
          silent: true,
          symbol: 'none',
          lineStyle: { color: palette.faint, type: 'dashed' },
          label: { formatter: 'expected within', color: palette.faint, fontFamily: palette.sans, fontSize: 13 },
          data: [{ yAxis: 30 }],
        },
      },
    ],
  };
}
