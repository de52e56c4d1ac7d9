import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { oilBook } from '../../catalogue/oils/oils';
import { bestBlend } from '../../core/oils/best/best-blend';
import { useIds } from '../../core/oils/book';
import type { OilBenchView } from '../../contracts/oil-views';
import { firstDraft } from './blend-draft';
import { betterThan, followingFrom, usableOf, wishFrom } from './blend-selectors';

const bottle = (oil: string, change: object = {}) => ({
  ...{ oil, freshness: 'fresh', leftMl: 8, centsPerMl: 100, dropsPerMl: 20, openedOn: null, useBy: null },
  ...change,
});

const benchWith = (change: object = {}): OilBenchView =>
  ({
    shelf: [bottle('lavender'), bottle('sweet-orange', { freshness: 'old' }), bottle('frankincense', { leftMl: 0 })],
    carriers: [bottle('jojoba', { centsPerMl: 10 })],
    scope: { mayBlend: true, why: '' },
    client: null,
    visit: null,
    visits: [],
    blends: [],
    usedBefore: [],
    ...change,
  }) as unknown as OilBenchView;

const blend = {
  ...firstDraft(benchWith()).blend,
  ...{ area: 'body', volumeMl: 30, carrier: 'jojoba', uses: ['calming'] },
  parts: [{ oil: 'lavender', drops: 6, dropsPerMl: 20 }],
} as ReturnType<typeof firstDraft>['blend'];

describe('what the bench may use', () => {
  it('is neither too old nor empty', () => {
    expect(usableOf(benchWith()).map(({ oil }) => oil)).toEqual(['lavender']);
  });

  it('is looked for with the client’s own likes', () => {
    const wish = wishFrom(benchWith(), blend);
    expect(wish.wanted).toEqual([{ use: 'calming', weight: 1 }]);
    expect(wish.candidates.map(({ oil }) => oil)).toEqual(['lavender']);
    expect(wish.maxOils).toBe(4);
  });
});

describe('the best blend', () => {
  it('is not said to be better with a drop more or less: both measure by the same', () => {
    const oils = ['lavender', 'orange-sweet', 'vetiver', 'marjoram-sweet', 'frankincense', 'ginger', 'geranium'];
    const bench = benchWith({ shelf: oils.map((oil) => bottle(oil)) });
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...useIds), { minLength: 1, maxLength: 3 }),
        fc.constantFrom(5, 10, 15, 30),
        (uses, volumeMl) => {
          const wished = { ...blend, uses, volumeMl };
          const answer = bestBlend(oilBook, wishFrom(bench, wished));
          if (answer.kind === 'none') return;
          const parts = answer.blend.parts.map((part) => ({ ...part, dropsPerMl: 20 }));
          expect(betterThan(bench, { ...wished, parts })).toBeNull();
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('what follows from a blend', () => {
  it('has its cost: oils and carrier by the bottle they are poured from', () => {
    const { check, costCents } = followingFrom(benchWith(), blend);
    expect(check?.parts[0]?.ml).toBeCloseTo(0.3, 9);
    expect(costCents).toBeCloseTo(0.3 * 100 + (30 - 0.3) * 10, 6);
  });

  it('changes nothing for a therapist who may only pour what is ready', () => {
    const following = followingFrom(benchWith({ scope: { mayBlend: false, why: 'not learned' } }), blend);
    expect(following).toMatchObject({ mayCompose: false, safe: null, better: null, isScented: true });
  });

  it('is safe already, so nothing is offered to make it safe', () => {
    expect(followingFrom(benchWith(), blend)).toMatchObject({ mayCompose: true, safe: null });
  });

  it('offers a blend inside the limits where it is over them', () => {
    const strong = { ...blend, parts: [{ oil: 'lavender', drops: 80, dropsPerMl: 20 }] } as typeof blend;
    const { safe } = followingFrom(benchWith(), strong);
    expect(safe?.parts[0]?.drops).toBeLessThan(80);
  });

  it('says nothing of more oil than the bottle holds', () => {
    const full = { ...blend, volumeMl: 1 } as typeof blend;
    const over = { ...full, parts: [{ oil: 'lavender', drops: 60, dropsPerMl: 20 }] } as typeof blend;
    expect(followingFrom(benchWith(), over).check).toBeNull();
  });
});
