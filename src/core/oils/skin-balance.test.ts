import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { oilBook as book } from '../../catalogue/oils/oils';
import { adult } from './client';
import { dropsLeft } from './on-skin';
import { leftOn, shareUsed, skinBalance, tightestOf } from './skin-balance';

const skin = (oils: readonly string[], change: Partial<Parameters<typeof skinBalance>[1]> = {}) =>
  skinBalance(book, { ...{ filmMl: 0.9, client: adult, before: [] }, oils: oils.map((oil) => ({ oil })), ...change });

describe('the balance of a piece of skin', () => {
  it('has no room for one drop of wintergreen on 900 cm²: 4.6 % of the film, over its 2.4 %', () => {
    expect(leftOn(skin(['wintergreen']), {}, 'wintergreen')).toBe(0);
    expect(leftOn(skin(['wintergreen'], { filmMl: 9 }), {}, 'wintergreen')).toBe(5);
  });

  it('goes down with each drop that falls, of other oils that bring the same, too', () => {
    const balance = skin(['wintergreen', 'birch-sweet'], { filmMl: 9 });
    const before = leftOn(balance, {}, 'wintergreen') ?? 0;
    expect(leftOn(balance, { wintergreen: 2 }, 'wintergreen')).toBe(before - 2);
    expect(leftOn(balance, { 'birch-sweet': 3 }, 'wintergreen')).toBeLessThan(before);
    expect(tightestOf(balance, { 'birch-sweet': 3 }, 'wintergreen')?.of).toMatch(/salicylate/i);
  });

  it('counts what a blend brings to the same skin', () => {
    const with2 = skin(['wintergreen'], { filmMl: 9, before: [{ oil: 'wintergreen', percent: 2 }] });
    expect(leftOn(with2, {}, 'wintergreen')).toBe(0);
    expect(shareUsed(with2.lines[0] ?? { of: '', limitPercent: 0, usedPercent: 0, perDrop: {} }, {})).toBeCloseTo(
      2 / 2.4,
      6,
    );
  });

  it('knows no limit where there is none, but for all oils together where that is bounded', () => {
    expect(leftOn(skin(['marjoram-sweet']), {}, 'not-there')).toBeNull();
    const bounded = skin(['marjoram-sweet'], { filmMl: 90, mostTogether: 1 });
    expect(tightestOf(bounded, {}, 'marjoram-sweet')?.of).toBe('all oils together');
    expect(leftOn(skin(['lavender'], { mostTogether: 1 }), {}, 'lavender')).toBe(0);
  });

  it('has room for more drops the more they are diluted', () => {
    const diluted = skin([], { oils: [{ oil: 'wintergreen', strengthPercent: 2 }] });
    expect(leftOn(diluted, {}, 'wintergreen')).toBe(25);
    expect(leftOn(diluted, { wintergreen: 23 }, 'wintergreen')).toBe(2);
  });

  it('says the same as the check of a whole blend in that film', () => {
    const oils = [...book.oils.keys()];
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...oils), { minLength: 1, maxLength: 5 }),
        fc.constantFrom(0.9, 5, 30),
        fc.array(fc.integer({ min: 0, max: 6 }), { minLength: 5, maxLength: 5 }),
        (some, filmMl, drops) => {
          const counted = Object.fromEntries(some.map((oil, i) => [oil, drops[i] ?? 0]));
          const parts = some.map((oil) => ({ oil, drops: counted[oil] ?? 0 }));
          const balance = skin(some, { filmMl });
          for (const oil of some)
            expect(leftOn(balance, counted, oil), oil).toBe(
              dropsLeft(book, { volumeMl: filmMl, area: 'body', parts }, oil, 'max'),
            );
        },
      ),
      { numRuns: 150 },
    );
  });
});
