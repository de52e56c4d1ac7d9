import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judgeChange } from './change';
import { limbVolume, type LimbVolumeInput, severityOf } from './limb-volume';
import { warningText } from './warning-texts';

const everyFour = [0, 4, 8, 12, 16, 20];
const make = (input: Partial<LimbVolumeInput>): LimbVolumeInput => ({
  limb: 'leg',
  unit: 'cm',
  method: 'frustum',
  positions: everyFour,
  affected: [30, 30, 30, 30, 30, 30],
  reference: null,
  dominant: 'none',
  dominanceCorrectionPercent: 0,
  tapeSigmaCm: 0.2,
  ...input,
});
const volumeOf = (input: Partial<LimbVolumeInput>) => {
  const result = limbVolume(make(input));
  if (!result.ok) throw new Error(result.refusal.kind);
  return result.value;
};
const refusalOf = (input: Partial<LimbVolumeInput>) => {
  const result = limbVolume(make(input));
  return result.ok ? undefined : `${result.refusal.kind} ${result.refusal.field}`;
};
const codes = (input: Partial<LimbVolumeInput>) => volumeOf(input).warnings.map((w) => [w.code, w.position]);

describe('the volume of a taped limb', () => {
  it('is that of a cylinder when all girths are alike, by every method, and so is its error', () => {
    for (const method of ['frustum', 'disc', 'simpson'] as const) {
      expect(volumeOf({ method, positions: [0, 4, 8, 12, 16], affected: [30, 30, 30, 30, 30] }).affectedMl).toBeCloseTo(
        (30 ** 2 / (4 * Math.PI)) * 16,
        9,
      );
    }
    expect(volumeOf({}).affectedSdMl).toBeCloseTo(((0.2 * 30 * 4) / (2 * Math.PI)) * Math.sqrt(5 - 0.5), 9);
  });

  it('adds up over its segments, excess too, with dominance', () => {
    const girth = fc.double({ min: 20, max: 40, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(girth, { minLength: 6, maxLength: 6 }),
        fc.array(girth, { minLength: 6, maxLength: 6 }),
        (affected, reference) => {
          const v = volumeOf({ limb: 'arm', affected, reference, dominant: 'affected', dominanceCorrectionPercent: 3 });
          expect(v.segments.reduce((sum, s) => sum + s.affectedMl, 0)).toBeCloseTo(v.affectedMl, 6);
          expect(v.segments.reduce((sum, s) => sum + (s.excessMl ?? 0), 0)).toBeCloseTo(v.excessMl ?? NaN, 6);
        },
      ),
    );
  });

  it('has the error that repeated taping shows (Monte Carlo, within 3 %)', () => {
    const affected = [22, 25, 29, 33, 36, 38];
    let seed = 42;
    const random = () => ((seed = (seed * 1664525 + 1013904223) % 4294967296) + 0.5) / 4294967296;
    const normal = () => Math.sqrt(-2 * Math.log(random())) * Math.cos(2 * Math.PI * random());
    for (const method of ['frustum', 'disc', 'simpson'] as const) {
      const volumes = Array.from(
        { length: 8000 },
        () => volumeOf({ method, affected: affected.map((c) => c + 0.2 * normal()) }).affectedMl,
      );
      const mean = volumes.reduce((a, b) => a + b, 0) / volumes.length;
      const sd = Math.sqrt(volumes.reduce((a, b) => a + (b - mean) ** 2, 0) / (volumes.length - 1));
      expect(Math.abs(sd / volumeOf({ method, affected }).affectedSdMl - 1)).toBeLessThan(0.03);
    }
  });

  it('fills a single gap and trims ends, on both limbs', () => {
    expect(codes({ affected: [30, null, 31, 32, 33, null], reference: [29, 29, 29, 30, 30, 30] })).toEqual([
      ['interpolated-affected', 4],
      ['trimmed-affected', 20],
    ]);
  });

  it('refuses what cannot be a taping, naming the first reason', () => {
    expect(refusalOf({ positions: [0] })).toBe('too-few-points positions');
    expect(refusalOf({ positions: [0, 4, 4, 12, 16, 20] })).toBe('positions-not-increasing positions');
    expect(refusalOf({ affected: [30, 30] })).toBe('length-mismatch affected');
    expect(refusalOf({ affected: [30, null, null, 30, 30, 30] })).toBe('gap-too-wide affected');
    expect(refusalOf({ affected: [30, 30, null, null, null, null], reference: [null, null, null, 30, 30, 30] })).toBe(
      'too-few-points positions',
    );
  });
});

describe('doubtful entries', () => {
  it('knows a whole side in inches, a slipped point and a jump', () => {
    expect(codes({ affected: [12, 12, 13, 13, 13, 13] })).toContainEqual(['unit-suspect-affected', null]);
    expect(codes({ affected: [30, 31, 3.2, 33, 34, 35] })).toContainEqual(['decimal-point-affected', 8]);
    expect(codes({ affected: [30, 31, 32 / 2.54, 33, 34, 35] })).toContainEqual(['unit-point-affected', 8]);
    expect(codes({ affected: [30, 31, 42, 33, 34, 35] })).toEqual([['jump-affected', 8]]);
  });

  it('blames the end point when only its own neighbour stands out', () => {
    expect(codes({ affected: [45, 31, 32, 33, 34, 35] })).toEqual([['jump-affected', 0]]);
  });

  it('knows swapped rows, swapped sides and copied sides', () => {
    expect(codes({ affected: [32, 32, 30, 32, 32, 32], reference: [30, 30, 32, 30, 30, 30] })).toContainEqual([
      'row-swapped',
      8,
    ]);
    expect(codes({ affected: [28, 28, 28, 28, 28, 28], reference: [30, 30, 30, 30, 30, 30] })).toEqual([
      ['sides-swapped', null],
    ]);
    expect(codes({ reference: [30, 30, 30, 30, 30, 30] })).toEqual([['sides-identical', null]]);
  });

  it('has words for every code and refuses to invent others', () => {
    expect(warningText('decimal-point-reference')).toContain('decimal point');
    expect(() => warningText('weather')).toThrow('weather');
  });
});

describe('judging', () => {
  it('puts limits into the band above, 40 % into moderate', () => {
    expect([-3, 4.99, 5, 10, 20, 40, 40.01].map(severityOf)).toEqual([
      'none',
      'none',
      'early',
      'minimal',
      'moderate',
      'moderate',
      'severe',
    ]);
  });

  it('tells a change from measuring error', () => {
    expect(judgeChange(-170, 10, 9.5, 150)).toEqual({ limit: 150, beyond: true });
    expect(judgeChange(-120, 10, 9.5, 150)).toEqual({ limit: 150, beyond: false });
  });
});
