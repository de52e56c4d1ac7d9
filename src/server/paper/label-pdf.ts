import type { LabelLine, LabelSize, Measure } from '../../core/oils/label';
import { labelLeading, labelMarginMm } from '../../core/oils/label';
import { makePdf, runs } from './pdf';

/** How wide letters of the house's font are, in its size; a little more than they are, so that what fits here fits. */
const classes: readonly (readonly [RegExp, number])[] = [
  [/[iljI.,:;'|!()·]/, 0.32],
  [/[mwMW%@]/, 0.92],
  [/[A-Z]/, 0.69],
  [/ /, 0.28],
];
const usualWidth = 0.58;
const boldFactor = 1.06;

export const labelMeasure: Measure = (text, look) => {
  const width = [...text].reduce(
    (sum, letter) => sum + (classes.find(([pattern]) => pattern.test(letter))?.[1] ?? usualWidth),
    0,
  );
  return look === 'title' ? width * boldFactor : width;
};

const pointsPerMm = 72 / 25.4;

/** A label on a page of its own size, fonts embedded. */
export function printLabel(lines: readonly LabelLine[], size: LabelSize): Promise<Buffer> {
  const margin = labelMarginMm * pointsPerMm;
  return makePdf({
    pageSize: { width: size.widthMm * pointsPerMm, height: size.heightMm * pointsPerMm },
    pageMargins: [margin, margin, margin, margin],
    info: { title: lines[0]?.text ?? 'Label' },
    content: lines.map(({ look, text }) => ({
      text: runs(text),
      fontSize: size.points[look],
      bold: look === 'title',
      lineHeight: labelLeading - 0.12,
    })),
  });
}
