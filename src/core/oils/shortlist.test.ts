import { describe, expect, it } from 'vitest';
import { oilBook as book } from '../../catalogue/oils/oils';
import { adult } from './client';
import { isMentioned, type Shelved, shortlist, type ShortlistWish, targetPercentFor } from './shortlist';

const shelf: readonly Shelved[] = [...book.oils.keys()].map((oil) => ({
  oil,
  leftMl: 5,
  dropsPerMl: null,
  centsPerMl: 90,
}));
const wish = (change: Partial<ShortlistWish> = {}): ShortlistWish => ({
  ...{ area: 'body', client: adult, uses: ['sleep'], likes: '', dislikes: '' },
  ...change,
});
const oils = (change: Partial<ShortlistWish> = {}) => shortlist(book, shelf, wish(change)).map(({ oil }) => oil);

describe('oils worth choosing from', () => {
  it('serve what is wanted, few enough to search, with some of every note', () => {
    const list = oils();
    expect(list.length).toBeLessThanOrEqual(9);
    expect(new Set(list.map((oil) => book.oils.get(oil)?.note))).toEqual(new Set(['top', 'middle', 'base']));
    expect(list).toContain('lavender');
  });

  it('are none that the client avoids or dislikes, and first what is liked', () => {
    expect(oils({ dislikes: 'lavender, mint' }).some((oil) => /lavender|mint/.test(oil))).toBe(false);
    expect(oils({ uses: [], likes: 'cedar' })).toContain('cedarwood-atlas');
    const pregnant = { ...adult, conditions: ['pregnancy'] };
    expect(oils({ client: pregnant, uses: ['muscle-ease'] })).not.toContain('wintergreen');
  });

  it('do not propose what has to be dosed with the greatest care', () => {
    expect(oils({ uses: ['muscle-ease', 'joint-warmth'] })).not.toContain('wintergreen');
  });

  it('have no more drops than the bottle has', () => {
    const [last] = shortlist(book, [{ oil: 'lavender', leftMl: 0.2, dropsPerMl: 30, centsPerMl: 60 }], wish());
    expect(last).toMatchObject({ maxDrops: 6, costPerDrop: 2, dropsPerMl: 30 });
  });

  it('aim at what is usual, or at what the client may have', () => {
    expect(targetPercentFor(book, adult, 'body')).toBe(2);
    expect(targetPercentFor(book, { ...adult, age: 80 }, 'body') * 1.05).toBeCloseTo(1, 9);
    expect(targetPercentFor(book, { ...adult, mostPercent: 0 }, 'body')).toBe(0);
  });
});

describe('a scent that somebody named', () => {
  it.each([
    ['rose', 'Rose otto', 'floral-heavy', true],
    ['rose', 'Rosemary, cineole type', 'camphorous', false],
    ['mint', 'Peppermint', 'minty', true],
    ['anything citrus', 'Lemon, expressed', 'citrus', true],
    ['cedar', 'Atlas cedarwood', 'woody', true],
    ['sweet things', 'Sweet marjoram', 'herbal', false],
    ['', 'Lavender', 'floral-herbal', false],
  ])('“%s” and %s: %s', (text, name, family, is) => {
    expect(isMentioned(text, name, family)).toBe(is);
  });
});
