import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { oilBook as book } from '../../catalogue/oils/oils';
import { checkBlend } from './check';
import type { BlendCase } from './blend-case';
import { dropsLeft, filmOf } from './on-skin';

const adult = { age: 44, conditions: [], skin: 'normal' } as const;
const blend = (change: Partial<BlendCase> = {}): BlendCase => ({
  ...{ volumeMl: 30, area: 'body', client: adult, basis: 'max' },
  parts: [{ oil: 'wintergreen', drops: 10 }],
  ...change,
});
const check = (change: Partial<BlendCase> = {}) => {
  const found = checkBlend(book, blend(change));
  if (!found) throw new Error('it does not fit');
  return found;
};
const codes = (change: Partial<BlendCase>) => check(change).findings.map(({ code }) => code);

describe('what lies on the skin already', () => {
  const layers = [{ area: 'body', parts: [{ oil: 'wintergreen', drops: 10 }] }] as const;

  it('is judged together with what comes: ten drops alone are within the limit, with ten on the back they are over', () => {
    expect(check().verdict).not.toBe('over');
    expect(codes({ already: layers })).toContain('over-oil-limit');
    expect(check({ already: layers }).findings[0]?.text).toContain('with what lies there already');
  });

  it('leaves the percent of the blend itself as it is, and adds up constituents', () => {
    const [alone, together] = [check(), check({ already: layers })];
    expect(together.parts[0]?.percent).toBe(alone.parts[0]?.percent);
    expect(together.totalPercent).toBe(alone.totalPercent);
    expect(together.parts[0]?.shareOfLimit).toBeCloseTo(2 * (alone.parts[0]?.shareOfLimit ?? 0), 9);
    expect(together.constituents[0]?.percent).toBeCloseTo(2 * (alone.constituents[0]?.percent ?? 0), 9);
  });

  it('counts on its own area only', () => {
    expect(check({ already: [{ area: 'face', parts: [{ oil: 'wintergreen', drops: 10 }] }] })).toEqual(check());
  });

  it('brings its own constituents along, of oils that are not in the blend', () => {
    const birch = [{ area: 'body', parts: [{ oil: 'wintergreen', drops: 40 }] }] as const;
    const found = check({ parts: [{ oil: 'lavender', drops: 6 }], already: birch });
    expect(found.constituents.map(({ id }) => id)).toContain('methyl-salicylate');
    expect(found.verdict).toBe('over');
  });

  it('shares the larger of the films, not their sum', () => {
    expect(filmOf(blend({ already: [{ area: 'body', parts: [], volumeMl: 50 }] }))).toBe(50);
    expect(filmOf(blend({ already: [{ area: 'face', parts: [], volumeMl: 50 }] }))).toBe(30);
  });
});

describe('what would mend it', () => {
  it('names drops of this blend, as many as are enough: what lies there already cannot be taken out again', () => {
    const already = [{ area: 'body', parts: [{ oil: 'wintergreen', drops: 12 }] }] as const;
    const parts = [{ oil: 'wintergreen', drops: 8 }];
    const found = check({ parts, already }).findings.find(({ code }) => code === 'over-constituent-limit');
    const less = ['no', 'one', 'two', 'three', '4', '5', '6', '7', '8'].findIndex((word) =>
      found?.text.includes(`${word} drop`),
    );
    expect(less).toBeGreaterThan(0);
    const mended = check({ parts: [{ oil: 'wintergreen', drops: 8 - less }], already });
    expect(mended.findings.map(({ code }) => code)).not.toContain('over-constituent-limit');
  });
});

describe('drops that are left', () => {
  const someOils = ['wintergreen', 'bergamot', 'clove-bud', 'lavender', 'peppermint'].filter((id) => book.oils.has(id));
  const any = fc.record({
    parts: fc
      .uniqueArray(fc.constantFrom(...someOils), { minLength: 1, maxLength: 3 })
      .chain((oils) =>
        fc.tuple(...oils.map((oil) => fc.record({ oil: fc.constant(oil), drops: fc.integer({ min: 0, max: 20 }) }))),
      ),
    before: fc.integer({ min: 0, max: 20 }),
    film: fc.option(fc.integer({ min: 5, max: 80 }), { nil: undefined }),
    oil: fc.constantFrom(...someOils),
  });
  const isOver = ({ findings }: ReturnType<typeof check>) => findings.some(({ code }) => code.startsWith('over-'));

  it('may fall, and one more may not', () => {
    fc.assert(
      fc.property(any, ({ parts, before, film, oil }) => {
        const already = [{ area: 'body', parts: [{ oil, drops: before }], volumeMl: film }] as const;
        const left = dropsLeft(book, blend({ parts, already }), oil, 'max');
        const withMore = (more: number) => {
          const own = parts.find((part) => part.oil === oil)?.drops ?? 0;
          const others = parts.filter((part) => part.oil !== oil);
          return check({ parts: [...others, { oil, drops: own + more }], already });
        };
        // More than the bottle holds is asked nowhere.
        if (left === null || left > 300) return;
        // What another oil is over is not this one's to mend.
        if (isOver(withMore(0))) return;
        expect(isOver(withMore(left))).toBe(false);
        expect(isOver(withMore(left + 1))).toBe(true);
      }),
    );
  });

  it('is null where nothing limits an oil', () => {
    const free = [...book.oils.values()].find(({ id }) => dropsLeft(book, blend({ parts: [] }), id, 'max') === null);
    expect(free).toBeDefined();
  });
});
