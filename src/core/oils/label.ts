import type { Millilitres } from '../quantities';
import { totalMlOf } from './amounts';
import type { Area, BlendPart, OilBook } from './book';
import { carrierOf, oilOf } from './book';
import type { BottleWords } from './bottle-words';
import { addMonths } from './stock';
import { oilsSays } from './oils.says';

export interface LabelFacts {
  readonly name: string;
  readonly initials: string;
  readonly area: Area;
  readonly volumeMl: Millilitres;
  readonly carrier: string;
  readonly parts: readonly BlendPart[];
  readonly mixedOn: string;
  readonly useBy: string;
  /** Hours out of the sun; 0: none. */
  readonly sunHours: number;
}

/** A finished blend keeps three months, a water-based one a month, and no longer than any of its parts. */
export function usableUntil(mixedOn: string, isWaterBased: boolean, bestBefores: readonly (string | null)[]): string {
  const own = addMonths(mixedOn, isWaterBased ? 1 : 3);
  return bestBefores.reduce<string>((least, date) => (date !== null && date < least ? date : least), own);
}

export type LineLook = 'title' | 'text' | 'small';
export interface LabelLine {
  readonly look: LineLook;
  readonly text: string;
}

/** What stands on the bottle: what is in it by common and Latin name, how strong, until when, and what to mind. */
export function labelLines(book: OilBook, facts: LabelFacts, words: BottleWords): readonly LabelLine[] {
  const { name, initials, area, volumeMl, carrier, parts, mixedOn, useBy, sunHours } = facts;
  const used = parts.filter(({ drops }) => drops > 0);
  const base = carrierOf(book, carrier);
  const percent = (100 * totalMlOf(book, used)) / volumeMl;
  const contents = [
    base.latin === null ? words.oilName(base.id) : `${words.oilName(base.id)} (${base.latin})`,
    ...used.map(({ oil, drops }) => `${words.oilName(oil)} (${oilOf(book, oil).latin}) ${drops}`),
  ];
  const sun = sunHours > 0 ? [words.noSun(sunHours)] : [];
  return [
    { look: 'title', text: initials === '' ? name : `${name} · ${initials}` },
    { look: 'text', text: `${contents.join(', ')}.` },
    { look: 'text', text: words.made(words.percent(percent), volumeMl, mixedOn, useBy) },
    { look: 'small', text: [words.goes[area], words.mind, ...sun].join(' ') },
  ];
}

export const labelSizeIds = ['small', 'usual', 'large'] as const;

export interface LabelSize {
  readonly id: (typeof labelSizeIds)[number];
  readonly words: string;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Size of letters (pt) by look. */
  readonly points: Readonly<Record<LineLook, number>>;
}

export const labelSizes: readonly LabelSize[] = [
  { id: 'small', words: oilsSays.small5025Mm, widthMm: 50, heightMm: 25, points: { title: 7, text: 5, small: 4.5 } },
  { id: 'usual', words: oilsSays.usual7037Mm, widthMm: 70, heightMm: 37, points: { title: 10, text: 7, small: 6 } },
  {
    id: 'large',
    words: oilsSays.large9957Mm,
    widthMm: 99,
    heightMm: 57,
    points: { title: 14, text: 9.5, small: 8.5 },
  },
];

export const labelMarginMm = 2;
export const labelLeading = 1.18;
const mmPerPoint = 25.4 / 72;

/** How wide a text is at one point (pt); the printer's own letters measure it. */
export type Measure = (text: string, look: LineLook) => number;

/** Height that the lines take on a label (mm), words kept whole; Infinity where one word is wider than the label. */
export function heightOnLabel(lines: readonly LabelLine[], size: LabelSize, measure: Measure): number {
  const widthMm = size.widthMm - 2 * labelMarginMm;
  const rows = lines.map(({ text, look }) => {
    const points = size.points[look];
    const wide = (part: string) => measure(part, look) * points * mmPerPoint;
    let count = 1;
    let line = '';
    for (const word of text.split(' ')) {
      if (wide(word) > widthMm) return Infinity;
      const longer = line === '' ? word : `${line} ${word}`;
      if (wide(longer) <= widthMm) line = longer;
      else {
        count += 1;
        line = word;
      }
    }
    return count * points * mmPerPoint * labelLeading;
  });
  return rows.reduce((sum, height) => sum + height, 0);
}

export const fitsLabel = (lines: readonly LabelLine[], size: LabelSize, measure: Measure): boolean =>
  heightOnLabel(lines, size, measure) <= size.heightMm - 2 * labelMarginMm;
