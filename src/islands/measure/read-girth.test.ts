import { describe, expect, it } from 'vitest';
import { readGirth } from './useTapeRun';

describe('reading a typed girth', () => {
  it('takes numbers with point or comma, and nothing for “not measured”', () => {
    expect(readGirth('42.6', 'cm')).toEqual({ value: 42.6 });
    expect(readGirth(' 42,6 ', 'cm')).toEqual({ value: 42.6 });
    expect(readGirth('51.', 'cm')).toEqual({ value: 51 });
    expect(readGirth('', 'cm')).toEqual({ value: null });
  });

  it('refuses what cannot be a girth, and says what to do', () => {
    expect(readGirth('abc', 'cm')).toEqual({ error: 'Type a number, such as 42.6.' });
    expect(readGirth('4 2', 'cm')).toHaveProperty('error');
    expect(readGirth('-3', 'cm')).toHaveProperty('error');
    expect(readGirth('0', 'cm')).toEqual({ error: 'A girth is more than 0. Leave it empty if it was not taken.' });
    expect(readGirth('3000', 'cm')).toEqual({ error: 'No limb measures 3000 cm: check the decimal point.' });
    expect(readGirth('200', 'in')).toHaveProperty('error');
    expect(readGirth('1e3', 'cm')).toHaveProperty('error');
  });
});
