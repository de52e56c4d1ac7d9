import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { segmentVolumes, type VolumeMethod, volumeMethods } from './volume';

const girths = (count: number) =>
  fc.array(fc.double({ min: 10, max: 60, noNaN: true }), { minLength: count, maxLength: count });
const total = (positions: readonly number[], values: readonly number[], method: VolumeMethod) =>
  segmentVolumes(positions, values, method).segmentsMl.reduce((sum, v) => sum + v, 0);
const even = [0, 4, 8, 12, 16];

describe('volumes of segments', () => {
  it('work out the first segment of the arm step by step', () => {
    const [first] = segmentVolumes([0, 4], [17.4, 19.5], 'frustum').segmentsMl;
    expect(first).toBeCloseTo((4 * (17.4 ** 2 + 17.4 * 19.5 + 19.5 ** 2)) / (12 * Math.PI), 9);
    expect(first).toBeCloseTo(108.4705, 4);
  });

  it('never make a disc smaller than its frustum, by h·(a−b)²/(24π) for each segment', () => {
    fc.assert(
      fc.property(girths(5), (values) => {
        const discs = segmentVolumes(even, values, 'disc').segmentsMl;
        const frusta = segmentVolumes(even, values, 'frustum').segmentsMl;
        discs.forEach((disc, i) => {
          const difference = (values[i] ?? 0) - (values[i + 1] ?? 0);
          expect(disc - (frusta[i] ?? 0)).toBeCloseTo((4 * difference ** 2) / (24 * Math.PI), 6);
        });
      }),
    );
  });

  it('add up to Simpson’s rule over each pair', () => {
    fc.assert(
      fc.property(girths(3), ([a = 0, b = 0, c = 0]) => {
        const area = (girth: number) => girth ** 2 / (4 * Math.PI);
        expect(total([0, 4, 8], [a, b, c], 'simpson')).toBeCloseTo((4 * (area(a) + 4 * area(b) + area(c))) / 3, 6);
      }),
    );
  });

  it('fall back to frustum for an odd last segment and for unequal pairs, and say where', () => {
    expect(segmentVolumes([0, 4, 8, 12], [20, 21, 22, 23], 'simpson').notes).toEqual([
      { code: 'simpson-odd-segments', at: 2 },
    ]);
    expect(segmentVolumes([0, 4, 9], [20, 21, 22], 'simpson').notes).toEqual([{ code: 'simpson-unequal-pair', at: 0 }]);
    expect(segmentVolumes([0, 4, 8.0005], [20, 21, 22], 'simpson').notes).toEqual([]);
    expect(total([0, 4, 9], [20, 21, 22], 'simpson')).toBe(total([0, 4, 9], [20, 21, 22], 'frustum'));
  });

  it('tell how the volume changes with each girth (checked against small differences)', () => {
    fc.assert(
      fc.property(fc.constantFrom(...volumeMethods), girths(5), fc.nat(4), (method, values, i) => {
        const { gradient } = segmentVolumes(even, values, method);
        const step = 1e-4;
        const bumped = values.map((girth, k) => (k === i ? girth + step : girth));
        expect((total(even, bumped, method) - total(even, values, method)) / step).toBeCloseTo(gradient[i] ?? NaN, 2);
      }),
    );
  });

  it('scale with the square of the girth and with the length', () => {
    fc.assert(
      fc.property(fc.constantFrom(...volumeMethods), girths(5), (method, values) => {
        const doubled = values.map((girth) => 2 * girth);
        const stretched = even.map((x) => 3 * x);
        expect(total(even, doubled, method)).toBeCloseTo(4 * total(even, values, method), 5);
        expect(total(stretched, values, method)).toBeCloseTo(3 * total(even, values, method), 5);
      }),
    );
  });
});
