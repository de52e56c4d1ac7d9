import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatClock, formatNumber, formatSigned, fromCm, roundTo, toCm } from './units';

describe('lengths', () => {
  it('turns inches into centimetres exactly and back', () => {
    expect(toCm(1, 'in')).toBe(2.54);
    expect(toCm(42.6, 'cm')).toBe(42.6);
    expect(fromCm(25.4, 'in')).toBe(10);
  });

  it('loses nothing on the way there and back', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 400, noNaN: true }), (cm) => {
        expect(fromCm(toCm(cm, 'in'), 'in')).toBeCloseTo(cm, 9);
      }),
    );
  });
});

describe('numbers on the screen', () => {
  it('rounds half away from zero', () => {
    expect(
      [2.5, -2.5, 0.05, -0.05].map((value) => roundTo(value, value % 1 === 0.5 || value % 1 === -0.5 ? 0 : 1)),
    ).toEqual([3, -3, 0.1, -0.1]);
    expect(roundTo(1.005, 2)).toBe(1.01);
  });

  it('writes a real minus sign and fixed decimals', () => {
    expect(formatNumber(-41)).toBe('−41');
    expect(formatNumber(51, 1)).toBe('51.0');
    expect(formatNumber(-0.2)).toBe('0');
  });

  it('marks what is above zero', () => {
    expect([formatSigned(2.71, 1), formatSigned(-41.2), formatSigned(0.3)]).toEqual(['+2.7', '−41', '0']);
  });

  it('writes clocks', () => {
    expect([formatClock(3160), formatClock(59.6), formatClock(0), formatClock(-4)]).toEqual([
      '52:40',
      '1:00',
      '0:00',
      '0:00',
    ]);
  });
});
