import { formatNumber, formatSigned } from '../units';
import { countOf } from '../wording/count';
import type { FigureAt } from './before-after';
import { changeSays } from './change.says';
import type { Figure } from './figures';

type Unit = Figure['unit'];

const decimals: Readonly<Record<Unit, number>> = { cm: 1, '°': 0, '°C': 1, mm: 0, '%': 1, 'of 10': 0, grade: 0 };
const behind: Readonly<Record<Unit, string>> = {
  cm: ' cm',
  '°': '°',
  '°C': ' °C',
  mm: ' mm',
  '%': ' %',
  'of 10': ' of 10',
  grade: '',
};

export const figureText = (unit: Unit, value: number, steps: readonly string[] = []): string =>
  steps[value] ?? `${formatNumber(value, decimals[unit])}${behind[unit]}`;
export const changeText = (unit: Unit, value: number, steps: readonly string[] = []): string =>
  // What has names has no plus and minus: it went so many of them.
  steps.length > 0 ? countOf(Math.abs(value), 'step') : `${formatSigned(value, decimals[unit])}${behind[unit]}`;

type Told = Pick<Figure, 'unit'> & { readonly steps?: readonly string[] | undefined };
type At = Pick<FigureAt<unknown>, 'before' | 'after' | 'change' | 'isBeyond' | 'isBetter'>;

/** `45° → 60°`, or what was taken of the two. */
export function figuresText({ unit, steps }: Told, { before, after }: Pick<At, 'before' | 'after'>): string {
  const text = (value: number) => figureText(unit, value, steps);
  if (before !== null && after !== null) return changeSays.fromTo(text(before), text(after));
  if (before !== null) return changeSays.onlyBefore(text(before));
  return changeSays.onlyAfter(text(after ?? 0));
}

/** Whether it is better, and whether that is more than the error of measuring. */
export function verdictOf({ change, isBeyond, isBetter }: Omit<At, 'before' | 'after'>): string {
  if (change === 0) return changeSays.same;
  if (isBeyond !== true) return changeSays.within;
  if (isBetter === null) return changeSays.beyond;
  return isBetter ? changeSays.better : changeSays.worse;
}
