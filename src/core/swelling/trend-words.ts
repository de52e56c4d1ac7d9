import { formatNumber } from '../units';
import type { ShownVolumes } from '../volume-units';
import type { Trend } from './trend';

const numbers = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** Small counts as words, as in running text. */
export const countInWords = (count: number) => numbers[count] ?? String(count);

/** A trend of volumes (mL) in the unit that the reader uses. */
export function volumeTrendInWords(trend: Trend | null | undefined, volumes: ShownVolumes): string {
  const { from } = volumes;
  const shown = trend && {
    ...trend,
    slopePerWeek: from(trend.slopePerWeek),
    lowPerWeek: trend.lowPerWeek === null ? null : from(trend.lowPerWeek),
    highPerWeek: trend.highPerWeek === null ? null : from(trend.highPerWeek),
    first: from(trend.first),
    last: from(trend.last),
  };
  return trendInWords(shown, volumes.name, volumes.decimals);
}

/**
 * A trend as a sentence, such as “Falling by 31 mL a week, between 18 and 44; six visits.” The word tells the way, so
 * that no colour has to.
 */
export function trendInWords(trend: Trend | null | undefined, unit: string, decimals: number, what = 'visits'): string {
  if (!trend) return `Two ${what} on different days make a first comparison, four a trend.`;
  const size = (value: number) => formatNumber(Math.abs(value), decimals);
  const count = `${countInWords(trend.n)} ${what}`;
  if (trend.lowPerWeek === null || trend.highPerWeek === null)
    return `${formatNumber(trend.first, decimals)} to ${formatNumber(trend.last, decimals)} ${unit}; ${count} are too few to tell a trend.`;
  const [low, high] = [Math.abs(trend.lowPerWeek), Math.abs(trend.highPerWeek)].sort((a, b) => a - b) as [
    number,
    number,
  ];
  switch (trend.direction) {
    case 'falling':
    case 'rising':
      return `${trend.direction === 'falling' ? 'Falling' : 'Rising'} by ${size(trend.slopePerWeek)} ${unit} a week, between ${size(low)} and ${size(high)}; ${count}.`;
    case 'steady':
      return `Steady: within ${size(Math.max(low, high))} ${unit} a week either way; ${count}.`;
    case 'unclear':
      return `No clear trend: between ${formatNumber(trend.lowPerWeek, decimals)} and ${formatNumber(trend.highPerWeek, decimals)} ${unit} a week; ${count}.`;
  }
}
