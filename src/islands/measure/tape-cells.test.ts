import { describe, expect, it } from 'vitest';
import { cellOf, numberIn, readGirth, rereadAs, showIn, toCell } from './tape-cells';

describe('reading a typed girth', () => {
  it('takes numbers with point or comma, with or without a unit, and nothing for “not measured”', () => {
    expect(readGirth('42.6', 'cm')).toEqual({ value: 42.6, unit: 'cm' });
    expect(readGirth(' 42,6 ', 'cm')).toEqual({ value: 42.6, unit: 'cm' });
    expect(readGirth('51.', 'cm')).toEqual({ value: 51, unit: 'cm' });
    expect(readGirth('34,5 cm', 'in')).toEqual({ value: 34.5, unit: 'cm' });
    expect(readGirth('34,5\u2009cm', 'cm')).toEqual({ value: 34.5, unit: 'cm' });
    expect(readGirth('\u202f13.5"', 'cm')).toEqual({ value: 13.5, unit: 'in' });
    expect(readGirth('', 'cm')).toBeNull();
    expect(readGirth(' \u00a0', 'cm')).toBeNull();
  });

  it('refuses what cannot be a girth, and says what to do', () => {
    expect(readGirth('abc', 'cm')).toEqual({ error: 'Type a number, such as 42.6.' });
    for (const text of ['4 2', '-3', '1e3', '1.234,5', '42.6 kg', '..', ','])
      expect(readGirth(text, 'cm'), text).toHaveProperty('error');
    expect(readGirth('0', 'cm')).toEqual({ error: 'A girth is more than 0. Leave it empty if it was not taken.' });
    expect(readGirth('3000', 'cm')).toEqual({ error: 'No limb measures 3000 cm: check the decimal point.' });
    expect(readGirth('200', 'in')).toHaveProperty('error');
  });
});

describe('a cell', () => {
  it('keeps what was typed when the unit of the screen changes, and comes back exactly', () => {
    const cell = toCell('16,2', 'cm');
    const inches = showIn(cell, 'in');
    expect([cell.text, inches.text]).toEqual(['16.2', '6.38']);
    expect(numberIn(inches.typed, 'in')).toBeCloseTo(6.377952755905512, 12);
    expect(showIn(inches, 'cm')).toEqual(cell);
  });
  it('reads the same digits in the other unit when a side was typed in the wrong one', () => {
    expect(rereadAs(cellOf(9.2, 'cm'), 'in', 'cm')).toEqual({ text: '23.4', typed: { value: 9.2, unit: 'in' } });
  });
  it('shows one decimal in centimetres, two in inches, and more when more were typed', () => {
    expect([toCell('42', 'cm').text, toCell('42.25', 'cm').text, toCell('13.5', 'in').text]).toEqual([
      '42.0',
      '42.25',
      '13.50',
    ]);
    expect(cellOf(16.771653543307085, 'in').text).toBe('16.77');
  });
});
