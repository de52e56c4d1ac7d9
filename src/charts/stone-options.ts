import type { Celsius } from '../core/quantities';
import type { Contact } from '../core/stones/contact';
import type { ChartOption } from './course-options';
import type { Palette } from './palette';

export interface StoneChart {
  readonly contact: Contact;
  /** The same without a cloth; left out where it is what is shown. */
  readonly bare: Contact | undefined;
  /** Pinned to compare with. */
  readonly before: Contact | undefined;
  readonly basalCautionC: Celsius;
  readonly isCold: boolean;
}

/** Stone, skin and the layer below it against time and the limits. */
export function stoneOption(
  { contact, bare, before, basalCautionC, isCold }: StoneChart,
  palette: Palette,
): ChartOption {
  const label = { fontFamily: palette.sans, fontSize: 13, color: palette.soft };
  const all = [contact, ...(bare ? [bare] : []), ...(before ? [before] : [])].flatMap(({ curve }) =>
    curve.flatMap(({ stoneC, surfaceC, basalC }) => [stoneC, surfaceC, basalC]),
  );
  const [least, most] = [Math.floor(Math.min(...all) / 4) * 4, Math.ceil(Math.max(...all, isCold ? 36 : 46) / 4) * 4];
  const end = contact.curve.at(-1)?.s ?? 60;
  const line = (
    name: string,
    points: readonly { readonly s: number; readonly c: number }[],
    color: string,
    style: { readonly width: number; readonly type?: string; readonly offset?: number },
  ) => ({
    type: 'line',
    name,
    data: points.map(({ s, c }) => [s, c]),
    showSymbol: false,
    lineStyle: { color, width: style.width, type: style.type ?? 'solid' },
    itemStyle: { color },
    labelLayout: { moveOverlap: 'shiftY' },
    endLabel: { show: true, formatter: name, ...label, color, fontWeight: 700, offset: [0, style.offset ?? 0] },
  });
  const of = (one: Contact, key: 'stoneC' | 'surfaceC' | 'basalC') =>
    one.curve.map((point) => ({ s: point.s, c: point[key] }));
  return {
    animation: false,
    grid: { left: 44, right: 140, top: 14, bottom: 30 },
    xAxis: {
      type: 'value',
      min: 0,
      max: end,
      interval: end >= 240 ? 60 : Math.max(5, Math.round(end / 5 / 5) * 5),
      axisLabel: {
        ...label,
        formatter: (s: number) => (s % 60 === 0 ? `${s / 60} min` : `${Math.round(s)} s`),
        hideOverlap: true,
      },
      splitLine: { show: false },
      axisLine: { lineStyle: { color: palette.line } },
    },
    yAxis: {
      type: 'value',
      min: least,
      max: most,
      interval: 4,
      axisLabel: { ...label, formatter: (c: number) => `${c}°` },
      splitLine: { lineStyle: { color: palette.line } },
    },
    series: [
      ...(isCold
        ? []
        : [
            {
              type: 'line',
              name: 'limit',
              data: [
                [0, basalCautionC],
                [end, basalCautionC],
              ],
              labelLayout: { moveOverlap: 'shiftY' },
              endLabel: { show: true, ...label, formatter: `skin: lift from ${basalCautionC}°`, color: palette.ochre },
              showSymbol: false,
              lineStyle: { color: palette.ochre, width: 1, type: 'dotted' },
            },
          ]),
      line('stone', of(contact, 'stoneC'), palette.ink, { width: 3 }),
      line('skin', of(contact, 'surfaceC'), palette.ochre, { width: 3, offset: -8 }),
      line('deeper skin', of(contact, 'basalC'), palette.river, { width: 2, offset: 8 }),
      ...(bare ? [line('skin, no cloth', of(bare, 'surfaceC'), palette.plum, { width: 2, type: 'dashed' })] : []),
      ...(before ? [line('skin, before', of(before, 'surfaceC'), palette.soft, { width: 2, type: 'dashed' })] : []),
    ],
  };
}
