import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type PageItem, tagsOf } from './tagged-pdf';

const line = (
  text: string,
  change: { points?: number; bold?: boolean; isLast?: boolean; y?: number } = {},
): PageItem => ({
  type: 'line',
  item: {
    y: change.y ?? 100,
    lastLineInParagraph: change.isLast ?? true,
    inlines: text.split(' ').map((word) => ({
      text: word,
      fontSize: change.points ?? 11,
      font: { name: change.bold ? 'Sans-Bold' : 'Sans' },
    })),
  },
});
const vector: PageItem = { type: 'vector', item: {} };
const kinds = (items: readonly PageItem[]) =>
  tagsOf(items, 800).map(({ tag, items: count }) => [tag?.kind ?? 'decoration', count]);

describe('what a page is read as', () => {
  it('puts the lines of a paragraph together', () => {
    expect(kinds([line('a', { isLast: false }), line('b'), line('c')])).toEqual([
      ['P', 2],
      ['P', 1],
    ]);
  });

  it('knows title and headings by size and weight, and takes no figure and no number for one', () => {
    expect(kinds([line('The leg', { points: 22, bold: true }), line('Before', { points: 13, bold: true })])).toEqual([
      ['H1', 1],
      ['H2', 1],
    ]);
    expect(kinds([line('312 mL', { points: 15, bold: true }), line('Bold', { bold: true })])).toEqual([
      ['P', 1],
      ['P', 1],
    ]);
    expect(kinds([line('Before', { points: 13 })])).toEqual([['P', 1]]);
  });

  it('reads a picture by its words, and none that has none', () => {
    expect(tagsOf([{ type: 'svg', item: { alt: '1 The neck' } }], 800)[0]?.tag).toEqual({
      kind: 'Figure',
      alt: '1 The neck',
    });
    expect(kinds([{ type: 'svg', item: {} }, vector])).toEqual([
      ['decoration', 1],
      ['decoration', 1],
    ]);
  });

  it('leaves out what repeats below, and ends a paragraph where something else comes', () => {
    expect(kinds([line('a', { isLast: false }), vector, line('b'), line('page 1', { y: 810 })])).toEqual([
      ['P', 1],
      ['decoration', 1],
      ['P', 1],
      ['decoration', 1],
    ]);
  });

  it('lets a paragraph go on behind what is drawn into it, and only there', () => {
    const dot = [line('a', { isLast: false }), vector, line('b'), vector, line('c')];
    expect(tagsOf(dot, 800).map(({ goesOn = false }) => goesOn)).toEqual([false, false, true, false, false]);
  });

  it('leaves out no item of a page and takes none twice', () => {
    const anyItem = fc.oneof(
      fc.record({ isLast: fc.boolean(), y: fc.integer({ min: 0, max: 840 }) }).map((change) => line('word', change)),
      fc.constantFrom(vector, { type: 'svg', item: { alt: 'a' } }, { type: 'beginClip', item: {} }),
    );
    fc.assert(
      fc.property(fc.array(anyItem), (items) => {
        const all = tagsOf(items, 800);
        expect(all.reduce((sum, one) => sum + one.items, 0)).toBe(items.length);
        expect(all.every((one) => one.items > 0)).toBe(true);
      }),
    );
  });
});
