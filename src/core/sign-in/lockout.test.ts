import { describe, expect, it } from 'vitest';
import { guardsOf, passwordTrouble, pinTrouble, waitAfterFailures } from './lockout';

describe('guessing', () => {
  it('is free three times, then waits longer each time, up to a quarter of an hour', () => {
    expect([0, 1, 2, 3, 4, 5].map((failures) => waitAfterFailures(failures))).toEqual([0, 0, 0, 5, 10, 20]);
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
    for (const pin of ['1111', '1234', '98765']) expect(pinTrouble(pin)).toContain('tried');
    expect(pinTrouble('2719')).toBeUndefined();
  });
});

describe('what tries are counted by', () => {
  it('is name and address, the name, and the address; failures of an address are not forgiven', () => {
    const guards = guardsOf('ida', '10.0.0.9', undefined);
    expect(guards.map(({ key }) => key)).toEqual(['name ida from 10.0.0.9', 'name ida', 'from 10.0.0.9']);
    expect(guards.map(({ isForgiven }) => isForgiven)).toEqual([true, true, false]);
    const [own, name, address] = guards.map(({ freeTries }) => freeTries);
    expect([own, name, address]).toEqual([3, 12, 20]);
  });

  it('is the device alone where somebody has signed in on it before', () => {
    expect(guardsOf('ida', '10.0.0.9', 'abc').map(({ key }) => key)).toEqual(['device abc']);
  });
});
