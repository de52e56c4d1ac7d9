import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stoneBook as book } from '../../catalogue/stones/stones';
import { materialIds, skinIds } from './book';
import { type ContactCase, contactOf, interfaceC } from './contact';
import { damageRate } from './damage';

const laid: ContactCase = {
  material: 'basalt',
  thicknessMm: 25,
  startC: 50,
  mode: 'still',
  towelLayers: 1,
  seconds: 300,
  skin: 'normal',
  skinStartC: 33,
  ambientC: 24,
};
const contact = (change: Partial<ContactCase> = {}) => contactOf(book, { ...laid, ...change });
const at = (curve: ReturnType<typeof contact>['curve'], s: number) => curve.find((point) => point.s === s);
const near = (value: number | undefined, expected: number, within = 0.15) =>
  expect(Math.abs((value ?? NaN) - expected), `${value} for ${expected}`).toBeLessThanOrEqual(within);

describe('the first instant of contact', () => {
  it.each([
    ['basalt', 45.7, 44.4, 17.6],
    ['marble', 46.7, 45.2, 16.4],
    ['jadeite', 47.9, 46.3, 15.0],
    ['nephrite', 47.3, 45.8, 15.7],
    ['serpentine', 46.7, 45.3, 16.4],
    ['soapstone', 47.4, 45.8, 15.6],
    ['granite', 46.4, 45.0, 16.7],
    ['rose-quartz', 48.0, 46.4, 14.9],
    ['selenite', 45.2, 43.9, 18.2],
  ] as const)('%s feels as its effusivity says', (material, at52, at50, at10) => {
    for (const [stoneC, expected] of [
      [52, at52],
      [50, at50],
      [10, at10],
    ] as const)
      near(interfaceC(book, material, stoneC, 33), expected, 0.06);
  });
});

describe('a stone laid on one towel', () => {
  const result = contact();

  it('warms the skin as worked out by hand', () => {
    for (const [s, stoneC, surfaceC, basalC] of [
      [30, 49.63, 35.3, 35.18],
      [60, 49.34, 36.39, 36.28],
      [120, 48.8, 37.75, 37.66],
      [180, 48.31, 38.61, 38.53],
      [300, 47.42, 39.62, 39.55],
    ] as const) {
      const point = at(result.curve, s);
      near(point?.stoneC, stoneC);
      near(point?.surfaceC, surfaceC);
      near(point?.basalC, basalC);
    }
    near(result.interfaceC, 44.39);
    expect(result.omega / 4.52e-5).toBeGreaterThan(1 / 1.1);
    expect(result.omega / 4.52e-5).toBeLessThan(1.1);
    expect([result.burnRisk, result.basalPeakAtS]).toEqual(['caution', 300]);
  });

  it('has a point every few seconds and one at the end', () => {
    expect(result.curve.map(({ s }) => s)).toEqual(Array.from({ length: 61 }, (_, i) => i * 5));
    expect(contact({ seconds: 7 }).curve.map(({ s }) => s)).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
    expect(contact({ seconds: 125 }).curve.at(-1)?.s).toBe(125);
  });

  it('peaks when it is left, less on two layers, more under a damp one', () => {
    const left = contact({ seconds: 900 });
    near(left.basalPeakC, 40.42);
    expect(Math.abs(left.basalPeakAtS - 703)).toBeLessThan(703 * 0.08);
    const two = contact({ towelLayers: 2 });
    near(two.basalPeakC, 37.87);
    expect(two.burnRisk).toBe('none');
    near(contact({ isTowelDamp: true }).basalPeakC, 42.68);
  });

  it('is judged by the kind of skin', () => {
    const [thin, thick] = [contact({ skin: 'thin' }), contact({ skin: 'thick' })];
    near(thin.basalPeakC, 39.97);
    near(thick.basalPeakC, 39.09);
    expect([thin.burnRisk, thick.burnRisk]).toEqual(['stop', 'caution']);
  });
});

describe('a stone on bare skin', () => {
  it.each([
    [50, 44.39, 44.72, 44.59, 177, 4.4e-3],
    [60, 51.08, 51.34, 51.11, 169, 0.498],
    [65, 54.43, 54.65, 54.37, 166, 4.94],
  ] as const)('left lying at %d °C is stopped', (startC, first, surface, basal, atS, omega) => {
    const result = contact({ towelLayers: 0, startC });
    near(result.interfaceC, first);
    near(result.skinSurfacePeakC, surface);
    near(result.basalPeakC, basal);
    expect(Math.abs(result.basalPeakAtS - atS)).toBeLessThan(Math.max(10, atS * 0.08));
    expect(result.omega / omega).toBeGreaterThan(1 / 1.1);
    expect(result.omega / omega).toBeLessThan(1.1);
    expect(result.burnRisk).toBe('stop');
  });

  it('chills when it is cold', () => {
    const cold = contact({ material: 'marble', thicknessMm: 20, startC: 8, seconds: 60, towelLayers: 0 });
    near(cold.interfaceC, 15.0);
    near(at(cold.curve, 5)?.surfaceC, 17.2);
    near(at(cold.curve, 20)?.surfaceC, 16.46);
    near(cold.skinSurfacePeakC, 15.79);
    near(cold.basalPeakC, 16.23);
    expect(cold.burnRisk).toBe('none');
    const longer = contact({ material: 'marble', thicknessMm: 20, startC: 8, seconds: 61, towelLayers: 0 });
    expect(longer.burnRisk).toBe('caution');
    expect(contact({ startC: -1, seconds: 5, towelLayers: 2 }).burnRisk).toBe('stop');
  });
});

describe('a stone that comes back in passes', () => {
  it('warms one spot as worked out by hand', () => {
    const moving = contact({ mode: 'moving', startC: 52, seconds: 120, towelLayers: 0 });
    near(moving.skinSurfacePeakC, 46.59);
    near(moving.basalPeakC, 43.22);
    near(moving.basalPeakAtS, 1, 0.05);
    expect(moving.omega / 4.07e-5).toBeGreaterThan(1 / 1.1);
    expect(moving.omega / 4.07e-5).toBeLessThan(1.1);
    near(at(moving.curve, 30)?.stoneC, 50.03);
    near(at(moving.curve, 120)?.stoneC, 46.01);
    near(at(moving.curve, 30)?.basalC, 38.46);
    near(at(moving.curve, 60)?.basalC, 38.75);
    expect(moving.burnRisk).toBe('caution');
  });

  it('keeps every material below the basal limit at the greatest temperature', () => {
    for (const material of materialIds)
      expect(contact({ material, mode: 'moving', startC: 52, seconds: 60 }).basalPeakC, material).toBeLessThan(44);
  });
});

describe('the harm that warmth does', () => {
  it.each([
    [44, 1.14e-5],
    [48, 2.21e-4],
    [52, 3.99e-3],
    [60, 1.06],
  ])('comes at %d °C at the known rate', (basalC, rate) => {
    expect(damageRate(book.physics, basalC) / rate).toBeGreaterThan(0.99);
    expect(damageRate(book.physics, basalC) / rate).toBeLessThan(1.01);
  });
});

describe('laws of contact', () => {
  const cases = fc.record({
    material: fc.constantFrom(...materialIds),
    thicknessMm: fc.integer({ min: 6, max: 40 }),
    startC: fc.integer({ min: 38, max: 55 }),
    mode: fc.constant('still' as const),
    towelLayers: fc.integer({ min: 0, max: 3 }),
    seconds: fc.integer({ min: 5, max: 120 }),
    skin: fc.constantFrom(...skinIds),
    skinStartC: fc.constant(33),
    ambientC: fc.integer({ min: 18, max: 28 }),
  });
  const runs = { numRuns: 25 };

  it('a thicker cloth never gives hotter skin, and longer never less harm', () => {
    fc.assert(
      fc.property(cases, (input) => {
        const here = contactOf(book, input);
        const thicker = contactOf(book, { ...input, towelLayers: input.towelLayers + 1 });
        expect(thicker.basalPeakC).toBeLessThanOrEqual(here.basalPeakC + 1e-9);
        const longer = contactOf(book, { ...input, seconds: input.seconds + 30 });
        expect(longer.omega).toBeGreaterThanOrEqual(here.omega);
        expect(longer.basalPeakC).toBeGreaterThanOrEqual(here.basalPeakC - 1e-9);
      }),
      runs,
    );
  });

  it('a hotter stone never gives cooler skin', () => {
    fc.assert(
      fc.property(cases, (input) => {
        const hotter = contactOf(book, { ...input, startC: input.startC + 2 });
        expect(hotter.basalPeakC).toBeGreaterThan(contactOf(book, input).basalPeakC);
      }),
      runs,
    );
  });

  it('skin stays between what touches it and the core', () => {
    fc.assert(
      fc.property(cases, (input) => {
        for (const { surfaceC, basalC, stoneC } of contactOf(book, input).curve)
          for (const one of [surfaceC, basalC, stoneC]) {
            expect(one).toBeGreaterThan(input.ambientC - 1e-9);
            expect(one).toBeLessThan(input.startC + 1e-9);
          }
      }),
      runs,
    );
  });

  it('does not depend on the grid', () => {
    for (const change of [{}, { towelLayers: 0 }, { mode: 'moving', startC: 52, seconds: 60 }] as const) {
      const [usual, fine] = [1, 2].map((fineness) => contactOf(book, { ...laid, ...change }, fineness as 1 | 2));
      expect(Math.abs((usual?.basalPeakC ?? 0) - (fine?.basalPeakC ?? 0))).toBeLessThan(0.05);
      expect(Math.abs((usual?.skinSurfacePeakC ?? 0) - (fine?.skinSurfacePeakC ?? 0))).toBeLessThan(0.05);
      expect(Math.abs((usual?.omega ?? 0) / (fine?.omega ?? 1) - 1)).toBeLessThan(0.03);
    }
  });
});
