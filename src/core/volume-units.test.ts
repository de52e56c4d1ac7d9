import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inMl, volumesIn, volumeUnits } from './volume-units';

describe('volumes on the screen', () => {
  it('are whole millilitres, or tenths of an ounce that says which', () => {
    expect(inMl.text(1234.5)).toBe('1235 mL');
    expect(volumesIn('us-fl-oz').text(295.735295625)).toBe('10.0 US fl oz');
    expect(volumesIn('imp-fl-oz').text(284.130625)).toBe('10.0 imp fl oz');
  });

  it('carry a sign where they are a change', () => {
    expect(volumesIn('us-fl-oz').signed(29.5735295625)).toBe('+1.0 US fl oz');
    expect(volumesIn('imp-fl-oz').signed(-14.2)).toBe('−0.5 imp fl oz');
    expect(inMl.signed(0.3)).toBe('0 mL');
  });

  it('keep the order of the volumes, whatever the unit', () => {
    fc.assert(
      fc.property(fc.constantFrom(...volumeUnits), fc.float({ noNaN: true, min: 0, max: 9000 }), (unit, ml) => {
        const { from } = volumesIn(unit);
        return from(ml) <= from(ml + 1) && Math.sign(from(-ml)) === Math.sign(-ml);
      }),
    );
  });
});
