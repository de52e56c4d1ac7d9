import type { OilId } from '../ids';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { oilBook as book } from '../../catalogue/oils/oils';
import { areas, type BlendPart, useIds } from './book';
import { makeBetter } from './better';
import { checkBlend, judge } from './check';
import type { BlendCase } from './blend-case';
import type { OilClient } from './client';
import { dilute } from './layered';
import { makeSafe } from './mend';
import { substitutesFor } from './substitute';

const oils = [...book.oils.keys()];
const anyClient: fc.Arbitrary<OilClient> = fc.record({
  age: fc.option(fc.integer({ min: 0, max: 95 })),
  conditions: fc.uniqueArray(fc.constantFrom(...book.conditions.keys(), 'frail'), { maxLength: 3 }),
  skin: fc.constantFrom('normal', 'sensitive'),
});
const anyParts = fc
  .uniqueArray(fc.record({ oil: fc.constantFrom(...oils), drops: fc.integer({ min: 1, max: 20 }) }), {
    selector: ({ oil }) => oil,
    minLength: 1,
    maxLength: 6,
  })
  .map((parts): readonly BlendPart[] => parts);
const anyBlend: fc.Arbitrary<BlendCase> = fc.record({
  volumeMl: fc.constantFrom(10, 30, 50, 100),
  area: fc.constantFrom(...areas),
  client: anyClient,
  parts: anyParts,
  basis: fc.constantFrom('max', 'typical'),
});
const isSafe = (input: BlendCase, parts: readonly BlendPart[]) => {
  const { verdict, withinGuide } = judge(book, { ...input, parts });
  return verdict !== 'over' && withinGuide;
};

describe('laws of blends', () => {
  it('making safe passes no limit, adds nothing, and takes no drop that could have stayed', () => {
    fc.assert(
      fc.property(anyBlend, (input) => {
        const mended = makeSafe(book, input);
        const bottle = { ...input, volumeMl: mended?.volumeMl ?? input.volumeMl };
        expect(bottle.volumeMl).toBeLessThanOrEqual(3 * input.volumeMl);
        expect(isSafe(bottle, mended?.parts ?? input.parts)).toBe(true);
        if (!mended) return;
        const drops = (oil: OilId) => mended.parts.find((part) => part.oil === oil)?.drops ?? 0;
        for (const part of input.parts) {
          expect(drops(part.oil)).toBeLessThanOrEqual(part.drops);
          if (drops(part.oil) === part.drops) continue;
          const oneMore = input.parts.map(({ oil }) => ({ oil, drops: drops(oil) + Number(oil === part.oil) }));
          expect(isSafe(bottle, oneMore)).toBe(false);
        }
      }),
      { numRuns: 300 },
    );
  });

  it('making safe takes no oil out that may stay, where three times the medium would keep it', () => {
    const strong = {
      volumeMl: 5,
      area: 'body',
      client: { age: 40, conditions: [], skin: 'normal' },
      basis: 'max',
    } as const;
    const parts = [
      { oil: 'lavender', drops: 1 },
      { oil: 'marjoram-sweet', drops: 1 },
      { oil: 'peppermint', drops: 1 },
      { oil: 'lemongrass', drops: 1 },
    ];
    const mended = makeSafe(book, { ...strong, parts });
    expect(mended?.parts).toHaveLength(4);
    expect(mended?.volumeMl).toBeGreaterThan(5);
    expect(mended?.words).toMatch(/^\d+(\.\d)? mL instead of 5\.$/);
    const impossible = makeSafe(book, { ...strong, parts: [{ oil: 'lemongrass', drops: 1 }], volumeMl: 0.5 });
    expect(impossible?.parts).toEqual([]);
  });

  it('making better never passes a limit', () => {
    fc.assert(
      fc.property(anyBlend, fc.constantFrom(...useIds), (input, use) => {
        const candidates = input.parts.map(({ oil }) => ({ oil, costPerDrop: 3, maxDrops: 60 }));
        const better = makeBetter(book, input.parts, {
          ...input,
          candidates,
          wanted: [{ use, weight: 1 }],
          notes: null,
          targetPercent: 2,
          maxOils: 6,
        });
        if (better) expect(judge(book, { ...input, basis: 'max', parts: better.parts }).verdict).not.toBe('over');
      }),
      { numRuns: 200 },
    );
  });

  it('twice the volume and twice the drops is the same blend', () => {
    fc.assert(
      fc.property(anyBlend, (input) => {
        const once = checkBlend(book, input);
        const twice = checkBlend(book, {
          ...input,
          volumeMl: 2 * input.volumeMl,
          parts: input.parts.map((part) => ({ ...part, drops: 2 * part.drops })),
        });
        expect(twice?.totalPercent ?? NaN).toBeCloseTo(once?.totalPercent ?? NaN, 9);
        expect(twice?.verdict).toBe(once?.verdict);
      }),
    );
  });

  it('one oil more never lowers the sum of what burns in the sun, nor any constituent', () => {
    fc.assert(
      fc.property(anyBlend, fc.constantFrom(...oils), (input, oil) => {
        const before = judge(book, input);
        const after = judge(book, {
          ...input,
          parts: [...input.parts.filter((part) => part.oil !== oil), { oil, drops: 21 }],
        });
        expect(after.phototoxic.sumOfFractions).toBeGreaterThanOrEqual(before.phototoxic.sumOfFractions - 1e-12);
        for (const { id, percent } of before.constituents)
          expect(after.constituents.find((one) => one.id === id)?.percent ?? 0).toBeGreaterThanOrEqual(percent - 1e-12);
      }),
    );
  });

  it('what neat drops are diluted to is inside every limit', () => {
    fc.assert(
      fc.property(anyParts, anyClient, (parts, client) => {
        const { bottleMl, parts: diluted, totalPercent, maxTotalPercent } = dilute(book, parts, client);
        const { findings } = judge(book, { volumeMl: bottleMl, area: 'body', client, parts: diluted, basis: 'max' });
        expect(findings.filter(({ code, severity }) => severity === 'over' && code !== 'avoid')).toEqual([]);
        expect(totalPercent).toBeLessThanOrEqual(maxTotalPercent + 1e-9);
      }),
    );
  });

  it('what stands in for an oil that is out keeps every limit, out of what the shelf has', () => {
    fc.assert(
      fc.property(anyBlend, (input) => {
        const missing = input.parts[0]?.oil ?? '';
        const stock = ['lavender', 'vetiver', 'peppermint', 'bergamot', 'ginger'].map((oil) => ({
          ...{ oil, costPerDrop: 1, maxDrops: 5 },
        }));
        for (const { oil, drops } of substitutesFor(book, input, missing, stock)) {
          expect(drops).toBeLessThanOrEqual(5);
          expect(isSafe(input, [...input.parts.slice(1), { oil, drops }])).toBe(true);
        }
      }),
    );
  });
});
