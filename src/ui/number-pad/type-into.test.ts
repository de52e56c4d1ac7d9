import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { afterKey, type PadKey } from './type-into';

const at = (value: string, selectionStart = value.length, selectionEnd = selectionStart) => ({
  value,
  selectionStart,
  selectionEnd,
});
const typed = (...keys: readonly PadKey[]) => keys.reduce((value, key) => afterKey(at(value), key), '');

describe('the keys of the number pad', () => {
  it('write a girth digit by digit', () => {
    expect(typed('4', '1', '.', '2')).toBe('41.2');
  });

  it('replace what is selected, as the number that stood there', () => {
    expect(afterKey(at('39.7', 0, 4), '4')).toBe('4');
    expect(afterKey(at('39.7', 0, 4), 'back')).toBe('');
  });

  it('write where the hand stands', () => {
    expect(afterKey(at('39.7', 1), '8')).toBe('389.7');
    expect(afterKey(at('39.7', 1), 'back')).toBe('9.7');
  });

  it('take one point only', () => {
    expect(typed('4', '.', '.', '2')).toBe('4.2');
  });

  it('begin with a nought before a point', () => {
    expect(typed('.', '5')).toBe('0.5');
  });

  it('make a half of a whole number, and of nothing', () => {
    expect(typed('3', '6', '½')).toBe('36.5');
    expect(typed('½')).toBe('0.5');
    expect(typed('3', '6', '.', '2', '½')).toBe('36.2');
    expect(afterKey(at('39.7', 0, 4), '½')).toBe('0.5');
  });

  it('take back what was typed, one by one', () => {
    expect(typed('4', '1', 'back', '2')).toBe('42');
    expect(typed('back')).toBe('');
  });

  it('never make more than one number of it, whatever is pressed', () => {
    const key = fc.constantFrom<PadKey>('0', '1', '5', '9', '.', '½', 'back');
    fc.assert(
      fc.property(fc.array(key, { maxLength: 12 }), (keys) => {
        const value = typed(...keys);
        expect(value === '' || Number.isFinite(Number(value))).toBe(true);
      }),
    );
  });
});
