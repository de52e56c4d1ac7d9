import { describe, expect, it } from 'vitest';
import { passwordTrouble, pinTrouble, waitAfterFailures } from './lockout';

describe('guessing', () => {
  it('is free three times, then waits longer each time, up to a quarter of an hour', () => {
    expect([0, 1, 2, 3, 4, 5].map(waitAfterFailures)).toEqual([0, 0, 0, 5, 10, 20]);
    expect(waitAfterFailures(50)).toBe(900);
  });
});

describe('a new password', () => {
  it('is long, varied and not one’s name', () => {
    expect(passwordTrouble('short', 'Ida Moor')).toContain('10 characters');
    expect(passwordTrouble('aaaaaaaaaaaa', 'Ida Moor')).toContain('different');
    expect(passwordTrouble('the moor in mist', 'Ida Moor')).toContain('name');
    expect(passwordTrouble('warm stones by the mill', 'Ida Moor')).toBeUndefined();
    expect(passwordTrouble('x'.repeat(201), 'Ida Moor')).toContain('200');
  });
});

describe('a PIN', () => {
  it('is four to eight digits and no row', () => {
    expect(pinTrouble('12a4')).toContain('digits');
    for (const pin of ['1111', '1234', '98765']) expect(pinTrouble(pin)).toContain('easy');
    expect(pinTrouble('2719')).toBeUndefined();
  });
});
