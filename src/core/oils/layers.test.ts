import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedLibrary as library } from '../../catalogue/library/library';
import { oilBook as book } from '../../catalogue/oils/oils';
import { adult } from './client';
import { type LayerCase, layerErrors, planLayers, purposesOf, spineStripCm2 } from './layers';
import { leftOn, shareUsed } from './skin-balance';

const shelf = [...book.oils.keys()].map((oil) => ({ oil }));
const wishes = [...(library.protocols.get('spine-oil-layers')?.blocks ?? [])].flatMap(({ id, steps }) =>
  steps.flatMap(({ layer }) => (layer ? [{ step: id, use: layer.use, drops: layer.drops }] : [])),
);
const layers = (change: Partial<LayerCase> = {}) =>
  planLayers(book, { wishes, shelf, client: adult, areaCm2: 900, before: [], ...change });
const given = (change: Partial<LayerCase> = {}) =>
  layers(change).layers.flatMap(({ oil, drops }) => (oil === null ? [] : [{ oil, drops }]));

describe('layers along the spine', () => {
  it('are for what the protocol says', () => {
    expect(wishes.map(({ use }) => purposesOf(use))).toEqual([
      ['muscle-ease'],
      ['circulation'],
      ['joint-warmth'],
      ['calming', 'muscle-ease'],
      ['cooling'],
    ]);
    expect(purposesOf('something else')).toEqual([]);
  });

  it('take oils of the shelf that serve them, another one for each, in six drops where the skin may have so many', () => {
    const { layers: all } = layers();
    const names = all.flatMap(({ oil }) => oil ?? []);
    expect(new Set(names).size).toBe(names.length);
    for (const { oil, purposes, drops, mostDrops } of all) {
      if (oil === null) continue;
      const uses = book.oils.get(oil)?.uses ?? [];
      expect(purposes.some((one) => one === 'cooling' || uses.includes(one))).toBe(true);
      expect(drops).toBe(Math.min(6, mostDrops ?? 6));
    }
    expect(all.map(({ drops }) => drops)).toEqual([6, 6, 6, 6, 6]);
  });

  it('drop from diluted bottles: no oil, no constituent and not all of them together pass what this skin may have', () => {
    const { layers: all, balance } = layers();
    const counted: Record<string, number> = {};
    for (const { oil, drops, strengthPercent, inBottle } of all) {
      expect(strengthPercent).toBeLessThanOrEqual(3);
      expect(inBottle).toBeGreaterThan(0);
      if (oil !== null) counted[oil] = drops;
    }
    for (const line of balance.lines) expect(shareUsed(line, counted), line.of).toBeLessThanOrEqual(1 + 1e-9);
    const gentle = layers({ client: { ...adult, mostPercent: 1 } });
    for (const { strengthPercent } of gentle.layers) expect(strengthPercent).toBeLessThanOrEqual(1);
  });

  it('leave a layer out, with the limit that forbids it, where not one drop may fall', () => {
    const before = [{ oil: 'birch-sweet', percent: 2.35 }];
    const [only] = layers({ wishes: wishes.slice(2, 3), shelf: [{ oil: 'wintergreen' }], before }).layers;
    expect(only).toMatchObject({ oil: null, drops: 0 });
    expect(only?.why).toMatch(/^One drop of wintergreen would be over what this skin may have of /);
    expect(layers({ wishes: wishes.slice(2, 3), shelf: [] }).layers[0]?.why).toContain('The shelf has nothing for');
  });

  it('take what the therapist chooses, as far as the skin may have it', () => {
    const ease = wishes[0]?.step ?? '';
    const own = { [ease]: { oil: 'marjoram-sweet', drops: 9 } };
    const found = layers({ chosen: own });
    expect(found.layers[0]).toMatchObject({ oil: 'marjoram-sweet', drops: 9 });
    expect(found.layers.slice(1).map(({ oil }) => oil)).not.toContain('marjoram-sweet');
    expect(layerErrors(book, found, own)).toEqual([]);
    const cool = wishes[4]?.step ?? '';
    const tooMuch = { [cool]: { oil: 'peppermint', drops: 30 } };
    expect(layerErrors(book, layers({ chosen: tooMuch }), tooMuch)).toMatchObject([
      { step: cool, message: expect.stringMatching(/^This skin may have \d+ more drops of peppermint, not 30\.$/) },
    ]);
    const other = { [cool]: { oil: 'vanilla', drops: 2 } };
    expect(layerErrors(book, layers({ chosen: other }), other)[0]?.message).toMatch(/^Vanilla.* cannot drop here/);
  });

  it('are less on skin that has a blend on it, and none for those who may have nothing scented', () => {
    const strength = (change: Partial<LayerCase>) =>
      layers({ wishes: wishes.slice(0, 1), shelf: [{ oil: 'lavender' }], ...change }).layers[0]?.strengthPercent ?? 0;
    expect(strength({ before: [{ oil: 'cypress', percent: 2.9 }] })).toBeLessThan(strength({}));
    expect(given({ before: [{ oil: 'lavender', percent: 3 }] })).toEqual([]);
    expect(given({ client: { ...adult, mostPercent: 0 } })).toEqual([]);
    expect(given({ client: { age: 1, conditions: [], skin: 'normal' } })).toEqual([]);
  });

  it('never exceed a limit, whatever is on the shelf, and each time say why', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...book.oils.keys()), { maxLength: 30 }),
        fc.integer({ min: 300, max: 2500 }),
        (some, areaCm2) => {
          const found = layers({ shelf: some.map((oil) => ({ oil })), areaCm2 });
          const counted: Record<string, number> = {};
          for (const { oil, drops, why } of found.layers) {
            expect(why).not.toBe('');
            if (oil === null) continue;
            expect(drops).toBeGreaterThan(0);
            expect(drops).toBeLessThanOrEqual(leftOn(found.balance, counted, oil) ?? 30);
            counted[oil] = (counted[oil] ?? 0) + drops;
          }
        },
      ),
      { numRuns: 150 },
    );
  });

  it('are on a strip that is larger on a larger client', () => {
    expect([spineStripCm2(), spineStripCm2(1.75), spineStripCm2(2.1)]).toEqual([900, 900, 1080]);
  });
});
